import type { BodyOf, Problem } from '@open-larder/contract';
import type { EventRoute } from '@open-larder/contract/paths';

/** Something that a person did, kept on this device until the server has it. */
export interface Act {
  /** The order on this device. */
  readonly seq: number;
  /** The id of what it writes: sent twice it is written once. */
  readonly id: string;
  readonly route: EventRoute;
  readonly params: { id: string } | undefined;
  readonly body: BodyOf<EventRoute>;
  /** Whose it is, and in which household: sent only while they are signed in. */
  readonly whose: string;
  /** When it was done, in ms by this device’s clock, and how far that was taken to be behind then. */
  readonly deviceMs: number;
  readonly aheadMs: number;
  /** Whether the server had said what time it is to the page on which it was done. */
  readonly clockKnown: boolean;
  /** The page on which it was done, and how far the device's clock was from the page's own then, in ms. */
  readonly page: string;
  readonly driftMs: number;
  /** It has left the device at least once: the server may have it. */
  readonly sent: boolean;
  /** The screen went on without an answer: what becomes of it is said in the list. */
  readonly released: boolean;
  /** How often the server failed at it. */
  readonly failures: number;
  /** Why the server does not take it; null while it waits to be sent. */
  readonly problem: Problem | null;
}

export type NewAct = Omit<Act, 'seq'>;

type Written = Pick<Act, 'route' | 'params' | 'body'>;

/** All that an act writes, by id: a look at a tank is one for each of its groups. */
export const writes = ({ route, body }: Written): string[] =>
  route === 'addLooks' ? (body as BodyOf<'addLooks'>).looks.map(({ id }) => id) : [body.id];

/** What an act takes back, by id; nothing where it is no undo. */
export function takesBack({ route, params, body }: Written): string[] {
  if (!route.startsWith('undo')) return [];
  return route === 'undoLooks'
    ? (body as BodyOf<'undoLooks'>).looks.map(({ lookId }) => lookId)
    : [params!.id];
}

/** Whether the second takes back the whole of the first. */
export const cancels = (act: Written, undo: Written): boolean => {
  const taken = new Set(takesBack(undo));
  return taken.size > 0 && writes(act).every((id) => taken.has(id));
};

/** Whether the server holds nothing of it: it never left, or was refused. */
export const isOnlyHere = ({ sent, problem }: Act): boolean => !sent || problem !== null;
