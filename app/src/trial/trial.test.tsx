import type { TrialRow } from '@open-larder/contract';
import { computeTrialStatus, type TrialStatus } from '@open-larder/core/trial';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { Format } from '../store';
import { answers, group, species } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { TrialsView } from './TrialsView';
import { formatDoubts, formatNeeded, formatResult } from './labels';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const [G1, G2] = [1, 2].map((n) => `0190a000-0000-7000-8000-00000000000${n}`) as [string, string];

const format = {
  quantity: (_: string, cm: number) => `${cm.toFixed(2)} cm`,
  scale: () => ({ unit: 'cm', fromBase: (cm: number) => cm }),
} as unknown as Format;

const at = (day: string, lengthsCm: number[]) => ({
  day,
  lengthsCm,
  lengthCm: lengthsCm.reduce((sum, one) => sum + one, 0) / lengthsCm.length,
  massG: null,
});
const around = (mean: number, n = 8) =>
  Array.from({ length: n }, (_, index) => mean * (1 + ((index % 4) - 1.5) * 0.05));
const side = (begin: number, end: number, count = 20, n = 8) => ({
  species,
  tempC: 25,
  count,
  measured: [at('2026-01-01', around(begin, n)), at('2026-02-26', around(end, n))],
});
const status = (sides: ReturnType<typeof side>[], over: object = {}): TrialStatus =>
  computeTrialStatus({
    from: '2026-01-01',
    changedOn: null,
    upTo: '2026-03-01',
    weeks: 8,
    difference: 0.5,
    sides,
    tubsEach: 1,
    ...over,
  });
const trial = (over: Partial<TrialRow> = {}): TrialRow => ({
  id: 'tr1',
  name: 'Worms against flake',
  kind: 'siblings',
  groupId: G1,
  groupName: 'On flake',
  otherGroupId: G2,
  otherGroupName: 'On worms',
  from: '2026-01-01',
  changedOn: null,
  endedOn: null,
  weeks: 8,
  difference: 0.5,
  tubsEach: 1,
  note: '',
  version: 1,
  archived: false,
  status: status([side(1.5, 2.4), side(1.5, 2.8)]),
  ...over,
});

describe('what a trial showed, in words', () => {
  it('a difference, with its interval and its chance', () => {
    const one = trial();
    expect(formatResult(one, one.status!, format)).toMatch(
      /^On worms are longer than On flake by 0\.40 cm \(0\.\d+ to 0\.\d+\), 17 %\. Two equal sides would/,
    );
  });

  it('no conclusion where there is none, or where measuring does not allow one', () => {
    expect(formatResult(trial(), status([side(1.5, 2.4), side(1.5, 2.42)]), format)).toMatch(
      /^No conclusion: .* it may be more, it may be less\.$/,
    );
    expect(
      formatResult(trial(), status([side(1.5, 2.4, 20, 2), side(1.5, 3, 20, 2)]), format),
    ).toMatch(/^No conclusion: of one side fewer than three/);
    expect(
      formatResult(trial(), status([side(1.5, 2.4, 20, 9), side(1.5, 3, 20, 4)]), format),
    ).toMatch(/^No conclusion: one side was measured more than twice/);
    const none = { ...side(1, 2), measured: [] };
    expect(formatResult(trial(), status([none, none]), format)).toMatch(/^Too early to tell/);
    expect(formatResult(trial({ kind: 'tank' }), status([none, none]), format)).toMatch(
      /at the change/,
    );
  });

  it('of one tank against what is usual at each size', () => {
    const one = {
      ...side(1, 2),
      measured: [
        at('2026-01-01', around(1.5)),
        at('2026-01-29', around(1.7)),
        at('2026-02-26', around(3.4)),
      ],
    };
    const report = status([one], { changedOn: '2026-01-29' });
    expect(formatResult(trial({ kind: 'tank' }), report, format)).toMatch(
      /^They grew .* times the usual for their size before, .* after: more, by/,
    );
  });

  it('says what speaks against it', () => {
    const apart = status([side(1.2, 2.4), side(1.9, 2.8)], { difference: 0.02 });
    const doubts = formatDoubts(trial(), apart);
    expect(doubts).toContain(
      'The sides differed before it began: what differs at the end may come from there.',
    );
    expect(doubts[0]).toMatch(/cannot be seen in that time/);
    const crowded = status([side(1.5, 2.4, 40), side(1.5, 2.8, 10)]);
    expect(formatDoubts(trial(), crowded).at(-1)).toMatch(/^40 against 10 fish/);
    expect(formatNeeded({ weeks: 8, each: null })).toBe('no number of fish shows it');
    expect(formatNeeded({ weeks: 8, each: 24 })).toBe('24 on each side, for 8 weeks');
  });
});

