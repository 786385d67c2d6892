import { formatUnits } from '../food';
import { daysBetween } from '../round';
import { formatNumber, formatQuantity, METRIC, type Measure } from '../units';
import { formatAnimals } from './portion';
import { safeBesideCm } from './raise';
import { LADDER_DAYS, type BroodStatus, type BroodTask } from './status';
import type { TubStatus } from './tubs';
import type { BroodWorkKind } from './vocabulary';

/** Something to do for a brood today, with why. */
export interface BroodWork {
  what: BroodWorkKind;
  /** What is to be done, as a keeper would say it. */
  says: string;
  why: string;
  /** It cannot wait until tomorrow. */
  urgent: boolean;
  /** The tub that it is about; null is the brood. */
  tubId: string | null;
}

/** They are counted every so many days. Assumption. */
const COUNT_EVERY = 14;
/** From this share of an adult’s length on kinds that live alone fight. Assumption. */
const FIGHT_FROM = 0.4;
/** Kinds that are usually kept in so few do not stand each other. Assumption. */
const ALONE = 2;
/** A culture that must be started is reported so many days before. */
const START_AHEAD = 3;
/** So many days before someone takes them it is reported. */
const HOME_AHEAD = 7;
/** A change of more than this a day is as much work as a larger tub. Assumption. */
const CHANGE_MOST = 0.5;

/** What is to be done for a brood today, the pressing first. */
export function broodWork(task: BroodTask, status: BroodStatus): BroodWork[] {
  if (status.state.phase === 'over') return [];
  const work = [
    ...conditioningWork(task, status),
    ...treatedWork(task, status),
    ...parentsWork(task, status),
    ...fastWork(task, status),
    ...stageWork(task, status),
    ...(treated(task, status) ? [] : feedWork(status)),
    ...cultureWork(task, status),
    ...status.tubs.flatMap((tub) => tubWork(task, status, tub)),
    ...homeWork(task, status),
  ];
  return work.sort((a, b) => Number(b.urgent) - Number(a.urgent));
}

const plain = (what: BroodWorkKind, says: string, why: string, urgent = false): BroodWork => ({
  what,
  says,
  why,
  urgent,
  tubId: null,
});

/** A pair is conditioned for so long if not said. Starting value: one to several weeks. */
const CONDITION_DAYS = 14;

function conditioningWork(task: BroodTask, { state }: BroodStatus): BroodWork[] {
  if (state.phase !== 'conditioning') return [];
  const span = task.conditionDays ?? CONDITION_DAYS;
  const day = daysBetween(state.conditionedOn!, task.today);
  if (day >= span) {
    return [
      plain(
        'together',
        'Put them together, or go back to the usual meals',
        `They were conditioned for ${day} days; heavy feeding without an end fouls the water.`,
        true,
      ),
    ];
  }
  const left = span - day;
  const work = [];
  if (left === 1) {
    work.push(
      plain('lastMeal', 'Their last meal is tonight', 'Tomorrow food distracts them, and fouls.'),
    );
  }
  if (day % 2 === 0) {
    work.push(
      plain(
        'live',
        'Live food for the pair today',
        `Every other day; ${formatDays(left)} more of it.`,
      ),
    );
  }
  return work;
}

/** For so many days a treatment holds food back. Assumption: the label says how long. */
const TREATED_DAYS = 1;

const treated = ({ today }: BroodTask, { state }: BroodStatus): boolean =>
  state.treatedOn !== null && daysBetween(state.treatedOn, today) <= TREATED_DAYS;

function treatedWork(task: BroodTask, status: BroodStatus): BroodWork[] {
  if (!treated(task, status)) return [];
  return [
    plain(
      'treated',
      'No food while the treatment is in; dyes want the dark',
      `Treated ${status.state.treatedOn === task.today ? 'today' : 'yesterday'}. How long and how much its label says, and a veterinarian; light and food come back when it is out.`,
      true,
    ),
  ];
}

/** Guarding or holding parents fast, and are built up again afterwards, for so many days. Assumption. */
const RECOVER_DAYS = 10;

function fastWork({ way, raising, today }: BroodTask, { state, swim }: BroodStatus): BroodWork[] {
  const guards = way.guards !== 'none' && state.parentsMovedOn === null;
  const holding = state.phase === 'eggs' || state.phase === 'larvae';
  if (guards && holding && !way.fasts.startsWith('none')) {
    return [plain('fast', `The parents: ${way.fasts}`, 'Food that they leave fouls the eggs.')];
  }
  const since = swim?.seen ? daysBetween(swim.day, today) : null;
  const after = since !== null && since >= 0 && since < RECOVER_DAYS;
  if (!after || way.recovers === null || (raising === 'apart' && way.parents === 'pull')) return [];
  return [
    plain(
      'recover',
      `The parents: ${way.recovers}`,
      `They fasted; ${formatDays(RECOVER_DAYS - since)} more.`,
    ),
  ];
}

