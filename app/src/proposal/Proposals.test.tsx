import type { Group, Proposals as Proposed } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { useHouse } from '../store';
import { answers, food, group } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { Proposals } from './Proposals';
import { TrainingCard } from './TrainingCard';
import { TrainSheet } from './TrainSheet';
import { formatAct, formatStep } from './labels';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const worms = { ...food, id: 'f2', name: 'Worms' };
const training = {
  id: 'tr',
  servingId: 's1',
  foodId: 'f2',
  step: 2,
  share: 0.25,
  offers: 3,
  ends: null,
} satisfies Group['training'];
const portions: Proposed['portions'][number] = {
  groupId: 'g1',
  groupName: 'Zebrafish',
  tankId: 't1',
  version: 4,
  change: -0.1,
  signs: [
    { seen: { kind: 'left', share: 0.5 }, day: '2026-03-03' },
    { seen: { kind: 'belly', score: 4, still: false }, day: '2026-03-02' },
    { seen: { kind: 'left', share: 0.25 }, day: '2026-03-01' },
    { seen: { kind: 'left', share: 0.25 }, day: '2026-02-28' },
  ],
  changed: [
    {
      servingId: 's1',
      foodName: 'Fine flake',
      momentName: 'After work',
      before: '3 pinches',
      after: '2½ pinches',
      by: '½ pinch',
      leftOut: false,
      days: null,
    },
  ],
  leadsTo: {
    ofNeed: { before: 110, after: 99 },
    shares: [],
    stock: [{ foodName: 'Fine flake', before: 40, after: 44 }],
    nitrate: { before: 22, after: 20.4, capMgL: 40 },
    size: null,
  },
  why: { label: 'Change', value: -10, unit: '%', basis: 'computed', from: [] },
};
const refused: Proposed['trainings'][number] = {
  groupId: 'g1',
  groupName: 'Zebrafish',
  tankId: 't1',
  foodId: 'f2',
  foodName: 'Worms',
  withFoodName: 'Fine flake',
  mixing: 'stirred',
  servingId: 's1',
  served: 3,
  refused: 2,
  newcomerDays: 9,
};

type Part = 'group' | 'all' | 'card' | 'sheet';
function Shown({ part = 'group' }: { part?: Part }) {
  const { data } = useHouse();
  const [of] = data?.groups ?? [];
  if (!data || !of) return null;
  return part === 'card' ? (
    <TrainingCard group={of} data={data} />
  ) : part === 'sheet' ? (
    <TrainSheet group={of} data={data} onClose={() => undefined} />
  ) : (
    <Proposals data={data} groupId={part === 'group' ? of.id : undefined} />
  );
}

const ok = ({ body }: { body: unknown }) => ({ status: 201, body });
function open(proposed: Partial<Proposed>, of: Partial<Group> = {}, part: Part = 'group') {
  const now = { ...group, ...of };
  const asked = standIn({
    ...answers(),
    'GET /api/groups': { items: [now], next: null },
    'GET /api/foods': { items: [food, worms], next: null },
    'GET /api/proposals': { heeds: [], portions: [], trainings: [], waters: [], ...proposed },
    'POST /api/proposals/answers': ok,
    'POST /api/trainings': () => ({ status: 201, body: now }),
    'POST /api/trainings/tr/end': () => ({
      status: 201,
      body: { ...now, training: null, diet: { ...group.diet, version: 5 } },
    }),
    'PUT /api/groups/g1/diet': ok,
  });
  show(
    <>
      <Shown part={part} />
      <Toast />
    </>,
  );
  return asked;
}
const posted = (asked: ReturnType<typeof standIn>, path: string) =>
  asked.filter((one) => one.method === 'POST' && one.path === path).map(({ body }) => body);

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'].map((label, at) => ({
  value: at + 1,
  label,
  spoken: label,
}));

describe('what is to be done', () => {
  const of = (over: object) =>
    formatAct(
      { groupName: 'Phantoms', change: -0.1, changed: [{ ...portions.changed[0]!, ...over }] },
      { weekdays: WEEKDAYS },
    );
  it('is an act in words, with its food, its moment and its days', () => {
    expect(of({ days: [1, 3, 5] })).toBe(
      'Give phantoms ½ pinch less fine flake after work on Mon, Wed and Fri.',
    );
    expect(of({ days: [2], leftOut: true })).toBe(
      'Leave out fine flake after work for phantoms on Tue.',
    );
    expect(of({ days: null })).toBe('Give phantoms 10 % less of everything.');
  });
});

describe('where another portion is no answer', () => {
  it.each([
    [{ is: 'hangsBack', days: 3 }, /feed them where and when the others do not/, 'Who gets it'],
    [{ is: 'fullYoung', days: 3 }, /make each meal smaller, and keep their number/, 'Their diet'],
    [{ is: 'tooCold', tempC: 15, limitC: 18 }, /warm the water, or feed little/, 'The week'],
    [{ is: 'overLimit', mgL: 60, capMgL: 40 }, /change water, and say how/, 'Its water'],
    [{ is: 'poison', which: 'nitrite' }, /change water today, and feed nothing/, 'Its water'],
  ] as [Proposed['heeds'][number]['heed'], RegExp, string][])(
    '%j leads somewhere',
    async (heed, says, way) => {
      open({ heeds: [{ groupId: 'g1', groupName: 'Zebrafish', tankId: 't1', heed }] });
      expect(await screen.findByText(says)).toBeTruthy();
      expect(screen.getByText(way)).toBeTruthy();
    },
  );
});

