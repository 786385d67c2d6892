import type { MomentRow } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, moment } from '../testing/house';
import { created, sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { Moments } from './Moments';

const noon: MomentRow = { ...moment, id: 'noon', name: 'Midday break', minutes: 750 };
const late: MomentRow = {
  ...moment,
  id: 'late',
  name: 'After lights-out',
  anchor: 'lightsOff',
  minutes: 20,
};
const early: MomentRow = {
  ...late,
  id: 'early',
  name: 'First light',
  anchor: 'lightsOn',
  minutes: 0,
};
const gone: MomentRow = { ...noon, id: 'gone', name: 'Tea', archived: true };

/** Moments as the server holds them: what is saved stands in the next list. */
function open(more: Record<string, unknown> = {}) {
  const asked = standIn({
    ...answers(),
    'GET /api/moments': { items: [late, moment, noon, gone, early], next: null },
    'POST /api/moments': created,
    'PUT /api/moments/noon': ({ body }: { body: unknown }) => {
      const edit = body as MomentRow;
      return { status: 200, body: { ...edit, id: 'noon', version: edit.version + 1 } };
    },
    ...more,
  });
  show(
    <>
      <Moments />
      <Toast />
    </>,
  );
  return asked;
}

describe('the moments of the day', () => {
  it('stand in the order of the day, each with its time; ended ones are out of sight', async () => {
    open();
    await screen.findByText('After work');
    const names = screen
      .getAllByText(/^(After work|Midday break|After lights-out|First light|Tea)$/)
      .map((one) => one.props.children as string);
    expect(names).toEqual(['First light', 'Midday break', 'After work', 'After lights-out']);
    for (const time of ['at lights-on', '12:30', '18:30', '20 min after lights-out']) {
      expect(screen.getByText(time)).toBeTruthy();
    }
  });

  it('are named by the keeper, by the clock', async () => {
    const asked = open();
    fireEvent.press(await screen.findByLabelText('Name a new moment'));
    fireEvent.changeText(screen.getByLabelText('Name'), ' Elevenses ');
    fireEvent.changeText(screen.getByLabelText('Time'), '11:00');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toEqual({
      id: expect.stringMatching(/^[0-9a-f]{8}-[0-9a-f]{4}-7/),
      name: 'Elevenses',
      anchor: 'clock',
      minutes: 660,
      spareMin: null,
    });
    await waitFor(() => expect(screen.queryByLabelText('Time')).toBeNull());
  });

  it('or by a tank’s lights, before them as well as after', async () => {
    const asked = open();
    fireEvent.press(await screen.findByLabelText('Name a new moment'));
    fireEvent.changeText(screen.getByLabelText('Name'), 'Dusk');
    fireEvent.press(screen.getByLabelText('lights-out'));
    expect(screen.getByLabelText('Minutes after, min').props.value).toBe('20');
    fireEvent.changeText(screen.getByLabelText('Minutes after, min'), '-45');
    fireEvent.press(screen.getByLabelText('Save'));
    await waitFor(() =>
      expect(sent(asked, 'POST')[0]).toMatchObject({ anchor: 'lightsOff', minutes: -45 }),
    );
  });

  it('without a name, or out of the day, are not sent; the sentence stands by its field', async () => {
    const asked = open();
    fireEvent.press(await screen.findByLabelText('Name a new moment'));
    fireEvent.press(screen.getByLabelText('lights-on'));
    fireEvent.changeText(screen.getByLabelText('Minutes after, min'), '900');
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText('Give it a name')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Name'), 'Dawn');
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText(/a light-relative one within six hours/)).toBeTruthy();
    expect(sent(asked, 'POST')).toEqual([]);
  });

  it('are ended and brought back, each time over the version that stands', async () => {
    const asked = open();
    fireEvent.press(await screen.findByText('Midday break'));
    fireEvent.press(screen.getByLabelText('End this moment'));
    expect(await screen.findByText('«Midday break» is ended; its servings rest.')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT').map(({ archived, version }) => [archived, version])).toEqual([
      [true, 1],
      [false, 2],
    ]);
  });

  it('that cannot be ended stay, and the server says why', async () => {
    open({
      'PUT /api/moments/noon': () => ({
        status: 409,
        body: {
          type: 'about:blank',
          title: 'Does not fit',
          status: 409,
          detail: 'It was changed somewhere else.',
        },
      }),
    });
    fireEvent.press(await screen.findByText('Midday break'));
    fireEvent.press(screen.getByLabelText('End this moment'));
    expect(await screen.findByText('It was changed somewhere else.')).toBeTruthy();
    expect(screen.getByLabelText('End this moment')).toBeTruthy();
  });

  it('that do not come say so, and are asked for again', async () => {
    const list = 'GET /api/moments';
    const asked = open({
      [list]: () => ({
        status: 503,
        body: { type: 'about:blank', title: 'Not now', status: 503, detail: 'Wait a moment.' },
      }),
    });
    fireEvent.press(await screen.findByLabelText('Try again'));
    await waitFor(() =>
      expect(
        asked.filter(({ method, path }) => `${method} ${path}` === list).length,
      ).toBeGreaterThan(1),
    );
  });
});
