import type { FoodRow, Group } from '@open-larder/contract';
import { PLAIN } from '@open-larder/core/round';
import { AccessibilityInfo } from 'react-native';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { answers, food, group, moment } from '../testing/house';
import { created, sent, standIn } from '../testing/server';
import { TODAY } from '../testing/clock';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { PlayScreen } from './PlayScreen';
import { formatChanges } from './sayAdvice';
import { formatLearned, formatSighting } from './sayLearned';
import { formatDrop, formatSpan } from './labels';

// Nothing plays by itself: a test looks at one frame.
beforeEach(() => {
  jest.spyOn(AccessibilityInfo, 'isReduceMotionEnabled').mockResolvedValue(true);
});

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const REAL = {
  g1: '0190a000-0000-7000-8000-000000000001',
  s1: '0190a000-0000-7000-8000-000000000002',
};
/** Too few pinches for too many fish, and coarse ones: there is something to do better. */
const coarse: FoodRow = {
  ...food,
  id: 'f2',
  name: 'Coarse flake',
  inWater: { ...food.inWater, particleMinMm: 5, particleMaxMm: 8 },
};
const fed: Group = {
  ...group,
  id: REAL.g1,
  diet: {
    ...group.diet!,
    fastWeekdays: [],
    servings: [{ ...group.diet!.servings[0]!, id: REAL.s1 }],
  },
};
const NOTHING = { version: 0, frozen: false, sightings: 0, groups: [] };
const house = (over: object = {}) => ({
  ...answers(),
  'GET /api/groups': { items: [fed], next: null },
  'GET /api/foods': { items: [food, coarse], next: null },
  'GET /api/tanks/t1/learned': NOTHING,
  [`GET /api/round/${TODAY}`]: {
    day: '',
    moments: [],
    resting: [],
    parents: [],
    unplanned: [],
    done: [],
    inWater: [],
  },
  'GET /api/tanks/t1/sightings': { items: [], next: null },
  ...over,
});

/** Give a drawing its width, as the screen would. */
const wide = (testID: string) =>
  fireEvent(screen.getByTestId(testID), 'layout', { nativeEvent: { layout: { width: 360 } } });

describe('who gets it', () => {
  it('plays a feeding, says who got what, and what becomes of the food', async () => {
    standIn(house());
    show(<PlayScreen id="t1" />);
    expect(await screen.findByText(/Zebrafish get 100 % of what is eaten/)).toBeTruthy();
    expect(screen.getByText(/mg\/L nitrate/)).toBeTruthy();
    wide('fed-tank');
    expect(screen.getByLabelText(/^Millpond from the side/)).toBeTruthy();
    const shares = screen.getByLabelText('Shares of the day’s need');
    expect(within(shares).getByText(/in the end/)).toBeTruthy();
    // The band over uncertain traits comes after it.
    expect(await within(shares).findByText(/in the end, likely \d+ % to \d+ %/)).toBeTruthy();
  });

  it('of a whole day is one picture', async () => {
    standIn(house());
    show(<PlayScreen id="t1" />);
    fireEvent.press(await screen.findByRole('tab', { name: 'Whole day' }));
    await screen.findByTestId('feeding-day');
    wide('feeding-day');
    expect(
      screen.getByLabelText(/^The day of Millpond\. Food at the surface: .* of its need$/),
    ).toBeTruthy();
  });

  it('may be of another day, which no garbage in an address can upset', async () => {
    const sundays = { ...fed, diet: { ...fed.diet!, fastWeekdays: [7] } };
    standIn(house({ 'GET /api/groups': { items: [sundays], next: null } }));
    const { unmount } = show(<PlayScreen id="t1" day="2026-03-08" />);
    expect(await screen.findByText('Nothing is planned here on Sun 8 Mar')).toBeTruthy();
    unmount();
    standIn(house());
    show(<PlayScreen id="t1" day="never" />);
    expect(await screen.findByText('Millpond, as planned today')).toBeTruthy();
  });

  it('needs something that is planned, and a tank that is there', async () => {
    standIn(house({ 'GET /api/groups': { items: [{ ...fed, diet: null }], next: null } }));
    show(<PlayScreen id="t1" />);
    expect(await screen.findByText('Nothing is planned here today')).toBeTruthy();
    show(<PlayScreen id="gone" />);
    expect(await screen.findByText('No such tank')).toBeTruthy();
  });
});

