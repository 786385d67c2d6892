import fc from 'fast-check';
import type { GrowthStatus } from '../growth/status';
import type { Food } from '../ration';
import { testGroup, testHouse, testTank } from '../round/house.testkit';
import { peakOf } from '../water/sawTooth';
import { keepsUnder } from '../water/keeps';
import type { WaterStatus } from '../water/status';
import {
  changedDiet,
  fedAfter,
  growthSigns,
  ledTo,
  nitrateSign,
  propose,
  waterProposal,
  type Sign,
} from '.';

const TODAY = '2026-03-10';

const sample = (mean: number, day = '2026-03-08') =>
  ({ day, mean }) as GrowthStatus['samples'][number];
const growth = (over: Partial<GrowthStatus> = {}): GrowthStatus => ({
  samples: [sample(1.5, '2026-02-10'), sample(2)],
  curve: null,
  refused: null,
  usualCm: 2.4,
  against: 'behind',
  growthRate: null,
  reached: null,
  sorting: null,
  condition: null,
  shrank: null,
  checkpoints: [],
  runts: 0,
  ...over,
});

describe('what growth says of portions', () => {
  it('behind their kind asks growers for more, the further behind the more', () => {
    const [sign] = growthSigns(growth(), 'juvenile');
    expect(sign).toMatchObject({ seen: { behind: true }, day: '2026-03-08', enough: true });
    expect(sign!.pull).toBeCloseTo((1 - 2 / 2.4) / 0.2, 9);
    const [far] = growthSigns(growth({ usualCm: 4 }), 'fry');
    expect(far!.pull).toBe(1);
    expect(propose('juvenile', [sign!], TODAY)!.change).toBe(0.12);
  });

  it('as usual or ahead is right, and never a reason for less', () => {
    for (const against of ['as usual', 'ahead'] as const) {
      expect(growthSigns(growth({ against }), 'juvenile')).toMatchObject([{ pull: 0 }]);
    }
  });

  it('says nothing of grown fish, of what is unsure, nor where others were measured', () => {
    expect(growthSigns(growth(), 'adult')).toEqual([]);
    expect(growthSigns(growth({ against: 'unsure' }), 'juvenile')).toEqual([]);
    expect(growthSigns(growth({ shrank: { fromCm: 2.4, toCm: 2 } }), 'juvenile')).toEqual([]);
    expect(growthSigns(growth({ usualCm: null }), 'juvenile')).toEqual([]);
  });

  it.each([
    ['a tenth off is right', 1.09, 0],
    ['lean asks for more', 0.75, 1],
    ['stout asks for less', 1.25, -1],
    ['a little stout for a little less', 1.16, -0.4],
  ])('mass: %s', (_, value, pull) => {
    const condition = { value, word: 'usual', day: TODAY } as unknown as GrowthStatus['condition'];
    const [sign] = growthSigns(growth({ condition }), 'adult');
    expect(sign!.seen).toEqual({ kind: 'mass', ofUsual: value });
    expect(sign!.pull).toBeCloseTo(pull, 6);
    // Scales are rough: one weighing alone proposes nothing.
    expect(propose('adult', [sign!], TODAY)).toBeNull();
  });
});

const RHYTHM = { share: 0.2, everyDays: 7, sourceMgL: 5 };
/** A tank whose food adds so much a day, with the rhythm above. */
const water = (
  addsMgL: number,
  { capMgL = 20, rhythm = RHYTHM, over = true } = {},
): WaterStatus => {
  const fit = { production: 1, uptakeMgL: 0, sd: { production: 0.2, uptakeMgL: 0.1 }, tests: 0 };
  return {
    fit,
    worst: fit,
    over: null,
    cap: { mgL: capMgL, groupId: 'g', groupName: 'Loaches' },
    foodAddsMgL: addsMgL,
    addsMgL,
    peakMgL: peakOf(addsMgL, rhythm),
    keeps: keepsUnder(capMgL, fit, addsMgL, rhythm),
    warnings: over ? [{ kind: 'willPass', day: TODAY, likely: true }] : [],
  } as unknown as WaterStatus;
};
const when = { since: '', today: TODAY };
const belly = (pull: number, weight = 1): Sign => ({
  seen: { kind: 'belly', score: 2, still: true },
  day: TODAY,
  pull,
  weight,
});

