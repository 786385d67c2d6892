/**
 * The one door to the screens that simulate and plan. They share the simulation, and load together
 * when the first of them is opened: behind several doors it would be shared with the first screen.
 */
export { DryRunScreen } from './week/DryRunScreen';
export { HouseWeekScreen } from './week/HouseWeekScreen';
export { WeekScreen } from './week/WeekScreen';
export { PlayScreen } from './zones/PlayScreen';
