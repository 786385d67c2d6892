import type { Account, Group, LifeEventRow } from '@open-larder/contract';
import { usualLength } from '@open-larder/core/growth';
import { addDays } from '@open-larder/core/round';
import { fireEvent, screen } from '@testing-library/react-native';
import type { Format } from '../store';
import { answers, group as plain, species } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { growthWork } from '../workers/growthWork';
import { batchOf, batchRows, between, seasonsTo, TOLD_DAYS, type Measured } from './compare';
import { CompareScreen } from './CompareScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const format = {
  quantity: (_: string, base: number) => `${base.toFixed(1)} cm`,
  scale: () => ({ unit: 'cm', fromBase: (cm: number) => cm, toBase: (cm: number) => cm }),
  day: (day: string) => day,
} as unknown as Format;

const FIRST = '2025-10-01';
let made = 0;
const measured = (day: number, mean: number): LifeEventRow => ({
  id: `e${(made += 1)}`,
  groupId: 'g',
  kind: 'measured',
  day: addDays(FIRST, day),
  males: null,
  females: null,
  unsexed: null,
  cause: null,
  lengthCm: mean,
  lengthsCm: [mean * 0.95, mean, mean * 1.05],
  massG: null,
  stage: null,
  tankId: null,
  otherGroupId: null,
  note: '',
  withdrawn: false,
});
/** Measured every ten days while it grows as its kind does, times a pace. */
const life = (pace: number, count = 10): LifeEventRow[] =>
  Array.from({ length: count }, (_, at) =>
    measured(at * 10, usualLength(species, 25, 1, at * 10 * pace)),
  );
const batch = (id: string, events: LifeEventRow[]): Measured =>
  batchOf({ id, name: `Batch ${id}` }, events, species.adultLengthCm)!;

describe('seasons', () => {
  it('are quarters back from today, the newest first, none ahead of today', () => {
    expect(seasonsTo('2026-03-11')).toEqual([
      { from: '2026-01-01', to: '2026-03-11', name: 'Jan to Mar 2026' },
      { from: '2025-10-01', to: '2025-12-31', name: 'Oct to Dec 2025' },
      { from: '2025-07-01', to: '2025-09-30', name: 'Jul to Sep 2025' },
      { from: '2025-04-01', to: '2025-06-30', name: 'Apr to Jun 2025' },
    ]);
  });

  it('join without a gap, over a leap year too', () => {
    const seasons = seasonsTo('2024-04-01', 8);
    expect(seasons[0]).toMatchObject({ from: '2024-04-01', to: '2024-04-01' });
    expect(seasons[1]).toMatchObject({ from: '2024-01-01', to: '2024-03-31' });
    seasons.slice(1).forEach(({ to }, at) => expect(addDays(to, 1)).toBe(seasons[at]!.from));
  });
});

describe('batches', () => {
  it('count days from their first measurement; two on one day are one sample', () => {
    const events = [...life(1, 3), measured(0, 1.1)];
    const { first, points, maxCm } = batch('a', events);
    expect(first).toBe(FIRST);
    expect(points.map(({ day, n }) => [day, n])).toEqual([
      [0, 6],
      [10, 3],
      [20, 3],
    ]);
    expect(maxCm).toBeCloseTo(species.adultLengthCm * 1.1, 9);
  });

  it('are none that were measured on one day alone, or taken back', () => {
    const [one, two] = life(1, 2) as [LifeEventRow, LifeEventRow];
    expect(batchOf({ id: 'a', name: 'A' }, [], 4)).toBeNull();
    expect(batchOf({ id: 'a', name: 'A' }, [one], 4)).toBeNull();
    expect(batchOf({ id: 'a', name: 'A' }, [one, { ...two, withdrawn: true }], 4)).toBeNull();
  });

  it('are told at the same ages by their curves, else between measurements', () => {
    const fast = batch('fast', life(1.6));
    const slow = batch('slow', life(0.8));
    const few = batch('few', life(1, 5));
    const report: [number, number][] = [];
    const fitted = growthWork.fit([fast, slow, few], TOLD_DAYS, (done, of) =>
      report.push([done, of]),
    );
    expect(report).toEqual([[1, 3], [2, 3], [3, 3]]); // prettier-ignore
    expect(fitted.find(({ id }) => id === 'few')!.on).toBeNull();
    const rows = batchRows([fast, slow, few], fitted, format);
    const at30 = rows.find(({ title }) => title === 'After 30 days')!.values;
    expect(at30[0]).toMatch(/^\d\.\d cm \(\d(\.\d)? to \d(\.\d)?\)$/);
    expect(parseFloat(at30[0]!)).toBeGreaterThan(parseFloat(at30[1]!));
    expect(at30[2]).toMatch(/measured$/);
    const at60 = rows.find(({ title }) => title === 'After 60 days')!.values;
    expect(at60[2]).toBe('–');
    expect(rows.some(({ title }) => title === 'After 120 days')).toBe(false);
  });

  it('lie straight between two measurements', () => {
    const points = [
      { day: 0, lengthCm: 1, n: 3 },
      { day: 10, lengthCm: 2, n: 3 },
    ];
    expect(between({ points }, 5)).toBe(1.5);
    expect(between({ points }, 10)).toBe(2);
    expect(between({ points }, 99)).toBe(2);
  });
});

