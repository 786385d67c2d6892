import type { TrialRow } from '@open-larder/contract';
import type { TrialRefusal, TrialStatus } from '@open-larder/core/trial';
import { formatNumber } from '@open-larder/say';
import type { Format } from '../store';

const REFUSED: Record<TrialRefusal | 'unmeasured', string> = {
  unmeasured: 'Too early to tell: measure a few on each side on the same day.',
  tooFew:
    'No conclusion: of one side fewer than three were measured, and how they differ is not known.',
  again: 'No conclusion: the same fish were measured each time. Measure different ones.',
  unequal:
    'No conclusion: one side was measured more than twice as often as the other. Measure as many of each.',
};

const percent = (share: number) => `${formatNumber(share * 100, 0)} %`;

/** «The second are longer by 0.3 cm (0.1 to 0.5), 14 %; two equal sides would differ this much in 1 of 100 trials.» */
export function formatResult(
  { kind, groupName, otherGroupName }: TrialRow,
  status: TrialStatus,
  format: Format,
): string {
  const { result } = status;
  if ('refused' in result) {
    return result.refused === 'unmeasured' && kind === 'tank'
      ? 'Too early to tell: measure a few at the beginning, at the change and at the end.'
      : REFUSED[result.refused];
  }
  const { difference, low, high, share, says, chance } = result;
  const odds = formatChance(chance);
  if (kind === 'tank') {
    const times = (of: number) => `${formatNumber(of, 2)} times the usual`;
    const { before, after } = result as unknown as { before: number; after: number };
    const grew = `They grew ${times(before)} for their size before, ${times(after)} after`;
    return says === 'none'
      ? `No conclusion: ${grew.charAt(0).toLowerCase()}${grew.slice(1)}, a difference that chance alone can bring (${formatNumber(low, 2)} to ${formatNumber(high, 2)} is likely).`
      : `${grew}: ${says}, by ${formatNumber(low, 2)} to ${formatNumber(high, 2)}. ${odds}`;
  }
  const length = (cm: number) => format.quantity('length', cm);
  const { fromBase } = format.scale('length');
  const range = `${formatNumber(fromBase(low), 2)} to ${formatNumber(fromBase(high), 2)}`;
  const tubs = result.tubsOnly
    ? ' With one tub on each side this compares the tubs, not the diets: two of each would.'
    : '';
  return says === 'none'
    ? `No conclusion: ${otherGroupName} differ from ${groupName} by ${length(difference)}, likely ${range}: it may be more, it may be less.`
    : `${otherGroupName} are ${says === 'more' ? 'longer' : 'shorter'} than ${groupName} by ${length(Math.abs(difference))} (${range}), ${percent(Math.abs(share))}. ${odds}${tubs}`;
}

const formatChance = (chance: number): string =>
  chance < 0.001
    ? 'Two equal sides would hardly ever differ this much.'
    : `Two equal sides would differ this much in ${formatNumber(chance * 100, chance < 0.01 ? 1 : 0)} of 100 trials.`;

/** «8 weeks: 24 on each side» */
export const formatNeeded = ({ weeks, each }: TrialStatus['needed'][number]): string =>
  each === null
    ? 'no number of fish shows it'
    : `${each} on each side, for ${formatNumber(weeks, 0)} weeks`;

/** What speaks against trusting it, if anything. */
export function formatDoubts({ kind, weeks }: TrialRow, status: TrialStatus): string[] {
  const { sides, apart, enough, needed } = status;
  const each = needed.find((one) => one.weeks === weeks)?.each ?? null;
  const [a, b] = sides;
  return [
    each === null
      ? 'A difference this small cannot be seen in that time: wait longer, or look for a larger one.'
      : null,
    enough === false && each !== null
      ? `You measured fewer than the ${each} on each side that would show such a difference four times in five.`
      : null,
    apart
      ? 'The sides differed before it began: what differs at the end may come from there.'
      : null,
    kind === 'siblings' && a && b && Math.max(a.count, b.count) > 1.2 * Math.min(a.count, b.count)
      ? `${a.count} against ${b.count} fish: those with more room grow better by that alone.`
      : null,
  ].filter((line) => line !== null);
}
