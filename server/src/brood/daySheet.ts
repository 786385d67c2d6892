import type { BroodRow } from '@open-larder/contract';
import type { BroodWork } from '@open-larder/core/brood';
import type { UnitChoice } from '@open-larder/core/units';
import { formatDay, formatQuantity, formatUnits } from '@open-larder/say';
import { formatBroodWork } from '@open-larder/say/brood';
import { formatClock, lowerFirst } from '../print/document';
import { printLines, type Line } from '../print/lines';

/** What belongs after the last meal, and what has its hour with the meals: all else is done in between. */
const BY_THE_CLOCK: ReadonlySet<string> = new Set(['feed', 'change', 'firstFood']);

/**
 * The day of all young in tubs on one page: by time from the first meal to the last, a box for each tub and
 * act, then the water that goes in and what is to be looked for in the bucket.
 * @param expected the day is still to come: it is headed as expected
 * @param hand     who it is printed for; null for everyone
 * @returns a PDF of one page
 */
export function broodDaySheet(
  broods: readonly BroodRow[],
  day: string,
  units: UnitChoice,
  { expected, hand }: { expected: boolean; hand: string | null },
): Promise<Uint8Array> {
  const lines = dayLines(broods, units);
  const heading = [`Young: ${formatDay(day)}`, hand, expected ? 'as expected' : null];
  return printLines(
    `Young: ${formatDay(day)}`,
    heading.filter(Boolean).join(' · '),
    lines.length > 0 ? lines : [{ kind: 'tank', text: 'Nothing to do for young in tubs' }],
  );
}

/** What is on it, from the first meal to the last. */
export const dayLines = (broods: readonly BroodRow[], units: UnitChoice): Line[] => [
  ...mealLines(broods),
  ...afterLastMeal(broods, units),
  ...inBetween(broods, units),
];

function mealLines(broods: readonly BroodRow[]): Line[] {
  const times = new Set(broods.flatMap(({ meals }) => meals.map(({ minutes }) => minutes)));
  return [...times]
    .sort((a, b) => a - b)
    .flatMap((minutes): Line[] => [
      { kind: 'moment', text: formatClock(minutes) },
      ...broods.flatMap(({ name, meals }): Line[] => {
        const meal = meals.find((one) => one.minutes === minutes);
        if (!meal) return [];
        return [
          { kind: 'tank', text: name },
          ...meal.servings.map((serving): Line => ({
            kind: 'task',
            text: `${serving.tubName}: ${formatUnits(serving.units, serving.unit)} ${lowerFirst(serving.name)}`,
            quiet: '',
          })),
        ];
      }),
    ]);
}

/** Leftovers and water, tub by tub, with the seasoned water of all of them in one line. */
function afterLastMeal(broods: readonly BroodRow[], units: UnitChoice): Line[] {
  const changes = broods.flatMap(({ name, work }) =>
    work.flatMap(({ because }) => (because.is === 'change' ? [{ name, because }] : [])),
  );
  if (changes.length === 0) return [];
  const volume = (litres: number) => formatQuantity(units, 'volume', litres);
  const all = changes.reduce((sum, { because }) => sum + (because.litres ?? 0), 0);
  return [
    { kind: 'moment', text: 'After the last meal' },
    {
      kind: 'task',
      text: `Have ${volume(all)} of seasoned water ready, as warm as theirs`,
      quiet: 'and a white bucket: young that were siphoned are seen in it',
    },
    ...changes.map(({ name, because }): Line => {
      const { tub, litres } = because;
      return {
        kind: 'task',
        text: `${tub}: leftovers out, ${litres === null ? 'all of its water, twice' : volume(litres)}`,
        quiet: name,
      };
    }),
  ];
}

function inBetween(broods: readonly BroodRow[], units: UnitChoice): Line[] {
  const works = broods.flatMap(({ name, work }) =>
    work
      .filter((one: BroodWork) => !BY_THE_CLOCK.has(one.what))
      .map(({ because }) => ({ name, says: formatBroodWork(because, units).says })),
  );
  return works.length === 0
    ? []
    : [
        { kind: 'moment', text: 'At any time' },
        ...works.map(({ name, says }): Line => ({ kind: 'task', text: says, quiet: name })),
      ];
}
