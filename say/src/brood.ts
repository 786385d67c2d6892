import {
  RICH_PROTEIN,
  SKIN_DRY_CM,
  type BroodReason,
  type NeverFood,
  type StandingFood,
} from '@open-larder/core/brood';
import type { UnitChoice } from '@open-larder/core/units';
import { formatUnits } from './amounts';
import { formatAnimals } from './animals';
import { formatNumber, formatPercent, formatQuantity } from './figures';
import { ago, ahead, formatDay, latest, someDays, times } from './time';

/** What is to be done, and why. */
export interface WorkLabels {
  says: string;
  why: string;
}

const of = (says: string, why: string): WorkLabels => ({ says, why });

const STAGE_DUE = {
  wet: 'Wet the eggs with cool, soft water',
  hatch: 'Look whether they hatch',
  swim: 'Check whether they swim free: they eat from then on',
  born: 'Look for young',
} as const;

/** What stands in the water for the young, in a word or two. */
export const STANDING_WORDS: Record<StandingFood, string> = {
  skin: 'the parents’ skin',
  film: 'film and leaves',
  vegetables: 'soft vegetables',
};

const STANDING_WORK: Record<StandingFood, WorkLabels> = {
  skin: of(
    'They eat from the parents’ skin: leave them together',
    'Feed the parents small and rich, where the fry do not lose them.',
  ),
  film: of(
    'Keep film there all day: a green stone or a soft leaf from a mature tank',
    'Swap it when it is grazed bare. Remove leaves that turn slimy.',
  ),
  vegetables: of(
    'A thin slice of soft vegetable, weighed down',
    'Take it out after a day and put a fresh one in: they graze at night, too.',
  ),
};

/** What must not be given at a stage, and why. */
export function formatNeverFood(never: NeverFood, units: UnitChoice): string {
  switch (never) {
    case 'dryToSkinFeeders':
      return `No dry food before they are ${formatQuantity(units, 'length', SKIN_DRY_CM)}: they starve beside it, and it fouls.`;
    case 'animalsToGrazers':
      return 'No brine shrimp and no other live food: a gut made for plants bloats.';
    case 'richToGrazers':
      return `Powder of plants alone, with no more than ${formatPercent(RICH_PROTEIN)} protein in its dry matter.`;
  }
}

