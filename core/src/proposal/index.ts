export { changedDiet, effectOf, type Changed, type Effect } from './apply';
export { MOST_CHANGE, propose, QUIET_DAYS, SIGNS_DAYS, type Proposal } from './propose';
export { bellySigns, mealSign, type Sign, type WatchedMeal } from './signs';
export { refusedFoods, type RefusedFood, type Tried } from './refused';
