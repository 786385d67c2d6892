import type { Account } from '@open-larder/contract';
import { formatGrams, formatNumber, formatMgL } from '@open-larder/say';
import { formatCause } from '../group/labels';
import type { Format } from '../store';

export type GroupAccount = Account['groups'][number];
type TankAccount = Account['tanks'][number];
type FoodAccount = Account['foods'][number];

const percent = (share: number) => `${formatNumber(share * 100, 0)} %`;

/** «10 → 7 fish; 2 cause unknown, 1 jumped out» */
export function formatLosses({ began, ended, died, causes }: GroupAccount): string {
  const there = began === ended ? `${ended} fish` : `${began} → ${ended} fish`;
  const lost = causes.map(({ cause, count }) => `${count} ${formatCause(cause)}`).join(', ');
  return died === 0 ? `${there}, none lost` : `${there}; lost: ${lost}`;
}

/** «2.1 → 2.6 cm, where its kind grows 0.4 cm; 1.2 % of its mass a day» */
export function formatGrowth(
  { first, last, usualCm, growthPerDay }: GroupAccount,
  format: Format,
): string {
  if (!first) return 'not measured';
  if (!last || growthPerDay === null)
    return `${format.quantity('length', first.cm)}, measured once`;
  const kind = usualCm === null ? '' : `; its kind grows ${format.quantity('length', usualCm)}`;
  return `${format.quantity('length', first.cm)} → ${format.quantity('length', last.cm)}${kind}; ${formatNumber(growthPerDay, 2)} % of its mass a day`;
}

/** «ate 12 g for 0.40; 1.8 g dry food to a gram gained» */
export function formatEaten(
  { eatenG, costMinor, conversion }: GroupAccount,
  format: Format,
): string {
  const cost = costMinor === null ? '' : ` for ${format.money(costMinor)}`;
  const gain =
    conversion === null ? '' : `; ${formatNumber(conversion, 1)} g dry food to a gram gained`;
  return eatenG > 0 ? `ate ${formatGrams(eatenG)}${cost}${gain}` : 'nothing was logged for them';
}

/** «30-day survival 93 % (76 to 99 %)»; null where none was lost. */
export function formatLiving({ died, over30 }: GroupAccount): string | null {
  if (died === 0 || over30 === null) return null;
  return `30-day survival ${percent(over30.share)} (${formatNumber(over30.low * 100, 0)} to ${percent(over30.high)})`;
}

export function formatWater(
  { nitrate, capMgL, tests, changes, litres }: TankAccount,
  format: Format,
): string[] {
  const changed =
    changes === 0
      ? 'no change of water was logged'
      : `${changes} change${changes === 1 ? '' : 's'} of water${litres === null ? '' : `, ${format.quantity('volume', litres)} in all`}`;
  const tested = nitrate
    ? `nitrate ${formatMgL(nitrate.mean)} mg/L in the mean of ${nitrate.n}, ${formatMgL(nitrate.max)} at the highest${
        capMgL !== null && nitrate.max > capMgL ? `: over the ${capMgL} that they tolerate` : ''
      }`
    : tests === 0
      ? 'not tested'
      : 'nitrate not tested';
  return [changed, tested];
}

const RATED = {
  colour: { better: 'brighter', same: 'colour as before', worse: 'duller' },
  growth: { better: 'faster growth', same: 'growth as before', worse: 'slower growth' },
} as const;

/** «brighter 2 times, faster growth once»; null where nobody rated it. */
export function formatRated(row: Pick<FoodAccount, 'colour' | 'growth'>): string | null {
  const times = (count: number) => (count === 1 ? 'once' : `${count} times`);
  const said = (['colour', 'growth'] as const).flatMap((what) =>
    (['better', 'same', 'worse'] as const)
      .filter((how) => row[what][how] > 0)
      .map((how) => `${RATED[what][how]} ${times(row[what][how])}`),
  );
  return said.length > 0 ? said.join(', ') : null;
}

export const formatRating = (of: 'colour' | 'growth', how: 'better' | 'same' | 'worse'): string =>
  RATED[of][how];

/** Losses of all groups together by cause, the most first. */
export function lossesOf(groups: readonly GroupAccount[]): { says: string; count: number }[] {
  const sums = new Map<string, number>();
  for (const { cause, count } of groups.flatMap(({ causes }) => causes)) {
    sums.set(formatCause(cause), (sums.get(formatCause(cause)) ?? 0) + count);
  }
  return [...sums].map(([says, count]) => ({ says, count })).sort((a, b) => b.count - a.count);
}

/** Figures of groups, or of one group in several spans, beside each other: a row a figure. */
export function figuresOf(
  columns: readonly (GroupAccount | undefined)[],
  format: Format,
): { title: string; values: string[] }[] {
  const none = '–';
  const row = (title: string, say: (one: GroupAccount) => string | null) => ({
    title,
    values: columns.map((one) => (one && say(one)) ?? none),
  });
  return [
    row('Fish', ({ began, ended }) => `${began} → ${ended}`),
    row('Lost', ({ died }) => String(died)),
    row('Live through 30 days', ({ over30 }) => over30 && percent(over30.share)),
    row('Mean length', ({ first, last }) => {
      const shown = last ?? first;
      return shown && format.quantity('length', shown.cm);
    }),
    row('Growth a day', ({ growthPerDay }) =>
      growthPerDay === null ? null : `${formatNumber(growthPerDay, 2)} %`,
    ),
    row('Against its kind', ({ first, last, usualCm }) =>
      first && last && usualCm !== null && usualCm > 0.01
        ? percent((last.cm - first.cm) / usualCm)
        : null,
    ),
    row('Eaten', ({ eatenG }) => formatGrams(eatenG)),
    row('Food to a gram', ({ conversion }) =>
      conversion === null ? null : `${formatNumber(conversion, 1)} g`,
    ),
    row('Cost', ({ costMinor }) => (costMinor === null ? null : format.money(costMinor))),
  ];
}
