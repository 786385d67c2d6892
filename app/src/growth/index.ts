/** How groups grow, behind one door: it loads when a group’s growth is opened. */
export { GrowthScreen } from './GrowthScreen';
