import { advise, changed, changesFor, inDiet, type Change } from '.';
import { PLAIN, type DietServing } from '../round';
import {
  testDrop,
  testEater,
  testFeeding,
  testLoaches,
  testFlake,
  testWafer,
} from './zones.testkit';

const moments = [
  { id: 'morning', atMin: 600 },
  { id: 'night', atMin: 1330 },
];
const day = testFeeding({
  groups: [testEater('shoal'), testLoaches()],
  drops: [
    testDrop('flake', 'shoal', { massG: 0.15 }),
    testDrop('wafer', 'loaches', { zone: 'bottom', massG: 0.25 }),
  ],
  fromMin: 540,
  toMin: 1980,
});
const key = 'wafer-loaches';

describe('ways to do better', () => {
  it('the night feeders are to be fed at night, when the shoal sleeps', () => {
    const { now, better, tried } = advise(day, 'loaches', moments);
    expect(tried).toBeGreaterThan(8);
    expect(now.ofNeed[1]).toBeLessThan(60);
    const night = better.find(({ changes }) => changes[0]!.kind === 'moment');
    expect(night?.changes).toContainEqual({ kind: 'moment', key, momentId: 'night' });
    expect(night!.outlook.ofNeed[1]).toBeGreaterThan(now.ofNeed[1]! + 15);
  });

  it('are ranked, each better than now, with what it costs the others', () => {
    const { better } = advise(day, 'loaches', moments);
    better.forEach(({ cost }, at) => {
      if (at > 0) expect(cost).toBeGreaterThanOrEqual(better[at - 1]!.cost);
    });
    better.forEach(({ outlook }) => expect(outlook.ofNeed).toHaveLength(2));
  });

  it('change where and when before they change the food', () => {
    const wafer = day.foods.find(({ id }) => id === 'wafer')!;
    const twin = { ...day, foods: [...day.foods, { ...wafer, id: 'twin', name: 'Twin wafer' }] };
    const { better } = advise(twin, 'loaches', moments);
    const first = better.find(({ changes }) => changes.some(({ kind }) => kind === 'food'));
    // As good a food in its place brings nothing that a keeper would go to the shop for.
    expect(better[0]!.changes.map(({ kind }) => kind)).not.toContain('food');
    expect(first?.cost ?? Infinity).toBeGreaterThan(better[0]!.cost);
  });

  it('say how surely they help, for groups that are bolder or shyer than expected', () => {
    const { better } = advise(day, 'loaches', moments);
    const [first] = better;
    expect(first!.sure).toMatchObject({ of: 6 });
    expect(first!.sure!.helps).toBeGreaterThanOrEqual(4);
    expect(first!.sure!.low).toBeLessThanOrEqual(first!.sure!.high);
    // What was seen often enough leaves no doubt, and the share is the one that was worked out.
    const known = day.groups.map((group) => ({
      ...group,
      learned: { search: 1, taking: 1, coming: 1, sure: { search: 1, taking: 1, coming: 1 } },
    }));
    const sure = advise({ ...day, groups: known }, 'loaches', moments).better[0]!;
    expect(sure.sure!.low).toBeCloseTo(sure.sure!.high, 6);
    expect(sure.sure!.low).toBeCloseTo(sure.outlook.ofNeed[1]!, 6);
  });

  it('say nothing where a group has plenty, or is not there', () => {
    const plenty = { ...day, drops: [testDrop('flake', 'shoal', { massG: 3 })] };
    expect(advise(plenty, 'shoal', moments).better).toEqual([]);
    expect(advise(day, 'nobody', moments)).toMatchObject({ better: [], tried: 0 });
  });

  it('stop when they are told to', () => {
    expect(advise(day, 'loaches', moments, (done) => done < 3).tried).toBe(3);
  });

  it('are the same every time', () => {
    expect(advise(day, 'loaches', moments)).toEqual(advise(day, 'loaches', moments));
  });
});

describe('a change', () => {
  const of = (change: Change) => changed(day, change, moments).drops;

  it('moves, halves, or gives another food to the same energy', () => {
    expect(of({ kind: 'moment', key, momentId: 'night' })[1]).toMatchObject({ atMin: 1330 });
    const halves = of({ kind: 'split', key, momentId: 'night' });
    expect(halves.map(({ atMin, massG }) => [atMin, massG])).toEqual([
      [600, 0.15],
      [600, 0.125],
      [1330, 0.125],
    ]);
    // Of a food that is served by the tenth of a gram, half of a quarter is one tenth.
    const coarse = [testFlake(), testWafer({ unit: { massG: 0.1, step: 1 } })];
    const rounded = changed(
      { ...day, foods: coarse },
      { kind: 'split', key, momentId: 'night' },
      moments,
    );
    expect(rounded.drops.slice(1).map(({ massG }) => massG)).toEqual([0.1, 0.1]);
    const wet = { moisture: 0.9, protein: 0.05, fat: 0.01, fibre: 0, ash: 0.01 };
    const foods = [testFlake(), testWafer(), testFlake({ id: 'wet', composition: wet })];
    const dense = changed({ ...day, foods }, { kind: 'food', key, foodId: 'wet' }, moments);
    expect(dense.drops[1]!.massG).toBeGreaterThan(0.25 * 5);
  });

  it.each([
    [
      { kind: 'later', key, afterMin: 5 },
      { ...PLAIN, afterMin: 5 },
    ],
    [
      { kind: 'spots', key, spots: 3 },
      { ...PLAIN, spots: 3 },
    ],
    [
      { kind: 'carried', key },
      { ...PLAIN, carried: true },
    ],
    [
      { kind: 'apart', key },
      { ...PLAIN, apart: true },
    ],
  ] as [Change, object][])('%j', (change, manner) => {
    expect(of(change)[1]!.manner).toEqual(manner);
    expect(of(change)[0]).toEqual(day.drops[0]);
  });

  it('is offered only where it changes something', () => {
    const kinds = changesFor(day, 'loaches', moments).map(({ kind }) => kind);
    // The wafer sinks by itself.
    expect(kinds).not.toContain('soaked');
    expect(kinds).toEqual(expect.arrayContaining(['moment', 'split', 'later', 'place', 'apart']));
    const alone = { ...day, groups: [testLoaches()], drops: [day.drops[1]!] };
    const fewer = changesFor(alone, 'loaches', moments).map(({ kind }) => kind);
    expect(fewer).not.toContain('apart');
    expect(fewer).not.toContain('place');
  });

  const serving: DietServing = {
    id: key,
    foodId: 'wafer',
    momentId: 'morning',
    zone: 'bottom',
    place: '',
    days: [1, 2, 3],
    weight: 2,
    ownUnits: 4,
    manner: PLAIN,
  };

  it('goes into the diet as it was simulated', () => {
    const put = (change: Change) => inDiet([serving], change, () => 'new');
    expect(put({ kind: 'split', key, momentId: 'night' })).toMatchObject([
      { id: key, momentId: 'morning', weight: 1, ownUnits: 2 },
      { id: 'new', momentId: 'night', weight: 1, ownUnits: 2 },
    ]);
    expect(put({ kind: 'food', key, foodId: 'flake' })).toMatchObject([
      { foodId: 'flake', ownUnits: null },
    ]);
    expect(put({ kind: 'soaked', key })[0]!.manner.soaked).toBe(true);
    expect(put({ kind: 'moment', key: 'other', momentId: 'night' })).toEqual([serving]);
  });
});
