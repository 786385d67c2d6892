import type { Account, Answered, Observation } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { Format } from '../store';
import { answers } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { DecidedView, formatAnswer } from './DecidedView';
import { weekRows } from './TwoWeeks';

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

describe('the week before and after', () => {
  const account = (eatenG: number, mgL: number | null, died = 0): Account => ({
    groups: [
      {
        groupId: 'g1',
        name: 'Zebrafish',
        speciesKey: 'danio-rerio',
        tankId: 't1',
        tankName: 'Millpond',
        began: 10,
        ended: 10 - died,
        died,
        causes: [],
        over30: null,
        first: null,
        last: null,
        growthPerDay: null,
        usualCm: null,
        eatenG,
        conversion: null,
        costMinor: 40,
      },
    ],
    tanks: [
      {
        tankId: 't1',
        name: 'Millpond',
        tests: 1,
        nitrate: mgL === null ? null : { n: 1, mean: mgL, max: mgL },
        capMgL: 40,
        changes: 1,
        litres: 30,
        costMinor: null,
      },
    ],
    foods: [],
  });
  const look = (belly: 1 | 2 | 3 | 4 | 5, hungBack = false) =>
    ({ groupId: 'g1', belly, hungBack }) as unknown as Observation;
  const format = { money: (minor: number) => `€${minor / 100}` } as unknown as Format;
  const rows = (of: Answered, after = account(6.3, null)) =>
    Object.fromEntries(
      weekRows(
        of,
        [
          { account: account(7, 20), looks: [look(4), look(5, true)], days: 7 },
          { account: after, looks: [look(3)], days: 7 },
        ],
        format,
      ).map(({ title, values }) => [title, values]),
    );

  it('has what was promised beside what came', () => {
    const of = rows(answer());
    expect(of['Change of it']).toEqual(['–', '−10 %', '−10 %']);
    expect(of['Bellies, 1 to 5']).toEqual(['4.5 of 2 looks', '3 of 1 look', 'about 3']);
    expect(of['Hung back']).toEqual(['1 of 2', '0 of 1', '–']);
    expect(of['Nitrate, mg/L']![1]).toBe('–');
    expect(of.Lost).toEqual(['0', '0', '–']);
  });

  it('counts a week that is not over by its days, and says nothing of what was not seen', () => {
    const of = weekRows(
      answer(),
      [
        { account: account(0, null), looks: [], days: 7 },
        { account: account(3, null, 1), looks: [], days: 3 },
      ],
      format,
    );
    const row = (title: string) => of.find((one) => one.title === title)!.values;
    expect(row('Eaten a day')).toEqual(['0 g', '1 g', '–']);
    expect(row('Change of it')[1]).toBe('–');
    expect(row('Bellies, 1 to 5').slice(0, 2)).toEqual(['–', '–']);
    expect(row('Lost')[1]).toBe('1');
  });

  it('of water has its tests and changes alone', () => {
    const of = rows(answer({ kind: 'water', groupId: null, tankId: 't1' }), account(7, 15));
    expect(of).toEqual({ 'Nitrate, mg/L': ['20', '15', 'less'], 'Water changes': ['1', '1', '–'] });
  });

  it('is opened beside the answer that was taken, and only there', async () => {
    open([answer(), answer({ id: 'a9', accepted: false, about: 'Loaches' })]);
    fireEvent.press(await screen.findByLabelText(/^The weeks before and after: Zebrafish/));
    expect(await screen.findByText('Zebrafish: the week before and after')).toBeTruthy();
    expect(screen.queryByLabelText(/before and after: Loaches/)).toBeNull();
  });
});
