import { openRefills, planTrigger, refusedSteps } from './trigger';

const tank = { tempC: 26, gh: 8, tdsMgL: 200, nitrateMgL: 10 };
const task = {
  from: '2026-03-10',
  dryDays: 14,
  fallShare: 0.2,
  by: 'tempC' as const,
  target: 22,
  tank,
  refill: { tempC: 16, gh: 2, tdsMgL: 40, nitrateMgL: 2 },
  maxShare: 0.4,
  addsMgL: 1,
  heaterC: 22,
  rounds: 1,
};

describe('a trigger as a plan', () => {
  it('is a dry spell, cool refills in safe steps, and the heater back', () => {
    const steps = planTrigger(task)!;
    expect(steps.map(({ does, day }) => `${day} ${does}`)).toEqual([
      '2026-03-10 hold',
      '2026-03-24 heaterDown',
      '2026-03-24 refill',
      '2026-03-25 refill',
      '2026-03-27 heaterBack',
    ]);
    const [one, two] = steps.slice(2, 4);
    expect(two!.water.tempC).toBeCloseTo(22, 9);
    // No more than three degrees at once, though two fifths would be changed.
    expect(26 - one!.water.tempC).toBeLessThanOrEqual(3);
    expect(one!.share).toBeLessThan(0.4);
  });

  it('thickens the water while it is dry, and thins it with the rain', () => {
    const [, dry, rain] = planTrigger({ ...task, target: 24 })!;
    expect(dry!.water).toMatchObject({ gh: 10, tdsMgL: 250, nitrateMgL: 30 });
    expect(rain!.water.gh).toBeCloseTo(10 * 0.8 + 2 * 0.2, 9);
    expect(rain!.water.nitrateMgL).toBeCloseTo(30 * 0.8 + 2 * 0.2, 9);
  });

  it('is repeated in rounds, each after a week', () => {
    const steps = planTrigger({ ...task, rounds: 3 })!;
    expect(steps.filter(({ does }) => does === 'hold').map(({ day }) => day)).toEqual([
      '2026-03-10',
      '2026-04-03',
      '2026-04-27',
    ]);
  });

  it('is none with water that cannot bring it there, and refuses a tank that runs dry', () => {
    expect(planTrigger({ ...task, target: 28 })).toBeNull();
    expect(() => planTrigger({ ...task, fallShare: 0.6 })).toThrow(RangeError);
  });

  it('is refused where it is too cold, too soft, or where nitrate passes', () => {
    const refused = (over: object, limits: object = {}) =>
      refusedSteps(planTrigger({ ...task, ...over })!, {
        tempMinC: 20,
        ghMin: 2,
        nitrateMgL: 40,
        ...limits,
      }).map(({ is }) => is);
    expect(refused({})).toEqual([]);
    expect(refused({ target: 23.5 })).toEqual([]);
    expect(refused({ target: 19 })).toContain('cold');
    expect(refused({ target: 23.5 }, { ghMin: 9 })).toEqual(['soft']);
    expect(refused({ target: 23.5, dryDays: 28 }, { nitrateMgL: 20 })).toEqual(['nitrate']);
  });

  it('has its refills open until a change after their day', () => {
    const refills = [
      { day: '2026-03-24', share: 0.2 },
      { day: '2026-03-25', share: 0.2 },
    ];
    expect(openRefills(refills, null)).toHaveLength(2);
    expect(openRefills(refills, '2026-03-24')).toEqual([refills[1]]);
    expect(openRefills(refills, '2026-03-30')).toEqual([]);
  });
});
