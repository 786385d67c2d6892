import { food, MONDAY, rows, tank } from './house.testkit';
import { feedFood, feedingOf, feedTank, sightingOf } from './zones';

describe('a planned day as the simulation takes it', () => {
  it('holds every serving with its place and manner', () => {
    const day = feedingOf(rows, MONDAY, null);
    expect(day.drops.map(({ key, atMin, place }) => [key, atMin, place])).toEqual([
      ['a', 720, 'far end'],
      ['b', 1110, 'far end'],
    ]);
    expect(day.drops[0]!.manner.afterMin).toBe(5);
    expect(day.drops[0]!.massG).toBeGreaterThan(0);
    expect(day.toMin - day.fromMin).toBe(1440);
    expect(day.groups[0]).toMatchObject({ count: 8, goalFactor: 1.5, lengthMeasured: true });
  });

  it('or one meal of it, until its food is lifted', () => {
    const meal = feedingOf(rows, MONDAY, 'noon');
    expect(meal).toMatchObject({ fromMin: 720, toMin: 745 });
    expect(meal.drops).toHaveLength(1);
  });

  it('is empty on a fast', () => {
    expect(feedingOf(rows, '2026-03-08', null).drops).toEqual([]);
  });
});

describe('what was seen, as it is learned from', () => {
  const row = {
    id: 'x',
    day: MONDAY,
    momentId: 'noon',
    clearedMin: 4,
    left: null,
    came: [{ groupId: 'g', share: 0.5 }],
    drops: [...feedingOf(rows, MONDAY, 'noon').drops],
    dropKeys: null,
    unwatched: false,
  };

  it('holds the food as it was given, and nothing that was learned before', () => {
    const traits = { groupId: 'g', search: 2, taking: 1, coming: 1 };
    const learned = [{ ...traits, sure: { search: 1, taking: 0, coming: 0 } }];
    expect(feedingOf({ ...rows, learned }, MONDAY, null).groups[0]!.learned?.search).toBe(2);
    const sighting = sightingOf({ ...rows, learned }, row);
    expect(sighting?.feeding.groups[0]!.learned).toBeUndefined();
    expect(sighting?.feeding).toMatchObject({ fromMin: 720, toMin: 745, drops: row.drops });
    expect(sighting?.came.get('g')).toBe(0.5);
  });

  it('is left out where a food of it is gone', () => {
    expect(sightingOf({ ...rows, foods: [] }, row)).toBeNull();
  });
});

describe('water and food', () => {
  it('depth is that of the water over the ground; flow and plants are guessed by kind', () => {
    expect(feedTank(tank, '2026-03-11')).toMatchObject({
      depthCm: 36 - 6,
      flow: 'gentle',
      plants: 'few',
    });
    const byLitres = feedTank(
      { ...tank, lengthCm: null, heightCm: null, litres: 36 },
      '2026-03-11',
    );
    expect(byLitres.litres).toBe(36);
    expect((byLitres.lengthCm * byLitres.widthCm * byLitres.depthCm) / 1000).toBeLessThan(37);
  });

  it('blanks of a food become what is usual for its form; sizes never cross', () => {
    const blank = {
      floatMinutes: null,
      sinkCmPerS: null,
      particleMinMm: null,
      particleMaxMm: null,
    };
    expect(feedFood({ ...food, form: 'sinks', inWater: blank }).inWater).toEqual({
      floatMinutes: 0,
      sinkCmPerS: 3,
      particleMinMm: 1,
      particleMaxMm: 2,
    });
    const fine = feedFood({ ...food, inWater: { ...blank, particleMaxMm: 0.2 } }).inWater;
    expect(fine.particleMinMm).toBe(0.2);
    const coarse = feedFood({ ...food, inWater: { ...blank, particleMinMm: 9 } }).inWater;
    expect(coarse.particleMaxMm).toBe(9);
  });
});
