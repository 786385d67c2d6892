/** The water of tanks behind one door: it loads when a tank’s water is opened, or after the round. */
export { WaterScreen } from './WaterScreen';
export { WaterWork } from './WaterWork';
