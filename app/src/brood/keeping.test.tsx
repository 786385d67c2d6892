import type { BroodEvent } from '@open-larder/core/brood';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { group, tank } from '../testing/house';
import { push } from '../testing/router';
import { sent } from '../testing/server';
import { TODAY as DAY } from '../testing/clock';
import { BroodsScreen } from './BroodsScreen';
import { BroodsWork } from './BroodsWork';
import { ParentsScreen } from './ParentsScreen';
import { dueMeal, mealLine } from './fryMeals';
import { asked, event, fry, open, row } from './brood.testkit';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const FED = {
  id: 'fed',
  servingId: 's',
  day: DAY,
  groupId: null,
  broodId: 'Fry',
  tubId: 't A',
  foodId: 'f1',
  outcome: 'served' as const,
  plannedUnits: 2,
  units: 2,
  massG: 0.02,
  note: '',
  hand: null,
  at: `${DAY}T12:00:00.000Z`,
};

describe('meals of young in tubs', () => {
  const meal = (minutes: number, foodId: string | null = 'f1') => ({
    minutes,
    servings: ['A', 'B'].map((tubName) => ({
      servingId: `s ${minutes} ${tubName}`,
      tubId: `t ${tubName}`,
      tubName,
      key: 'powder',
      foodId,
      name: 'Fry powder',
      family: 'mortar' as const,
      units: 2,
      unit: { name: 'tip', plural: 'tips', massG: 0.01, step: 1 },
      fed: null,
    })),
  });
  it('of which the last whose time has come is due; what was missed is not made up for', () => {
    const meals = [meal(480), meal(720), meal(1140)];
    expect(dueMeal(meals, 300)).toBeNull();
    expect(dueMeal(meals, 720)).toBe(meals[1]);
    expect(dueMeal(meals, 690)).toBe(meals[1]);
    const given = {
      ...meal(720),
      servings: meal(720).servings.map((one) => ({ ...one, fed: FED })),
    };
    expect(dueMeal([meals[0]!, given, meals[2]!], 720)).toBeNull();
    expect(mealLine({ meals: [meals[0]!, given, meals[2]!] }, 720, String).says).toBe('next 1140');
  });

  it('are given to all tubs in one tap, and written for each', async () => {
    open([fry({ meals: [meal(5)] })], <BroodsWork broodId="Fry" />, {
      'POST /api/feedings': () => ({ status: 201, body: { feeding: FED, shortG: 0 } }),
    });
    fireEvent.press(await screen.findByText('Give all'));
    await waitFor(() =>
      expect(sent(asked, 'POST')).toMatchObject([
        { groupId: null, broodId: 'Fry', tubId: 't A', foodId: 'f1', outcome: 'served', units: 2 },
        { groupId: null, broodId: 'Fry', tubId: 't B', foodId: 'f1', outcome: 'served', units: 2 },
      ]),
    );
    expect(screen.getByText(/2 tips fry powder in each of 2 tubs: given/)).toBeTruthy();
  });

  it('go otherwise in one tub: not taken, of what was given there', async () => {
    open([fry({ meals: [meal(5)] })], <BroodsWork broodId="Fry" />, {
      'POST /api/feedings': () => ({ status: 201, body: { feeding: FED, shortG: 0 } }),
    });
    fireEvent.press(await screen.findByText('By tub'));
    fireEvent.press(screen.getByLabelText('Otherwise: Fry powder in B'));
    fireEvent.press(screen.getByText('Not taken'));
    await waitFor(() =>
      expect(sent(asked, 'POST')).toMatchObject([{ tubId: 't B', outcome: 'refused', units: 2 }]),
    );
  });

  it('of a food that is not on the shelf cannot be logged, and say so', async () => {
    open([fry({ meals: [meal(5, null)] })], <BroodsWork broodId="Fry" />);
    expect(await screen.findByText(/put this food on the shelf/)).toBeTruthy();
    expect(screen.queryByText('Give all')).toBeNull();
  });
});

describe('young that are made a group', () => {
  it('get a tank, and their brood names it', async () => {
    const own = fry();
    const pond = { ...tank, id: '0190b6a0-0000-7000-8000-000000000001', name: 'Grow-out' };
    open([own], <BroodsScreen id="Fry" />, {
      'GET /api/tanks': { items: [tank, pond], next: null },
      'POST /api/groups': ({ body }: { body: unknown }) => ({
        status: 201,
        body: { ...group, ...(body as object) },
      }),
      'PUT /api/broods/Fry': ({ body }: { body: unknown }) => ({
        status: 200,
        body: { ...own, ...(body as object) },
      }),
    });
    fireEvent.press(await screen.findByText('Make them a group'));
    fireEvent.press(screen.getAllByText('Make them a group').at(-1)!);
    expect(await screen.findByText('Choose the tank that they move into')).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^Tank\W/));
    fireEvent.press(await screen.findByText('Grow-out'));
    fireEvent.press(screen.getAllByText('Make them a group').at(-1)!);
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    const [made] = sent(asked, 'POST');
    expect(made).toMatchObject({ tankId: pond.id, unsexed: 60, stage: 'juvenile' });
    expect(sent(asked, 'PUT')[0]).toMatchObject({ youngGroupId: made!.id });
  });
});

describe('the parents', () => {
  it('have who they are, how to tell, their clutches, what is to be expected, and what went wrong', async () => {
    const of = (id: string, events: BroodEvent[]) => row(id, events, { groupId: 'g1' });
    open(
      [
        of('First', [
          event('spawned', 60),
          event('eggsSeen', 60, { count: 90 }),
          event('eggsEaten', 58),
        ]),
        of('Second', [event('spawned', 45), event('eggsEaten', 44)]),
        of('Third', [event('spawned', 30), event('eggsSeen', 30, { count: 80 })]),
      ],
      <ParentsScreen id="g1" />,
      { 'GET /api/groups': { items: [{ ...group, id: 'g1' }], next: null } },
    );
    expect(await screen.findByText(/^laid .*: 90 eggs · the eggs were eaten$/)).toBeTruthy();
    expect(screen.getByText('How to tell them apart')).toBeTruthy();
    expect(screen.getByText(/^They spawn about every 15 days/)).toBeTruthy();
    expect(screen.getByText('In 2 clutches the eggs were eaten')).toBeTruthy();
    fireEvent.press(screen.getByText('Third'));
    expect(push).toHaveBeenCalledWith('/broods/Third');
  });
});
