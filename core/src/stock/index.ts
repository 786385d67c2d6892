export { drawDown, type Draw, type Lot } from './drawDown';
export { daysLeft, type Supply } from './daysLeft';
export { pricePerGram } from './price';
export { purchaseOf, type Purchase } from './shopping';
