export { changedDiet, effectOf, type Changed, type Effect } from './apply';
export { fedAfter, type FedAfter, type Moves } from './leadsTo';
export { ledTo, type LedTo } from './ledTo';
export { growthSigns, nitrateSign } from './measured';
export { LATER_DAYS, MAX_CHANGE, propose, QUIET_DAYS, SIGNS_DAYS, type Proposal } from './propose';
export { bellySigns, mealSign, type Seen, type Sign, type WatchedMeal } from './signs';
export { mixingOf, type Mixing } from './mixing';
export { refusedFoods, type RefusedFood, type Tried } from './refused';
export { waterProposal, type WaterProposal } from './water';
