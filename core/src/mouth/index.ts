export { formOf, massOfPieceG, widthAt, type Pieces } from './piece';
export {
  fits,
  mouthful,
  onlyBinds,
  takes,
  takesApart,
  type Eater,
  type Fit,
  type Offer,
  type Taking,
} from './suits';
export { readiness, wasEaten, type SeenFoods } from './seen';
