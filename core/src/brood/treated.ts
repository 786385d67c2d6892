import { daysBetween } from '../round';
import type { BroodState } from './line';

/** For so many days a treatment holds food back where its label’s days were not entered. Assumption. */
const TREATED_DAYS = 2;

/** No food while it is in; where its days were entered they count, the day it went in among them. */
export const treated = (
  { today }: { today: string },
  { state }: { state: Pick<BroodState, 'treated'> },
): boolean =>
  state.treated !== null &&
  daysBetween(state.treated.day, today) < (state.treated.forDays ?? TREATED_DAYS);
