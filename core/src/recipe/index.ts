export {
  balance,
  missesOf,
  type Balanced,
  type Candidate,
  type Miss,
  type Target,
  type Targets,
} from './balance';
export { batchOf, pieceMassG, trayMassG, type Batch, type Tray } from './batch';
export { circleOf } from './circle';
export { mixture, WATER, type Losses, type Mixture, type Part } from './mixture';
