import { eatsNothing, hasLarvalGut, massFromLength, mayNotFast } from '../fish';
import { FAST_BY_BELLY, FAST_BY_GUILD, FAST_BY_STAGE } from './fastRules';
import { assumed, computed, worded, type Known } from '../why';
import { lengthOf, Q10, warmthFactor, type GroupOnDay } from './need';

const EVACUATION_SOURCE =
  'Elliott 1972, Freshwater Biol. 2:1, exponential evacuation; rates are starting values';

/** Gut evacuation rate at 25 °C per hour. Starting values after Elliott 1972. */
const EVACUATION_PER_H = { stomach: 0.2, stomachless: 0.35, larva: 0.8 };
/**
 * Largest meal, dry matter as a share of body mass. Starting values: danios and other stomachless fish
 * take about 2 % of dry food at a time (practice); an assumption.
 */
const LARGEST_MEAL = { stomach: 0.03, stomachless: 0.02, larva: 0.06 };
/** Appetite returns when this share of a full gut is left. */
const APPETITE_FILL = 0.25;
/** Days that a 1 g fish at 25 °C stands without food; scaled with mass^0.2. An assumption. */
const FAST_DAYS_AT_1G = 7;
/** Hours that fry at 25 °C stand without food before they weaken. An assumption. */
const FRY_HOURS = 12;

type Gut = keyof typeof EVACUATION_PER_H;

/** Fry feed like larvae; after that the catalogue says whether there is a stomach. */
function gutOf(group: GroupOnDay): Gut {
  if (hasLarvalGut(group.stage)) return 'larva';
  return group.species.stomach ? 'stomach' : 'stomachless';
}

const formatGut: Record<Gut, string> = {
  stomach: 'with a stomach',
  stomachless: 'no stomach',
  larva: 'larval gut',
};

/**
 * How fast a gut empties.
 * @returns share of what is in it, per hour
 * Source: Elliott 1972: S(t) = S0·e^(-R·t).
 */
export function evacuationPerHour(group: GroupOnDay): Known {
  const gut = gutOf(group);
  const warmth = warmthFactor(group.species, group.tempC);
  return computed(EVACUATION_PER_H[gut] * warmth.value, {
    label: 'Evacuation rate',
    unit: '1/h',
    how: 'rate at 25 °C × warmth factor',
    source: EVACUATION_SOURCE,
    from: [
      worded('Gut', formatGut[gut], 'assumed', EVACUATION_SOURCE),
      assumed('Evacuation rate at 25 °C', EVACUATION_PER_H[gut], '1/h', EVACUATION_SOURCE),
      warmth,
    ],
  });
}

/**
 * Hours from a full meal until appetite is back.
 * @returns hours
 * Source: Elliott 1972; appetite near a quarter of a full gut.
 */
export function hoursUntilHungry(group: GroupOnDay): Known {
  const rate = evacuationPerHour(group);
  return computed(Math.log(1 / APPETITE_FILL) / rate.value, {
    label: 'Hours until hungry again after a full meal',
    unit: 'h',
    how: 'ln(1 ÷ fill at which appetite returns) ÷ evacuation rate',
    source: EVACUATION_SOURCE,
    from: [
      rate,
      assumed('Fill at which appetite returns', APPETITE_FILL, 'of full', EVACUATION_SOURCE),
    ],
  });
}

/**
 * The largest meal the whole group can take at once.
 * @returns grams of dry matter
 */
export function largestMeal(group: GroupOnDay): Known {
  const gut = gutOf(group);
  const { massG } = massFromLength(group.species, lengthOf(group));
  return computed(massG.value * group.count * LARGEST_MEAL[gut], {
    label: 'Largest meal of the group, dry matter',
    unit: 'g',
    how: 'mass of one fish × number × largest meal as a share of body mass',
    source: 'Starting values by gut; an assumption',
    from: [
      massG,
      assumed('Number of fish', group.count, '', 'the events of the group'),
      assumed(
        `Largest meal, ${formatGut[gut]}`,
        LARGEST_MEAL[gut] * 100,
        '% of body mass, dry',
        'Starting value; an assumption',
      ),
    ],
  });
}

/**
 * Meals a day: as many as the day's dry matter needs, no more than appetite allows
 * in the hours in which the group feeds.
 * @param dryMatterG  dry matter that carries the daily need, grams
 * @param feedingHours hours of the day in which the group feeds, 0 to 24
 */
export function mealsPerDay(group: GroupOnDay, dryMatterG: number, feedingHours: number): Known {
  const meal = largestMeal(group);
  const gap = hoursUntilHungry(group);
  const wanted = meal.value > 0 ? Math.ceil(dryMatterG / meal.value - 1e-9) : 0;
  const possible = Math.floor(feedingHours / gap.value) + 1;
  return computed(Math.max(dryMatterG > 0 ? 1 : 0, Math.min(wanted, possible)), {
    label: 'Meals a day, at the least',
    unit: 'meals',
    how: 'dry matter of the day ÷ largest meal, rounded up, no more than appetite allows',
    source: EVACUATION_SOURCE,
    from: [
      computed(dryMatterG, {
        label: 'Dry matter that carries the daily need',
        unit: 'g',
        how: 'daily need ÷ energy of the foods × (1 − moisture)',
        from: [],
      }),
      meal,
      gap,
    ],
  });
}

/**
 * The longest time without food that a healthy group tolerates.
 * @returns hours; 0 for fish that live on the yolk or on their reserves (they are not fed)
 * Fry: hours, never past a day. Others: 7·W^0.2 days at 25 °C, longer in the cool, times what guild,
 * stage and bellies allow.
 */
export function longestSafeGap(group: GroupOnDay): Known {
  const warmth = warmthFactor(group.species, group.tempC);
  const label = 'Longest safe gap without food';
  if (eatsNothing(group.stage)) {
    return computed(0, {
      label,
      unit: 'h',
      how: 'this stage is not fed',
      from: [worded('Stage', group.stage, 'measured')],
    });
  }
  if (mayNotFast(group.stage)) {
    return computed(Math.min(24, FRY_HOURS / warmth.value), {
      label,
      unit: 'h',
      how: '12 h ÷ warmth factor, never past a day',
      source: 'Starting value; an assumption',
      from: [worded('Stage', group.stage, 'measured'), warmth],
    });
  }
  const { massG } = massFromLength(group.species, lengthOf(group));
  const { guild } = group.species;
  const parts = [
    assumed(`Share of a ${guild}`, FAST_BY_GUILD[guild], '×', 'Practice'),
    assumed(`Share of the stage ${group.stage}`, FAST_BY_STAGE[group.stage], '×', 'Practice'),
    assumed('Share of these bellies', group.belly ? FAST_BY_BELLY[group.belly] : 1, '×', 'Assumed'),
  ].filter(({ value }) => value !== 1);
  const share = parts.reduce((product, { value }) => product * value, 1);
  return computed((24 * FAST_DAYS_AT_1G * massG.value ** 0.2 * share) / warmth.value, {
    label,
    unit: 'h',
    how: `7 days × (mass in g)^0.2 ÷ warmth factor${parts.length > 0 ? ' × shares' : ''}`,
    source: `Starting value with Q10 ${Q10}; an assumption`,
    from: [massG, warmth, ...parts],
  });
}
