import fc from 'fast-check';
import {
  broodWork,
  conditioned,
  litresFor,
  isAbsurd,
  raisable,
  safeBesideCm,
  spreadOf,
  computeBroodStatus,
  wantsSorting,
} from '.';
import { broodOf, report, tub } from './brood.testkit';

describe('conditioning', () => {
  const usual = {
    litres: 100,
    proteinG: 1,
    thenG: 1.8,
    days: 14,
    share: 0.25,
    everyDays: 7,
    sourceMgL: 10,
  };
  it('adds ammonia and nitrate as its protein does, worked by hand', () => {
    const report_ = conditioned(usual);
    expect(report_.tanBefore).toBeCloseTo((1 * 0.128 * 1000) / 100, 9);
    expect(report_.tanThen).toBeCloseTo(1.8 * report_.tanBefore, 9);
    expect(report_.nitrateBefore).toBeCloseTo(10 + (1.28 * 4.43 * 7) / 0.25, 6);
    expect(report_.nitrateThen).toBeCloseTo(10 + (1.8 * 1.28 * 4.43 * 7) / 0.25, 6);
  });
  it('is paid for by a larger share, or the same more often', () => {
    const { shareThen, everyThen, litresMore, nitrateBefore } = conditioned(usual);
    expect(shareThen).toBeCloseTo(0.45, 9);
    expect(conditioned({ ...usual, share: shareThen! }).nitrateThen).toBeCloseTo(nitrateBefore, 9);
    expect(everyThen).toBe(3);
    expect(litresMore).toBeCloseTo(0.2 * 100 * 2, 9);
    expect(conditioned({ ...usual, share: 0.6, thenG: 3 }).shareThen).toBeNull();
    expect(conditioned({ ...usual, everyDays: 1, thenG: 3 }).everyThen).toBeNull();
  });
  it('starts from what the tests of the tank tell: plants take up, and the peak is lower', () => {
    const bare = conditioned(usual);
    const planted = conditioned({ ...usual, believed: { production: 1, uptakeMgL: 1 } });
    const { share, everyDays } = usual;
    expect(bare.nitrateBefore - planted.nitrateBefore).toBeCloseTo(everyDays / share, 6);
    expect(conditioned({ ...usual, believed: { production: 1, uptakeMgL: 0 } })).toEqual(bare);
    const thick = conditioned({ ...usual, believed: { production: 1, uptakeMgL: 1e4 } });
    expect(thick.nitrateThen).toBeCloseTo(usual.sourceMgL, 9);
  });

  it('asks for no more water where nitrate stays low', () => {
    const few = { ...usual, proteinG: 0.01, thenG: 0.02 };
    expect(conditioned(few)).toMatchObject({ enough: true, litresMore: 0 });
    expect(conditioned(usual).enough).toBe(false);
  });

  it('costs nothing where nothing more is fed, and never less than before', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 6, noNaN: true }), (thenG) => {
        const report_ = conditioned({ ...usual, thenG });
        expect(report_.nitrateThen).toBeGreaterThanOrEqual(report_.nitrateBefore);
        expect(report_.litresMore).toBeGreaterThanOrEqual(0);
      }),
    );
    expect(conditioned({ ...usual, thenG: 1 }).litresMore).toBe(0);
    expect(() => conditioned({ ...usual, litres: 0 })).toThrow(RangeError);
  });
});

describe('the days of conditioning', () => {
  const on = (today: string) => {
    const task = broodOf('fundulopanchax-gardneri', {
      today,
      conditionDays: 7,
      events: [report('conditioned', '2026-03-01')],
    });
    return broodWork(task, computeBroodStatus(task)).map(({ what }) => what);
  };
  it('are of live food every other day, end with a last meal, and with what comes then', () => {
    expect(on('2026-03-01')).toEqual(['live']);
    expect(on('2026-03-02')).toEqual([]);
    expect(on('2026-03-07')).toEqual(['lastMeal', 'live']);
    expect(on('2026-03-08')).toEqual(['together']);
  });
});