function open(items: TrialRow[]) {
  let now = items;
  const juvenile = { ...group, name: 'On flake', stage: 'juvenile', lengthCm: 1.5 };
  const asked = standIn({
    ...answers(),
    'GET /api/groups': {
      items: [
        { ...juvenile, id: G1 },
        { ...juvenile, id: G2, name: 'On worms' },
      ],
      next: null,
    },
    'GET /api/trials': () => ({ status: 200, body: { items: now, next: null } }),
    'POST /api/trials': ({ body }: { body: object }) => ({
      status: 201,
      body: { ...trial(), ...body },
    }),
    'PUT /api/trials/tr1': ({ body }: { body: { version: number } }) => {
      const known = now.find(({ id, version }) => id === 'tr1' && version === body.version);
      if (!known) return { status: 409, body: { status: 409, detail: 'stale' } };
      const made = { ...known, ...body, version: body.version + 1 };
      now = now.map((row) => (row === known ? made : row));
      return { status: 200, body: made };
    },
  });
  show(
    <>
      <TrialsView />
      <Toast />
    </>,
  );
  return asked;
}

describe('trials', () => {
  it('are changed, and one that was put away comes back', async () => {
    const asked = open([
      trial(),
      trial({ id: 'tr1', name: 'Long ago', archived: true, version: 7 }),
    ]);
    await waitFor(() =>
      expect(screen.getByLabelText('Change the trial Worms against flake')).toBeTruthy(),
    );
    fireEvent.press(screen.getByLabelText('Change the trial Worms against flake'));
    expect(await screen.findByText('Change Worms against flake')).toBeTruthy();
    expect(screen.queryByText('two tubs of siblings')).toBeNull();
    fireEvent.changeText(screen.getByLabelText('What is asked'), 'Worms or flake');
    fireEvent.press(screen.getByText('Change it'));
    expect(await screen.findByText('Worms or flake: the trial is changed.')).toBeTruthy();
    fireEvent.press(screen.getByText('Those put away'));
    fireEvent.press(await screen.findByLabelText('Bring the trial Long ago back'));
    await waitFor(() =>
      expect(sent(asked, 'PUT')).toMatchObject([
        { name: 'Worms or flake', version: 1, archived: false },
        { name: 'Long ago', archived: false },
      ]),
    );
  });

  it('stand with their sides and their result; one that is ended can go on', async () => {
    const asked = open([trial()]);
    expect(await screen.findByText('Worms against flake')).toBeTruthy();
    expect(
      screen.getByText(/On flake against On worms · from .* · its 8 weeks are over/),
    ).toBeTruthy();
    fireEvent.press(screen.getByLabelText('End the trial Worms against flake'));
    fireEvent.press(await screen.findByText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT')).toMatchObject([
      { version: 1, endedOn: expect.stringMatching(/^\d{4}-/) },
      { version: 2, endedOn: null },
    ]);
  });

  it('are put away right after they were ended, with the version that came of it', async () => {
    const asked = open([trial()]);
    fireEvent.press(await screen.findByLabelText('End the trial Worms against flake'));
    expect(await screen.findByText('Worms against flake is ended.')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Put the trial Worms against flake away'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT')[1]).toMatchObject({ version: 2, archived: true });
  });

  it('are put away', async () => {
    const asked = open([trial(), trial({ id: 'tr2', name: 'Long ago', archived: true })]);
    expect(await screen.findByText('Worms against flake')).toBeTruthy();
    expect(screen.queryByText('Long ago')).toBeNull();
    fireEvent.press(screen.getByLabelText('Put the trial Worms against flake away'));
    await waitFor(() => expect(sent(asked, 'PUT')).toMatchObject([{ archived: true }]));
  });

  it('are planned with how many fish they take, assigned at random', async () => {
    const asked = open([]);
    expect(await screen.findByText('No trial yet')).toBeTruthy();
    await waitFor(() => expect(screen.getByText('Plan a trial')).toBeEnabled());
    fireEvent.press(screen.getByText('Plan a trial'));
    fireEvent.changeText(await screen.findByLabelText('What is asked'), 'Worms or flake');
    fireEvent.press(screen.getByLabelText(/^One side, on the old diet/));
    fireEvent.press(await screen.findByText('On flake'));
    expect(await screen.findByText('After 8 weeks')).toBeTruthy();
    expect(screen.getByText(/four times in five/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^The other, on the new diet/));
    fireEvent.press(await screen.findByText('On worms'));
    fireEvent.press(screen.getByText('Assign them at random'));
    const randomised = () => screen.getByText(/^\d+(, \d+){4}$/).children.join('');
    const before = randomised();
    for (let at = 0; at < 5 && randomised() === before; at += 1) {
      fireEvent.press(screen.getByText('Draw again'));
    }
    expect(randomised()).not.toBe(before);
    fireEvent.changeText(
      screen.getByLabelText('Their lengths, in the order in which they are caught'),
      '1.1 1.2 1.9 2.0',
    );
    // Of two of one size one goes and one stays.
    const [first, second] = (screen.getByText(/^\d, \d$/).children.join('') as string).split(', ');
    expect(['1', '2']).toContain(first);
    expect(['3', '4']).toContain(second);
    fireEvent.press(screen.getByText('Keep it in the note'));
    fireEvent.press(screen.getByText('Plan it'));
    expect(await screen.findByText(/Worms or flake: the trial is planned/)).toBeTruthy();
    expect(sent(asked, 'POST')).toMatchObject([
      { kind: 'siblings', groupId: G1, otherGroupId: G2, changedOn: null, weeks: 8 },
    ]);
    expect(sent(asked, 'POST')[0]!.note).toMatch(
      /^Assigned at random: \d, \d of 4 go to the other tub\.$/,
    );
  });
});
