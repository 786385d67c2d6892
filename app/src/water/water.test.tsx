import type { Tank, WaterEventRow, WaterRow } from '@open-larder/contract';
import { addDays } from '@open-larder/core/round';
import { computeWaterStatus, UPTAKE, type WaterEvent } from '@open-larder/core/water';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, tank as plainTank } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { TODAY as DAY } from '../testing/clock';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { WaterScreen } from './WaterScreen';
import { WaterWork } from './WaterWork';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const RHYTHM = { share: 0.25, everyDays: 7, sourceMgL: 5 };
const tank: Tank = {
  ...plainTank,
  plan: {
    version: 3,
    validFrom: addDays(DAY, -90),
    cycle: { days: 7, from: '2024-01-01' },
    feedingStyle: null,
    fasts: [],
    water: { ...RHYTHM, source: { name: 'tap', tempC: 12, gh: 14, tdsMgL: 300 } },
  },
};
let made = 0;
const event = (daysAgo: number, over: Partial<WaterEventRow> = {}): WaterEventRow => ({
  id: `e${(made += 1)}`,
  tankId: tank.id,
  kind: 'tested',
  day: addDays(DAY, -daysAgo),
  at: `${addDays(DAY, -daysAgo)}T12:00:00.000Z`,
  hand: null,
  note: '',
  share: null,
  sure: false,
  tan: null,
  nitrite: null,
  nitrate: null,
  ph: null,
  gh: null,
  kh: null,
  tdsMgL: null,
  tempC: null,
  ...over,
});

function rowOf(events: WaterEventRow[], { mg = 20, said = true } = {}): WaterRow {
  return {
    tankId: tank.id,
    litres: 100,
    trigger: [],
    status: computeWaterStatus({
      litres: 100,
      tempC: 25,
      ph: 7,
      filtered: true,
      uptake: UPTAKE.few,
      since: addDays(DAY, -300),
      today: DAY,
      rhythm: { ...RHYTHM, said, heldUntil: null },
      events: events as WaterEvent[],
      servedMg: new Map(),
      plannedMg: Array<number>(56).fill(mg),
      groups: [{ id: 'g', name: 'Loaches', toleratesMgL: 20 }],
    }),
  };
}

const serve = (events: WaterEventRow[], over: object = {}, options = {}) =>
  standIn({
    ...answers(),
    'GET /api/tanks': { items: [tank], next: null },
    'GET /api/waters': { tanks: [rowOf(events, options)] },
    [`GET /api/tanks/${tank.id}/water`]: { items: [...events].reverse(), next: null },
    [`POST /api/tanks/${tank.id}/water`]: () => ({ status: 201, body: rowOf(events) }),
    ...over,
  });
const open = () =>
  show(
    <>
      <WaterScreen id={tank.id} />
      <Toast />
    </>,
  );

