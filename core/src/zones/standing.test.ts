import { PLAIN } from '../round';
import { testGroup, testHouse, testTank } from '../round/house.testkit';
import { dropsBefore } from './day';
import { eatenOf } from './eaten';
import type { FeedFood, Feeding } from './feeding';
import { play } from './play';
import { settled } from './settled';
import { testDrop, testFeeding, testFlake, testLoaches, testWafer } from './zones.testkit';

const slice: FeedFood = testWafer({
  id: 'slice',
  name: 'Blanched courgette',
  kind: 'fresh',
  family: 'leaf',
  composition: { protein: 0.012, fat: 0.003, fibre: 0.011, ash: 0.006, moisture: 0.947 },
  plantShare: 1,
  liftAfterMin: 1440,
});
const leaf: FeedFood = testFlake({
  id: 'leaf',
  name: 'Catappa leaf',
  family: 'leaf',
  form: 'sinks',
  inWater: {
    floatMinutes: 0,
    sinkCmPerS: 2,
    particleMinMm: 60,
    particleMaxMm: 60,
    pieceForm: 'leaf',
    widthMinMm: 0.2,
    widthMaxMm: 0.3,
  },
  plantShare: 1,
  liftAfterMin: 21 * 1440,
});

const grazers = testLoaches({
  id: 'grazers',
  lengthCm: 5,
  species: {
    guild: 'plant grazer',
    plantShareMin: 0.6,
    plantShareMax: 1,
    presenceDay: { surface: 0, mid: 0, bottom: 0.8, film: 0.2 },
    presenceNight: { surface: 0, mid: 0, bottom: 0.8, film: 0.2 },
    activityByLight: { day: 0.6, dusk: 1, night: 1 },
  },
});

/** From 8:45 in the morning to the next. */
const day = (over: Partial<Feeding>): Feeding =>
  testFeeding({
    groups: [grazers],
    foods: [slice, leaf],
    drops: [],
    fromMin: 525,
    toMin: 525 + 1440,
    ...over,
  });
const evening = testDrop('slice', 'grazers', { atMin: 1260, massG: 8, zone: 'bottom' });

describe('a slice that is put in for a day and a night', () => {
  const alone = eatenOf(day({ drops: [evening] }));
  const next = eatenOf(day({ drops: [], before: [[evening]] }));

  it('stands when its day ends, is grazed on, and is lifted on its hour', () => {
    expect(alone.stayingG[0]).toBeGreaterThan(0.5);
    expect(alone.liftedG[0]).toBe(0);
    expect(next.stoodKj[0]).toBeGreaterThan(0);
    expect(next.stood.map(({ foodId }) => foodId)).toContain('slice');
  });

  it('is all accounted for over both days', () => {
    const eatenG = alone.reaches[0]!.reduce((sum, share) => sum + share * evening.massG, 0);
    const lost = evening.massG - eatenG - alone.stayingG[0]!;
    const then = next.stood.reduce(
      (sum, { eatenG: ate, lostG, liftedG }) => sum + ate[0]! + lostG + liftedG,
      0,
    );
    expect(lost).toBeGreaterThanOrEqual(-1e-9);
    // The day before is looked at with longer steps.
    expect(then / alone.stayingG[0]!).toBeCloseTo(1, 1);
  });

  it('is no longer there two days on', () => {
    expect(eatenOf(day({ drops: [], before: [[], [evening]] })).stood).toEqual([]);
  });

  it('gives one figure on every screen', () => {
    const feeding = day({ drops: [evening], before: [[evening], [evening]] });
    const [group] = play(feeding).report.groups;
    const { kj } = eatenOf(feeding);
    expect(group!.gotKj.value).toBeCloseTo(
      kj[0]!.reduce((sum, part) => sum + part, 0),
      6,
    );
  });
});

describe('a leaf', () => {
  const put = testDrop('leaf', 'grazers', { massG: 1.2, zone: 'bottom', manner: PLAIN });
  const softIn = (before: Feeding['before']) =>
    settled(day({ before }))
      .items.filter(({ food }) => food.id === 'leaf')
      .reduce((sum, { count, massG }) => sum + count * massG, 0);

  it('gives on each day only what softens, less each day, until it is lifted', () => {
    const on = (days: number) => softIn([...Array.from({ length: days - 1 }, () => []), [put]]);
    expect(on(1)).toBeCloseTo(1.2 * (Math.exp(-0.02) - Math.exp(-0.04)), 6);
    expect(on(10)).toBeCloseTo(1.2 * (Math.exp(-0.2) - Math.exp(-0.22)), 6);
    expect(on(22)).toBe(0);
  });

  it('stands, whatever is grazed off it on its first day', () => {
    const [drop] = play(day({ drops: [put] })).report.drops;
    expect(drop!.servedG).toBe(1.2);
    expect(drop!.stayingG).toBeCloseTo(1.2 * Math.exp(-0.02), 6);
    expect(drop!.eatenG).toBeLessThan(1.2 * 0.02);
    expect(drop!.clearedMin).toBeNull();
    const accounted = drop!.eatenG + drop!.leachedG + drop!.liftedG + drop!.stayingG + drop!.leftG;
    expect(accounted).toBeCloseTo(1.2, 9);
  });
});

describe('what went in on the days before', () => {
  const house = testHouse({ tanks: [testTank('b', 1)], groups: [testGroup('g1', 'b')] });
  const before = (liftAfterMin: number) =>
    dropsBefore(house, 'b', [{ id: 'flake', liftAfterMin }], '2026-03-10');

  it('is looked up as far back as any of its foods may stay in', () => {
    expect(before(30)).toEqual([]);
    expect(before(1440)).toHaveLength(1);
    expect(before(21 * 1440)).toHaveLength(21);
  });

  it('goes in by the plan, week for week', () => {
    const days = before(21 * 1440);
    // The tenth is a Tuesday: the Sunday two days before it is a fast.
    expect(days[0]!.length).toBeGreaterThan(0);
    expect(days[1]).toEqual([]);
    expect(days[8]).toEqual(days[1]);
    expect(days[7]).toEqual(days[0]);
  });
});
