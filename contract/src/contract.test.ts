import { PLAIN } from '@open-larder/core';
import fc from 'fast-check';
import type { z } from 'zod';
import {
  blankTank,
  dietEdit,
  feedingCreate,
  blankFood,
  foodCreate,
  groupCreate,
  groupEvent,
  householdEdit,
  lotEdit,
  momentCreate,
  ACCESS,
  paths,
  routes,
  spanQuery,
  tankCreate,
  errorsOf,
  type RouteName,
} from '.';

const ID = '01a20b8f-8261-7d0d-87a6-870c81b69e8e';
const OTHER = '01a20b8f-8261-7d0d-87a6-870c81b69e8f';

const tank = {
  ...blankTank,
  id: ID,
  name: 'Millpond',
  lengthCm: 100,
  widthCm: 40,
  heightCm: 50,
  waterLevelCm: 45,
  litres: null,
  tempC: 25,
  ph: 6.8,
  lightOnMin: 600,
  lightOffMin: 1200,
  walkOrder: 1,
};
const group = {
  id: ID,
  tankId: OTHER,
  name: 'Danios',
  speciesKey: 'danio-rerio',
  males: 1,
  females: 0,
  unsexed: 0,
  stage: 'adult',
  lengthCm: null,
  day: '2026-03-01',
};
const lot = {
  id: ID,
  amountG: 10,
  costMinor: null,
  place: 'cupboard',
  boughtOn: '2026-03-01',
  openedOn: null,
  bestBefore: null,
};
const food = {
  ...blankFood,
  id: ID,
  name: 'Flake',
  family: 'grain',
  kind: 'dry',
  form: 'floats',
  composition: { protein: 0.4, fat: 0.1, fibre: 0.03, ash: 0.1, moisture: 0.07 },
  plantShare: 0.3,
  unit: { name: 'pinch', plural: 'pinches', massG: 0.05, step: 0.5 },
  lot: null,
};
const serving = {
  id: ID,
  foodId: ID,
  momentId: ID,
  zone: 'surface',
  place: '',
  days: [1],
  weight: 1,
  ownUnits: null,
  manner: PLAIN,
};
const diet = { version: 0, fastWeekdays: [7], goalFactor: null, servings: [serving], rules: [] };
const fed = {
  id: ID,
  servingId: ID,
  day: '2026-03-01',
  groupId: ID,
  foodId: ID,
  outcome: 'served',
  plannedUnits: 2,
  units: 2,
  note: '',
  at: '2026-03-01T18:30:00.000Z',
};
const household = {
  name: 'Home',
  timeZone: 'Europe/Berlin',
  units: 'metric',
  temperature: 'C',
  hardness: 'dGH',
  clock: '24',
  weekStart: 1,
  currency: 'EUR',
  deliveryDays: 4,
  atHome: [{ fromMin: 1080, toMin: 1320 }],
  phrases: [],
  version: 1,
};

/** The sentence at a path, or null where the value is accepted. */
function sentence(schema: z.ZodType, value: unknown, path: string): string | null {
  const read = schema.safeParse(value);
  if (read.success) return null;
  return errorsOf(read.error).find((error) => error.path === path)?.message ?? 'elsewhere';
}

describe('what is right is accepted', () => {
  it.each([
    ['tank', tankCreate, tank],
    ['tank by litres', tankCreate, { ...tank, lengthCm: null, heightCm: null, litres: 54 }],
    ['group', groupCreate, group],
    ['food', foodCreate, food],
    ['food with a lot', foodCreate, { ...food, lot }],
    ['diet', dietEdit, diet],
    ['feeding', feedingCreate, fed],
    ['household', householdEdit, household],
    [
      'moment by the clock',
      momentCreate,
      { id: ID, name: 'Noon', anchor: 'clock', minutes: 720, spareMin: null },
    ],
    [
      'moment before lights-on',
      momentCreate,
      { id: ID, name: 'Dawn', anchor: 'lightsOn', minutes: -15, spareMin: 20 },
    ],
  ])('%s', (_name, schema, value) => {
    expect(schema.safeParse(value).error).toBeUndefined();
  });
});

