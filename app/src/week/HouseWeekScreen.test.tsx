import { fireEvent, screen, within } from '@testing-library/react-native';
import { food, group, moment } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { HouseWeekScreen } from './HouseWeekScreen';
import { house, labelOf, noon, tanks } from './week.testkit';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const serving = group.diet!.servings[0]!;
const soaked = {
  ...food,
  id: 'soaked',
  name: 'Hard granules',
  steps: [
    { kind: 'open-freeze' as const, leadMin: 240, workMin: 5, toMm: null },
    { kind: 'soak' as const, leadMin: 20, workMin: 1, toMm: null },
  ],
  keeps: { ...food.keeps, preparedHours: 12 },
};

/** Two tanks that are fed at noon, and one of them in the evening too. */
function openHouse(over: object = {}) {
  const eats = (id: string, tankId: string, servings: object[]) => ({
    ...group,
    id,
    tankId,
    diet: { ...group.diet!, servings },
  });
  standIn(
    house({
      'GET /api/tanks': { items: tanks(2), next: null },
      'GET /api/foods': { items: [food, soaked], next: null },
      'GET /api/groups': {
        items: [
          eats('g1', 't1', [
            { ...serving, id: 's1', momentId: 'noon', foodId: 'soaked' },
            { ...serving, id: 's2' },
          ]),
          eats('g2', 't2', [{ ...serving, id: 's3', momentId: 'noon', foodId: 'soaked' }]),
        ],
        next: null,
      },
      ...over,
    }),
  );
  show(<HouseWeekScreen />);
}

describe('the whole house by day and moment', () => {
  it('adds up the work of all tanks, and says where there is more than time', async () => {
    openHouse();
    const grid = within(await screen.findByLabelText('Minutes of work by day and moment'));
    const cells = grid.getAllByRole('cell').map((cell) => labelOf(cell));
    // Seven days at each of the two moments; the seventh day everyone fasts.
    expect(cells).toHaveLength(14);
    const noons = cells.filter((label) => label.includes(noon.name));
    expect(noons.filter((label) => label.endsWith(', more than you have'))).toHaveLength(6);
    expect(noons.filter((label) => label.endsWith(': 0 minutes'))).toHaveLength(1);
    const evenings = cells.filter((label) => label.includes(moment.name));
    const minutes = (label: string) => Number(/: (\d+) minutes/.exec(label)![1]);
    // No limit was said in the evening, and one tank is less work than two.
    expect(evenings.some((label) => label.includes('more than'))).toBe(false);
    expect(Math.max(...evenings.map(minutes))).toBeLessThan(Math.max(...noons.map(minutes)));
    expect(grid.getByText('1 min to spare')).toBeTruthy();
    expect(grid.getByText('no limit said')).toBeTruthy();
  });

  it('shows what is served at a moment when it is tapped', async () => {
    openHouse();
    const grid = within(await screen.findByLabelText('Minutes of work by day and moment'));
    const cell = grid
      .getAllByRole('cell')
      .find((one) => labelOf(one).startsWith('Mo') && labelOf(one).includes(noon.name))!;
    fireEvent.press(cell);
    expect(screen.getByText('12:30 Rack 1')).toBeTruthy();
    expect(screen.getByText('12:30 Rack 2')).toBeTruthy();
    expect(screen.getAllByText(/hard granules for zebrafish$/).length).toBe(2);
    expect(screen.queryByText('18:30 Rack 1')).toBeNull();
    fireEvent.press(screen.getAllByLabelText('Close')[0]!);
    // The head of a day opens all of it.
    fireEvent.press(grid.getAllByLabelText(/^All of Mon/)[0]!);
    expect(screen.getByText('18:30 Rack 1')).toBeTruthy();
  });

  it('merges what is to be prepared over tanks, and says what to make ahead', async () => {
    openHouse();
    const [task] = await screen.findAllByText(/^12:10 .*hard granules$/);
    expect(task).toBeTruthy();
    // Once a day for both tanks, on six days.
    expect(screen.getAllByText(/^12:10 /)).toHaveLength(6);
    expect(screen.getAllByText('ready by 12:30 for 2 tanks')).toHaveLength(6);
    expect(screen.getByText('Make ahead at the weekend')).toBeTruthy();
  });

  it('says what to do where nothing is planned', async () => {
    openHouse({ 'GET /api/groups': { items: [{ ...group, diet: null }], next: null } });
    expect(await screen.findByText('Nothing planned in this house')).toBeTruthy();
  });

  it('says when the house cannot be read, and reads it again', async () => {
    let ready = false;
    openHouse({
      'GET /api/moments': () =>
        ready
          ? { status: 200, body: { items: [moment, noon], next: null } }
          : {
              status: 503,
              body: {
                type: 'about:blank',
                title: 'Not ready',
                status: 503,
                detail: 'No database.',
              },
            },
    });
    expect(await screen.findByText('No database.')).toBeTruthy();
    ready = true;
    fireEvent.press(screen.getByText('Try again'));
    expect(await screen.findByLabelText('Minutes of work by day and moment')).toBeTruthy();
  });
});