describe('what nitrate says of portions', () => {
  it('less, as far as food is the matter, beside other signs only', () => {
    const sign = nitrateSign(water(1), 'adult', when)!;
    expect(sign).toMatchObject({ seen: { kind: 'nitrate' }, pull: -1, enough: false });
    expect(propose('adult', [sign], TODAY)).toBeNull();
    const left: Sign = {
      seen: { kind: 'left', share: 0.25 },
      day: TODAY,
      pull: -0.5,
      weight: 1,
    };
    const both = propose('adult', [left, { ...left, day: '2026-03-09' }, sign], TODAY)!;
    const alone = propose('adult', [left, { ...left, day: '2026-03-09' }], TODAY)!;
    expect(both.change).toBeLessThan(alone.change);
  });

  it('by itself where no change of water is enough', () => {
    const rhythm = { ...RHYTHM, sourceMgL: 25 };
    const sign = nitrateSign(water(1, { rhythm }), 'adult', when)!;
    expect(sign.enough).toBe(true);
    expect(propose('adult', [sign], TODAY)!.change).toBe(-0.15);
  });

  it('starves no grower: it is said, and left out', () => {
    for (const stage of ['fry', 'juvenile'] as const) {
      const sign = nitrateSign(water(1), stage, when)!;
      expect(sign).toMatchObject({ weight: 0, pull: 0 });
      expect(sign.seen).toMatchObject({ now: false, grows: true });
      const thin = belly(1);
      const proposal = propose(stage, [thin, { ...thin, day: '2026-03-09' }, sign], TODAY)!;
      expect(proposal.change).toBe(0.15);
      expect(proposal.signs).toContain(sign);
    }
  });

  it('and nothing more is fed while there is too much in it, save to fry', () => {
    const sign = nitrateSign({ ...water(1), over: { mgL: 60, steps: [] } }, 'adult', when)!;
    expect(sign).toMatchObject({
      holds: true,
      seen: { now: true, mgL: 60, capMgL: 20, groupName: 'Loaches' },
    });
    const thin = belly(1);
    const signs = [thin, { ...thin, day: '2026-03-09' }, sign];
    expect(propose('adult', signs, TODAY)).toBeNull();
    expect(propose('fry', signs, TODAY)!.change).toBe(0.15);
  });

  it('nor while ammonia or nitrite is in it', () => {
    const warnings = [{ kind: 'nitrite' as const, day: TODAY, mgL: 1, fromMgL: 0.5 }];
    const sign = nitrateSign({ ...water(0.1, { over: false }), warnings }, 'adult', when)!;
    expect(sign).toMatchObject({ holds: true, seen: { kind: 'poison', which: 'nitrite' } });
  });

  it('nothing under the cap, where food is not the matter, or while a change settles', () => {
    expect(nitrateSign(water(0.1, { over: false }), 'adult', when)).toBeNull();
    expect(nitrateSign(water(0.1), 'adult', when)).toBeNull();
    expect(nitrateSign(water(1), 'adult', { since: '2026-03-05', today: TODAY })).toBeNull();
    expect(nitrateSign(water(1), 'adult', { since: '2026-03-03', today: TODAY })).not.toBeNull();
    expect(nitrateSign({ ...water(1), cap: null }, 'adult', when)).toBeNull();
  });
});

