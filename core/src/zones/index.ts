export { advise, type Advice, type Advised, type Outlook } from './advise';
export { bandsOf, type Band, type Bands } from './band';
export { changed, changesFor, inDiet, type Change, type FeedMoment } from './change';
export { daySpan, dropsBefore, dropsOf, mealSpan } from './day';
export { eatenOf, type Eaten } from './eaten';
export {
  type Drop,
  type FeedFood,
  type FeedGroup,
  type Feeding,
  type FeedTank,
  type FeedTraits,
  type Learned,
} from './feeding';
export { FILM_FOOD } from './film';
export { learn, shownBy, type BellyLooks, type LearnedGroup, type Sighting } from './learn';
export { foreseeBelly, foreseeMeal, type MealForeseen } from './foreseen';
export { LAYERS, LAYER_COUNT, type Layer } from './layers';
export { phaseAt, type Phase } from './light';
export { modelOf, type Model } from './model';
export { gotBy, play, type Played, type Scene } from './play';
export { reportOf, type DropReport, type GroupReport, type Report } from './report';
export { simulate, type Frame, type Outcome } from './simulate';