describe('asking for better', () => {
  it('puts what helps into the plan, with a way back', async () => {
    const hungry: Group = {
      ...fed,
      diet: { ...fed.diet!, servings: [{ ...fed.diet!.servings[0]!, foodId: 'f2' }] },
    };
    const saved = { ...hungry.diet!, version: 3 };
    const asked = standIn(
      house({
        'GET /api/groups': { items: [hungry], next: null },
        [`PUT /api/groups/${REAL.g1}/diet`]: saved,
      }),
    );
    show(
      <>
        <PlayScreen id="t1" />
        <Toast />
      </>,
    );
    fireEvent.press(await screen.findByText('How could Zebrafish get more?'));
    const [put] = await screen.findAllByText('Put it into the plan');
    expect(screen.getByText(/^Give fine flake in place of the coarse flake\.$/)).toBeTruthy();
    expect(screen.getAllByText(/Zebrafish get \d+ % of their need, not \d+ %/)[0]).toBeTruthy();
    fireEvent.press(put!);
    expect(await screen.findByText(/It is in the plan of Zebrafish/)).toBeTruthy();
    expect(sent(asked, 'PUT')[0]).toMatchObject({ version: 2 });
    fireEvent.press(screen.getByText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT')[1]).toMatchObject({
      version: 3,
      servings: [{ id: REAL.s1, foodId: 'f2', momentId: 'evening' }],
    });
  });

  it('can be cancelled, and says so when nothing helps', async () => {
    const sunk = { ...food, form: 'sinks', inWater: { ...food.inWater, floatMinutes: 0 } };
    standIn(house({ 'GET /api/foods': { items: [sunk], next: null } }));
    show(<PlayScreen id="t1" />);
    fireEvent.press(await screen.findByText('How could Zebrafish get more?'));
    fireEvent.press(await screen.findByText('Cancel'));
    expect(screen.queryByText('Cancel')).toBeNull();
    await act(async () => fireEvent.press(screen.getByText('How could Zebrafish get more?')));
    expect(await screen.findByText(/None of \d+ ways does better for Zebrafish/)).toBeTruthy();
  });
});

