import { LOGS, routes, tableName, type RouteName } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import type { TestServer } from './testServer';

export interface Read {
  name: RouteName;
  path: string;
  status: number;
  body: Record<string, unknown>;
}

type Ask = ReturnType<TestServer['as']>;
type Row = { id: string; archived?: boolean };

/** At most so many of a kind are read one by one: a test stores hundreds. */
const EACH = 12;

/** Ask every address that only reads, about everything that there is, as on a day. */
export async function readEverything(ask: Ask, day: string): Promise<Read[]> {
  const reads: Read[] = [];
  const read = async (name: RouteName, path: string): Promise<Record<string, unknown>> => {
    const { status, body } = (await ask.get(path)) as Omit<Read, 'name' | 'path'>;
    reads.push({ name, path, status, body });
    return body;
  };
  const ids = async (name: RouteName): Promise<string[]> => {
    const body = await read(name, `${routes[name].path}?limit=1000`);
    return ((body.items ?? []) as Row[]).slice(-EACH).map(({ id }) => id);
  };
  const tanks = await ids('listTanks');
  const groups = await ids('listGroups');
  const foods = (await read('listFoods', '/api/foods?limit=1000')) as {
    items?: { lots: Row[] }[];
  };
  const lots = (foods.items ?? []).flatMap((food) => food.lots.map(({ id }) => id)).slice(-EACH);
  const vessels = await ids('listVessels');
  const broods = await ids('listBroods');
  const span = `?from=${addDays(day, -55)}&to=${day}`;
  const OF_EACH: Partial<Record<RouteName, readonly string[]>> = {
    printWeek: tanks,
    listWaterEvents: tanks,
    listSightings: tanks,
    getLearned: tanks,
    printTankSummary: tanks,
    listGroupEvents: groups,
    listLooks: groups,
    printGroupSummary: groups,
    getAcceptance: groups,
    printLabels: lots,
    listVesselEvents: vessels,
    listBroodEvents: broods,
    printBroodCard: broods,
    exportTable: tableName.options,
    exportLog: LOGS,
  };
  const QUERY: Partial<Record<RouteName, string>> = {
    getAccount: span,
    exportAccount: `${span}&part=groups`,
    getServed: span,
    exportServed: span,
    getConsumption: span,
    getAcceptance: span,
  };
  /** Read above, or of one thing that another answer names. */
  const APART = new Set<RouteName>([
    'listTanks',
    'listGroups',
    'listFoods',
    'listVessels',
    'listBroods',
    'getRoundWhy',
    'getPhoto',
    'listDevices',
    'listPasskeys',
    'exportMe',
    'printQrLabels',
  ]);
  for (const name of Object.keys(routes) as RouteName[]) {
    const { method, path } = routes[name];
    if (method !== 'get' || APART.has(name)) continue;
    const query = QUERY[name] ?? '';
    const each = OF_EACH[name];
    if (each) {
      for (const one of each) await read(name, path.replace(/:\w+/, one) + query);
    } else {
      await read(name, path.replace(':day', day) + query);
    }
  }
  return reads;
}

/** What did not answer well, for a test to show. */
export const failedReads = (reads: readonly Read[]): string[] =>
  reads
    .filter(({ status }) => status !== 200)
    .map(({ name, path, status, body }) => `${name} ${path}: ${status} ${String(body.detail)}`);
