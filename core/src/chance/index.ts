export { chanceOf, type Chance } from './chance';
