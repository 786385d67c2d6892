export { waterLitres, type TankSize } from './volume';
