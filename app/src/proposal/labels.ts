import type { PortionsProposed, TrainingProposed } from '@open-larder/contract';
import { formatNumber, formatMgL, formatSign } from '@open-larder/say';
import type { Format } from '../store';
import { lowerFirst } from '../ui';

/** «8 % less» */
export const formatChange = (change: number): string =>
  `${Math.round(Math.abs(change) * 100)} % ${change < 0 ? 'less' : 'more'}`;

/** «7½ → 6½ pinches»; the unit stands once where it is the same. */
export function formatStep({ before, after }: { before: string; after: string }): string {
  const [number, ...unit] = before.split(' ');
  return `${after.endsWith(unit.join(' ')) ? number : before} → ${after}`;
}

/** «Give the zebrafish ½ pinch less fine flake after work, on Mon, Wed and Fri.» */
export function formatAct(
  { groupName, change, changed }: Pick<PortionsProposed, 'groupName' | 'change' | 'changed'>,
  { weekdays }: Pick<Format, 'weekdays'>,
): string {
  const who = lowerFirst(groupName);
  const [one, ...others] = changed;
  if (!one || others.length > 0 || one.days === null) {
    return `Give ${who} ${formatChange(change)} of everything.`;
  }
  const food = `${lowerFirst(one.foodName)} ${lowerFirst(one.momentName)}`;
  const names = one.days.map(
    (day) => weekdays.find(({ value }) => value === day)?.label ?? `day ${day}`,
  );
  const last = names.at(-1)!;
  const days = names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${last}` : last;
  return one.leftOut
    ? `Leave out ${food} for ${who} on ${days}.`
    : `Give ${who} ${one.by} ${change < 0 ? 'less' : 'more'} ${food} on ${days}.`;
}

/** Signs that are named; the others are counted. */
const NAMED = 3;

/** «25 % left on Tue 24 Nov; flat still on Sun 22 Nov; and 2 more» */
export function formatSigns({ signs }: Pick<PortionsProposed, 'signs'>, format: Format): string {
  const named = signs
    .slice(0, NAMED)
    .map(({ day, seen }) => `${formatSign(seen, format.units)} on ${format.day(day)}`);
  const more = signs.length - named.length;
  return [...named, ...(more > 0 ? [`and ${more} more`] : [])].join('; ');
}

/** How a new food is put with the one that they take. */
const MIXING: Record<TrainingProposed['mixing'], (known: string) => string> = {
  stirred: (known) => `Mix a little of it into the ${known} that they take`,
  soaked: (known) => `Soak a little of it in the juice of the ${known} that they take`,
  dusted: (known) => `Dust a little of it on the ${known} that they take`,
  beside: (known) =>
    `Put a little of it beside the ${known} that they take, at the same place and time`,
};

/** «Came 12 days ago. Refused 3 of 4 in two weeks. …» */
export function formatRefused({
  served,
  refused,
  newcomerDays,
  withFoodName,
  mixing,
}: TrainingProposed): string {
  const came =
    newcomerDays === null
      ? ''
      : `Came ${newcomerDays === 0 ? 'today' : `${newcomerDays} ${newcomerDays === 1 ? 'day' : 'days'} ago`}. `;
  const act = MIXING[mixing](lowerFirst(withFoodName));
  return `${came}Refused ${refused} of ${served} in two weeks. ${act}, and more as they accept it; the rest of their day stays the same.`;
}

/** «25 % every 7 days» */
export const formatRhythm = ({ share, everyDays }: { share: number; everyDays: number }): string =>
  `${formatNumber(share * 100, 0)} % every ${everyDays === 1 ? 'day' : `${everyDays} days`}`;

/** Up to this a day's food is as much of the need as it was. */
const SAME = 0.5;

/**
 * What would follow, a line each: of their need, of the foods of their plan, the stock, the nitrate,
 * and when they reach a length. What stays as it is, is not told.
 */
export function formatLeadsTo(
  { ofNeed, shares, stock, nitrate, size }: PortionsProposed['leadsTo'],
  format: Format,
): string[] {
  const percent = (share: number) => `${Math.round(share)} %`;
  const days = (left: number | null) => (left === null ? 'over four months' : `${left} days`);
  const day = (on: string | null) => (on === null ? 'in more than a year' : format.day(on));
  const moved = stock.filter(({ before, after }) => before !== after);
  const lines = [
    Math.abs(ofNeed.after - ofNeed.before) >= SAME
      ? `Of what they need: ${percent(ofNeed.before)} → ${percent(ofNeed.after)}`
      : null,
    shares.length > 0
      ? `Shares: ${shares
          .map(
            ({ family, before, after }) =>
              `${family} ${percent(before * 100)} → ${percent(after * 100)}`,
          )
          .join(', ')}`
      : null,
    moved.length > 0
      ? `Stock: ${moved
          .map(
            ({ foodName, before, after }) =>
              `${lowerFirst(foodName)} ${days(before)} → ${days(after)}`,
          )
          .join(', ')}`
      : null,
    nitrate && formatMgL(nitrate.before) !== formatMgL(nitrate.after)
      ? `Nitrate peaks at ${formatMgL(nitrate.before)} → ${formatMgL(nitrate.after)} mg/L${
          nitrate.capMgL === null
            ? ''
            : nitrate.after > nitrate.capMgL
              ? `, over the ${nitrate.capMgL} that they tolerate: change more water`
              : ''
        }`
      : null,
    size
      ? `They reach ${format.quantity('length', size.lengthCm)}: ${day(size.before)} → ${day(size.after)}`
      : null,
  ];
  return lines.filter((line) => line !== null);
}