describe('the water of a tank', () => {
  it('says what is in it, how sure that is, and what to change', async () => {
    serve([event(9, { nitrate: 14 }), event(8, { kind: 'changed', share: 0.25 })]);
    open();
    expect(await screen.findByText(/^Nitrate about \d+(\.\d+)? mg\/L, likely/)).toBeTruthy();
    expect(screen.getByText(/^Tested .*: 14, give or take/)).toBeTruthy();
    expect(screen.getByText('25 L, 25 %: 1 day late')).toBeTruthy();
    expect(screen.getByText('2 buckets of 10 L and 5 L')).toBeTruthy();
    expect(screen.getByText(/^Bring it to/)).toBeTruthy();
  });

  it('a test in nitrate nitrogen is sent as nitrate', async () => {
    const asked = serve([]);
    open();
    fireEvent.press(await screen.findByText('Log a test'));
    fireEvent.press(await screen.findByText('NO3-N'));
    fireEvent.changeText(screen.getByLabelText('Nitrate'), '5');
    fireEvent.changeText(screen.getByLabelText('pH'), '7,2');
    fireEvent.press(screen.getByText('Note the test'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    const [body] = sent(asked, 'POST');
    expect(body).toMatchObject({ kind: 'tested', day: DAY, ph: 7.2, nitrite: null });
    expect(body!.nitrate as number).toBeCloseTo(22.1, 1);
  });

  it('a measured temperature has the tanks read again, for what their fish need', async () => {
    const asked = serve([]);
    const tanksRead = () => asked.filter(({ path }) => path === '/api/tanks').length;
    open();
    const note = async (label: string, value: string) => {
      fireEvent.press(await screen.findByText('Log a test'));
      fireEvent.press(await screen.findByText('Hardness, dissolved solids, temperature'));
      fireEvent.changeText(await screen.findByLabelText(label), value);
      fireEvent.press(screen.getByText('Note the test'));
    };
    await note('pH', '7.2');
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    const before = tanksRead();
    await note('Temperature', '23');
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(2));
    await waitFor(() => expect(tanksRead()).toBe(before + 1));
  });

  it('a reading that cannot be read stops the test, and says so', async () => {
    const asked = serve([]);
    open();
    fireEvent.press(await screen.findByText('Log a test'));
    fireEvent.changeText(await screen.findByLabelText('pH'), 'seven');
    fireEvent.press(screen.getByText('Note the test'));
    expect(await screen.findByText('«seven» is not a number')).toBeTruthy();
    expect(sent(asked, 'POST')).toHaveLength(0);
    expect(screen.getByText('Note the test')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('pH'), '~7,2');
    fireEvent.press(screen.getByText('Note the test'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ ph: 7.2 });
  });

  it('a strip is read by the words of its colours', async () => {
    const asked = serve([]);
    open();
    fireEvent.press(await screen.findByText('Log a test'));
    fireEvent.press(await screen.findByText('by colours of a strip'));
    fireEvent.press(screen.getByLabelText('Nitrate: Choose a colour'));
    fireEvent.press(await screen.findByText('pale pink'));
    fireEvent.press(screen.getByText('Note the test'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ nitrate: 25, ph: null });
  });

  it('an odd test is asked about, and written again as right', async () => {
    const events = [30, 24, 18, 12].map((ago) => event(ago, { nitrate: 12 }));
    const odd = event(1, { nitrate: 120 });
    const asked = serve([...events, odd], {
      [`POST /api/water/${odd.id}/undo`]: () => ({ status: 201, body: rowOf(events) }),
    });
    open();
    fireEvent.press(await screen.findByText('It is right'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(2));
    expect(sent(asked, 'POST')[1]).toMatchObject({ nitrate: 120, sure: true, day: odd.day });
  });

  it('each way to keep it under can be taken into the plan, and nothing else is changed', async () => {
    const asked = serve([], {
      [`PUT /api/tanks/${tank.id}/plan`]: () => ({ status: 200, body: {} }),
    });
    open();
    const take = await screen.findByLabelText(/^Change so often: every \d+ days?$/);
    fireEvent.press(take);
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    const [body] = sent(asked, 'PUT');
    expect(body).toMatchObject({ version: 3, diets: [], fasts: [] });
    expect((body!.water as { share: number; source: object }).share).toBe(0.25);
    expect((body!.water as { source: object }).source).toEqual(tank.plan!.water!.source);
  });

  it('over what they stand says first how to bring it down, and relaxes nothing', async () => {
    serve([event(0, { nitrate: 60 })]);
    open();
    expect(await screen.findByText('Bring it down first')).toBeTruthy();
    expect(screen.getAllByText(/^leaves about \d+ mg\/L$/).length).toBeGreaterThan(2);
    expect(screen.getByText(/^Today: 25 L, 25 %$/)).toBeTruthy();
    expect(screen.queryByText(/and more$/)).toBeNull();
    expect(screen.getByLabelText('The first change is done')).toBeTruthy();
  });

  it('tries out a heavier ration before it begins', async () => {
    serve([]);
    open();
    const before = (await screen.findByText(/^At its worst it peaks at/)).props.children as string;
    fireEvent.press(screen.getByLabelText('More: Food, compared with the plan'));
    fireEvent.press(screen.getByLabelText('More: Food, compared with the plan'));
    expect(screen.getByText(/^At its worst it peaks at/).props.children).not.toBe(before);
  });

  it('keeps to what the keeper says that its fish stand', async () => {
    const asked = serve([], {
      [`PUT /api/tanks/${tank.id}/plan`]: ({ body }: { body: object }) => ({
        status: 200,
        body: { ...tank.plan, ...body, version: 4 },
      }),
    });
    open();
    fireEvent.press(await screen.findByLabelText('Change schedule'));
    fireEvent.changeText(await screen.findByLabelText(/^Nitrate that its fish tolerate/), '30');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    expect(sent(asked, 'PUT')[0]).toMatchObject({ water: { capMgL: 30, share: 0.25 } });
  });

  it('is changed by a rhythm of one tap, and what cannot be is said before it is sent', async () => {
    const asked = serve([], {
      [`PUT /api/tanks/${tank.id}/plan`]: ({ body }: { body: object }) => ({
        status: 200,
        body: { ...tank.plan, ...body, version: 4 },
      }),
    });
    open();
    fireEvent.press(await screen.findByLabelText('Change schedule'));
    fireEvent.press(await screen.findByLabelText('little and often'));
    const days = screen.getByLabelText(/^Days from one change/);
    fireEvent.changeText(days, '400');
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText(/must lie between 1 and 90/)).toBeTruthy();
    expect(sent(asked, 'PUT')).toHaveLength(0);
    fireEvent.changeText(days, '3');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    expect(sent(asked, 'PUT')[0]).toMatchObject({ water: { share: 0.1, everyDays: 3 } });
  });

  it('of which nothing was said is asked about once, in one card', async () => {
    let plans = 0;
    const fresh = { ...tank, runsSince: null, plan: { ...tank.plan!, water: null } };
    const asked = serve(
      [],
      {
        'GET /api/tanks': { items: [fresh], next: null },
        [`PUT /api/tanks/${tank.id}`]: ({ body }: { body: object }) => ({
          status: 200,
          body: { ...fresh, ...body, version: 4 },
        }),
        [`PUT /api/tanks/${tank.id}/plan`]: ({ body }: { body: object }) => {
          plans += 1;
          return plans === 1
            ? {
                status: 503,
                body: { type: 'about:blank', status: 503, title: 'Busy', detail: 'Busy' },
              }
            : { status: 200, body: { plan: { ...tank.plan, ...body, version: 4 }, diets: [] } };
        },
        [`POST /api/tanks/${tank.id}/water`]: () => ({ status: 201, body: rowOf([]) }),
      },
      { said: false },
    );
    open();
    fireEvent.changeText(await screen.findByLabelText('Running since'), '2026-01-05');
    fireEvent.changeText(screen.getByLabelText('Water last changed'), addDays(DAY, -3));
    fireEvent.changeText(screen.getByLabelText('Usually change, %'), '30');
    fireEvent.changeText(screen.getByLabelText('Every, days'), '10');
    fireEvent.changeText(screen.getByLabelText('Nitrate of the new water, mg/L'), '18');
    fireEvent.press(screen.getByLabelText('Save the answers'));
    // The plan was refused at first: pressed again, the change is not noted twice.
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    fireEvent.press(await screen.findByLabelText('Save the answers'));
    await waitFor(() => expect(sent(asked, 'PUT').length).toBeGreaterThan(2));
    expect(sent(asked, 'POST')).toHaveLength(1);
    const [edited, plan] = sent(asked, 'PUT');
    expect(edited).toMatchObject({ runsSince: '2026-01-05' });
    expect(plan).toMatchObject({ water: { share: 0.3, everyDays: 10, sourceMgL: 18 } });
    expect(sent(asked, 'POST')[0]).toMatchObject({
      kind: 'changed',
      share: 0.3,
      day: addDays(DAY, -3),
    });
  });

  it('with nitrite in it offers two days without food, in the plan itself', async () => {
    const asked = serve([event(0, { nitrite: 1, nitrate: 10 })], {
      [`PUT /api/tanks/${tank.id}/plan`]: ({ body }: { body: object }) => ({
        status: 200,
        body: { plan: { ...tank.plan, ...body, version: 4 }, diets: [] },
      }),
    });
    open();
    fireEvent.press(await screen.findByLabelText('No food today and tomorrow'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    const [plan] = sent(asked, 'PUT') as [{ fasts: object[]; water: object }];
    expect(plan.fasts).toMatchObject([
      { groupId: null, when: { kind: 'dates', from: DAY, to: addDays(DAY, 1) } },
    ]);
    expect(plan.water).toMatchObject({ share: RHYTHM.share });
    fireEvent.press(await screen.findByLabelText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT')[1]).toMatchObject({ fasts: [], version: 4 });
  });

  it('of unknown litres, and of no such tank, it says what to do', async () => {
    serve([], {
      'GET /api/waters': { tanks: [{ tankId: tank.id, litres: null, status: null, trigger: [] }] },
    });
    open();
    expect(await screen.findByText('How much water it holds is not known')).toBeTruthy();
  });
});

describe('water in the round', () => {
  it('is asked for on its day, in buckets, and done with one tap', async () => {
    const asked = serve([event(7, { kind: 'changed', share: 0.25 })]);
    show(<WaterWork tankId={tank.id} />);
    expect(await screen.findByText('Change 25 L, 25 %: today')).toBeTruthy();
    fireEvent.press(screen.getByLabelText(`Changed: ${tank.name}`));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ kind: 'changed', share: 0.25, day: DAY });
  });

  it('is silent where nothing is due', async () => {
    const asked = serve([event(2, { kind: 'changed', share: 0.25 })]);
    show(<WaterWork tankId={tank.id} />);
    await waitFor(() => expect(asked.length).toBeGreaterThan(1));
    expect(screen.queryByLabelText(`Water of ${tank.name}`)).toBeNull();
  });

  it('warns of nitrite though no change is due', async () => {
    serve([event(2, { kind: 'changed', share: 0.25 }), event(0, { nitrite: 2 })]);
    show(<WaterWork tankId={tank.id} />);
    expect(await screen.findByText(/^Nitrite was 2 mg\/L/)).toBeTruthy();
  });
});