describe('what is wrong is answered at its field, in words', () => {
  it.each([
    [tankCreate, { ...tank, id: 'seven' }, 'id', /not a valid id/],
    [tankCreate, { ...tank, name: '' }, 'name', /give it a name/],
    [tankCreate, { ...tank, name: 'x'.repeat(61) }, 'name', /under 60/],
    [tankCreate, { ...tank, lengthCm: 2 }, 'lengthCm', /between 3 and 1000/],
    [tankCreate, { ...tank, tempC: Number.NaN }, 'tempC', /between 0 and 40/],
    [tankCreate, { ...tank, tempC: Number.POSITIVE_INFINITY }, 'tempC', /between 0 and 40/],
    [tankCreate, { ...tank, ph: 0 }, 'ph', /between 3 and 11/],
    [tankCreate, { ...tank, walkOrder: 0 }, 'walkOrder', /walking order/],
    [tankCreate, { ...tank, waterLevelCm: 51 }, 'waterLevelCm', /above the rim/],
    [tankCreate, { ...tank, widthCm: null }, 'litres', /give length, width and height/],
    [groupCreate, { ...group, males: 0 }, 'unsexed', /at least one fish/],
    [groupCreate, { ...group, males: 1.5 }, 'males', /whole fish/],
    [groupCreate, { ...group, males: -1 }, 'males', /between 0/],
    [groupCreate, { ...group, lengthCm: 0 }, 'lengthCm', /between 0.1 and 200/],
    [groupCreate, { ...group, day: '2026-02-30' }, 'day', /does not exist/],
    [groupCreate, { ...group, day: '30.2.2026' }, 'day', /YYYY-MM-DD/],
    [
      groupEvent,
      { id: ID, day: '2026-03-01', kind: 'died', males: 0, females: 0, unsexed: 0 },
      'unsexed',
      /at least one/,
    ],
    [
      groupEvent,
      { id: ID, day: '2026-03-01', kind: 'measured', lengthCm: 999 },
      'lengthCm',
      /between/,
    ],
    [
      foodCreate,
      { ...food, composition: { ...food.composition, ash: 0.9 } },
      'composition.protein',
      /more than 100 %/,
    ],
    [foodCreate, { ...food, unit: { ...food.unit, massG: 0 } }, 'unit.massG', /mass of one unit/],
    [foodCreate, { ...food, unit: { ...food.unit, name: ' ' } }, 'unit.name', /name the unit/],
    [foodCreate, { ...food, lot: { ...lot, amountG: -1 } }, 'lot.amountG', /amount in grams/],
    [
      foodCreate,
      { ...food, lot: { ...lot, bestBefore: '2026-02-01' } },
      'lot.bestBefore',
      /before the day it was bought/,
    ],
    [
      lotEdit,
      {
        version: 1,
        costMinor: -5,
        place: 'fridge',
        boughtOn: '2026-03-01',
        openedOn: null,
        bestBefore: null,
      },
      'costMinor',
      /cannot be negative/,
    ],
    [dietEdit, { ...diet, fastWeekdays: [1, 2, 3, 4, 5, 6, 7] }, 'fastWeekdays', /every day/],
    [dietEdit, { ...diet, servings: [serving, serving] }, 'servings', /is listed twice/],
    [
      dietEdit,
      { ...diet, servings: [{ ...serving, days: [] }] },
      'servings.0.days',
      /at least one day/,
    ],
    [dietEdit, { ...diet, goalFactor: 11 }, 'goalFactor', /between 0 and 10/],
    [feedingCreate, { ...fed, outcome: 'skipped' }, 'units', /skipped serving has the amount 0/],
    [feedingCreate, { ...fed, units: 0 }, 'units', /more than 0/],
    [feedingCreate, { ...fed, note: 'x'.repeat(121) }, 'note', /under 120/],
    [feedingCreate, { ...fed, at: 'yesterday' }, 'at', /not a valid time/],
    [
      householdEdit,
      { ...household, timeZone: 'Middle/Nowhere' },
      'timeZone',
      /not a known time zone/,
    ],
    [householdEdit, { ...household, currency: 'euro' }, 'currency', /three capitals/],
    [
      momentCreate,
      { id: ID, name: 'Late', anchor: 'clock', minutes: 1440, spareMin: null },
      'minutes',
      /within the day/,
    ],
    [
      momentCreate,
      { id: ID, name: 'Late', anchor: 'lightsOff', minutes: 361, spareMin: null },
      'minutes',
      /six hours/,
    ],
    [spanQuery, { from: '2026-03-02', to: '2026-03-01' }, 'to', /ends before it begins/],
    [spanQuery, { from: '2020-01-01', to: '2026-03-01' }, 'to', /at most 400 days/],
  ])('%#', (schema, value, path, words) => {
    expect(sentence(schema as z.ZodType, value, path)).toMatch(words);
  });

  it('names no field that a body lacks as undefined', () => {
    for (const schema of [tankCreate, groupCreate, foodCreate, dietEdit, feedingCreate]) {
      const read = schema.safeParse({});
      expect(read.success).toBe(false);
      for (const { path, message } of errorsOf(read.error as z.ZodError)) {
        expect(path).not.toBe('');
        expect(message.length).toBeGreaterThan(5);
      }
    }
  });
});

describe('garbage never throws, and never passes', () => {
  // What takes nothing has nothing to refuse.
  const schemas = Object.values(routes).filter(
    ({ method, body }) =>
      method !== 'get' && Object.keys((body as z.ZodObject).shape ?? { any: 1 }).length > 0,
  );

  it('as a body', () => {
    fc.assert(
      fc.property(fc.constantFrom(...schemas), fc.anything(), (route, garbage) => {
        expect((route.body as z.ZodType).safeParse(garbage).success).toBe(false);
      }),
    );
  });

  it('as a day', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const read = routes.getRound.params.safeParse({ day: text });
        expect(read.success).toBe(/^\d{4}-\d{2}-\d{2}$/.test(text) && read.success);
      }),
    );
  });
});

describe('the table of routes', () => {
  const names = Object.keys(paths) as RouteName[];

  it('holds one route for every path, and no path twice', () => {
    expect(Object.keys(routes).sort()).toEqual([...names].sort());
    const addresses = names.map((name) => paths[name].slice(0, 2).join(' '));
    expect(new Set(addresses).size).toBe(addresses.length);
  });

  it.each(names)('%s names its parameters in its path', (name) => {
    const { path, params, summary, method, access } = routes[name];
    // A guest reads; who changes something at least logs what was done, or signs in, or out.
    const ofPerson =
      /^\/api\/(me|people|sign-|first-|recovery|pairings|invitations|households)/.test(path);
    const min = method === 'get' || ofPerson ? 'anyone' : 'feeder';
    expect(ACCESS.indexOf(access)).toBeGreaterThanOrEqual(ACCESS.indexOf(min));
    const inPath = [...path.matchAll(/:(\w+)/g)].map((match) => match[1]).sort();
    expect(Object.keys((params as z.ZodObject).shape).sort()).toEqual(inPath);
    expect(summary.length).toBeGreaterThan(8);
  });
});
