import type { BroodRow } from '@open-larder/contract';
import { min } from 'd3-array';
import type { BroodWork } from '@open-larder/core/brood';
import type { UnitChoice } from '@open-larder/core/units';
import { formatDay, formatQuantity, formatServing, formatUnits } from '@open-larder/say';
import { formatBroodWork } from '@open-larder/say/brood';
import { formatClock } from '../print/document';
import { printLines, type Line } from '../print/lines';

/** What belongs after the last meal, and what has its hour with the meals: all else is done in between. */
const BY_THE_CLOCK: ReadonlySet<string> = new Set(['feed', 'change', 'firstFood']);

/**
 * The day of young in tubs on one page: by time from the first light to the last, a box for each tub and
 * act, with the water that goes in and what is to be looked for in the bucket.
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

/**
 * A brood as far as some tubs go, for the page of the person who minds them.
 * @param tubIds null is all of them
 * @returns none where no tub of it is among them
 */
export function onPage(brood: BroodRow, tubIds: readonly string[] | null): BroodRow[] {
  if (tubIds === null) return [brood];
  const mine = ({ tubId }: { tubId: string | null }) => tubId === null || tubIds.includes(tubId);
  if (!brood.tubs.some(({ id }) => tubIds.includes(id))) return [];
  return [
    {
      ...brood,
      tubs: brood.tubs.filter(({ id }) => tubIds.includes(id)),
      work: brood.work.filter(mine),
      meals: brood.meals
        .map((meal) => ({ ...meal, servings: meal.servings.filter(mine) }))
        .filter(({ servings }) => servings.length > 0),
    },
  ];
}

/** What is on it, from the first light to the last. */
export function dayLines(broods: readonly BroodRow[], units: UnitChoice): Line[] {
  if (broods.length === 0) return [];
  const dawn = min(broods, ({ light }) => light.lightOnMin)!;
  /** A light that is on over midnight keeps its order. */
  const sinceDawn = (minutes: number) => (minutes - dawn + DAY_MIN) % DAY_MIN;
  const out = [...broods].sort(
    (a, b) => sinceDawn(b.light.lightOffMin) - sinceDawn(a.light.lightOffMin),
  )[0]!;
  return [
    {
      kind: 'moment',
      text: `Lights on ${formatClock(dawn)}`,
    },
    ...broods.map(({ name, status }): Line => ({
      kind: 'task',
      text: firstLook(status.state.phase),
      quiet: name,
    })),
    ...mealLines(broods, sinceDawn),
    ...afterLastMeal(broods, units),
    { kind: 'moment', text: `Lights out ${formatClock(out.light.lightOffMin)}` },
    ...inBetween(broods, units),
  ];
}

const DAY_MIN = 1440;

/** What is looked at before the first hand is in the water. */
const firstLook = (phase: BroodRow['status']['state']['phase']): string =>
  phase === 'fry'
    ? 'Look before you feed: who moves, whose belly is empty, who lies on the bottom'
    : phase === 'larvae' || phase === 'eggs'
      ? 'Look: white eggs, larvae that hang or lie, who swims'
      : 'Look from a distance: who courts, who guards';

function mealLines(broods: readonly BroodRow[], sinceDawn: (minutes: number) => number): Line[] {
  const times = new Set(broods.flatMap(({ meals }) => meals.map(({ minutes }) => minutes)));
  return [...times]
    .sort((a, b) => sinceDawn(a) - sinceDawn(b))
    .flatMap((minutes): Line[] => [
      { kind: 'moment', text: formatClock(minutes) },
      ...broods.flatMap(({ name, meals }): Line[] => {
        const meal = meals.find((one) => one.minutes === minutes);
        if (!meal) return [];
        return [
          { kind: 'tank', text: name },
          ...meal.servings.map((serving): Line => ({
            kind: 'task',
            text: `${serving.tubName}: ${formatServing(formatUnits(serving.units, serving.unit), serving.name)}`,
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
      quiet: 'and a white bucket, so that siphoned young can be seen',
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
