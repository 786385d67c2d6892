export { DayRibbon } from './DayRibbon';
export { FeedingDay, type DayStrip } from './FeedingDay';
export { FoodSign } from './FoodSign';
export { Jar } from './Jar';
export { Outline } from './Outline';
export { RangeBar } from './RangeBar';
export { ReadyHours } from './ReadyHours';
export { TankSection, type SectionGroup } from './TankSection';
export { ZoneHours } from './ZoneHours';
