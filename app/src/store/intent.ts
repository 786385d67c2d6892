import { v7 as uuidv7 } from 'uuid';
import { nowIso } from './clock';
import { recall, remember } from './memory';

/** What the server knows an act by, and when it was first meant. */
export interface Stamp {
  readonly id: string;
  readonly at: string;
}

interface Kept extends Stamp {
  /** Ids of what is made along with it, by name. */
  also: Record<string, string>;
  /** A form means one thing until it is saved; a tap means another a moment after it was answered. */
  form: boolean;
}

const PLACE = 'intents';
/** Unanswered acts that are kept at most; the oldest are let go. */
const MAX_KEPT = 200;
/** A second tap within this time after an answer is the same tap: what was tapped is still drawn. */
const SAME_TAP_MS = 1500;

/** By what is meant. Those that were sent and not answered are on the device too: a reload may come. */
const stamps = new Map<string, Kept>(recall<[string, Kept][]>(PLACE) ?? []);
const sent = new Set<string>([...stamps.values()].map(({ id }) => id));

const keep = () =>
  remember(PLACE, [...stamps].filter(([, { id }]) => sent.has(id)).slice(-MAX_KEPT));

function stampAt(key: string, form: boolean): Kept {
  const known = stamps.get(key);
  if (known) return known;
  const stamp = { id: uuidv7(), at: nowIso(), also: {}, form };
  stamps.set(key, stamp);
  return stamp;
}

/**
 * The stamp of a tap: the same for the same thing, however often it is tapped, sent or loaded anew,
 * until it is answered.
 * @param meant all that shows it from another: what, of which, on which day, how much
 */
export function stampFor(...meant: readonly unknown[]): Stamp {
  const { id, at } = stampAt(JSON.stringify(meant), false);
  return { id, at };
}

/** What a form makes: asked for as it is sent, and the same until it is saved. */
export interface Intent {
  readonly id: string;
  readonly at: string;
  /** The id of something that is made along with it. */
  also: (name: string) => string;
}

export function formIntent(...place: readonly unknown[]): Intent {
  const stamp = () => stampAt(JSON.stringify(place), true);
  return {
    get id() {
      return stamp().id;
    },
    get at() {
      return stamp().at;
    },
    also: (name) => (stamp().also[name] ??= uuidv7()),
  };
}

const keyOf = (id: string) => [...stamps].find(([, stamp]) => stamp.id === id)?.[0];

/** It leaves the device: its answer may be lost. */
export function intentSent(id: string): void {
  if (sent.has(id) || keyOf(id) === undefined) return;
  sent.add(id);
  keep();
}

/** It was answered: the next such act is another one. */
export function intentAnswered(id: string, done: boolean): void {
  const key = keyOf(id);
  if (sent.delete(id)) keep();
  if (key === undefined) return;
  if (done && !stamps.get(key)!.form) setTimeout(() => stamps.delete(key), SAME_TAP_MS);
  else stamps.delete(key);
}

/** As after a first visit: between two tests. */
export function forgetIntents(): void {
  stamps.clear();
  sent.clear();
}