describe('what was seen, and learned from it', () => {
  const drops = [
    {
      key: REAL.s1,
      foodId: 'f1',
      groupId: REAL.g1,
      atMin: 1110,
      massG: 0.04,
      zone: 'surface' as const,
      place: '',
      manner: PLAIN,
    },
  ];
  const seen = {
    id: '0190a000-0000-7000-8000-000000000009',
    day: '2026-03-02',
    momentId: 'evening',
    clearedMin: 45,
    left: null,
    dropKeys: null,
    unwatched: false,
    came: [{ groupId: REAL.g1, share: 0.5 }],
    drops,
  };
  const traits = {
    groupId: REAL.g1,
    search: 1,
    taking: 1,
    coming: 0.5,
    sure: { search: 0, taking: 0.2, coming: 0.5 },
  };
  const shown = () =>
    show(
      <>
        <PlayScreen id="t1" />
        <Toast />
      </>,
    );

  it('is noted with what was given', async () => {
    const asked = standIn(house({ 'POST /api/tanks/t1/sightings': created }));
    shown();
    fireEvent.press(await screen.findByLabelText('Gone'));
    fireEvent.press(screen.getByText('Note it'));
    expect(await screen.findByText('Say after how many minutes it was gone.')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Minutes until it was gone'), '7.5');
    fireEvent.press(within(screen.getByLabelText('Zebrafish that came')).getByLabelText('Some'));
    fireEvent.press(screen.getByText('Note it'));
    expect(await screen.findByText(/^Noted\./)).toBeTruthy();
    expect(sent(asked, 'POST')[0]).toMatchObject({
      momentId: 'evening',
      clearedMin: 7.5,
      left: null,
      came: [{ groupId: REAL.g1, share: 0.5 }],
      drops: [{ key: REAL.s1, foodId: 'f1' }],
    });
  });

  it('is learned from, kept, and can be undone', async () => {
    const asked = standIn(
      house({
        'GET /api/tanks/t1/sightings': { items: [seen, seen, seen], next: null },
        'PUT /api/tanks/t1/learned': ({ body }: { body: unknown }) => ({
          status: 200,
          body: { ...(body as object), version: 1 },
        }),
      }),
    );
    shown();
    fireEvent.press(await screen.findByText('Learn from 3 meals'));
    expect(await screen.findByText(/^Learned\./)).toBeTruthy();
    const [kept] = sent(asked, 'PUT') as [{ version: number; groups: (typeof traits)[] }];
    expect(kept).toMatchObject({ version: 0, frozen: false, sightings: 3 });
    const { search, coming } = kept.groups[0]!;
    expect(Math.min(search, coming)).toBeLessThan(0.9);
    fireEvent.press(screen.getByText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT')[1]).toEqual({ ...NOTHING, version: 1 });
  });

  it('bellies alone teach as well', async () => {
    const look = (n: number) => ({
      id: `l${n}`,
      groupId: REAL.g1,
      day: TODAY,
      belly: 1,
      hungBack: true,
      absent: false,
      injured: false,
      colour: null,
      droppings: null,
      note: '',
      hand: null,
      at: `${TODAY}T12:00:00.000Z`,
    });
    const asked = standIn(
      house({
        [`GET /api/groups/${REAL.g1}/looks`]: { items: [look(1), look(2)], next: null },
        'PUT /api/tanks/t1/learned': ({ body }: { body: unknown }) => ({
          status: 200,
          body: { ...(body as object), version: 1 },
        }),
      }),
    );
    shown();
    fireEvent.press(await screen.findByText('Learn from 2 looks at bellies'));
    expect(await screen.findByText(/^Learned\./)).toBeTruthy();
    const [kept] = sent(asked, 'PUT') as [{ sightings: number; groups: (typeof traits)[] }];
    expect(kept.sightings).toBe(2);
    expect(kept.groups[0]!.coming).toBeLessThan(1);
  });

  it('can be seen, frozen and forgotten; a sighting can be taken back', async () => {
    const asked = standIn(
      house({
        'GET /api/tanks/t1/learned': { version: 4, frozen: false, sightings: 6, groups: [traits] },
        'GET /api/tanks/t1/sightings': { items: [seen], next: null },
        'PUT /api/tanks/t1/learned': { version: 5, frozen: true, sightings: 6, groups: [traits] },
        [`POST /api/sightings/${seen.id}/undo`]: seen,
      }),
    );
    shown();
    expect(await screen.findByText('0.5 times as many come (fairly sure).')).toBeTruthy();
    fireEvent.press(screen.getByText('Freeze it'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    expect(sent(asked, 'PUT')[0]).toMatchObject({ version: 4, frozen: true, groups: [traits] });
    fireEvent.press(screen.getByText('1 noted here'));
    expect(screen.getByText('Gone after 45 min; Zebrafish: some came')).toBeTruthy();
    fireEvent.press(screen.getByText('Take back'));
    expect(await screen.findByText('Taken back.')).toBeTruthy();
    expect(sent(asked, 'POST')).toHaveLength(1);
    fireEvent.press(screen.getByText('Forget it'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT')[1]).toMatchObject({ groups: [], sightings: 0 });
  });

  it('is said in words', () => {
    expect(formatLearned(traits)).toBe('0.5 times as many come (fairly sure).');
    expect(formatLearned({ ...traits, coming: 1 })).toBe('As expected (fairly sure).');
    expect(formatLearned({ ...traits, coming: 1, search: 1.5 })).toBe(
      'Eats 1.5 times as fast as expected (a guess still).',
    );
    const quarter = { ...seen, clearedMin: null, left: 0.25, came: [] };
    expect(formatSighting(quarter, new Map())).toBe('25 % left');
    // Of one food among several it says which.
    const two = { ...quarter, drops: [...seen.drops, { ...seen.drops[0]!, key: 'other' }] };
    const names = new Map([[seen.drops[0]!.foodId, 'Fine flake']]);
    expect(formatSighting({ ...two, dropKeys: ['other'] }, names)).toBe('Fine flake 25 % left');
  });
});

describe('words', () => {
  const feeding = {
    foods: [{ id: 'f1', name: 'Fine flake' }],
    drops: [{ key: 's1', foodId: 'f1', manner: PLAIN }],
  } as unknown as Parameters<typeof formatChanges>[1]['feeding'];
  const say = (change: object) =>
    formatChanges([{ key: 's1', ...change } as Parameters<typeof formatChanges>[0][number]], {
      feeding,
      moments: new Map([[moment.id, moment.name]]),
    });

  it.each([
    [{ kind: 'moment', momentId: 'evening' }, 'Give the fine flake at «After work».'],
    [{ kind: 'split', momentId: 'evening' }, 'Give half of the fine flake at «After work».'],
    [{ kind: 'place', place: 'far end' }, 'Drop the fine flake at the far end.'],
    [
      { kind: 'later', afterMin: 5 },
      'Feed the others first, and give the fine flake 5 min later, while they are busy.',
    ],
    [{ kind: 'spots', spots: 2 }, 'Spread the fine flake over 2 places.'],
    [{ kind: 'carried' }, 'Carry the fine flake down to them.'],
    [{ kind: 'soaked' }, 'Soak the fine flake first, so that it sinks.'],
    [{ kind: 'apart' }, 'Set them apart while they eat the fine flake.'],
  ])('%j', (change, says) => expect(say(change)).toBe(says));

  it('tell times, and what was left where', () => {
    expect([40, 200, 9000].map(formatSpan)).toEqual(['40 s', '3 min', '2.5 h']);
    const drop = {
      key: 's1',
      foodId: 'f1',
      name: 'Fine flake',
      groupId: 'g1',
      servedG: 1,
      eatenG: 0.4,
      leachedG: 0.1,
      liftedG: 0.5,
      stayingG: 0,
      leftG: 0,
      buriedG: 0,
      ownShare: 0.25,
      clearedMin: null,
      lay: [
        { layer: 'surface' as const, massG: 0.1 },
        { layer: 'ground' as const, massG: 0.4 },
      ],
    };
    expect(formatDrop(drop, 'Loaches')).toBe(
      'Loaches get 25 % of what is eaten. About 0.5 g is left to remove, mostly on the ground.',
    );
    expect(formatDrop({ ...drop, clearedMin: 9, buriedG: 0.3 }, 'Loaches')).toMatch(
      /Gone after 9 min\. 30 % falls between the gravel, out of reach/,
    );
    expect(formatDrop({ ...drop, liftedG: 0, stayingG: 0.5 }, 'Loaches')).toMatch(
      /About 0.5 g is still there the next day, mostly on the ground\./,
    );
    expect(formatDrop({ ...drop, eatenG: 0, clearedMin: 3 }, 'Loaches')).toBe(
      'It is not eaten. Gone after 3 min.',
    );
  });
});
