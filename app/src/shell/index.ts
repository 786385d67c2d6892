export { ScreenTools, Shell } from './Shell';
