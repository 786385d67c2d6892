import { fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { food, group } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { planEdited } from './slice';
import { draftOf } from './draft';
import { DryRunScreen } from './DryRunScreen';
import { house, tanks } from './week.testkit';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const two = tanks(2);
const groups = [
  // Kept as they are: a meal a day carries that.
  { ...group, tankId: 't1', diet: { ...group.diet!, goalFactor: 1 } },
  { ...group, id: 'g2', name: 'Medaka', tankId: 't2' },
];

const HOUSE = {
  'GET /api/tanks': { items: two, next: null },
  'GET /api/groups': { items: groups, next: null },
};

function openRun(over: object = {}, tankId?: string) {
  const asked = standIn(house({ ...HOUSE, ...over }));
  return { asked, ...show(<DryRunScreen tankId={tankId} />) };
}
const run = async () => {
  fireEvent.press(await screen.findByLabelText('Run it'));
  await screen.findByText('What runs out');
};

describe('eight weeks forward', () => {
  it('says how the fish grow, what reaches them, and what the water comes to', async () => {
    openRun({}, 't1');
    await run();
    expect(screen.getByText(/^3\.\d cm → \d.\d cm \(\d.\d cm to \d.\d cm\), /)).toBeTruthy();
    expect(screen.getByText(/^Nitrate (stays at or under|passes) \d+ mg\/L/)).toBeTruthy();
    expect(screen.getByText('Nothing in 8 weeks')).toBeTruthy();
    expect(screen.getByText(/^€\d+\.\d\d in all$/)).toBeTruthy();
    expect(screen.getByText(/% of it is not eaten/)).toBeTruthy();
    // Only the tank that was asked for.
    expect(screen.queryByText('Medaka')).toBeNull();
  });

  it('says what runs out, and when', async () => {
    const little = { ...food, remainingG: 0.5, lots: [{ ...food.lots[0]!, remainingG: 0.5 }] };
    openRun({ 'GET /api/foods': { items: [little], next: null } });
    await run();
    expect(screen.queryByText('Nothing in 8 weeks')).toBeNull();
    const [name] = screen.getAllByText('Fine flake');
    expect(name).toBeTruthy();
  });

  it('runs the whole house, tank by tank', async () => {
    openRun();
    await run();
    fireEvent.press(screen.getByLabelText(/^Tank: Rack 1/));
    fireEvent.press(screen.getByLabelText(/^Rack 2, nitrate/));
    expect(screen.getByText('Medaka')).toBeTruthy();
  });

  it('compares what is on the board with what is saved', async () => {
    const { store, asked } = openRun({}, 't1');
    await screen.findByLabelText('Run it');
    const from = draftOf(two[0]!, [groups[0]!]);
    const to = {
      ...from,
      diets: from.diets.map((diet) => ({
        ...diet,
        servings: diet.servings.map((serving) => ({
          ...serving,
          ownUnits: 0.5,
          days: [1, 4],
        })),
      })),
    };
    await waitFor(() => store.dispatch(planEdited({ tankId: 't1', from, to })));
    expect(await screen.findByText(/both plans are run, side by side/)).toBeTruthy();
    await run();
    const table = within(screen.getByLabelText('Two plans side by side'));
    const hungry = String(table.getByText(/^\d+ · \d+$/).props.children);
    const [saved, board] = hungry.split(' · ').map(Number);
    // Half a pinch twice a week is too little for ten fish.
    expect(board).toBeGreaterThan(saved! + 30);
    const share = () =>
      Number(/(\d+) %$/.exec(String(screen.getByText(/^else /).props.children))![1]);
    const other = share();
    expect(other).toBeLessThan(50);
    fireEvent.press(screen.getByLabelText('the one on the board'));
    expect(share()).toBeGreaterThan(other);
    // Nothing of this is saved.
    expect(asked.every(({ method }) => method === 'GET')).toBe(true);
  });

  it('can be cancelled, and run again', async () => {
    openRun();
    fireEvent.press(await screen.findByLabelText('Run it'));
    fireEvent.press(screen.getByText('Cancel'));
    expect(screen.queryByText('What runs out')).toBeNull();
    await run();
    expect(screen.getByLabelText('Run it again')).toBeTruthy();
  });

  it('has nothing to run where nobody lives', async () => {
    openRun({ 'GET /api/groups': { items: [], next: null } });
    const button = await screen.findByLabelText('Run it');
    expect(button.props.accessibilityState).toMatchObject({ disabled: true });
  });
});
