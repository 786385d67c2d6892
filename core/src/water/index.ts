export { NITRATE_PER_N, PROTEIN_PER_N, TAN_OF_PROTEIN, STANDS_MG_L } from './nitrogen';
