import type { Group } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, group, species, tank } from '../testing/house';
import { push } from '../testing/router';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { FishScreen } from './FishScreen';
import { sorted } from './sort';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));
const size = (total: number) => ({ males: 0, females: 0, unsexed: total, total });
const race = { ...tank, id: 't2', name: 'Race', walkOrder: 2 };
const groups: Group[] = [
  { ...group, id: 'a', name: 'Zebras', tankId: 't2', size: size(4), lengthCm: 3 },
  { ...group, id: 'b', name: 'Alphas', tankId: 't1', size: size(9), lengthCm: null },
  { ...group, id: 'c', name: 'Middles', tankId: 't1', size: size(6), lengthCm: 2, stage: 'fry' },
];
const data = {
  tanks: [tank, race],
  species: new Map([[species.key, species]]),
  // The middles grew since they were measured.
  house: { groups: groups.map(({ id }) => ({ id, lengthCm: id === 'c' ? 5 : 3 })) },
} as never;

describe('all fish in an order', () => {
  it.each([
    ['walk', ['b', 'c', 'a']],
    ['name', ['b', 'c', 'a']],
    ['number', ['b', 'c', 'a']],
    ['length', ['c', 'a', 'b']],
    ['species', ['b', 'c', 'a']],
  ] as const)('of %s', (by, expected) => {
    expect(sorted(groups, by, data).map((one) => one.id)).toEqual(expected);
  });

  it('is the same however they came, and loses none', () => {
    for (const by of ['walk', 'name', 'species', 'number', 'length'] as const) {
      const once = sorted(groups, by, data).map((one) => one.name);
      const reversed = sorted([...groups].reverse(), by, data).map((one) => one.name);
      expect([...once].sort()).toEqual([...reversed].sort());
      expect(once).toHaveLength(groups.length);
    }
  });
});

describe('the list of all fish', () => {
  const house = (more: object = {}) => ({
    ...answers(),
    'GET /api/tanks': { items: [tank, race], next: null },
    'GET /api/groups': { items: groups, next: null },
    ...more,
  });

  it('is found by name, tank, stage and species, and opens a group', async () => {
    standIn(house());
    show(<FishScreen />);
    expect(await screen.findByText('3 groups, 19 fish')).toBeTruthy();
    const filter = (words: string) =>
      fireEvent.changeText(screen.getByLabelText('Filter by name, species, stage or tank'), words);
    filter('race');
    expect(screen.getByText('1 groups, 4 fish')).toBeTruthy();
    filter('fry');
    expect(screen.getByText('1 groups, 6 fish')).toBeTruthy();
    filter('rerio');
    expect(screen.getByText('3 groups, 19 fish')).toBeTruthy();
    filter('walrus');
    expect(screen.getByText('None by these words')).toBeTruthy();
    filter('');
    fireEvent.press(screen.getByLabelText(/^Zebras, Race · 4 fish · adult · 3 cm/));
    expect(push).toHaveBeenCalledWith('/groups/a');
  });

  it('lets groups be chosen, and offers to move them', async () => {
    standIn(house());
    show(<FishScreen />);
    fireEvent.press(await screen.findByLabelText('Select'));
    expect(screen.getByText('Tap the groups to move')).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^Zebras/));
    fireEvent.press(screen.getByLabelText(/^Middles/));
    expect(screen.getByText('2 chosen')).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^Zebras/));
    expect(screen.getByText('1 chosen')).toBeTruthy();
    expect(push).not.toHaveBeenCalled();
    fireEvent.press(screen.getByLabelText('Done'));
    expect(screen.queryByText('1 chosen')).toBeNull();
  });

  it('shows a past day as it was', async () => {
    const asked = standIn(house());
    show(<FishScreen />);
    fireEvent.press(await screen.findByLabelText('Another order, another day'));
    fireEvent.changeText(screen.getByLabelText('As they were on'), '2026-02-03');
    expect(await screen.findByText(/As it was at the end of Tue 3 Feb/)).toBeTruthy();
    await waitFor(() => expect(asked.filter((one) => one.path === '/api/groups')).toHaveLength(2));
    expect(screen.queryByLabelText('Select')).toBeNull();
  });
});
