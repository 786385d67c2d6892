export { MayOpen } from './MayOpen';
export { ScreenTools, Shell } from './Shell';