describe('proposed portions', () => {
  it('say what was seen and what becomes of them, and are accepted by a tap', async () => {
    const asked = open({ portions: [portions] });
    expect(await screen.findByText('Give zebrafish 10 % less of everything.')).toBeTruthy();
    expect(screen.getByText(/50 % left on Tue 3 Mar; round on .*; and 1 more/)).toBeTruthy();
    expect(screen.getByText('Fine flake, after work: 3 → 2½ pinches')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Give Zebrafish 10 % less'));
    await waitFor(() =>
      expect(posted(asked, '/api/proposals/answers')).toMatchObject([
        { groupId: 'g1', kind: 'portions', accepted: true, version: 4, foodId: null },
      ]),
    );
    expect(await screen.findByText('Zebrafish get 10 % less from now on.')).toBeTruthy();
  });

  it('are declined by another, with a way back', async () => {
    const asked = open({ portions: [portions] });
    fireEvent.press(await screen.findByLabelText('Leave the portions of Zebrafish'));
    expect(await screen.findByText(/not asked again for four weeks/)).toBeTruthy();
    const [{ id }] = sent(asked, 'POST') as [{ id: string }];
    fireEvent.press(screen.getByText('Undo'));
    await waitFor(() => expect(posted(asked, `/api/answers/${id}/undo`)).toHaveLength(1));
  });

  it('are nothing to see where nothing is proposed', async () => {
    open({});
    await waitFor(() => expect(fetch).toHaveBeenCalledWith('/api/proposals', expect.anything()));
    expect(screen.queryByText(/proposal/)).toBeNull();
  });

  it('are a line in the round, unfolded by a tap', async () => {
    open({ portions: [portions] }, {}, 'all');
    fireEvent.press(await screen.findByLabelText('A proposal, Zebrafish'));
    expect(screen.getByText('Give zebrafish 10 % less of everything.')).toBeTruthy();
  });

  it('name the unit once, unless it changes', () => {
    expect(formatStep({ before: '3 pinches', after: '2½ pinches' })).toBe('3 → 2½ pinches');
    expect(formatStep({ before: '1½ pinches', after: '1 pinch' })).toBe('1½ pinches → 1 pinch');
  });
});

describe('a proposed training', () => {
  it('is begun by a tap', async () => {
    const asked = open({ trainings: [refused] });
    expect(await screen.findByText(/Came 9 days ago. Refused 2 of 3 in two weeks/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Train Zebrafish onto worms'));
    await waitFor(() =>
      expect(posted(asked, '/api/trainings')).toMatchObject([
        { groupId: 'g1', servingId: 's1', foodId: 'f2', fromStep: 1 },
      ]),
    );
  });

  it('is declined by another', async () => {
    const asked = open({ trainings: [refused] });
    fireEvent.press(await screen.findByLabelText('Leave the training of Zebrafish onto worms'));
    await waitFor(() =>
      expect(posted(asked, '/api/proposals/answers')).toMatchObject([
        { kind: 'training', foodId: 'f2', accepted: false, version: group.diet!.version },
      ]),
    );
  });

  it('of one’s own accord takes a food, and a serving to mix it into', async () => {
    const asked = open({}, {}, 'sheet');
    fireEvent.press(await screen.findByLabelText(/^New food/));
    fireEvent.press(await screen.findByText('Worms'));
    fireEvent.press(screen.getByLabelText('Begin the training'));
    await waitFor(() =>
      expect(posted(asked, '/api/trainings')).toMatchObject([{ servingId: 's1', foodId: 'f2' }]),
    );
  });
});

describe('a training that is on', () => {
  it('shows its step, and goes on there when its end is undone', async () => {
    const asked = open({}, { training }, 'card');
    expect(await screen.findByLabelText('Step 2 of 5')).toBeTruthy();
    expect(screen.getByText(/25 % of the meal, the rest fine flake. 3 meals so far/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('End the training of Zebrafish'));
    await screen.findByText('Zebrafish: the training has ended.');
    expect(posted(asked, '/api/trainings/tr/end')).toMatchObject([{ kept: false }]);
    fireEvent.press(screen.getByText('Undo'));
    await waitFor(() =>
      expect(posted(asked, '/api/trainings')).toMatchObject([{ foodId: 'f2', fromStep: 2 }]),
    );
  });

  it('says where its serving is no longer planned', async () => {
    open({}, { training: { ...training, servingId: 'gone' } }, 'card');
    expect(await screen.findByText(/no longer planned/)).toBeTruthy();
    expect(screen.queryByText('Into the diet')).toBeNull();
  });

  it('that has taken the food is put into the diet by a tap; undone, all is as before', async () => {
    const asked = open({}, { training: { ...training, step: 5, share: 1, ends: 'taken' } });
    fireEvent.press(await screen.findByLabelText('Put worms into the diet of Zebrafish'));
    await screen.findByText('Zebrafish have worms in their diet now.');
    expect(posted(asked, '/api/trainings/tr/end')).toMatchObject([{ kept: true }]);
    fireEvent.press(screen.getByText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toMatchObject([{ version: 5 }]));
    await waitFor(() => expect(posted(asked, '/api/trainings')).toHaveLength(1));
  });

  it('that is hopeless says so, and is ended', async () => {
    const asked = open({}, { training: { ...training, ends: 'hopeless' } });
    expect(await screen.findByText('Zebrafish do not learn worms')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('End the training of Zebrafish'));
    await waitFor(() => expect(posted(asked, '/api/trainings/tr/end')).toHaveLength(1));
  });
});

describe('what a proposal leads to', () => {
  it('stands under it, as far as it moves', async () => {
    open({ portions: [portions] });
    expect(await screen.findByText('Of what they need: 110 % → 99 %')).toBeTruthy();
    expect(screen.getByText('Stock: fine flake 40 days → 44 days')).toBeTruthy();
    expect(screen.getByText('Nitrate peaks at 22 → 20 mg/L')).toBeTruthy();
    expect(screen.queryByText(/^Shares/)).toBeNull();
  });

  it('warns where more food takes the water over what they stand, and dates a length', async () => {
    const leadsTo = {
      ofNeed: { before: 100, after: 100.2 },
      shares: [{ family: 'wriggle', before: 0.2, after: 0.25 }],
      stock: [{ foodName: 'Worms', before: 12, after: null }],
      nitrate: { before: 38, after: 44, capMgL: 40 },
      size: { lengthCm: 3, before: null, after: '2026-05-01' },
    };
    open({ portions: [{ ...portions, change: 0.1, leadsTo }] });
    expect(
      await screen.findByText(
        'Nitrate peaks at 38 → 44 mg/L, over the 40 that they tolerate: change more water',
      ),
    ).toBeTruthy();
    expect(screen.getByText('Shares: wriggle 20 % → 25 %')).toBeTruthy();
    expect(screen.getByText('Stock: worms 12 days → over four months')).toBeTruthy();
    expect(screen.getByText(/^They reach .*: in more than a year → Fri 1 May$/)).toBeTruthy();
    expect(screen.queryByText(/Of what they need/)).toBeNull();
  });

  it('is asked again in a week where it is put off', async () => {
    const asked = open({ portions: [portions] });
    fireEvent.press(await screen.findByLabelText('Ask about the portions of Zebrafish in a week'));
    expect(await screen.findByText(/asked again in a week/)).toBeTruthy();
    expect(posted(asked, '/api/proposals/answers')).toMatchObject([
      { accepted: false, later: true, groupId: 'g1', tankId: null },
    ]);
  });
});

describe('a proposed rhythm of changes', () => {
  const water: Proposed['waters'][number] = {
    tankId: 't1',
    tankName: 'Millpond',
    version: 3,
    before: { share: 0.2, everyDays: 7 },
    after: { share: 0.35, everyDays: 7 },
    peak: { before: 51, after: 38 },
    capMgL: 40,
    capGroupName: 'Zebrafish',
    litresPerWeek: { before: 36, after: 63 },
    growers: ['Young danios'],
    why: { label: 'Where it would peak', value: 38, unit: 'mg/L', basis: 'computed', from: [] },
  };

  it('says what it comes to, and that nobody who grows is starved for it', async () => {
    const asked = open({ waters: [water] });
    expect(await screen.findByText('Millpond: change 35 % every 7 days')).toBeTruthy();
    expect(screen.getByText(/With 20 % every 7 days nitrate peaks at 51 mg\/L/)).toBeTruthy();
    expect(screen.getByText('New water a week: 36 L → 63 L')).toBeTruthy();
    expect(screen.getByText(/Young danios: still growing, and not to be fed less/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Change 35 % every 7 days in Millpond'));
    expect(await screen.findByText('Millpond: 35 % every 7 days from now on.')).toBeTruthy();
    expect(posted(asked, '/api/proposals/answers')).toMatchObject([
      { kind: 'water', tankId: 't1', groupId: null, version: 3, accepted: true, foodId: null },
    ]);
  });

  it('is declined with a way back', async () => {
    const asked = open({ waters: [water] });
    fireEvent.press(await screen.findByLabelText('Leave the water of Millpond'));
    expect(
      await screen.findByText(/changed as it was; not asked again for four weeks/),
    ).toBeTruthy();
    const [{ id }] = sent(asked, 'POST') as [{ id: string }];
    fireEvent.press(screen.getByText('Undo'));
    await waitFor(() => expect(posted(asked, `/api/answers/${id}/undo`)).toHaveLength(1));
  });
});
