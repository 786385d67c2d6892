import type { LearnedRow, SightingRow } from '@open-larder/contract';
import { formatNumber } from '@open-larder/say';
import { formatShare } from './labels';

type Traits = LearnedRow['groups'][number];

/** A multiple this near to one is as expected. */
const AS_EXPECTED = 0.07;

/**
 * «Eats 0.7 times as fast as expected (fairly sure)»; or that all is as expected, and how sure that is.
 * How fast food is found and how readily it is taken show in one figure: a clearing time cannot tell
 * them apart.
 */
export function formatLearned({ search, taking, coming, sure, eating }: Traits): string {
  const eats = eating ?? { times: search * taking, sure: Math.min(sure.search, sure.taking) };
  const figures = [
    { ...eats, says: (times: string) => `eats ${times} as fast as expected` },
    { times: coming, sure: sure.coming, says: (times: string) => `${times} as many come` },
  ];
  const parts = figures
    .filter(({ times }) => Math.abs(Math.log(times)) > AS_EXPECTED)
    .map((one) => `${one.says(formatTimes(one.times))} (${formatSure(one.sure)})`);
  if (parts.length > 0) return `${parts.join('; ')}.`.replace(/^./, (first) => first.toUpperCase());
  return `As expected (${formatSure(Math.max(...figures.map((one) => one.sure)))}).`;
}

const formatTimes = (multiple: number) => `${formatNumber(multiple, 1)} times`;

/** How much of the doubt that there was before has gone. Steps are ours. */
function formatSure(sure: number): string {
  return sure < 0.1
    ? 'a guess still'
    : sure < 0.3
      ? 'a little sure'
      : sure < 0.6
        ? 'fairly sure'
        : 'quite sure';
}

const CAME: Record<string, string> = { '0': 'none', '0.5': 'some', '1': 'all' };

/**
 * «Fine flake gone after 8 min; Kuhli loaches: some»
 * @param names of groups and of foods, by id
 */
export function formatSighting(row: SightingRow, names: ReadonlyMap<string, string>): string {
  const foods = row.drops.flatMap(({ key, foodId }) =>
    row.dropKeys?.includes(key) ? (names.get(foodId) ?? []) : [],
  );
  // One food of several is named; what is about all of a meal goes without saying.
  const of = row.drops.length > foods.length && foods.length > 0 ? `${foods.join(', ')} ` : '';
  const food =
    row.clearedMin !== null
      ? [`${of}gone after ${formatNumber(row.clearedMin, 1)} min`]
      : row.left !== null
        ? [`${of}${formatShare(row.left)} left`]
        : [];
  const came = row.came.map(
    ({ groupId, share }) =>
      `${names.get(groupId) ?? 'a group'}: ${CAME[String(share)] ?? formatShare(share)} came`,
  );
  return [...food, ...came].join('; ').replace(/^./, (first) => first.toUpperCase());
}
