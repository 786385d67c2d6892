import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { assumed } from '@open-larder/core/why';
import { answers, food, round, supplyOf } from '../testing/house';
import { sent, standIn } from '../testing/server';
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
    expect(screen.getByText(/Medaka, Millpond: a planned day with nothing/)).toBeTruthy();
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

  it('logs less by half a portion unless told otherwise, with a note', async () => {
    const asked = open(remembering());
    fireEvent.press(await screen.findByLabelText(/^Less, more, refused or skipped/));
    expect(screen.getByText('1½ pinches')).toBeTruthy();
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
    fireEvent.press(screen.getByLabelText(choice));
    fireEvent.press(screen.getByLabelText(`Log ${logged.outcome}`));
    await waitFor(() => expect(sent(asked, 'POST')[0]).toMatchObject(logged));
  });

  it('takes back what the server refuses, and says why', async () => {
    open({
      'POST /api/feedings': () => ({
        status: 409,
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

  it('without a server says so, and keeps the serving to be tapped again', async () => {
    open();
    fireEvent.press(await screen.findByLabelText(/^Served: 3 pinches/));
    expect(await screen.findByText(/The server cannot be reached/)).toBeTruthy();
    expect(await screen.findByLabelText(/^Served: 3 pinches/)).toBeTruthy();
  });

  it('says what to do first where there is nothing yet', async () => {
    open({
      'GET /api/tanks': { items: [], next: null },
      'GET /api/groups': { items: [], next: null },
      [`GET /api/round/${DAY}`]: { day: DAY, moments: [], resting: [], unplanned: [] },
    });
    expect(await screen.findByText('No tanks yet')).toBeTruthy();
    expect(screen.getByLabelText('Make the first tank')).toBeTruthy();
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
