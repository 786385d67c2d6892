import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { MealInWater } from '@open-larder/contract';
import { addDays, PLAIN } from '@open-larder/core/round';
import { assumed } from '@open-larder/core/why';
import { openHere } from '../offline/here';
import { answers, food, round, supplyOf } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { testNowMs, TODAY } from '../testing/clock';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { RoundScreen } from './RoundScreen';
import { ToOrder } from './ToOrder';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const DAY = '2026-03-04';

function open(more: Record<string, unknown> = {}) {
  const asked = standIn({ ...answers(), [`GET /api/round/${DAY}`]: round(DAY), ...more });
  show(
    <>
      <RoundScreen day={DAY} />
      <Toast />
    </>,
  );
  return asked;
}

/** The server writes what it is told, and its round shows it from then on. */
function remembering() {
  let fed: Record<string, unknown> | null = null;
  return {
    'POST /api/feedings': ({ body }: { body: unknown }) => {
      fed = { ...(body as object), massG: 0.06 };
      return { status: 201, body: { feeding: fed, shortG: 0 } };
    },
    [`GET /api/round/${DAY}`]: () => {
      const view = round(DAY);
      const serving = view.moments[0]!.stops[0]!.servings[0]!;
      serving.fed = fed as typeof serving.fed;
      return { status: 200, body: view };
    },
  };
}

