import { daysBetween } from '../round';
import { FIGHT_FROM, livesAlone } from './checkpoints';
import type { Dated } from './dates';
import type { Feed } from './feeds';
import { guardIsFree, type BroodState } from './line';
import { youngDietOf } from './programme';
import { safeBesideCm } from './raise';
import { STRATEGIES } from './strategies';
import { CONDITION_DAYS, fastsOnPrinciple, RECOVER_DAYS } from './parents';
import { LADDER_DAYS, type BroodStatus, type BroodTask } from './status';
import { treated } from './treated';
import type { TubStatus } from './tubs';
import type { BroodWorkKind, StandingFood } from './vocabulary';

/** Why something is to be done for a brood, with its figures; days are of 24 hours, lengths cm, water litres. */
export type BroodReason =
  | { is: 'conditioned'; days: number }
  | { is: 'lastMeal' | 'whiteEggs' | 'yolk' | 'guarded' | 'kickedOut' }
  /** Grazers are built up with plants, and only now and then with something richer. */
  | { is: 'liveFood'; days: number; grazers: boolean }
  /** So many days ago. */
  | { is: 'treated' | 'treatAgain'; days: number; product: string | null }
  | { is: 'parentsFast'; rule: string }
  | { is: 'parentsRecover'; rule: string; days: number; fasted: boolean }
  | { is: 'parentsOut'; rule: string; breeding: string }
  | { is: 'stageDue'; stage: Dated['stage']; lateDays: number }
  | { is: 'grown'; days: number }
  | { is: 'nothingFits'; days: number }
  /** Standing food: to be put in, or swapped after so many days; the tub, where there are several. */
  | { is: 'standing'; what: StandingFood; tub: string | null; days: number | null }
  /** Powder may stand in for it. */
  | { is: 'foodMissing'; name: string; powder: boolean }
  | {
      is: 'meals';
      name: string;
      units: number;
      unit: Feed['unit'];
      meals: number;
      mealsWanted: number;
      animals: number | null;
      live: boolean;
      /** What is given otherwise, and is not there yet. */
      instead: string | null;
    }
  /** A culture for the ladder: to be started in so many days, less than none where it is late. */
  | { is: 'start'; name: string; inDays: number; leadDays: number; rungInDays: number }
  /** No share is enough, where it is null. */
  | { is: 'change'; tub: string; litres: number | null; hours: number }
  | { is: 'uneven'; tub: string; spread: number }
  | { is: 'crowded'; tub: string; count: number; lengthCm: number; wantsL: number; litres: number }
  | { is: 'muchChanged'; tub: string }
  | { is: 'fighting'; tub: string; species: string; lengthCm: number }
  | { is: 'count'; tub: string }
  | { is: 'sellable'; cm: number; inDays: number }
  | { is: 'parentsSafe'; cm: number };

/** Something to do for a brood today, with why. */
export interface BroodWork {
  what: BroodWorkKind;
  because: BroodReason;
  /** It cannot wait until tomorrow. */
  urgent: boolean;
  /** The tub that it is about; null is the brood. */
  tubId: string | null;
}

/** They are counted every so many days. Assumption. */
const COUNT_EVERY = 14;
/** A culture that must be started is reported so many days before. */
const START_AHEAD = 3;
/** So many days before someone takes them it is reported. */
const HOME_AHEAD = 7;
/** Water for so many is a rule of thumb: they are moved where it asks for this much more. Assumption. */
const CROWDED_FROM = 1.2;
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
    ...(treated(task, status) ? [] : feedWork(task, status)),
    ...cultureWork(task, status),
    ...status.tubs.flatMap((tub) => tubWork(task, status, tub)),
    ...homeWork(task, status),
  ];
  return work.sort((a, b) => Number(b.urgent) - Number(a.urgent));
}

const plain = (what: BroodWorkKind, because: BroodReason, urgent = false): BroodWork => ({
  what,
  because,
  urgent,
  tubId: null,
});

function conditioningWork(task: BroodTask, { state }: BroodStatus): BroodWork[] {
  if (state.phase !== 'conditioning') return [];
  const span = task.conditionDays ?? CONDITION_DAYS;
  const day = daysBetween(state.conditionedOn!, task.today);
  if (day >= span) {
    return [plain('together', { is: 'conditioned', days: day }, true)];
  }
  const left = span - day;
  const work = [];
  if (left === 1) work.push(plain('lastMeal', { is: 'lastMeal' }));
  const grazers = youngDietOf(task.species) === 'grazers';
  if (day % 2 === 0) work.push(plain('live', { is: 'liveFood', days: left, grazers }));
  return work;
}

