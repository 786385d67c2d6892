import type { Account } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { Format } from '../store';
import { answers, group as eaters } from '../testing/house';
import { push } from '../testing/router';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import {
  figuresOf,
  lossesOf,
  formatEaten,
  formatGrowth,
  formatLiving,
  formatLosses,
  formatRated,
  formatWater,
  type GroupAccount,
} from './account';
import { AccountView } from './AccountView';
import { RecordsScreen } from './RecordsScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const G1 = '0190a000-0000-7000-8000-000000000001';
const F1 = '0190a000-0000-7000-8000-000000000002';

const format = {
  quantity: (measure: string, base: number) =>
    measure === 'volume' ? `${Math.round(base)} L` : `${base.toFixed(1)} cm`,
  money: (minor: number) => `€${(minor / 100).toFixed(2)}`,
} as unknown as Format;

const group = (over: Partial<GroupAccount> = {}): GroupAccount => ({
  groupId: G1,
  name: 'Zebrafish',
  speciesKey: 'danio-rerio',
  tankId: 't1',
  tankName: 'Millpond',
  began: 10,
  ended: 7,
  died: 3,
  causes: [
    { cause: 'unknown', count: 2 },
    { cause: 'jumped', count: 1 },
  ],
  over30: { share: 0.91, low: 0.7, high: 0.98 },
  first: { day: '2026-02-01', cm: 2.1, low: 2, high: 2.2, n: 6 },
  last: { day: '2026-03-01', cm: 2.6, low: 2.4, high: 2.8, n: 6 },
  growthPerDay: 2.25,
  usualCm: 0.4,
  eatenG: 12,
  conversion: 1.84,
  costMinor: 40,
  ...over,
});
const tank: Account['tanks'][number] = {
  tankId: 't1',
  name: 'Millpond',
  tests: 3,
  nitrate: { n: 3, mean: 21.4, max: 44 },
  capMgL: 40,
  changes: 1,
  litres: 45,
  costMinor: 40,
};
const rated = (worse = 0, same = 0, better = 0) => ({ worse, same, better });
const food: Account['foods'][number] = {
  foodId: F1,
  name: 'Fine flake',
  family: 'grain',
  offeredG: 12,
  refusedG: 1,
  leftG: 1,
  costMinor: 40,
  colour: rated(0, 0, 2),
  growth: rated(1, 0, 0),
};

describe('an account in words', () => {
  it('tells of losses with their causes, and what of such live on', () => {
    expect(formatLosses(group())).toBe('10 → 7 fish; lost: 2 cause unknown, 1 jumped out');
    expect(formatLosses(group({ ended: 10, died: 0, causes: [] }))).toBe('10 fish, none lost');
    expect(formatLiving(group())).toBe('30-day survival 91 % (70 to 98 %)');
    expect(formatLiving(group({ died: 0 }))).toBeNull();
    expect(lossesOf([group(), group({ causes: [{ cause: 'jumped', count: 4 }] })])).toEqual([
      { says: 'jumped out', count: 5 },
      { says: 'cause unknown', count: 2 },
    ]);
  });

  it('tells of growth as far as it was measured', () => {
    expect(formatGrowth(group(), format)).toBe(
      '2.1 cm → 2.6 cm; its kind grows 0.4 cm; 2.25 % of its mass a day',
    );
    expect(formatGrowth(group({ last: null, growthPerDay: null }), format)).toBe(
      '2.1 cm, measured once',
    );
    expect(formatGrowth(group({ first: null }), format)).toBe('not measured');
  });

  it('tells of food what it cost, and what it made', () => {
    expect(formatEaten(group(), format)).toBe(
      'ate 12 g for €0.40; 1.8 g dry food to a gram gained',
    );
    expect(formatEaten(group({ costMinor: null, conversion: null }), format)).toBe('ate 12 g');
    expect(formatEaten(group({ eatenG: 0 }), format)).toBe('nothing was logged for them');
  });

  it('tells of water, and where it was over what they stand', () => {
    expect(formatWater(tank, format)).toEqual([
      '1 change of water, 45 L in all',
      'nitrate 21 mg/L in the mean of 3, 44 at the highest: over the 40 that they tolerate',
    ]);
    expect(formatWater({ ...tank, changes: 0, nitrate: null, tests: 0 }, format)).toEqual([
      'no change of water was logged',
      'not tested',
    ]);
    expect(formatWater({ ...tank, changes: 2, litres: null, nitrate: null }, format)).toEqual([
      '2 changes of water',
      'nitrate not tested',
    ]);
  });

  it('tells what foods did', () => {
    expect(formatRated(food)).toBe('brighter 2 times, slower growth once');
    expect(formatRated({ colour: rated(), growth: rated() })).toBeNull();
  });

  it('sets figures beside each other, a dash where there is none', () => {
    const rows = figuresOf([group(), undefined, group({ first: null, last: null })], format);
    expect(rows.every(({ values }) => values.length === 3)).toBe(true);
    const row = (title: string) => rows.find((one) => one.title === title)!.values;
    expect(row('Fish')).toEqual(['10 → 7', '–', '10 → 7']);
    expect(row('Mean length')).toEqual(['2.6 cm', '–', '–']);
    expect(row('Against its kind')).toEqual(['125 %', '–', '–']);
    expect(row('Cost')).toEqual(['€0.40', '–', '€0.40']);
  });
});

