import type { Answered } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { DecidedView, formatAnswer } from './DecidedView';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const answer = (over: Partial<Answered> = {}): Answered => ({
  id: 'a1',
  groupId: 'g1',
  tankId: null,
  kind: 'portions',
  foodId: null,
  foodName: null,
  accepted: true,
  later: false,
  change: -0.1,
  day: '2026-03-01',
  hand: 'Ada',
  about: 'Zebrafish',
  signs: [
    { seen: { kind: 'left', share: 0.5 }, day: '2026-02-28' },
    { seen: { kind: 'left', share: 0.25 }, day: '2026-02-27' },
    { seen: { kind: 'belly', score: 4, still: false }, day: '2026-02-26' },
  ],
  ledTo: { more: 0, right: 3, less: 1, says: 'right' },
  nitrate: null,
  ...over,
});

function open(items: Answered[]) {
  const asked = standIn({
    ...answers(),
    'GET /api/answers': { items, next: null },
    'POST /api/answers/a1/undo': ({ body }: { body: unknown }) => ({ status: 201, body }),
  });
  show(
    <>
      <DecidedView />
      <Toast />
    </>,
  );
  return asked;
}

describe('what was decided', () => {
  it('stands with what spoke for it and what it led to, and is taken back', async () => {
    const asked = open([answer()]);
    expect(await screen.findByText('Zebrafish: 10 % less')).toBeTruthy();
    expect(screen.getByText(/Sun 1 Mar, Ada/)).toBeTruthy();
    expect(screen.getByText(/50 % left on Sat 28 Feb; 25 % left on .*; and 1 more/)).toBeTruthy();
    expect(screen.getByText(/Then: about right \(4 seen, 3 of them right\)/)).toBeTruthy();
    fireEvent.press(screen.getByText('Take back'));
    expect(await screen.findByText('Zebrafish: the answer is taken back.')).toBeTruthy();
    await waitFor(() => expect(asked.some(({ path }) => path.endsWith('/a1/undo'))).toBe(true));
  });

  it('tells of water by the test after it, and of what nobody looked at', async () => {
    open([
      answer({
        id: 'a2',
        kind: 'water',
        groupId: null,
        tankId: 't1',
        about: 'Millpond',
        change: null,
        ledTo: null,
        nitrate: { day: '2026-03-09', mgL: 21.6 },
      }),
      answer({ id: 'a3', ledTo: { more: 0, right: 0, less: 0, says: 'unseen' } }),
      answer({ id: 'a4', ledTo: { more: 2, right: 0, less: 0, says: 'still more' } }),
      answer({ id: 'a5', ledTo: { more: 0, right: 1, less: 2, says: 'still less' } }),
    ]);
    expect(await screen.findByText('Millpond: another rhythm of changes')).toBeTruthy();
    expect(screen.getByText(/Then: nitrate 22 mg\/L on Mon 9 Mar/)).toBeTruthy();
    expect(screen.getByText(/not checked yet/)).toBeTruthy();
    expect(screen.getByText(/too little still \(2 seen, 0 of them right\)/)).toBeTruthy();
    expect(screen.getByText(/too much still/)).toBeTruthy();
  });

  it('is empty with a word on where it comes from', async () => {
    open([]);
    expect(await screen.findByText('Nothing was decided yet')).toBeTruthy();
  });

  it.each([
    ['10 % less, declined', { accepted: false }],
    ['10 % less, put off for a week', { accepted: false, later: true }],
    ['training onto worms, declined', { kind: 'training', foodName: 'Worms', accepted: false }],
  ] as [string, Partial<Answered>][])('says «%s»', (says, over) => {
    expect(formatAnswer(answer(over))).toBe(says);
  });
});
