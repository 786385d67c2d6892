export { NITRATE_PER_N, PROTEIN_PER_N, TAN_OF_PROTEIN } from './nitrogen';