function open(account: Partial<Account> = {}) {
  const asked = standIn({
    ...answers(),
    'GET /api/groups': { items: [{ ...eaters, id: G1 }], next: null },
    'GET /api/records/account': { groups: [group()], tanks: [tank], foods: [food], ...account },
    'GET /api/ratings': {
      items: [
        {
          id: 'r1',
          groupId: G1,
          groupName: 'Zebrafish',
          foodId: F1,
          foodName: 'Fine flake',
          day: '2026-03-01',
          colour: 'better',
          growth: null,
          note: 'redder',
          hand: null,
          at: '2026-03-01T10:00:00Z',
        },
      ],
      next: null,
    },
    'POST /api/ratings': ({ body }: { body: unknown }) => ({ status: 201, body }),
    'POST /api/ratings/r1/undo': ({ body }: { body: unknown }) => ({ status: 201, body }),
  });
  show(
    <>
      <AccountView to="2026-03-11" />
      <Toast />
    </>,
  );
  return asked;
}

describe('what came of it', () => {
  it('is told of fish, with all losses by cause', async () => {
    open();
    expect(await screen.findByText('2 lost, cause unknown')).toBeTruthy();
    expect(screen.getByText('67 %')).toBeTruthy();
    fireEvent.press(screen.getByText('Zebrafish'));
    expect(push).toHaveBeenCalledWith(`/groups/${G1}`);
    fireEvent.press(screen.getByText('Compare'));
    expect(push).toHaveBeenCalledWith('/records/compare');
  });

  it('is told of water, tank by tank', async () => {
    open();
    fireEvent.press(await screen.findByText('water'));
    fireEvent.press(await screen.findByText('Millpond'));
    expect(push).toHaveBeenCalledWith('/tanks/t1/water');
  });

  it('is told of food, which is rated for a group, and the rating taken back', async () => {
    const asked = open();
    fireEvent.press(await screen.findByText('food'));
    fireEvent.press(await screen.findByLabelText('Rate what Fine flake did'));
    fireEvent.press(await screen.findByText('faster'));
    fireEvent.press(screen.getByText('Note it'));
    expect(await screen.findByText('What Fine flake did is noted.')).toBeTruthy();
    expect(sent(asked, 'POST')).toMatchObject([
      { groupId: G1, foodId: F1, growth: 'better', colour: null },
    ]);
    fireEvent.press(screen.getByText('Take back'));
    expect(await screen.findByText('The rating of Fine flake is taken back.')).toBeTruthy();
    await waitFor(() => expect(asked.some(({ path }) => path.endsWith('/r1/undo'))).toBe(true));
  });

  it('is empty with a word on where it comes from', async () => {
    open({ groups: [] });
    expect(await screen.findByText('Nothing happened in these days')).toBeTruthy();
  });
});

it('Records open on the view that an address names', async () => {
  standIn({
    ...answers(),
    'GET /api/records/account': { groups: [group()], tanks: [], foods: [] },
    'GET /api/records/consumption': { days: [], foods: [], groups: [] },
  });
  show(<RecordsScreen first="account" />);
  expect(await screen.findByText('three months')).toBeTruthy();
});