/** Something to do for a brood, as a keeper would say it. */
export function formatBroodWork(because: BroodReason, units: UnitChoice): WorkLabels {
  const length = (cm: number) => formatQuantity(units, 'length', cm);
  const volume = (litres: number) => formatQuantity(units, 'volume', litres);
  switch (because.is) {
    case 'conditioned':
      return of(
        'Put them together, or go back to the usual meals',
        `They were conditioned for ${someDays(because.days)}: their portions are back to normal.`,
      );
    case 'lastMeal':
      return of(
        'Their last meal is tonight',
        'Tomorrow food would distract them and foul the water.',
      );
    case 'liveFood':
      return of(
        because.grazers
          ? 'A little frozen food for them today, beside their vegetables'
          : 'Live food for them today',
        `Every other day; ${someDays(because.days)} more of it.`,
      );
    case 'treated':
      return of(
        `No food while ${because.product ?? 'the treatment'} is in; dyes want the dark`,
        `Treated ${ago(because.days)}. How long and how much its label says, and a veterinarian; light and food come back when it is out.`,
      );
    case 'treatAgain':
      return of(
        `Repeat ${because.product ?? 'the treatment'}, as you asked to be reminded`,
        `Last noted ${ago(because.days)}. Read the label again first; it comes before this reminder, and so does a veterinarian.`,
      );
    case 'parentsFast':
      return of(`The parents: ${because.rule}`, 'Food that they leave fouls the eggs.');
    case 'parentsRecover':
      return of(
        `The parents: ${because.rule}`,
        `${because.fasted ? 'They fasted; ' : 'For '}${someDays(because.days)} more.`,
      );
    case 'parentsOut':
      return of(`The parents: ${because.rule}`, `Their way of life: ${because.breeding}.`);
    case 'whiteEggs':
      return of('Take out eggs that are white; no food', 'Rotting eggs foul the others.');
    case 'guarded':
      return of(
        'Look at the guard from a distance at feeding time',
        'A dim light, no hand in the tank, nothing lifted: a guard that is disturbed may eat the eggs. Leave white eggs for it to remove.',
      );
    case 'kickedOut':
      return of(
        'Put the eggs that were kicked out into a tumbler, or a tub with an air stone beside them',
        'The same water, a gentle roll or stream, no light on them; take out each white one. A guard seldom takes them back: put back, they are kicked out again.',
      );
    case 'stageDue':
      return of(
        STAGE_DUE[because.stage],
        because.lateDays > 0
          ? `${someDays(because.lateDays)} later than they were expected at the latest.`
          : 'It is expected around these days.',
      );
    case 'yolk':
      return of('No food: they live on their yolk', 'Food given now only fouls the water.');
    case 'grown':
      return of(
        'They eat what adults eat: make them a group with a plan of its own',
        `They have been free-swimming for ${someDays(because.days)}; the Round serves them by their plan from then on.`,
      );
    case 'nothingFits':
      return of(
        'Nothing on the shelf fits their mouth',
        `${someDays(because.days)} from swimming free until something does: infusoria, or powder under 100 µm.`,
      );
    case 'standing':
      return formatStanding(because);
    case 'foodMissing':
      return of(
        `${because.name} is not there, and nothing else that fits their mouth`,
        because.powder
          ? 'Get a share of another keeper’s culture, or powder under 100 µm: today.'
          : 'Get a share of another keeper’s culture today; powder is no help to these.',
      );
    case 'meals':
      return formatMeals(because);
    case 'start':
      return formatStart(because);
    case 'change': {
      const builds = `Ammonia builds up within ${hoursOrDays(because.hours)}`;
      if (because.litres === null) {
        return of(
          `${because.tub}: change all of it twice a day, or give them more water`,
          `${builds}; no daily change is enough.`,
        );
      }
      return of(
        `${because.tub}: remove leftovers and change ${volume(because.litres)} after the last meal`,
        `Use aged water at the same temperature, and siphon into a white bucket to spot fry. ${builds}.`,
      );
    }
    case 'uneven':
      return of(
        `${because.tub}: sort them by size`,
        `Their lengths spread by ${formatNumber(because.spread * 100, 0)} %: the large ones eat the food of the small, or the small.`,
      );
    case 'crowded':
      return of(
        `${because.tub}: move them up`,
        `${because.count} of ${length(because.lengthCm)} need ${volume(because.wantsL)}, and have ${volume(because.litres)}.`,
      );
    case 'muchChanged':
      return of(
        `${because.tub}: move them up`,
        'More than half of its water would have to be changed each day.',
      );
    case 'fighting':
      return of(
        `${because.tub}: separate those that fight`,
        `${because.species} of ${length(because.lengthCm)} do not tolerate each other for long.`,
      );
    case 'count':
      return of(
        `${because.tub}: count them, and measure a few`,
        'Portions follow the number and the length.',
      );
    case 'sellable':
      return of(
        because.inDays === 0
          ? `Find takers: they are over ${length(because.cm)}`
          : `Find takers: ${length(because.cm)} ${ahead(because.inDays)}`,
        'Sale and transport by local rules; nothing is released.',
      );
    case 'parentsSafe':
      return of(
        'The parents’ tank can take them back',
        `From ${length(because.cm)} on they no longer fit the parents’ mouths.`,
      );
  }
}

