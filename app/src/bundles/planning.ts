/**
 * The one door to the screens that simulate, plan and drag. They share that work, and load together
 * when the first of them is opened: behind several doors it would be shared with the first screen.
 */
export { BroodsScreen } from '../brood/BroodsScreen';
export { ConditionScreen } from '../brood/ConditionScreen';
export { EventSheet } from '../brood/EventSheet';
export { NewBroodScreen } from '../brood/NewBroodScreen';
export { LiveScreen } from '../culture/LiveScreen';
export { SupplyScreen } from '../culture/SupplyScreen';
export { NewVesselScreen } from '../culture/NewVesselScreen';
export { WalkSheet } from '../tank/WalkSheet';
export { DryRunScreen } from '../week/DryRunScreen';
export { HouseWeekScreen } from '../week/HouseWeekScreen';
export { WeekScreen } from '../week/WeekScreen';
export { WatchScreen } from '../watch/WatchScreen';
export { PlayScreen } from '../zones/PlayScreen';
