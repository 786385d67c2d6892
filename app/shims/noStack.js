// The app has a frame of its own: the router's stacks of cards, their headers and their tabs are never shown.
const nothing = () => null;

export const createNativeStackNavigator = () => ({ Navigator: nothing });
export const Stack = nothing;
export const ExperimentalStack = nothing;
export const StackScreen = nothing;
export const StackHeader = nothing;
export const StackTitle = nothing;
export const StackToolbar = nothing;
export const isNativeTabTrigger = () => false;
export const initScreensFeatureFlags = nothing;
export const convertTabPropsToOptions = () => ({});
export default nothing;
