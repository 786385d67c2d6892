import { formatGrams } from './amounts';
import { formatDay } from './time';

/** What is refused, why, and what to do instead: the first letter small, as it follows its field. */
type Refusal<Facts> = (facts: Facts) => string;

interface Dated {
  name: string;
  /** YYYY-MM-DD */
  day: string;
}

export const refuseFeedingEnded: Refusal<Dated> = ({ name, day }) =>
  `${name} ended on ${formatDay(day)}: choose a day up to then`;

export const refuseFeedingBefore: Refusal<Dated> = ({ name, day }) =>
  `${name} came on ${formatDay(day)}: choose that day or a later one`;

export const refuseBeforeGroup: Refusal<Pick<Dated, 'day'>> = ({ day }) =>
  `this group came on ${formatDay(day)}; choose that day or a later one`;

export const refuseBeforeCulture: Refusal<Dated> = ({ name, day }) =>
  `${name} was started on ${formatDay(day)}: choose that day or a later one`;

export const refuseEndedCulture: Refusal<Dated> = ({ name, day }) =>
  `${name} ended on ${formatDay(day)}: undo its end first`;

export const refuseEndedParent: Refusal<Dated> = ({ name, day }) =>
  `${name} ended on ${formatDay(day)}; choose a culture that is running`;

export const refuseTubs: Refusal<{ most: number }> = ({ most }) =>
  `a brood has at most ${most} tubs`;

export const refuseServing: Refusal<{ massG: number; foodName: string; unitName: string }> = ({
  massG,
  foodName,
  unitName,
}) =>
  `that is ${formatGrams(massG)} of ${foodName} at once: check the amount, and what one ${unitName} weighs`;

export const refusePiece: Refusal<{ massG: number }> = ({ massG }) =>
  `one piece would weigh ${formatGrams(massG)}, more than anyone feeds at once: cut the tray into more pieces`;

export const refuseFryFast: Refusal<{ toleratesH: number }> = ({ toleratesH }) =>
  `fry never fast: these can go about ${Math.floor(toleratesH)} hours without food`;

/** @param by the mixes between, by name, in order */
export const refuseOwnMix = (by: readonly string[]): string =>
  by.length === 0
    ? 'the mix would contain itself; choose another ingredient'
    : `the mix would contain itself by way of ${by.join(', then ')}; choose another ingredient`;

/** A body over the limit, «128 kB». */
export const refuseSize = (limit: string): string =>
  `What was sent is over ${limit}. Send it in smaller parts.`;
