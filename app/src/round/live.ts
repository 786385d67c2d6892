/** What the Round shows of the live shelf, behind one door: loaded after the round itself. */
export { CultureWork } from './CultureWork';
export { LiveMeals } from './LiveMeals';
