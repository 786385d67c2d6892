/**
 * The one door to what is reported of the past: growth, accounts, comparisons, trials, decisions. They
 * share that work, and load together when the first of them is opened.
 */
export { GrowthScreen } from '../growth/GrowthScreen';
export { AccountView } from '../records/AccountView';
export { CompareScreen } from '../records/CompareScreen';
export { HowRightView } from '../records/HowRightView';
export { DecidedView } from '../records/DecidedView';
export { TrialsView } from '../trial/TrialsView';
