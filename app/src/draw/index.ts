export { DayRibbon } from './DayRibbon';
export { FoodSign } from './FoodSign';
export { Jar } from './Jar';
export { TankSection, type SectionGroup } from './TankSection';