/** The same work in several tubs, in one sentence. */
export function formatBroodWorks(all: readonly BroodReason[], units: UnitChoice): WorkLabels {
  const [first, ...others] = all as [BroodReason, ...BroodReason[]];
  if (others.length === 0) return formatBroodWork(first, units);
  if (first.is === 'change') {
    const changes = all.filter(
      (one): one is Extract<BroodReason, { is: 'change' }> => one.is === 'change',
    );
    const litres = changes.map((one) => formatQuantity(units, 'volume', one.litres ?? 0));
    const same = new Set(litres).size === 1;
    const tubs = changes.map(({ tub }, at) => (same ? tub : `${tub} ${litres[at]!}`)).join(', ');
    return of(
      `Remove leftovers and change water after the last meal: ${tubs}${same ? `; ${litres[0]!} each` : ''}`,
      `Use aged water at the same temperature, and siphon into a white bucket to spot fry. Ammonia builds up within ${hoursOrDays(Math.min(...changes.map(({ hours }) => hours)))}.`,
    );
  }
  const { says, why } = formatBroodWork(
    first.is === 'standing' ? { ...first, tub: null } : first,
    units,
  );
  return of(`${says}, in each of ${all.length} tubs`, why);
}

function formatStanding(because: Extract<BroodReason, { is: 'standing' }>): WorkLabels {
  const { says, why } = STANDING_WORK[because.what];
  const { tub, days } = because;
  return of(
    tub === null ? says : `${tub}: ${says}`,
    days === null ? why : `It has been in for ${someDays(days)}. ${why}`,
  );
}

function formatMeals(because: Extract<BroodReason, { is: 'meals' }>): WorkLabels {
  const { name, units, unit, meals, mealsWanted, animals, live, instead } = because;
  const each = animals === null ? '' : ` (about ${formatAnimals(animals)} each)`;
  const helps = live ? 'live food in the tub' : 'live food beside it, or a feeder';
  const why =
    instead !== null
      ? `In place of ${instead}, which is not there yet.`
      : mealsWanted > meals
        ? `Best in ${mealsWanted} small meals; what helps: ${helps}.`
        : 'As often as is good for them.';
  return of(`${name}: ${formatUnits(units, unit)}, ${times(meals)}${each}`, why);
}

function formatStart(because: Extract<BroodReason, { is: 'start' }>): WorkLabels {
  const { name, inDays, leadDays, rungInDays } = because;
  const ready = `It is ready after ${someDays(leadDays)}`;
  if (inDays >= 0) {
    return of(
      `Start ${name} ${latest(inDays)}`,
      `${ready}, and they need it ${ahead(rungInDays)}.`,
    );
  }
  return of(
    `Start ${name} at once`,
    `${ready}, but they need it ${ahead(rungInDays)}. Ask another keeper for a share of theirs until then.`,
  );
}

/** «9 h», «7 days»: a week is not counted in hours. */
const hoursOrDays = (hours: number): string =>
  hours < 48 ? `${formatNumber(hours, 0)} h` : `${formatNumber(hours / 24, 0)} days`;

/** «Micro worms: ½ knife tip, 3 times a day» */
export function formatBroodMeal(feed: {
  name: string;
  unitsPerMeal: number;
  unit: Parameters<typeof formatUnits>[1];
  meals: number;
}): string {
  const { name, unitsPerMeal, unit, meals } = feed;
  const often = meals === 1 ? 'once' : meals === 2 ? 'twice' : `${meals} times`;
  return `${name}: ${formatUnits(unitsPerMeal, unit)}, ${often} a day`;
}

const STAGES = { wet: 'to wet', hatch: 'hatch', swim: 'swim', born: 'born' } as const;

/** «laid 3 Mar 2026 · hatch about 6 Mar 2026»: a day that was not seen is said to be about that. */
export function formatStageDates(
  spawnedOn: string | null,
  stages: readonly { stage: keyof typeof STAGES; day: string; seen: boolean }[],
): string {
  return [
    ...(spawnedOn === null ? [] : [`laid ${formatDay(spawnedOn)}`]),
    ...stages.map(
      ({ stage, day, seen }) => `${STAGES[stage]} ${seen ? '' : 'about '}${formatDay(day)}`,
    ),
  ].join(' · ');
}
