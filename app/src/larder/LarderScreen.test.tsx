import { assumed } from '@open-larder/core/why';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, food, supplyOf } from '../testing/house';
import { push } from '../testing/router';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { CompareScreen } from './CompareScreen';
import { EditFoodScreen } from './EditFoodScreen';
import { LarderScreen } from './LarderScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

describe('the larder', () => {
  it('shows jars by the place they stand in, and what runs short', async () => {
    standIn(answers());
    show(<LarderScreen />);
    expect(await screen.findByText('Cupboard')).toBeTruthy();
    expect(await screen.findByText('5 days')).toBeTruthy();
    expect(screen.getByText(/1 foods · €0.18 a day · next to buy within 5 days/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Fine flake, 5 days'));
    expect(push).toHaveBeenCalledWith('/larder/f1');
  });

  it('says what to buy by when, the most urgent first, and what can wait', async () => {
    const buy = (orderBy: string, late: boolean, packs: number | null) => ({
      runsOutOn: '2099-03-20',
      orderBy,
      late,
      massG: 36,
      why: assumed('Use', 36, 'g', 'test'),
      packs,
    });
    const foods = [
      { ...food, id: 'f1', name: 'Fine flake' },
      { ...food, id: 'f2', name: 'Fry powder' },
      { ...food, id: 'f3', name: 'Wafer' },
      { ...food, id: 'f4', name: 'Live fleas', kind: 'live' },
    ];
    standIn({
      ...answers(),
      'GET /api/foods': { items: foods, next: null },
      'GET /api/larder/supply': {
        horizon: 120,
        groups: [],
        foods: [
          supplyOf('f1', { buy: buy('2099-03-16', false, 2) }),
          supplyOf('f2', { buy: buy('2000-01-01', true, null), packG: null }),
          supplyOf('f3', { buy: null }),
          supplyOf('f4', { buy: buy('2000-01-01', true, null), packG: null }),
        ],
      },
    });
    show(<LarderScreen />);
    expect(await screen.findByText('order today')).toBeTruthy();
    expect(screen.getByText(/36 g · runs out on .*, before it can come/)).toBeTruthy();
    expect(screen.queryByText(/order by/)).toBeNull();
    fireEvent.press(screen.getByLabelText('1 more, later'));
    expect(screen.getByText(/2 packs of 60 g · runs out on Fri/)).toBeTruthy();
    expect(screen.getByText('order by Mon 16 Mar')).toBeTruthy();
    expect(screen.getAllByText(/^Live fleas/)).toHaveLength(1);
  });

  it('says once which serving units were corrected', async () => {
    const corrected = { foodId: 'f1', name: 'Wafer', unit: 'wafer', wasG: 0.6, isG: 2.3 };
    let seen = false;
    const asked = standIn({
      ...answers(),
      'GET /api/larder/corrections': () => ({
        status: 200,
        body: { foods: seen ? [] : [corrected] },
      }),
      'POST /api/larder/corrections/seen': () => {
        seen = true;
        return { status: 201, body: { foods: [] } };
      },
    });
    show(<LarderScreen />);
    expect(await screen.findByText('Wafer: one wafer is 2.3 g, not 0.6 g')).toBeTruthy();
    fireEvent.press(screen.getByText('I have seen it'));
    await waitFor(() => expect(screen.queryByText(/^Wafer: one wafer is/)).toBeNull());
    expect(sent(asked, 'POST')).toEqual([{ foodIds: ['f1'] }]);
  });

  it('shows one food with its lots, make-up and energy', async () => {
    standIn(answers());
    show(<LarderScreen id="f1" />);
    expect(await screen.findByText('42 g left, 5 days')).toBeTruthy();
    // Use is off by a quarter: four to seven days.
    expect(screen.getByText(/^Runs out around .*; likely between .* and .*\.$/)).toBeTruthy();
    expect(screen.getByText('42 g of 60 g')).toBeTruthy();
    expect(screen.getByText(/protein 46 % · fat 8 %/)).toBeTruthy();
    expect(screen.getByText('14.9 kJ/g')).toBeTruthy();
  });

  it('takes a food down with all its fields, and says where the way back is', async () => {
    const asked = standIn({
      ...answers(),
      'PUT /api/foods/f1': { ...food, version: 2, archived: true },
    });
    show(<LarderScreen id="f1" />);
    fireEvent.press(await screen.findByLabelText('Put away'));
    await screen.findByText('42 g of 60 g');
    const [put] = sent(asked, 'PUT');
    const { id: _, lots: __, remainingG: ___, weighings: ____, ...fields } = food;
    expect(put).toEqual({ ...fields, archived: true });
  });

  it('shows how a food is prepared, what its serving unit weighs by hand, and what will be wasted', async () => {
    const weighed = { units: 20, day: '2026-02-01', hand: 'Ada' };
    standIn({
      ...answers(),
      'GET /api/foods': {
        items: [
          {
            ...food,
            steps: [{ kind: 'soak', leadMin: 120, workMin: 1, toMm: null }],
            keeps: { sealedDays: 720, openedDays: 90, preparedHours: 4 },
            cautions: { people: ['dust can cause allergy'], fish: [] },
            weighings: [
              { ...weighed, id: 'w1', massG: 1 },
              { ...weighed, id: 'w2', massG: 1.4 },
            ],
          },
        ],
        next: null,
      },
      'GET /api/larder/supply': {
        horizon: 120,
        groups: [],
        foods: [supplyOf('f1', { waste: [{ lotId: 'l1', massG: 31, on: '2026-04-06' }] })],
      },
    });
    show(<LarderScreen id="f1" />);
    expect(await screen.findByText('31 g')).toBeTruthy();
    expect(screen.getByText(/soak 2 h · 1 min of work · keeps 4 h prepared/)).toBeTruthy();
    expect(screen.getByText(/pieces of 0.5 to 2 mm · sinks 2 cm a second/)).toBeTruthy();
    expect(screen.getByText('dust can cause allergy')).toBeTruthy();
    expect(screen.getByText(/cupboard · opened .* · (past|good until) Sun 5 Apr/)).toBeTruthy();
    expect(screen.getByText(/31 g will not be used by then/)).toBeTruthy();
    // 20 weighed 1 g, then 1.4 g: 0.06 g each, and single ones differ as √(20·0.01²·2).
    expect(screen.getByText('0.06 g ± 0.0632 g')).toBeTruthy();
    expect(
      screen.getByText(/40 pinches in 2 weighings · one differs from the next by 105 %/),
    ).toBeTruthy();
  });

  it('is searched and narrowed once it is full', async () => {
    const many = Array.from({ length: 60 }, (_, at) => ({
      ...food,
      id: `m${at}`,
      name: `Food ${at}`,
      kind: at % 2 === 0 ? 'dry' : 'frozen',
      lots: [],
    }));
    const foods = many.map((_, at) =>
      supplyOf(`m${at}`, at === 7 ? {} : { days: 80, usedPerWeekG: at % 10 === 0 ? 1 : 0 }),
    );
    standIn({
      ...answers(),
      'GET /api/foods': { items: many, next: null },
      'GET /api/larder/supply': { horizon: 120, groups: [], foods },
    });
    show(<LarderScreen />);
    const jars = () => screen.getAllByRole('link', { name: /^Food \d/ }).length;
    expect(await screen.findByText('Freezer')).toBeTruthy();
    expect(jars()).toBe(60);
    fireEvent.press(screen.getByLabelText('In the plan'));
    expect(jars()).toBe(7);
    fireEvent.press(screen.getByLabelText('Short or due'));
    expect(screen.getByLabelText('Food 7, 5 days')).toBeTruthy();
    expect(jars()).toBe(1);
    fireEvent.press(screen.getByLabelText('Everything'));
    fireEvent.changeText(screen.getByLabelText('Find a food by name or kind'), 'food 1 frozen');
    expect(jars()).toBe(10);
    fireEvent.changeText(screen.getByLabelText('Find a food by name or kind'), 'nothing such');
    expect(screen.getByText('None of them.')).toBeTruthy();
  });

  it('says what to do first where the shelf is empty', async () => {
    standIn({ ...answers(), 'GET /api/foods': { items: [], next: null } });
    show(<LarderScreen />);
    expect(await screen.findByText('The shelf is empty')).toBeTruthy();
  });
});

describe('a changed food', () => {
  it('somewhere else too shows what differs inside its serving unit', async () => {
    const id = '01a20b8f-8261-7d0d-87a6-870c81b69e82';
    const ours = { ...food, id };
    standIn({
      ...answers(),
      'GET /api/foods': { items: [ours], next: null },
      [`PUT /api/foods/${id}`]: ({ body }: { body: unknown }) => ({
        status: 409,
        body: {
          type: 'urn:open-larder:stale',
          title: 'Changed meanwhile',
          status: 409,
          detail: 'This food was changed somewhere else.',
          yours: body,
          theirs: { ...ours, version: 2, unit: { ...food.unit, massG: 0.03 } },
        },
      }),
    });
    show(<EditFoodScreen id={id} />);
    fireEvent.press(await screen.findByLabelText('Save'));
    expect(
      await screen.findByText(
        'Serving unit: yours pinch · pinches · 0.02 · 0.5, theirs pinch · pinches · 0.03 · 0.5',
      ),
    ).toBeTruthy();
  });
});

describe('foods side by side', () => {
  const wet = {
    ...food,
    id: 'f2',
    name: 'Thawed worms',
    kind: 'frozen',
    family: 'cube',
    composition: { protein: 0.06, fat: 0.01, fibre: 0.006, ash: 0.009, moisture: 0.9 },
    lots: [],
  };

  it('are sorted by any figure, what is not known last', async () => {
    standIn({ ...answers(), 'GET /api/foods': { items: [wet, food], next: null } });
    show(<CompareScreen />);
    const names = () =>
      screen.getAllByText(/^(Fine flake|Thawed worms)$/).map((one) => one.props.children);
    await screen.findByText('Fine flake');
    expect(names()).toEqual(['Fine flake', 'Thawed worms']);
    fireEvent.press(screen.getByLabelText('Sort by Protein'));
    expect(names()).toEqual(['Thawed worms', 'Fine flake']);
    fireEvent.press(screen.getByLabelText('Sort by Protein'));
    expect(names()).toEqual(['Fine flake', 'Thawed worms']);
    fireEvent.press(screen.getByLabelText('Sort by 100 kJ'));
    expect(names()).toEqual(['Fine flake', 'Thawed worms']);
    expect(screen.getAllByText('–')).toHaveLength(2);
    // A zebrafish of 3.5 cm opens its mouth 1.75 mm wide, and takes worms end on.
    expect(screen.getByText('smaller ones')).toBeTruthy();
    expect(screen.getByText('whole')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Filter by name or kind'), 'frozen');
    expect(names()).toEqual(['Thawed worms']);
  });
});