/** A repeat that was asked for is reported for so many days. */
const REMINDED_DAYS = 3;

function treatedWork(task: BroodTask, status: BroodStatus): BroodWork[] {
  const { treated: last } = status.state;
  if (last === null) return [];
  const days = daysBetween(last.day, task.today);
  const { product } = last;
  const work: BroodWork[] = [];
  if (treated(task, status)) work.push(plain('treated', { is: 'treated', days, product }, true));
  if (last.everyDays !== null && days >= last.everyDays && days <= last.everyDays + REMINDED_DAYS) {
    work.push(plain('treatAgain', { is: 'treatAgain', days, product }, true));
  }
  return work;
}

function fastWork(
  { strategy, raising, today }: BroodTask,
  { state, swim }: BroodStatus,
): BroodWork[] {
  const guards = strategy.guards !== 'none' && !guardIsFree(state);
  const holding = state.phase === 'eggs' || state.phase === 'larvae';
  if (guards && holding && fastsOnPrinciple(strategy)) {
    return [plain('fast', { is: 'parentsFast', rule: strategy.fasts })];
  }
  const since = swim?.seen ? daysBetween(swim.day, today) : null;
  const after = since !== null && since >= 0 && since < RECOVER_DAYS;
  if (!after || strategy.recovers === null || (raising === 'apart' && strategy.parents === 'pull'))
    return [];
  const days = RECOVER_DAYS - since;
  return [
    plain('recover', {
      is: 'parentsRecover',
      rule: strategy.recovers,
      days,
      fasted: fastsOnPrinciple(strategy),
    }),
  ];
}

/** Eggs that were taken away from them, or from her. */
const TAKEN: ReadonlySet<string> = new Set(['moved', 'stripped', 'stored']);

function parentsWork(
  { strategy, raising, eggCare }: BroodTask,
  { state }: BroodStatus,
): BroodWork[] {
  const spawned = state.spawnedOn !== null || state.swimmingOn !== null;
  if (TAKEN.has(eggCare)) return [];
  if (!spawned || state.parentsMovedOn !== null || raising !== 'apart') return [];
  if (strategy.parents !== 'pull') return [];
  const { parentsRule: rule, breeding } = strategy;
  return [plain('parents', { is: 'parentsOut', rule, breeding }, true)];
}

/** Eggs that only the keeper tends. */
const TENDED: ReadonlySet<string> = new Set(['moved', 'stripped']);

/** Eggs that a parent sits with in the open: those in a mouth are not looked at. */
const isGuarded = ({ strategy }: BroodTask, state: BroodState): boolean =>
  strategy.guards !== 'none' && !guardIsFree(state) && !STRATEGIES[strategy.breeding].hatchesUnseen;

function stageWork(task: BroodTask, { state, next, swim }: BroodStatus): BroodWork[] {
  const work: BroodWork[] = [];
  const { today } = task;
  if (state.phase === 'eggs' && state.kickedOut?.day === today) {
    work.push(plain('tumble', { is: 'kickedOut' }, true));
  }
  const tended = TENDED.has(task.eggCare) || guardIsFree(state);
  if (state.phase === 'eggs' && tended) {
    work.push(plain('eggs', { is: 'whiteEggs' }));
  }
  if (state.phase === 'eggs' && !tended && isGuarded(task, state)) {
    work.push(plain('inspect', { is: 'guarded' }));
  }
  if (next && next.from <= today) {
    const { stage, to } = next;
    const lateDays = Math.max(0, daysBetween(to, today));
    const what = stage === 'wet' ? 'wet' : 'expect';
    work.push(plain(what, { is: 'stageDue', stage, lateDays }, lateDays > 0));
  }
  if (state.phase === 'larvae' && (swim === null || swim.day > today)) {
    work.push(plain('yolk', { is: 'yolk' }));
  }
  return work;
}

function feedWork(
  { today }: BroodTask,
  { state, feeds, standing, never, tubs, gapDays, swim, ageDays }: BroodStatus,
): BroodWork[] {
  if (state.phase !== 'fry') return [];
  if (ageDays !== null && ageDays >= LADDER_DAYS) {
    return [plain('group', { is: 'grown', days: ageDays })];
  }
  const work: BroodWork[] = [];
  const inWater = standing.filter(({ from, to }) => from <= today && (to === null || to > today));
  for (const { what } of inWater) work.push(...standingWork(what, tubs, today));
  if (feeds.length === 0 && inWater.length === 0) {
    work.push(plain('firstFood', { is: 'nothingFits', days: gapDays }, swim?.seen === true));
  }
  for (const feed of feeds) {
    const { name, unit, meals, mealsWanted, live, instead } = feed;
    if (feed.missing) {
      work.push(
        plain(
          'firstFood',
          { is: 'foodMissing', name, powder: !never.includes('dryToSkinFeeders') },
          true,
        ),
      );
      continue;
    }
    const first = state.firstFoodOn === null;
    const [units, animals] = [feed.unitsPerMeal, feed.animalsPerMeal];
    const because: BroodReason = {
      is: 'meals',
      name,
      units,
      unit,
      meals,
      mealsWanted,
      animals,
      live,
      instead,
    };
    work.push(plain(first ? 'firstFood' : 'feed', because, first));
  }
  return work;
}