describe('a proposal for the water', () => {
  it('is more at once, up to a half', () => {
    const proposal = waterProposal(water(1), RHYTHM)!;
    expect(proposal).toMatchObject({ share: 0.5, everyDays: 7 });
    expect(proposal.toPeakMgL).toBeCloseTo(19, 9);
    expect(proposal.why.value).toBe(proposal.toPeakMgL);
  });

  it('more often where half is not enough', () => {
    const proposal = waterProposal(water(1.5), RHYTHM)!;
    expect(proposal).toMatchObject({ share: 0.2, everyDays: 2 });
    expect(proposal.toPeakMgL).toBeLessThanOrEqual(20);
  });

  it('and both where neither alone is', () => {
    const rhythm = { share: 0.05, everyDays: 7, sourceMgL: 5 };
    const proposal = waterProposal(water(2, { rhythm }), rhythm)!;
    expect(proposal).toMatchObject({ share: 0.4, everyDays: 3 });
  });

  it('none under the cap, nor where no water is good enough', () => {
    expect(waterProposal(water(0.1, { over: false }), RHYTHM)).toBeNull();
    const rhythm = { ...RHYTHM, sourceMgL: 20 };
    expect(waterProposal(water(1, { rhythm }), rhythm)).toBeNull();
    expect(waterProposal(water(200), RHYTHM)).toBeNull();
  });

  it('is none where what is changed already leads to the cap and not past it', () => {
    const rhythm = { share: 0.1, everyDays: 30, sourceMgL: 5 };
    expect(waterProposal(water(0.05000000000000002, { rhythm }), rhythm)).toBeNull();
  });

  it('always stays under the cap, and never asks for less', () => {
    const any = fc.record({
      adds: fc.double({ min: 0.05, max: 6, noNaN: true }),
      share: fc.integer({ min: 1, max: 18 }).map((steps) => steps / 20),
      everyDays: fc.integer({ min: 1, max: 30 }),
    });
    fc.assert(
      fc.property(any, ({ adds, share, everyDays }) => {
        const rhythm = { share, everyDays, sourceMgL: 5 };
        const proposal = waterProposal(water(adds, { rhythm }), rhythm);
        if (!proposal) return;
        expect(proposal.toPeakMgL).toBeLessThanOrEqual(20 + 1e-9);
        expect(proposal.share / proposal.everyDays).toBeGreaterThan(share / everyDays);
      }),
    );
  });
});

describe('what follows from other portions', () => {
  const house = testHouse();
  const foods = new Map<string, Food>(house.foods.map((food) => [food.id, food]));
  const tank = testTank('b', 2);
  const young = { ...testGroup('g1', 'b'), stage: 'juvenile' as const, lengthCm: 2, count: 200 };
  const after = (group: typeof young, change: number) =>
    fedAfter(
      group,
      changedDiet(group.diet!, group, change, foods),
      tank,
      foods,
      () => 'grain',
      TODAY,
    );

  it('is more of the need, and growers reach a length earlier', () => {
    const { ofNeed, size, shares } = after(young, 0.15);
    expect(ofNeed.after).toBeGreaterThan(ofNeed.before);
    expect(size!.after! < size!.before!).toBe(true);
    // All of it is one family before and after.
    expect(shares).toEqual([]);
  });

  it('less makes them later, or keeps them from it', () => {
    const { size } = after(young, -0.15);
    expect(size!.after === null || size!.after > size!.before!).toBe(true);
  });

  it('has no date for those that are grown', () => {
    expect(after({ ...young, stage: 'adult' as never }, 0.15).size).toBeNull();
    expect(after({ ...young, lengthCm: young.species.adultLengthCm }, 0.15).size).toBeNull();
  });
});

describe('what an answer led to', () => {
  const sign = belly;
  it.each([
    ['unseen', []],
    ['unseen', [sign(1, 0)]],
    ['right', [sign(0), sign(0.5), sign(-0.5)]],
    ['still more', [sign(1), sign(0.5), sign(0)]],
    ['still less', [sign(-1), sign(-1), sign(0)]],
  ] as [string, Sign[]][])('%s', (says, signs) => {
    const led = ledTo(signs);
    expect(led.says).toBe(says);
    expect(led.more + led.right + led.less).toBe(signs.filter(({ weight }) => weight > 0).length);
  });
});
