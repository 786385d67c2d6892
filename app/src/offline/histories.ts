import {
  broodEvent,
  sighting,
  vesselEvent,
  waterEvent,
  type BodyOf,
  type Observation,
} from '@open-larder/contract';
import type { EventRoute, RouteName } from '@open-larder/contract/paths';
import { takesBack, type Act } from './act';

type Row = { id: string } & Record<string, unknown>;

interface History {
  add: EventRoute;
  undo: EventRoute;
  row: { shape: object };
  /** Its column for what it happened to. */
  of: string;
}

/** Lists of what happened to something, newest first, by the routes that add to them and take back. */
const HISTORIES: Partial<Record<RouteName, History>> = {
  listVesselEvents: {
    add: 'addVesselEvent',
    undo: 'undoVesselEvent',
    row: vesselEvent,
    of: 'vesselId',
  },
  listBroodEvents: { add: 'addBroodEvent', undo: 'undoBroodEvent', row: broodEvent, of: 'broodId' },
  listWaterEvents: { add: 'addWaterEvent', undo: 'undoWaterEvent', row: waterEvent, of: 'tankId' },
  listSightings: { add: 'addSighting', undo: 'undoSighting', row: sighting, of: 'tankId' },
};

/** An event as it will be read back: what does not belong to its kind is null. */
export const rowOf = <T>({ shape }: { shape: object }, own: object): T =>
  ({ ...Object.fromEntries(Object.keys(shape).map((key) => [key, null])), ...own }) as T;

/**
 * The first page of a history with an act that waits here: at its head, or without what it takes back.
 * @param subject whose history it is
 */
export function intoHistory(route: RouteName, page: { items: Row[] }, act: Act, subject: string) {
  const undone = new Set(takesBack(act));
  if (route === 'listLooks') {
    if (act.route === 'addLooks') {
      const { looks } = act.body as unknown as { looks: Observation[] };
      page.items.unshift(...looks.filter(({ groupId }) => groupId === subject).map(asRow));
    } else if (act.route === 'undoLooks') page.items = without(page.items, undone);
    return;
  }
  const history = HISTORIES[route];
  if (act.route === history?.undo) page.items = without(page.items, undone);
  if (act.route !== history?.add || act.params!.id !== subject) return;
  const known = page.items.some(({ id }) => id === act.id);
  const own = { ...(act.body as BodyOf<EventRoute>), [history.of]: subject };
  if (!known) page.items.unshift(rowOf<Row>(history.row, own));
}

const asRow = (look: Observation): Row => ({ ...look });
const without = (items: readonly Row[], ids: ReadonlySet<string>): Row[] =>
  items.filter(({ id }) => !ids.has(id));
