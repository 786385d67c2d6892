export { drawDown, goodUntil, inOrderOfUse, type Draw, type Keeping, type Lot } from './drawDown';
export { daysLeft, type Supply, type Waste } from './daysLeft';
export { larderOf, type FoodOutlook, type GroupCost, type Larder, type Stocked } from './larder';
export { plannedUse, type PlannedUse } from './plannedUse';
export { keptDays, PLACES, usualPlace, type Place } from './place';
export { pricePerGram } from './price';
export { runsOutIn } from './runsOut';
export { purchaseOf, type Purchase } from './shopping';