const row = (id: string, over: object = {}) => ({
  groupId: id,
  name: id,
  speciesKey: 'danio-rerio',
  tankId: 't1',
  tankName: 'Millpond',
  began: 10,
  ended: 9,
  died: 1,
  causes: [],
  over30: null,
  first: null,
  last: null,
  growthPerDay: null,
  usualCm: null,
  eatenG: 4,
  conversion: null,
  costMinor: null,
  ...over,
});

function open(groups: Partial<Group>[], lives: Record<string, LifeEventRow[]> = {}) {
  const account = {
    groups: [row('g1'), row('g2', { ended: 12 })],
    tanks: [],
    foods: [],
  } as unknown as Account;
  const asked = standIn({
    ...answers(),
    'GET /api/groups': { items: groups.map((over) => ({ ...plain, ...over })), next: null },
    'GET /api/records/account': account,
    ...Object.fromEntries(
      groups.map(({ id }) => [
        `GET /api/groups/${id}/events`,
        { items: lives[id!] ?? [], next: null },
      ]),
    ),
  });
  show(<CompareScreen />);
  return asked;
}

const TWO = [
  { id: 'g1', name: 'Autumn batch' },
  { id: 'g2', name: 'Winter batch' },
];

describe('the screen of comparisons', () => {
  it('sets two groups beside each other, and a third when asked', async () => {
    open([...TWO, { id: 'g3', name: 'Spring batch' }]);
    expect(await screen.findByText('10 → 9')).toBeTruthy();
    expect(screen.getByText('10 → 12')).toBeTruthy();
    fireEvent.press(screen.getByText('One more'));
    fireEvent.press(await screen.findByLabelText('Leave out Spring batch'));
    expect(screen.queryByLabelText(/^Leave out/)).toBeNull();
  });

  it('sets seasons of one group beside each other', async () => {
    open(TWO);
    fireEvent.press(await screen.findByText('seasons of one group'));
    expect((await screen.findAllByText('10 → 9')).length).toBe(4);
  });

  it('fits the curves of two batches and shows them at the same ages', async () => {
    open(TWO, { g1: life(1.5), g2: life(0.8) });
    fireEvent.press(await screen.findByText('batches of one kind'));
    expect(await screen.findByText('After 30 days')).toBeTruthy();
    expect(screen.getAllByText('Autumn batch').length).toBeGreaterThan(1);
    fireEvent.press(screen.getByText('Fit them again'));
    expect(await screen.findByText('After 90 days')).toBeTruthy();
  });

  it('says what is missing where there is nothing to compare', async () => {
    open(TWO, { g1: life(1) });
    fireEvent.press(await screen.findByText('batches of one kind'));
    expect(await screen.findByText('Fewer than two were measured twice')).toBeTruthy();
  });

  it('says what to do first where there are no fish', async () => {
    open([]);
    expect(await screen.findByText('No fish to compare yet')).toBeTruthy();
  });

  it('says so where no kind has two batches', async () => {
    open([{ id: 'g1' }]);
    fireEvent.press(await screen.findByText('batches of one kind'));
    expect(await screen.findByText('No kind has two batches yet')).toBeTruthy();
    fireEvent.press(screen.getByText('groups'));
    expect(await screen.findByText('Choose at least two.')).toBeTruthy();
  });
});
