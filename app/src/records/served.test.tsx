import type { ServedRow } from '@open-larder/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import fc from 'fast-check';
import { answers } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { eatenShare, sumServed, totalOf, type By } from './served';
import { ServedView } from './ServedView';

const row = (over: Partial<ServedRow> = {}): ServedRow => ({
  groupId: 'g1',
  groupName: 'Zebrafish',
  tankId: 't1',
  tankName: 'Millpond',
  foodId: 'f1',
  foodName: 'Fine flake',
  family: 'grain',
  servings: 10,
  skipped: 1,
  offeredG: 2,
  refusedG: 0.5,
  leftG: 0.1,
  costMinor: 20,
  ...over,
});
const wafer = { foodId: 'f2', foodName: 'Nettle wafer', offeredG: 5, refusedG: 0, leftG: 4 };
const ROWS = [
  row(),
  row(wafer),
  row({ groupId: 'g2', groupName: 'Medaka', tankId: 't2', tankName: 'Sluice', costMinor: null }),
];

describe('served food added up', () => {
  it('by food, group, tank or each pair', () => {
    expect(sumServed(ROWS, 'food', '').map(({ name, offeredG }) => [name, offeredG])).toEqual([
      ['Fine flake', 4],
      ['Nettle wafer', 5],
    ]);
    expect(sumServed(ROWS, 'group', '').map(({ name }) => name)).toEqual(['Medaka', 'Zebrafish']);
    expect(sumServed(ROWS, 'tank', '').map(({ offeredG }) => offeredG)).toEqual([7, 2]);
    expect(sumServed(ROWS, 'pair', '')).toHaveLength(3);
  });

  it('counts as eaten what was neither refused nor left', () => {
    const [flake] = sumServed([row()], 'food', '');
    expect(flake!.eatenG).toBeCloseTo(1.4, 9);
    expect(eatenShare(flake!)).toBeCloseTo(70, 9);
    expect(eatenShare({ eatenG: 0, offeredG: 0 })).toBe(0);
  });

  it('costs what its priced food does, and nothing is said of what has no price', () => {
    const costs = (by: By) => sumServed(ROWS, by, '').map(({ costMinor }) => costMinor);
    expect(costs('food')).toEqual([20, 20]);
    expect(costs('group')).toEqual([null, 40]);
    expect(totalOf(sumServed(ROWS, 'pair', '')).costMinor).toBe(40);
    expect(totalOf([]).costMinor).toBeNull();
  });

  it('keeps the lines that say what is looked for, in any of their names', () => {
    expect(sumServed(ROWS, 'pair', ' WAFER ')).toHaveLength(1);
    expect(sumServed(ROWS, 'food', 'sluice').map(({ offeredG }) => offeredG)).toEqual([2]);
    expect(sumServed(ROWS, 'food', 'nothing of that')).toEqual([]);
  });

  it('comes to the same whatever it is added up by', () => {
    const amount = fc.double({ min: 0, max: 50, noNaN: true });
    const any = fc
      .record({
        groupId: fc.constantFrom('a', 'b', 'c'),
        foodId: fc.constantFrom('x', 'y'),
        tankId: fc.constantFrom('t', 'u'),
        offeredG: amount,
        servings: fc.nat(50),
      })
      .map((over) => row({ ...over, refusedG: 0, leftG: 0 }));
    fc.assert(
      fc.property(fc.array(any, { maxLength: 30 }), (rows) => {
        const totals = (['food', 'group', 'tank', 'pair'] as By[]).map((by) =>
          totalOf(sumServed(rows, by, '')),
        );
        for (const total of totals) {
          expect(total.offeredG).toBeCloseTo(totals[0]!.offeredG, 6);
          expect(total.servings).toBe(totals[0]!.servings);
        }
      }),
    );
  });
});

const moments = [
  {
    momentId: 'm',
    name: 'After work',
    served: 120,
    less: 3,
    more: 0,
    refused: 0,
    skipped: 1,
    plannedG: 10,
    givenG: 9,
  },
  {
    momentId: null,
    name: 'Beside the plan',
    served: 0,
    less: 0,
    more: 1,
    refused: 0,
    skipped: 0,
    plannedG: 0,
    givenG: 0.2,
  },
];

