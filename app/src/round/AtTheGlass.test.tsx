import { fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { answers, food, household, round, tank } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { MINUTES, TODAY } from '../testing/clock';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { RoundScreen } from './RoundScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const DAY = '2026-03-04';

/** A server that keeps what is fed and done, of a round with two servings. */
function open(more: Record<string, unknown> = {}) {
  const fed = new Map<string, Record<string, unknown>>();
  const done: Record<string, unknown>[] = [];
  const asked = standIn({
    ...answers(),
    'GET /api/household': { ...household, phrases: ['begging', 'hid at first'] },
    [`GET /api/round/${DAY}`]: () => {
      const view = round(DAY);
      const stop = view.moments[0]!.stops[0]!;
      const first = stop.servings[0]!;
      stop.servings = [first, { ...first, servingId: 's2', foodName: 'Nettle wafer' }].map(
        (one) => ({ ...one, fed: (fed.get(one.servingId) as typeof one.fed) ?? null }),
      );
      view.unplanned = [...fed]
        .filter(([id]) => !['s1', 's2'].includes(id))
        .map(([, one]) => one) as typeof view.unplanned;
      return { status: 200, body: { ...view, done } };
    },
    [`GET /api/round/${DAY}/preparations`]: { tasks: TASKS },
    'POST /api/feedings': ({ body }: { body: unknown }) => {
      const one = { ...(body as { servingId: string }), massG: 0.06 };
      fed.set(one.servingId, one);
      return { status: 201, body: { feeding: one, shortG: 0 } };
    },
    'POST /api/chores': ({ body }: { body: unknown }) => {
      done.push(body as Record<string, unknown>);
      return { status: 201, body };
    },
    ...more,
  });
  show(
    <>
      <RoundScreen day={DAY} />
      <Toast />
    </>,
  );
  return asked;
}

const task = (over: object) => ({
  about: 'f1 1110',
  foodId: 'f1',
  foodName: 'Fine flake',
  family: 'grain',
  what: 'soak 20 min',
  amount: '3 pinches',
  startMin: 1090,
  readyMin: 1110,
  tankIds: ['t1'],
  meals: 1,
  workMin: 1,
  ...over,
});
const TASKS = [
  task({}),
  task({ about: 'f9 1890', foodName: 'Hard granules', startMin: 1260, readyMin: 1890, meals: 2 }),
];
const posted = (asked: ReturnType<typeof standIn>, path: string) =>
  asked.filter((one) => one.method === 'POST' && one.path === path).map(({ body }) => body);

describe('many servings at once', () => {
  it('are all logged as planned, one after the other, and all taken back', async () => {
    const asked = open({
      ...Object.fromEntries(
        Array.from({ length: 2 }, (_, at) => [`POST /api/feedings/${at}/undo`, {}]),
      ),
    });
    fireEvent.press(await screen.findByText('All the rest as planned (2)'));
    await waitFor(() => expect(posted(asked, '/api/feedings')).toHaveLength(2));
    expect(posted(asked, '/api/feedings')).toMatchObject([
      { servingId: 's1', outcome: 'served' },
      { servingId: 's2', outcome: 'served' },
    ]);
    expect(await screen.findByText('After work: 2 served as planned.')).toBeTruthy();
    // Nothing is left to do at once.
    await waitFor(() => expect(screen.queryByText(/^All the rest/)).toBeNull());
    fireEvent.press(screen.getAllByLabelText('Undo').at(-1)!);
    await waitFor(() => expect(asked.filter(({ path }) => path.endsWith('/undo'))).toHaveLength(2));
  });
});

describe('a shelf that had too little', () => {
  it('is said in the same sentence, which keeps its undo', async () => {
    open({
      'POST /api/feedings': ({ body }: { body: object }) => ({
        status: 201,
        body: { feeding: { ...body, massG: 0.06 }, shortG: 0.4 },
      }),
    });
    fireEvent.press(await screen.findByText('All the rest as planned (2)'));
    expect(
      await screen.findByText(
        /^After work: 2 served as planned\. The shelf had too little .+: count it in the larder\.$/,
      ),
    ).toBeTruthy();
    expect(screen.getByLabelText('Undo')).toBeTruthy();
  });
});

describe('anything but as planned', () => {
  it('is reached by holding the button, and noted with a tap on a phrase', async () => {
    const asked = open();
    fireEvent(await screen.findByLabelText(/^Served: .* Fine flake/), 'longPress');
    fireEvent.press(await screen.findByLabelText('Note: begging'));
    fireEvent.press(screen.getByLabelText('Note: hid at first'));
    fireEvent.press(screen.getByLabelText('Note: begging'));
    fireEvent.press(screen.getByLabelText('Log less'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({ outcome: 'less', note: 'hid at first' });
  });
});

describe('another food for a day', () => {
  it('is logged in the place of the planned one, as much as has its energy, in three taps', async () => {
    const asked = open({
      'GET /api/foods': { items: [food, { ...food, id: 'f2', name: 'Fine granule' }], next: null },
    });
    fireEvent.press(await screen.findByLabelText(/^Less, more, refused or skipped: Fine flake/));
    fireEvent.press(await screen.findByLabelText(/^Or another food, today only/));
    fireEvent.press(await screen.findByText('Fine granule'));
    await waitFor(() => expect(posted(asked, '/api/feedings')).toHaveLength(2));
    const [left, given] = posted(asked, '/api/feedings') as Record<string, unknown>[];
    expect(left).toMatchObject({ servingId: 's1', outcome: 'skipped', units: 0 });
    expect(given).toMatchObject({ foodId: 'f2', outcome: 'more', units: 3 });
    expect(given!.servingId).not.toBe('s1');
    expect(
      await screen.findByText('3 pinches Fine granule for Zebrafish, in place of Fine flake.'),
    ).toBeTruthy();
  });
});

describe('feeding again', () => {
  it('is asked once, and logged beside the plan', async () => {
    const asked = open();
    fireEvent.press(await screen.findByLabelText(/^Served: .* Fine flake/));
    fireEvent.press(await screen.findByLabelText('Feed again: Fine flake for Zebrafish'));
    expect(await screen.findByText(/^Zebrafish got 3 pinches fine flake at /)).toBeTruthy();
    fireEvent.press(screen.getByText('Leave it at that'));
    expect(posted(asked, '/api/feedings')).toHaveLength(1);
    fireEvent.press(screen.getByLabelText('Feed again: Fine flake for Zebrafish'));
    fireEvent.press(await screen.findByText('Feed 3 pinches once more'));
    await waitFor(() => expect(posted(asked, '/api/feedings')).toHaveLength(2));
    const [first, second] = posted(asked, '/api/feedings') as Record<string, unknown>[];
    expect(second).toMatchObject({ outcome: 'more', units: 3, note: 'fed again' });
    expect(second!.servingId).not.toBe(first!.servingId);
  });

  it('is asked where someone else was there first, with who it was', async () => {
    const theirs = {
      id: 'x',
      servingId: 's1',
      day: DAY,
      groupId: 'g1',
      foodId: 'f1',
      outcome: 'served',
      plannedUnits: 3,
      units: 3,
      massG: 0.06,
      note: '',
      hand: 'Ada',
      at: `${DAY}T18:31:00.000Z`,
    };
    open({
      'POST /api/feedings': () => ({
        status: 409,
        body: {
          type: 'about:blank',
          title: 'Does not fit',
          status: 409,
          detail: 'This serving was logged already. Undo that one first.',
          theirs,
        },
      }),
    });
    fireEvent.press(await screen.findByLabelText(/^Served: .* Fine flake/));
    expect(
      await screen.findByText('Zebrafish got 3 pinches fine flake at 18:31 by Ada.'),
    ).toBeTruthy();
  });
});

describe('preparation', () => {
  it('says what to begin when, and for what, and is ticked off', async () => {
    const asked = open();
    const card = within(await screen.findByLabelText('To prepare'));
    expect(card.getByText('Start 18:10, ready by 18:30')).toBeTruthy();
    expect(card.getByText('Start 21:00, ready by 07:30 tomorrow')).toBeTruthy();
    fireEvent.press(card.getByLabelText('Done: 3 pinches hard granules: soak 20 min'));
    await waitFor(() =>
      expect(posted(asked, '/api/chores')).toMatchObject([
        { kind: 'prepare', about: 'f9 1890', day: DAY },
      ]),
    );
    expect(await screen.findByText('3 pinches hard granules: soak 20 min: done.')).toBeTruthy();
    expect(card.getByText(/1 done/)).toBeTruthy();
    expect(card.queryByText(/07:30 tomorrow/)).toBeNull();
    fireEvent.press(card.getByLabelText(/All of the day/));
    expect(card.getByText(/done \d\d:\d\d$/)).toBeTruthy();
  });

  it('is asked for no longer when what it is for was served', async () => {
    open({ [`GET /api/round/${DAY}/preparations`]: { tasks: [...TASKS, task({ foodId: 'f7' })] } });
    const card = within(await screen.findByLabelText('To prepare'));
    expect(card.getByText('3 pinches fine flake, 3 pinches fine flake')).toBeTruthy();
    fireEvent.press(screen.getByText('All the rest as planned (2)'));
    await waitFor(() => expect(card.getByText('3 pinches fine flake')).toBeTruthy());
    expect(card.getByText(/07:30 tomorrow/)).toBeTruthy();
  });

  it('is taken back where the server refuses it', async () => {
    open({
      'POST /api/chores': () => ({
        status: 422,
        body: { type: 'about:blank', title: 'x', status: 422, detail: 'This day has not come.' },
      }),
    });
    const card = within(await screen.findByLabelText('To prepare'));
    fireEvent.press(card.getByLabelText('Done: 3 pinches fine flake: soak 20 min'));
    expect(await screen.findByText('This day has not come.')).toBeTruthy();
    expect(card.getByLabelText('Done: 3 pinches fine flake: soak 20 min')).toBeTruthy();
  });
});

describe('a serving that is late', () => {
  const openLate = (lateMin: number) => {
    const asked = standIn({
      ...answers(),
      'GET /api/tanks': { items: [{ ...tank, lightOnMin: 0, lightOffMin: 1439 }], next: null },
      [`GET /api/round/${TODAY}`]: () => {
        const view = round(TODAY);
        view.moments[0]!.stops[0]!.minutes = MINUTES - lateMin;
        return { status: 200, body: view };
      },
      'POST /api/feedings': ({ body }: { body: unknown }) => ({
        status: 201,
        body: { feeding: { ...(body as object), massG: 0 }, shortG: 0 },
      }),
    });
    show(<RoundScreen />);
    return asked;
  };

  it('is halved with one tap, half-way to the next meal', async () => {
    const asked = openLate(700);
    expect(await screen.findByText(/^11 h 4\d min late: half of it/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Log 1½ pinches: Fine flake for Zebrafish'));
    await waitFor(() =>
      expect(sent(asked, 'POST')[0]).toMatchObject({ outcome: 'less', units: 1.5, note: 'late' }),
    );
  });

  it('is left out with one tap, shortly before the next', async () => {
    const asked = openLate(1100);
    fireEvent.press(await screen.findByLabelText('Leave it out: Fine flake for Zebrafish'));
    await waitFor(() =>
      expect(sent(asked, 'POST')[0]).toMatchObject({
        outcome: 'skipped',
        units: 0,
        note: 'missed',
      }),
    );
  });
});
