import { LIFE_KINDS } from '@open-larder/core';
import type { z } from 'zod';
import {
  eventWithdrawal,
  errorsOf,
  groupEdit,
  groupEvent,
  groupMerge,
  groupMoves,
  groupSplit,
  householdEdit,
  lifeEvent,
  speciesCreate,
  tableImport,
  tankCreate,
  blankTank,
} from '.';

const ID = '01a20b8f-8261-7d0d-87a6-870c81b69e8e';
const OTHER = '01a20b8f-8261-7d0d-87a6-870c81b69e8f';
const base = { id: ID, day: '2026-03-01' };
const fish = { males: 1, females: 0, unsexed: 0 };
const none = { males: 0, females: 0, unsexed: 0 };

const says = (schema: z.ZodType, value: unknown): Record<string, string> => {
  const read = schema.safeParse(value);
  return read.success
    ? {}
    : Object.fromEntries(errorsOf(read.error).map(({ path, message }) => [path, message]));
};

describe('what happens to a group', () => {
  it.each(['arrived', 'born', 'sold', 'given', 'died'] as const)(
    '%s takes some fish, and not none',
    (kind) => {
      expect(says(groupEvent, { ...base, kind, ...fish })).toEqual({});
      expect(says(groupEvent, { ...base, kind, ...none })).toEqual({
        unsexed: 'enter at least one fish',
      });
    },
  );

  it('a count may find none, since all may have been lost', () => {
    expect(says(groupEvent, { ...base, kind: 'counted', ...none })).toEqual({});
  });

  it('a loss has a cause, unknown unless said', () => {
    const read = groupEvent.parse({ ...base, kind: 'died', ...fish });
    expect(read).toMatchObject({ cause: 'unknown', note: '' });
    expect(says(groupEvent, { ...base, kind: 'died', ...fish, cause: 'boredom' })).toHaveProperty(
      'cause',
    );
  });

  it('halves of a split are never entered alone', () => {
    for (const kind of ['joined', 'parted']) {
      expect(groupEvent.safeParse({ ...base, kind, ...fish }).success).toBe(false);
    }
    expect(LIFE_KINDS).toEqual(expect.arrayContaining(['joined', 'parted']));
  });

  it('a move asks for its tank', () => {
    expect(says(groupEvent, { ...base, kind: 'moved', tankId: '' })).toEqual({
      tankId: 'say which tank',
    });
    expect(says(groupEvent, { ...base, kind: 'moved', tankId: OTHER })).toEqual({});
  });

  it.each([
    [
      groupSplit,
      { ...base, name: 'Apart', tankId: '', apart: true, ...fish },
      { tankId: 'say which tank' },
    ],
    [
      groupSplit,
      { ...base, name: '', tankId: OTHER, apart: true, ...fish },
      { name: 'give it a name' },
    ],
    [groupMerge, { ...base, intoGroupId: '' }, { intoGroupId: 'say which group' }],
    [
      groupMoves,
      { id: base.id, tankId: OTHER, day: base.day, moves: [] },
      { moves: 'choose at least one group' },
    ],
    [
      groupEdit,
      { name: 'Danios', speciesKey: '', version: 1, archived: false },
      { speciesKey: 'choose a species' },
    ],
    [tableImport, { text: '', write: false }, { text: 'paste a table, or choose a file' }],
  ])('%#', (schema, value, expected) => {
    expect(says(schema as z.ZodType, value)).toEqual(expected);
  });

  it('a withdrawal may put an event in the place of another, checked like any', () => {
    expect(says(eventWithdrawal, { id: ID, replacement: null })).toEqual({});
    const replacement = { ...base, kind: 'measured', lengthCm: -1 };
    expect(says(eventWithdrawal, { id: ID, replacement })).toHaveProperty(['replacement.lengthCm']);
  });

  it('as read back may be of any kind', () => {
    const row = {
      ...base,
      groupId: OTHER,
      males: null,
      females: null,
      unsexed: null,
      cause: null,
      lengthCm: null,
      stage: null,
      tankId: null,
      otherGroupId: null,
      note: '',
      lengthsCm: null,
      massG: null,
      withdrawn: false,
    };
    for (const kind of LIFE_KINDS) expect(says(lifeEvent, { ...row, kind })).toEqual({});
  });
});

describe('limits that came with the fish', () => {
  const tank = { ...blankTank, id: ID, name: 'T', walkOrder: 1, litres: 60 };

  it.each([
    [{ tempC: 100 }, 'tempC'],
    [{ gh: -1 }, 'gh'],
    [{ kind: 'castle' }, 'kind'],
    [{ shape: 'cloud' }, 'shape'],
    [{ plants: 'jungle' }, 'plants'],
    [{ groundDepthCm: 500 }, 'groundDepthCm'],
  ])('a tank with %j is refused at its field', (over, path) => {
    expect(says(tankCreate, { ...tank, ...over })).toHaveProperty(path);
    expect(says(tankCreate, tank)).toEqual({});
  });

  it('units are chosen from what is known, deliveries within two months', () => {
    const household = {
      name: 'Home',
      timeZone: 'UTC',
      units: 'us',
      temperature: 'F',
      hardness: 'ppm',
      clock: '12',
      weekStart: 7,
      currency: 'USD',
      deliveryDays: 4,
      atHome: [{ fromMin: 1080, toMin: 1320 }],
      phrases: [],
      version: 1,
    };
    expect(says(householdEdit, household)).toEqual({});
    expect(says(householdEdit, { ...household, temperature: 'K' })).toHaveProperty('temperature');
    expect(says(householdEdit, { ...household, hardness: '°fH' })).toHaveProperty('hardness');
    expect(says(householdEdit, { ...household, deliveryDays: 61 })).toHaveProperty('deliveryDays');
  });

  it('a species of one’s own is nothing without its figures', () => {
    const errors = says(speciesCreate, { id: ID, copiedFrom: null, entry: {} });
    expect(Object.keys(errors).length).toBeGreaterThan(20);
    for (const sentence of Object.values(errors)) expect(sentence.length).toBeGreaterThan(5);
  });
});
