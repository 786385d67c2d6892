/** What was seen leads somewhere: loaded in one piece, where it is first shown. */
export { Proposals } from './Proposals';
export { TrainingCard } from './TrainingCard';
export { TrainSheet } from './TrainSheet';
