export { batchOf, pieceMassG, trayMassG, type Batch, type Tray } from './batch';
export { circleOf } from './circle';
export { mixture, WATER, type Losses, type Mixture, type Part } from './mixture';
