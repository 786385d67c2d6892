/** What is told of the past, and trials: one piece of the program, loaded where it is first opened. */
export { DecidedView } from './records/DecidedView';