function openServed(more: Record<string, unknown> = {}) {
  const asked = standIn({
    ...answers(),
    'GET /api/records/served': { rows: ROWS, moments },
    ...more,
  });
  show(<ServedView to="2026-03-10" />);
  return asked;
}
/** The names in the table, from above. */
const names = async () =>
  within(await screen.findByLabelText('What was served'))
    .getAllByText(/^(Nettle wafer|Fine flake|All \d+)$/)
    .map((text) => String(text.props.children));

describe('what was served', () => {
  it('is a table with totals, sorted by what is tapped', async () => {
    openServed();
    expect(await names()).toEqual(['Nettle wafer', 'Fine flake', 'All 2']);
    fireEvent.press(screen.getByLabelText('Sort by Name'));
    expect(await names()).toEqual(['Fine flake', 'Nettle wafer', 'All 2']);
    fireEvent.press(screen.getByLabelText('Sort by Name'));
    expect(await names()).toEqual(['Nettle wafer', 'Fine flake', 'All 2']);
    fireEvent.press(screen.getByLabelText('Sort by Eaten, %'));
    expect(await names()).toEqual(['Fine flake', 'Nettle wafer', 'All 2']);
    const table = within(screen.getByLabelText('What was served'));
    // 9 g offered in all, of which 1.0 refused and 4.2 left.
    expect(table.getByText('9')).toBeTruthy();
    expect(table.getByText('42')).toBeTruthy();
  });

  it('is filtered, and added up otherwise', async () => {
    openServed();
    fireEvent.changeText(
      await screen.findByLabelText('Filter by food, group or tank'),
      'zebrafish',
    );
    fireEvent.press(screen.getByLabelText('group and food'));
    expect(await names()).toEqual(['Nettle wafer', 'Fine flake', 'All 2']);
    expect(screen.getAllByText('Zebrafish, Millpond')).toHaveLength(2);
  });

  it('asks for the days that are chosen, and sets plan against done', async () => {
    const asked = openServed();
    await names();
    fireEvent.press(screen.getByLabelText('a year'));
    await names();
    const asking = (globalThis.fetch as jest.Mock).mock.calls.map(([path]) => String(path));
    expect(asking).toContainEqual(
      expect.stringContaining('/api/records/served?from=2025-03-11&to=2026-03-10'),
    );
    expect(asked.length).toBeGreaterThan(1);
    const done = within(screen.getByLabelText('Plan against done, by moment'));
    expect(done.getByText('120 as planned · 3 less · 1 skipped')).toBeTruthy();
    expect(done.getByText('9 g of 10 g')).toBeTruthy();
    expect(done.getByText('0.2 g')).toBeTruthy();
  });

  it.each([
    ['more', [0.2, null, 0.4, 0.9], /^Taken more readily than before: 20 % at first, 90 % lately/],
    ['less', [1, 0.9, 0.3], /^Taken less readily than before/],
    ['alike', [0.8, 0.9], /^Taken about as before/],
    ['once', [null, 0.5, null], /^50 % of it was eaten in the week of/],
    ['never', [null, null], /^None was offered in these weeks/],
  ])('shows week by week how a food was taken: %s', async (_, taken, says) => {
    openServed({
      'GET /api/records/acceptance/g1': {
        weeks: ['2026-02-16', '2026-02-23', '2026-03-02', '2026-03-09'].slice(0, taken.length),
        foods: [{ foodId: 'f2', name: 'Nettle wafer', taken }],
      },
    });
    fireEvent.press(await screen.findByLabelText('group and food'));
    fireEvent.press(
      await screen.findByLabelText('Week by week: Nettle wafer for Zebrafish, Millpond'),
    );
    expect(await screen.findByText(says)).toBeTruthy();
  });

  it('says what to do where nothing was logged, or nothing is heard', async () => {
    openServed({ 'GET /api/records/served': { rows: [], moments: [] } });
    expect(await screen.findByText('Nothing was logged in these days')).toBeTruthy();
    screen.unmount();
    openServed({
      'GET /api/records/served': () => ({
        status: 503,
        body: { type: 'about:blank', title: 'x', status: 503, detail: 'No database.' },
      }),
    });
    await waitFor(() => expect(screen.getByText('No database.')).toBeTruthy());
  });
});