function parentsWork({ way, raising }: BroodTask, { state }: BroodStatus): BroodWork[] {
  const spawned = state.spawnedOn !== null || state.swimmingOn !== null;
  if (!spawned || state.parentsMovedOn !== null || raising !== 'apart') return [];
  if (way.parents !== 'pull') return [];
  return [
    plain(
      'parents',
      `The parents: ${way.parentsRule}`,
      `Their way of life: ${way.breeding}.`,
      true,
    ),
  ];
}

/** Eggs that nobody fans but the keeper. */
const TENDED: ReadonlySet<string> = new Set(['moved', 'stripped']);

function stageWork(task: BroodTask, { state, next, swim }: BroodStatus): BroodWork[] {
  const work: BroodWork[] = [];
  const { today } = task;
  if (state.phase === 'eggs' && TENDED.has(task.eggCare)) {
    work.push(
      plain('eggs', 'Take out eggs that are white; no food', 'What rots fouls the others.'),
    );
  }
  if (next && next.from <= today) {
    const late = daysBetween(next.to, today);
    work.push(
      plain(
        next.stage === 'wet' ? 'wet' : 'expect',
        EXPECTS[next.stage],
        late > 0
          ? `${late} ${late === 1 ? 'day' : 'days'} later than they were expected at the latest.`
          : 'They are within the days on which it is expected.',
        late > 0,
      ),
    );
  }
  if (state.phase === 'larvae' && (swim === null || swim.day > today)) {
    work.push(plain('yolk', 'No food: they live on their yolk', 'What is given now only fouls.'));
  }
  return work;
}

const EXPECTS = {
  wet: 'Wet the eggs with cool, soft water',
  hatch: 'Look whether they hatch',
  swim: 'Look whether they swim free: they eat from that hour',
  born: 'Look for young',
} as const;

function feedWork({ state, feeds, firstFood, gapDays, swim, ageDays }: BroodStatus): BroodWork[] {
  if (state.phase !== 'fry') return [];
  if (ageDays !== null && ageDays >= LADDER_DAYS) {
    return [
      plain(
        'home',
        'They are past the ladder: make them a group with a plan, and end the line',
        `They have swum for ${ageDays} days, and eat as the others of their kind.`,
      ),
    ];
  }
  const work: BroodWork[] = [];
  if (feeds.length === 0) {
    work.push(
      plain(
        'firstFood',
        firstFood === 'film'
          ? 'They graze the film of a grown tank'
          : 'Nothing on the shelf fits their mouth',
        `${gapDays} days from swimming free until something does: infusoria, or powder under 100 µm.`,
        firstFood !== 'film' && swim?.seen === true,
      ),
    );
  }
  for (const feed of feeds) {
    const { name, meals, mealsWanted, unitsPerMeal, unit, animalsPerMeal, instead } = feed;
    if (feed.missing) {
      work.push(
        plain(
          'firstFood',
          `${name} is not there, and nothing else that fits their mouth`,
          'Get a share of another keeper’s culture, or powder under 100 µm: today.',
          true,
        ),
      );
      continue;
    }
    const short = mealsWanted > meals;
    work.push(
      plain(
        state.firstFoodOn === null ? 'firstFood' : 'feed',
        `${name}: ${formatUnits(unitsPerMeal, unit)}, ${times(meals)}${animalsPerMeal === null ? '' : ` (about ${formatAnimals(animalsPerMeal)} each)`}`,
        instead !== null
          ? `In place of ${instead}, which is not there yet.`
          : short
            ? `Best in ${mealsWanted} small meals; what helps: ${feed.live ? 'live food in the tub' : 'live food beside it, or a feeder'}.`
            : 'As often as is good for them.',
        state.firstFoodOn === null,
      ),
    );
  }
  return work;
}

const times = (meals: number) => (meals === 1 ? 'once' : `${meals} times`);

function cultureWork({ today }: BroodTask, { rungs }: BroodStatus): BroodWork[] {
  return rungs.flatMap(({ name, startBy, from, leadDays }) => {
    if (startBy === null || daysBetween(today, startBy) > START_AHEAD || from < today) return [];
    const late = daysBetween(startBy, today);
    return [
      plain(
        'start',
        late > 0 ? `Start ${name} at once` : `Start ${name} ${latest(-late)}`,
        late > 0
          ? `It gives after ${formatDays(leadDays)}, ${formatDays(late)} late for its rung ${ahead(today, from)}. A share of another keeper’s culture makes up for it.`
          : `It gives after ${formatDays(leadDays)}, and its rung begins ${ahead(today, from)}.`,
        late >= 0,
      ),
    ];
  });
}

const formatDays = (days: number) => (days === 1 ? 'a day' : `${days} days`);

