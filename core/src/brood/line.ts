/** What happened to a brood on a day, as a line of events. */
export type BroodEvent = { day: string } & (
  | { kind: 'paired' | 'spawned' | 'parentsMoved' | 'attached' | 'firstFood' | 'moved' | 'sorted' }
  | { kind: 'hatched' | 'swimming' | 'eggsEaten' | 'swallowed' | 'ended' }
  | { kind: 'eggsSeen' | 'counted'; count: number }
  /** So many died, were eaten, or went to somebody. */
  | { kind: 'lost' | 'rehomed'; count: number }
  /** Another clutch came into the same tub. */
  | { kind: 'joined'; count: number }
);

/** How a brood stands on a day. */
export interface BroodState {
  phase: 'paired' | 'eggs' | 'larvae' | 'fry' | 'over';
  /** Days of what was seen: null where it was not yet. */
  spawnedOn: string | null;
  hatchedOn: string | null;
  swimmingOn: string | null;
  firstFoodOn: string | null;
  /** The latest that are known, less those that left since; null where nobody counted. */
  count: number | null;
  /** A later count was higher than what should be left: the one before missed some. */
  recounted: boolean;
  /** More than one clutch of different ages is in it. */
  mixed: boolean;
}

const ENDS: ReadonlySet<BroodEvent['kind']> = new Set(['eggsEaten', 'swallowed', 'ended']);

/**
 * How a brood stands on a day, from the events up to then, in any order. The latest count is believed:
 * fry that were counted at 40 and then at 55 are 55, and the first count missed some.
 */
export function broodOn(events: readonly BroodEvent[], day: string): BroodState {
  const past = events
    .filter((event) => event.day <= day)
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
  const first = (kind: BroodEvent['kind']) =>
    past.find((event) => event.kind === kind)?.day ?? null;
  const state: BroodState = {
    phase: 'paired',
    spawnedOn: first('spawned') ?? first('eggsSeen'),
    hatchedOn: first('hatched'),
    swimmingOn: first('swimming'),
    firstFoodOn: first('firstFood'),
    count: null,
    recounted: false,
    mixed: past.some(({ kind }) => kind === 'joined'),
  };
  for (const event of past) {
    switch (event.kind) {
      case 'eggsSeen':
      case 'counted':
        if (event.kind === 'counted' && state.count !== null && event.count > state.count) {
          state.recounted = true;
        }
        state.count = event.count;
        break;
      case 'lost':
      case 'rehomed':
        if (state.count !== null) state.count = Math.max(0, state.count - event.count);
        break;
      case 'joined':
        state.count = (state.count ?? 0) + event.count;
    }
  }
  state.phase = phaseOf(past, state);
  if (state.phase === 'over')
    state.count = past.some(({ kind }) => kind === 'ended') ? state.count : 0;
  return state;
}

function phaseOf(past: readonly BroodEvent[], state: BroodState): BroodState['phase'] {
  if (past.some(({ kind }) => ENDS.has(kind)) || (state.count === 0 && past.length > 0))
    return 'over';
  if (state.swimmingOn ?? state.firstFoodOn) return 'fry';
  if (state.hatchedOn) return 'larvae';
  return state.spawnedOn ? 'eggs' : 'paired';
}