describe('what a house can raise', () => {
  const house = { litres: 100, minutes: 30, minutesPerTub: 10, litresPerTub: 20, waterL: null };
  const need = { lengthCm: 2, live: { lastingG: 2, oneG: 0.01 }, waterL: 0.05 };
  it('is the least of room, food, minutes and water, and what binds is named', () => {
    expect(raisable(house, need)).toEqual({
      count: 120,
      limit: 'minutes',
      by: { room: 200, food: 200, minutes: 120, water: null },
    });
    expect(raisable({ ...house, litres: 20 }, need)).toMatchObject({ count: 40, limit: 'room' });
    expect(raisable({ ...house, waterL: 4 }, need)).toMatchObject({ count: 80, limit: 'water' });
    const little = { ...need, live: { lastingG: 0.1, oneG: 0.01 } };
    expect(raisable(house, little)).toMatchObject({ count: 10, limit: 'food' });
    expect(() => raisable(house, { ...need, lengthCm: 0 })).toThrow(RangeError);
  });
  it('knows no limit of live food where none is given any more', () => {
    expect(raisable(house, { ...need, live: null }).by.food).toBeNull();
  });
  it('calls a demand absurd that no household keeps up', () => {
    expect(isAbsurd(need, 200)).toBe(false);
    expect(isAbsurd(need, 900)).toBe(true);
    expect(isAbsurd({ ...need, live: { lastingG: 0, oneG: 0.001 } }, 200)).toBe(false);
    expect(isAbsurd({ ...need, live: null }, 1e6)).toBe(false);
  });
  it('goes back to its parents when it no longer fits their mouths', () => {
    expect(safeBesideCm(6.5, 0.09)).toBeCloseTo(2.34, 9);
  });
});

describe('tubs', () => {
  const measured = { day: '2026-03-05', lengthMm: 10, shortMm: 6, longMm: 14 };
  it('are sorted where lengths spread, once after each measurement', () => {
    expect(spreadOf({ measured })).toBeCloseTo(8 / 3.08 / 10, 9);
    expect(wantsSorting({ measured, sortedOn: null })).toBe(true);
    expect(wantsSorting({ measured, sortedOn: '2026-03-06' })).toBe(false);
    expect(
      wantsSorting({ measured: { ...measured, shortMm: 9, longMm: 11 }, sortedOn: null }),
    ).toBe(false);
    expect(spreadOf({ measured: { ...measured, shortMm: null } })).toBeNull();
  });
  it('are too small for many that are long', () => {
    expect(litresFor(100, 1.2)).toBeCloseTo(30, 9);
    const task = broodOf('fundulopanchax-gardneri', {
      today: '2026-04-10',
      tubs: [tub({ litres: 5, filtered: true })],
      events: [report('swimming', '2026-03-01'), report('counted', '2026-04-09', { count: 80 })],
    });
    const work = broodWork(task, computeBroodStatus(task));
    expect(work.find(({ what }) => what === 'moveUp')!.because).toMatchObject({
      is: 'crowded',
      count: 80,
      litres: 5,
    });
  });
  it('of fighters are parted when they are long enough', () => {
    const betta = (day: string) => {
      const task = broodOf('betta-splendens', {
        today: day,
        tubs: [tub({ litres: 100 })],
        events: [report('swimming', '2026-01-01'), report('counted', '2026-01-02', { count: 30 })],
      });
      return broodWork(task, computeBroodStatus(task)).map(({ what }) => what);
    };
    expect(betta('2026-01-10')).not.toContain('apart');
    expect(betta('2026-04-20')).toContain('apart');
  });
  it('are counted every other week', () => {
    const counted = (day: string) => {
      const task = broodOf('fundulopanchax-gardneri', {
        today: '2026-03-20',
        events: [report('swimming', '2026-03-01'), report('counted', day, { count: 10 })],
      });
      return broodWork(task, computeBroodStatus(task)).map(({ what }) => what);
    };
    expect(counted('2026-03-15')).not.toContain('count');
    expect(counted('2026-03-02')).toContain('count');
  });
});