/** «today», «tomorrow», «in 12 days» */
function ahead(today: string, day: string): string {
  const days = daysBetween(today, day);
  return days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`;
}

/** «today», «by tomorrow», «within 3 days» */
const latest = (days: number) =>
  days === 0 ? 'today' : days === 1 ? 'by tomorrow' : `within ${days} days`;

function tubWork(task: BroodTask, status: BroodStatus, tub: TubStatus): BroodWork[] {
  const { species, today } = task;
  const work: BroodWork[] = [];
  const report = (what: BroodWorkKind, says: string, why: string, urgent = false) =>
    work.push({ what, says, why, urgent, tubId: tub.id });
  const eats = tub.gramsPerDay > 0;
  if (eats && tub.change !== 0 && tub.changedOn !== today) {
    if (tub.change === null) {
      report(
        'change',
        `${tub.name}: change all of it twice a day, or give them more water`,
        `Ammonia builds up within ${hoursOrDays(tub.hours ?? 0)}; no daily change is enough.`,
        true,
      );
    } else {
      report(
        'change',
        `${tub.name}: remove leftovers and change ${said(task, 'volume', tub.change * tub.litres)} after the last meal`,
        `Use aged water at the same temperature, and siphon into a white bucket to spot fry. Ammonia builds up within ${hoursOrDays(tub.hours ?? 0)}.`,
      );
    }
  }
  const { count, lengthCm, wantsL } = tub;
  if (tub.sort) {
    report(
      'sort',
      `${tub.name}: sort them by size`,
      `Their lengths spread by ${formatNumber((tub.spread ?? 0) * 100, 0)} %: the large ones eat the food of the small, or the small.`,
    );
  }
  const crowded = wantsL !== null && wantsL > tub.litres;
  if (eats && (crowded || (tub.change !== null && tub.change > CHANGE_MOST))) {
    report(
      'moveUp',
      `${tub.name}: move them up`,
      crowded
        ? `${count} of ${said(task, 'length', lengthCm ?? 0)} need ${said(task, 'volume', wantsL)}, and have ${said(task, 'volume', tub.litres)}.`
        : 'More than half of its water would have to be changed each day.',
    );
  }
  const alone = species.usualGroup <= ALONE && (count ?? 0) > 1;
  if (alone && lengthCm !== null && lengthCm >= FIGHT_FROM * species.adultLengthCm) {
    report(
      'apart',
      `${tub.name}: part those that fight`,
      `${species.common} of ${said(task, 'length', lengthCm)} do not tolerate each other for long.`,
    );
  }
  const first = tub.id === status.tubs[0]?.id;
  const since = lastCount(task, tub, first);
  if (status.state.phase === 'fry' && (tub.count !== null || first) && since > COUNT_EVERY) {
    report(
      'count',
      `${tub.name}: count them, and measure a few`,
      'Portions follow the number and the length.',
    );
  }
  return work;
}

/** Days since a tub was counted, or came to be. */
function lastCount({ events, today, tubs }: BroodTask, tub: TubStatus, first: boolean): number {
  const report = events
    .filter(({ kind, day }) => (kind === 'counted' || kind === 'eggsSeen') && day <= today)
    .filter(({ tubId }) => (tubId ?? tubs[0]?.id) === tub.id)
    .map(({ day }) => day)
    .sort();
  const last = report.at(-1);
  return last === undefined ? (first ? Infinity : 0) : daysBetween(last, today);
}

function homeWork(task: BroodTask, status: BroodStatus): BroodWork[] {
  const { today, species } = task;
  const work: BroodWork[] = [];
  const { target, targetCm, lengthCm, state } = status;
  // Whom nobody saw swim nobody asks for, however long ago they should have.
  if (state.phase !== 'fry') return work;
  if (target !== null && lengthCm !== null && daysBetween(today, target) <= HOME_AHEAD) {
    work.push(
      plain(
        'home',
        target <= today
          ? `Ask who takes them: they are ${said(task, 'length', targetCm)}`
          : `Ask who takes them: ${said(task, 'length', targetCm)} ${ahead(today, target)}`,
        'Sale and transport by local rules; nothing is released.',
      ),
    );
  }
  const safe = safeBesideCm(species.adultLengthCm, species.gapeShare);
  if (
    lengthCm !== null &&
    lengthCm >= safe &&
    state.parentsMovedOn !== null &&
    lengthCm < safe * 1.1
  ) {
    work.push(
      plain(
        'home',
        'The parents’ tank can take them back',
        `From ${said(task, 'length', safe)} on they no longer fit the parents’ mouths.`,
      ),
    );
  }
  return work;
}

/** A figure in the keeper's units. */
const said = ({ units = METRIC }: BroodTask, measure: Measure, base: number): string =>
  formatQuantity(units, measure, base);

/** «9 h», «7 days»: a week is not counted in hours. */
const hoursOrDays = (hours: number): string =>
  hours < 48 ? `${formatNumber(hours, 0)} h` : `${formatNumber(hours / 24, 0)} days`;
