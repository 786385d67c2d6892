import type { TableReport } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { TablesScreen } from './TablesScreen';
import { formatReport } from './labels';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const report = (fieldError: boolean, written = false): TableReport => ({
  columns: [
    { header: 'tank', title: 'Tank' },
    { header: 'mood', title: null },
  ],
  lines: [
    {
      line: 2,
      state: fieldError ? 'error' : 'new',
      says: fieldError ? null : 'Hall will be made',
      cells: [
        fieldError
          ? { text: '', state: 'error', says: 'name the tank' }
          : {
              text: 'Hall',
              state: 'guessed',
              says: 'no size given: taken as 60 L until you change it',
            },
        { text: 'cheerful', state: 'left out', says: null },
      ],
    },
  ],
  counts: { new: fieldError ? 0 : 1, same: 0, changed: 0, error: fieldError ? 1 : 0 },
  written,
  doubts: [],
  says: null,
});

describe('tables in', () => {
  it('are checked cell by cell before anything is taken in', async () => {
    const asked = standIn({
      ...answers(),
      'POST /api/tables/house': ({ body }: { body: unknown }) => {
        const { text, write } = body as { text: string; write: boolean };
        return { status: 201, body: report(text === 'bad', write) };
      },
    });
    show(
      <>
        <TablesScreen />
        <Toast />
      </>,
    );
    fireEvent.changeText(screen.getByLabelText('Paste it here'), 'bad');
    fireEvent.press(screen.getByLabelText('Check it'));
    expect(await screen.findByText(/1 to be corrected. Nothing is taken in/)).toBeTruthy();
    expect(screen.getByText('name the tank')).toBeTruthy();
    expect(screen.getByText('mood, left out')).toBeTruthy();
    expect(screen.getByLabelText('Take it in').props.accessibilityState?.disabled).toBe(true);

    fireEvent.changeText(screen.getByLabelText('Paste it here'), 'good');
    expect(screen.queryByText('name the tank')).toBeNull();
    fireEvent.press(screen.getByLabelText('Check it'));
    expect(await screen.findByText('Tank, guessed')).toBeTruthy();
    expect(screen.getByText(/taken as 60 L/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Take it in'));
    expect(await screen.findByText('1 new: it is all in.')).toBeTruthy();
    expect(sent(asked, 'POST')).toMatchObject([
      { text: 'bad', write: false },
      { text: 'good', write: false },
      { text: 'good', write: true },
    ]);
  });

  it('say what the server says, and keep what was pasted', async () => {
    standIn({
      ...answers(),
      'POST /api/tables/events': () => ({
        status: 422,
        body: {
          type: 'about:blank',
          title: 'No',
          status: 422,
          detail: 'A table has at most 20000 lines; divide it',
        },
      }),
    });
    show(<TablesScreen />);
    fireEvent.press(screen.getByLabelText('Events'));
    fireEvent.changeText(screen.getByLabelText('Paste it here'), 'much');
    fireEvent.press(screen.getByLabelText('Check it'));
    await waitFor(() => expect(screen.getByText(/at most 20000 lines/)).toBeTruthy());
    expect(screen.getByLabelText('Paste it here').props.value).toBe('much');
  });

  it('are summed up in words', () => {
    const counts = { new: 3, same: 1, changed: 2, error: 0 };
    expect(formatReport({ ...report(false), counts })).toBe('3 new, 2 changed, 1 as they are');
    expect(
      formatReport({ ...report(false), counts: { new: 0, same: 0, changed: 0, error: 0 } }),
    ).toBe('No lines');
  });
});

describe('what a table leaves open', () => {
  it('is asked once for all of it, and checked again as it was said', async () => {
    const asked = standIn({
      ...answers(),
      'POST /api/tables/house': ({ body }: { body: unknown }) => {
        const { numbers } = body as { numbers: string | null };
        return {
          status: 201,
          body: { ...report(numbers === null), doubts: numbers === null ? ['numbers'] : [] },
        };
      },
    });
    show(<TablesScreen />);
    fireEvent.changeText(screen.getByLabelText('Paste it here'), 'Hall, 1,000');
    fireEvent.press(screen.getByLabelText('Check it'));
    fireEvent.press(await screen.findByLabelText('1,000 is a thousand'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(2));
    expect(sent(asked, 'POST')[1]).toMatchObject({ numbers: 'point', write: false, id: null });
    await waitFor(() =>
      expect(screen.getByLabelText('Take it in').props.accessibilityState?.disabled).toBe(false),
    );
    fireEvent.press(screen.getByLabelText('Take it in'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(3));
    expect(sent(asked, 'POST')[2]).toMatchObject({ numbers: 'point', write: true });
    expect(sent(asked, 'POST')[2]?.id).toEqual(expect.any(String));
  });
});
