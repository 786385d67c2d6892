/** What looks at the shelf, behind one door: it loads in one piece, when the larder is opened. */
export { CompareScreen } from './CompareScreen';
export { LarderScreen } from './LarderScreen';
