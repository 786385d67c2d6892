/** What the Round shows of broods and the live shelf, behind one door: loaded after the round itself. */
export { BroodsWork } from '../brood/BroodsWork';
export { CultureWork } from './CultureWork';
export { LiveMeals } from './LiveMeals';
