// The app has a frame of its own: the router's bar of tabs is never shown.
import { createContext } from 'react';

export const BottomTabBarHeightContext = createContext(undefined);
const Tabs = () => null;
export { Tabs };
export default Tabs;