/** So many days after it was put in it is swapped. Practice: vegetables foul, film is grazed bare. */
const SWAPPED_AFTER: Record<StandingFood, number> = { skin: Infinity, film: 7, vegetables: 1 };

/** Standing food of each tub that is not in yet, or has been in for long enough. */
function standingWork(what: StandingFood, tubs: readonly TubStatus[], today: string): BroodWork[] {
  if (what === 'skin') return [plain('standing', { is: 'standing', what, tub: null, days: null })];
  const inhabited = tubs.filter(({ share }) => share > 0);
  return inhabited.flatMap(({ id: tubId, name, standing }): BroodWork[] => {
    const since = standing.find((one) => one.what === what)?.since;
    const days = since === undefined ? null : daysBetween(since, today);
    if (days !== null && days < SWAPPED_AFTER[what]) return [];
    const tub = inhabited.length > 1 ? name : null;
    const because: BroodReason = { is: 'standing', what, tub, days };
    return [{ what: 'standing', because, urgent: false, tubId }];
  });
}

function cultureWork({ today }: BroodTask, { rungs }: BroodStatus): BroodWork[] {
  return rungs.flatMap(({ name, startBy, from, leadDays }) => {
    if (startBy === null || daysBetween(today, startBy) > START_AHEAD || from < today) return [];
    const inDays = daysBetween(today, startBy);
    const rungInDays = daysBetween(today, from);
    return [plain('start', { is: 'start', name, inDays, leadDays, rungInDays }, inDays <= 0)];
  });
}

function tubWork(task: BroodTask, status: BroodStatus, tub: TubStatus): BroodWork[] {
  const { species, today } = task;
  const work: BroodWork[] = [];
  const { name, litres, count, lengthCm, wantsL } = tub;
  const report = (what: BroodWorkKind, because: BroodReason, urgent = false) =>
    work.push({ what, because, urgent, tubId: tub.id });
  const eats = tub.gramsPerDay > 0;
  if (eats && tub.change !== 0 && tub.changedOn !== today) {
    const part = tub.change === null ? null : tub.change * litres;
    const because: BroodReason = { is: 'change', tub: name, litres: part, hours: tub.hours ?? 0 };
    report('change', because, part === null);
  }
  if (tub.sort) report('sort', { is: 'uneven', tub: name, spread: tub.spread ?? 0 });
  if (eats && count !== null && wantsL !== null && wantsL > CROWDED_FROM * litres) {
    report('moveUp', { is: 'crowded', tub: name, count, lengthCm: lengthCm ?? 0, wantsL, litres });
  } else if (eats && tub.change !== null && tub.change > CHANGE_MOST) {
    report('moveUp', { is: 'muchChanged', tub: name });
  }
  const alone = livesAlone(species) && (count ?? 0) > 1;
  if (alone && lengthCm !== null && lengthCm >= FIGHT_FROM * species.adultLengthCm) {
    report('apart', { is: 'fighting', tub: name, species: species.common, lengthCm });
  }
  const first = tub.id === (status.state.homeTubId ?? status.tubs[0]?.id);
  const since = lastCount(task, tub, first);
  if (status.state.phase === 'fry' && tub.share > 0 && since > COUNT_EVERY) {
    report('count', { is: 'count', tub: name });
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
  // No one asks for young that were not seen to swim, however long ago they should have.
  if (state.phase !== 'fry') return work;
  if (target !== null && lengthCm !== null && daysBetween(today, target) <= HOME_AHEAD) {
    const inDays = Math.max(0, daysBetween(today, target));
    work.push(plain('home', { is: 'sellable', cm: targetCm, inDays }));
  }
  const safe = safeBesideCm(species.adultLengthCm, species.gapeShare);
  if (
    lengthCm !== null &&
    lengthCm >= safe &&
    state.parentsMovedOn !== null &&
    lengthCm < safe * 1.1
  ) {
    work.push(plain('beside', { is: 'parentsSafe', cm: safe }));
  }
  return work;
}