describe('the round', () => {
  it('shows what to serve, where, and who rests', async () => {
    open();
    expect(await screen.findByText(/3 pinches fine flake/)).toBeTruthy();
    expect(screen.getByText(/Zebrafish · front left, surface/)).toBeTruthy();
    expect(screen.getByText(/Medaka, Millpond: no food planned today/)).toBeTruthy();
  });

  it('logs a serving as planned with one tap, and offers to undo it', async () => {
    const asked = open(remembering());
    fireEvent.press(await screen.findByLabelText(/^Served: 3 pinches/));
    expect(await screen.findByLabelText('Undo: Fine flake for Zebrafish')).toBeTruthy();
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({
      servingId: 's1',
      day: DAY,
      outcome: 'served',
      units: 3,
      plannedUnits: 3,
    });
    expect(screen.getByText(/3 pinches Fine flake for Zebrafish: served/)).toBeTruthy();
  });

  it('logs something more than was planned, where the fish are', async () => {
    const asked = open(remembering());
    fireEvent.press(await screen.findByLabelText('Give something more in Millpond'));
    fireEvent.press(await screen.findByLabelText(/^What: /));
    fireEvent.press(screen.getByLabelText(/^Fine flake/));
    fireEvent.press(screen.getByLabelText('More: Put in'));
    fireEvent.press(screen.getByLabelText('Log it'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({
      outcome: 'more',
      plannedUnits: 0,
      note: 'besides the plan',
      day: DAY,
    });
    expect(screen.getByText(/Fine flake for Zebrafish, besides/)).toBeTruthy();
  });

  it('logs less by half a portion unless told otherwise, with a note', async () => {
    const asked = open(remembering());
    fireEvent.press(await screen.findByLabelText(/^Less, more, refused or skipped/));
    expect(await screen.findByText('1½ pinches')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('More: Put in'));
    fireEvent.changeText(screen.getByLabelText('Note'), '  slow today ');
    fireEvent.press(screen.getByLabelText('Log less'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ outcome: 'less', units: 2, note: 'slow today' });
  });

  it.each([
    ['Refused', { outcome: 'refused', units: 3 }],
    ['Skipped', { outcome: 'skipped', units: 0 }],
    ['More', { outcome: 'more', units: 4.5 }],
  ])('logs %s', async (choice, logged) => {
    const asked = open(remembering());
    fireEvent.press(await screen.findByLabelText(/^Less, more, refused or skipped/));
    fireEvent.press(await screen.findByLabelText(choice));
    fireEvent.press(screen.getByLabelText(`Log ${logged.outcome}`));
    await waitFor(() => expect(sent(asked, 'POST')[0]).toMatchObject(logged));
  });

  it('takes back what the server refuses, and says why', async () => {
    open({
      'POST /api/feedings': () => ({
        status: 422,
        body: {
          type: 'about:blank',
          title: 'Does not fit',
          status: 409,
          detail: 'It was logged already.',
        },
      }),
    });
    fireEvent.press(await screen.findByLabelText(/^Served: 3 pinches/));
    expect(await screen.findByText('It was logged already.')).toBeTruthy();
    expect(await screen.findByLabelText(/^Served: 3 pinches/)).toBeTruthy();
  });

  it('without a server keeps what was served, and sends it when there is one', async () => {
    open();
    fireEvent.press(await screen.findByLabelText(/^Served: 3 pinches/));
    expect(await screen.findByLabelText('Undo: Fine flake for Zebrafish')).toBeTruthy();
    const { outbox, kept } = await openHere();
    await waitFor(() => expect(kept()).toMatchObject([{ route: 'logFeeding', released: true }]));
    const back = standIn({ ...answers(), ...remembering() });
    await outbox.pass();
    expect(sent(back, 'POST')).toMatchObject([{ servingId: 's1', units: 3 }]);
    expect(kept()).toEqual([]);
  });

  it('says what to do first where there is nothing yet', async () => {
    open({
      'GET /api/tanks': { items: [], next: null },
      'GET /api/groups': { items: [], next: null },
      [`GET /api/round/${DAY}`]: { ...round(DAY), moments: [] },
    });
    expect(await screen.findByText('No tanks yet')).toBeTruthy();
    expect(screen.getByLabelText('Say what you have')).toBeTruthy();
  });

  it('shows a fault of the server with a way to try again', async () => {
    const problem = {
      type: 'about:blank',
      title: 'Not ready',
      status: 503,
      detail: 'The database rests.',
    };
    open({ [`GET /api/round/${DAY}`]: () => ({ status: 503, body: problem }) });
    expect(await screen.findByText('The database rests.')).toBeTruthy();
    expect(screen.getByLabelText('Try again')).toBeTruthy();
  });

  it('says before a pack runs out what to order and what to make today', async () => {
    const buy = {
      runsOutOn: '2000-01-03',
      orderBy: '2000-01-01',
      late: true,
      massG: 3,
      why: assumed('Use', 3, 'g', 'test'),
      packs: 1,
    };
    standIn({
      ...answers(),
      'GET /api/foods': { items: [food, { ...food, id: 'f2', name: 'Gel' }], next: null },
      'GET /api/larder/supply': {
        horizon: 120,
        groups: [],
        foods: [supplyOf('f1', { buy }), supplyOf('f2', { buy, homemade: true })],
      },
    });
    show(<ToOrder />);
    expect(await screen.findByText('Today: order Fine flake; make Gel')).toBeTruthy();
  });
});

describe('what is in the water', () => {
  /** Today's round, of which the server keeps what was served and seen. */
  function openToday(more: Record<string, unknown> = {}, inWater: MealInWater[] = []) {
    let fed: Record<string, unknown> | null = null;
    const asked = standIn({
      ...answers(),
      [`GET /api/round/${TODAY}`]: () => {
        const view = { ...round(TODAY), inWater };
        const serving = view.moments[0]!.stops[0]!.servings[0]!;
        serving.fed = fed as typeof serving.fed;
        return { status: 200, body: view };
      },
      'POST /api/feedings': ({ body }: { body: unknown }) => {
        fed = { ...(body as object), massG: 0.06 };
        return { status: 201, body: { feeding: fed, shortG: 0 } };
      },
      'POST /api/tanks/t1/sightings': ({ body }: { body: unknown }) => ({ status: 201, body }),
      ...more,
    });
    show(
      <>
        <RoundScreen />
        <Toast />
      </>,
    );
    return asked;
  }
  const ago = (minutes: number) => new Date(testNowMs() - minutes * 60_000).toISOString();
  const drop = (over: object = {}) => ({
    key: 's1',
    foodId: 'f1',
    groupId: 'g1',
    atMin: 1110,
    massG: 0.06,
    zone: 'surface' as const,
    place: '',
    manner: PLAIN,
    at: ago(1),
    ended: false,
    ...over,
  });
  const meal = (over: object = {}): MealInWater => ({
    tankId: 't1',
    day: TODAY,
    momentId: 'evening',
    drops: [drop()],
    ...over,
  });
  const seen = (asked: ReturnType<typeof standIn>) =>
    asked.filter(({ path }) => path.endsWith('/sightings')).map(({ body }) => body);
  const serve = async () => {
    fireEvent.press(await screen.findByLabelText(/^Served: 3 pinches/));
    return screen.findByLabelText('Fine flake in Millpond');
  };

  it('is timed from the tap, and said gone at another', async () => {
    const asked = openToday();
    await serve();
    expect(screen.getByText(/^lift in [45]:\d\d$/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Gone: Fine flake in Millpond'));
    await waitFor(() => expect(seen(asked)).toHaveLength(1));
    expect(seen(asked)[0]).toMatchObject({
      day: TODAY,
      momentId: 'evening',
      left: null,
      dropKeys: ['s1'],
      drops: [{ key: 's1', foodId: 'f1', groupId: 'g1', massG: 0.06, place: 'front left' }],
    });
    expect((seen(asked)[0] as { clearedMin: number }).clearedMin).toBeLessThan(1);
    expect(await screen.findByText(/^Millpond, Fine flake: gone after 0:/)).toBeTruthy();
    expect(screen.queryByLabelText('Fine flake in Millpond')).toBeNull();
    // Said by mistake: the way back is in the line that says so.
    fireEvent.press(screen.getAllByLabelText('Undo').at(-1)!);
    expect(await screen.findByLabelText('Fine flake in Millpond')).toBeTruthy();
  });

  it('is known whoever put it in, each food with its own clock and its own end', async () => {
    const wafer = drop({ key: 's9', foodId: 'f9', at: ago(30) });
    const foods = [food, { ...food, id: 'f9', name: 'Nettle wafer', liftAfterMin: 120 }];
    const asked = openToday({ 'GET /api/foods': { items: foods, next: null } }, [
      meal({ drops: [drop(), wafer] }),
    ]);
    expect(await screen.findByText(/^1:0\d$/)).toBeTruthy();
    expect(screen.getByText(/^30:0\d$/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Gone: Fine flake in Millpond'));
    await waitFor(() => expect(seen(asked)[0]).toMatchObject({ dropKeys: ['s1'] }));
    expect((seen(asked)[0] as { clearedMin: number }).clearedMin).toBeLessThan(2);
    // The other lies on, and the meal is noted with both.
    expect(screen.getByLabelText('Nettle wafer in Millpond')).toBeTruthy();
    expect(screen.queryByLabelText('Fine flake in Millpond')).toBeNull();
    expect((seen(asked)[0] as { drops: object[] }).drops).toHaveLength(2);
  });

  it('is gone all at once where it is', async () => {
    const asked = openToday({}, [meal({ drops: [drop(), drop({ key: 's2', groupId: 'g2' })] })]);
    expect(await screen.findByLabelText('Fine flake for Zebrafish in Millpond')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('All of it is gone in Millpond'));
    await waitFor(() => expect(seen(asked)[0]).toMatchObject({ dropKeys: ['s1', 's2'] }));
  });

  it('says what was left, in quarters, up to a refusal', async () => {
    const asked = openToday({}, [meal()]);
    fireEvent.press(await screen.findByLabelText('Some is left: Fine flake in Millpond'));
    fireEvent.press(screen.getByLabelText('All: refused was left: Fine flake in Millpond'));
    await waitFor(() => expect(seen(asked)[0]).toMatchObject({ clearedMin: null, left: 1 }));
    expect(await screen.findByText('Millpond, Fine flake: all of it was left.')).toBeTruthy();
  });

  it('is asked to be lifted once the food’s time is over, or is not watched', async () => {
    const asked = openToday({}, [meal({ drops: [drop({ at: ago(6) })] })]);
    expect(await screen.findByText('remove leftovers')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Some is left: Fine flake in Millpond'));
    fireEvent.press(screen.getByLabelText('Not watched: Fine flake in Millpond'));
    await waitFor(() => expect(screen.queryByLabelText('Fine flake in Millpond')).toBeNull());
    await waitFor(() =>
      expect(seen(asked)[0]).toMatchObject({ unwatched: true, clearedMin: null, left: null }),
    );
  });

  it('stays in sight where the server did not take what was seen', async () => {
    openToday({
      'POST /api/tanks/t1/sightings': () => ({
        status: 422,
        body: { type: 'about:blank', title: 'x', status: 422, detail: 'No such moment.' },
      }),
    });
    await serve();
    fireEvent.press(screen.getByLabelText('Gone: Fine flake in Millpond'));
    expect(await screen.findByText('No such moment.')).toBeTruthy();
    expect(screen.getByLabelText('Fine flake in Millpond')).toBeTruthy();
  });

  it('of another moment stays in sight', async () => {
    openToday({}, [meal({ momentId: 'earlier', drops: [drop({ at: ago(120) })] })]);
    // Its time is over: it says so by itself. What may lie on is a tap away.
    expect(await screen.findByText('Millpond: fine flake')).toBeTruthy();
    expect(screen.getByText(/^2 h 0 min$/)).toBeTruthy();
    screen.unmount();
    openToday({}, [meal({ momentId: 'earlier' })]);
    fireEvent.press(await screen.findByText('1 still in the water'));
    expect(screen.getByText('Millpond: fine flake')).toBeTruthy();
  });

  it('is not timed when another day is logged, and ends when the serving is taken back', async () => {
    const past = open(remembering());
    fireEvent.press(await screen.findByLabelText(/^Served: 3 pinches/));
    await waitFor(() => expect(sent(past, 'POST')).toHaveLength(1));
    expect(screen.queryByLabelText('Fine flake in Millpond')).toBeNull();
    screen.unmount();
    openToday({ 'POST /api/feedings/x/undo': { status: 201, body: {} } });
    await serve();
    fireEvent.press(screen.getByLabelText('Undo: Fine flake for Zebrafish'));
    await waitFor(() => expect(screen.queryByLabelText('Fine flake in Millpond')).toBeNull());
  });
});

describe('a day that has not come', () => {
  it('is asked about before anything is logged of it', async () => {
    const tomorrow = addDays(TODAY, 1);
    const asked = standIn({
      ...answers(),
      [`GET /api/round/${tomorrow}`]: round(tomorrow),
      'POST /api/feedings': ({ body }: { body: unknown }) => ({
        status: 201,
        body: { feeding: { ...(body as object), massG: 0 }, shortG: 0 },
      }),
    });
    show(<RoundScreen day={tomorrow} />);
    const serve = await screen.findByLabelText(/^Served: 3 pinches/);
    fireEvent.press(serve);
    expect(await screen.findByText(/has not come yet/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Leave it'));
    expect(sent(asked, 'POST')).toEqual([]);
    fireEvent.press(serve);
    fireEvent.press(await screen.findByLabelText(/^Log it for/));
    await waitFor(() => expect(sent(asked, 'POST')[0]).toMatchObject({ day: tomorrow }));
  });
});
