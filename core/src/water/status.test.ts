import fc from 'fast-check';
import { addDays } from '../round';
import { chanceOf } from '../chance';
import { keepsUnder, peakOf, computeWaterStatus, UPTAKE, type WaterEvent, type WaterTask } from '.';
import { waterEvent as event } from './water.testkit';

const TODAY = '2026-03-11';
const before = (days: number) => addDays(TODAY, -days);
const tested = (day: string, nitrate: number, over: Partial<WaterEvent> = {}) =>
  event('tested', day, { nitrate, ...over });

/** 1 mg/L of nitrate a day in a hundred litres by its food. */
const MG = 100 / 4.43;
const served = new Map(Array.from({ length: 121 }, (_, at) => [before(at + 1), MG] as const));
const task = (over: Partial<WaterTask> = {}): WaterTask => ({
  litres: 100,
  tempC: 25,
  ph: 7,
  filtered: true,
  uptake: UPTAKE.few,
  since: before(400),
  today: TODAY,
  rhythm: { share: 0.25, everyDays: 7, sourceMgL: 5, said: true, heldUntil: null },
  events: [],
  servedMg: served,
  plannedMg: Array<number>(56).fill(MG),
  groups: [
    { id: 'a', name: 'Danios', toleratesMgL: 40 },
    { id: 'b', name: 'Loaches', toleratesMgL: 20 },
  ],
  ...over,
});

/** What a tank truly does: so much of the food shows, so much is taken up; changed every week. */
function lived(production: number, uptake: number, seed: number, weeks = 12): WaterEvent[] {
  const chance = chanceOf(seed * 7919);
  const events: WaterEvent[] = [];
  let mgL = 15;
  for (let back = weeks * 7; back >= 1; back -= 1) {
    const day = before(back);
    if (back % 7 === 0) {
      events.push(tested(day, Math.max(0, mgL + chance.normal() * Math.hypot(0.1 * mgL, 1.5))));
      events.push(event('changed', day));
      mgL = mgL * 0.75 + 5 * 0.25;
    }
    mgL = Math.max(0, mgL + production - uptake);
  }
  return events;
}

describe('the water of a tank', () => {
  it('without a test is told from its food, and widely', () => {
    const status = computeWaterStatus(task());
    expect(status.foodAddsMgL).toBeCloseTo(1, 2);
    expect(status.fit.tests).toBe(0);
    expect(status.addsMgL).toBeGreaterThan(0.5);
    expect(status.addsMgL).toBeLessThan(1.1);
    expect(status.days[30]!.high - status.days[30]!.low).toBeGreaterThan(5);
    expect(status.days).toHaveLength(56);
  });

  it('with tests learns what it truly makes, and is surer', () => {
    const status = computeWaterStatus(task({ events: lived(1.6, 0.3, 1) }));
    expect(status.addsMgL).toBeGreaterThan(0.9);
    expect(status.addsMgL).toBeLessThan(1.7);
    const plain = computeWaterStatus(task());
    const width = ({ days }: typeof status) => days[20]!.high - days[20]!.low;
    expect(width(status)).toBeLessThan(width(plain));
  });

  it('what comes lies in the band about nine times of ten', () => {
    let held = 0;
    const seeds = 60;
    for (let seed = 1; seed <= seeds; seed += 1) {
      const all = lived(1.4, 0.4, seed, 14);
      // As it was reported four weeks ago, against what is so now.
      const then = before(28);
      const status = computeWaterStatus(
        task({
          today: then,
          events: all.filter(({ day }) => day <= then),
          plannedMg: Array<number>(56).fill(MG),
        }),
      );
      let mgL = 15;
      for (let back = 14 * 7; back >= 1; back -= 1) {
        if (back % 7 === 0) mgL = mgL * 0.75 + 1.25;
        mgL += 1;
      }
      const { low, high } = status.days[28]!;
      if (low <= mgL && mgL <= high) held += 1;
    }
    expect(held / seeds).toBeGreaterThan(0.8);
  });

  it('the strictest group sets the cap; each way to keep it holds it', () => {
    const status = computeWaterStatus(task({ events: lived(1.4, 0.2, 3) }));
    expect(status.cap).toEqual({ mgL: 20, groupId: 'b', groupName: 'Loaches' });
    expect(status.peakMgL).toBeGreaterThan(20);
    const { share, everyDays, ration } = status.keeps!;
    const rhythm = { share: 0.25, everyDays: 7, sourceMgL: 5 };
    // What is advised holds even where more is added than is likely.
    const { production, uptakeMgL } = status.worst;
    const adds = production * status.foodAddsMgL - uptakeMgL;
    expect(adds).toBeGreaterThan(status.addsMgL);
    expect(peakOf(adds, { ...rhythm, share: share! })).toBeCloseTo(20, 6);
    expect(peakOf(adds, { ...rhythm, everyDays: everyDays! })).toBeLessThanOrEqual(20);
    const fed = production * status.foodAddsMgL * ration! - uptakeMgL;
    expect(peakOf(fed, rhythm)).toBeCloseTo(20, 6);
    expect(status.warnings.some(({ kind }) => kind === 'willPass' || kind === 'overCap')).toBe(
      true,
    );
  });

  it('what evaporated and was filled up brings what the new water has, and takes nothing away', () => {
    const rhythm = { ...task().rhythm, sourceMgL: 10 };
    const test = tested(before(20), 15);
    const plain = computeWaterStatus(task({ events: [test], rhythm }));
    const filled = [18, 11, 4].map((ago) => event('filledUp', before(ago), { share: 0.1 }));
    const more = computeWaterStatus(task({ events: [test, ...filled], rhythm }));
    // Three times a mg/L, of which the usual changes since took some out again.
    const brought = more.past.at(-1)!.mgL - plain.past.at(-1)!.mgL;
    expect(brought).toBeGreaterThan(1.5);
    expect(brought).toBeLessThanOrEqual(3);
    expect(more.days[0]!.before).toBeGreaterThan(plain.days[0]!.before);
  });

  it('tested again and again at one level is believed to be there, and peaks there', () => {
    const tests = Array.from({ length: 17 }, (_, at) => tested(before(116 - at * 7), 54));
    const changes = Array.from({ length: 17 }, (_, at) => event('changed', before(116 - at * 7)));
    const events = tests.flatMap((test, at) => [test, changes[at]!]);
    const status = computeWaterStatus(task({ events }));
    expect(Math.abs(status.peakMgL - 54)).toBeLessThan(4);
    expect(status.fit.production).toBeGreaterThan(1.4);
    // And what is advised keeps it under: a quarter a week never did.
    expect(status.keeps!.share ?? 1).toBeGreaterThan(0.6);
  });

  it('tested at one level, with no word of a change, is at that level and stays there', () => {
    const events = Array.from({ length: 9 }, (_, at) => tested(before(57 - at * 7), 54));
    const rhythm = { ...task().rhythm, said: false };
    for (const adds of [0.3, 1, 2]) {
      const plannedMg = Array<number>(56).fill(adds * MG);
      const servedMg = new Map([...served.keys()].map((day) => [day, adds * MG] as const));
      const { days } = computeWaterStatus(task({ events, rhythm, plannedMg, servedMg }));
      for (const day of [days[0]!, days[27]!]) {
        expect(Math.abs(day.before - 54)).toBeLessThan(3);
        expect(day.low).toBeLessThan(54);
        expect(day.high).toBeGreaterThan(54);
      }
    }
  });

  it('over what they stand it is brought down first, by steps that they bear', () => {
    const groups = [{ id: 'p', name: 'Platies', toleratesMgL: 40 }];
    const status = computeWaterStatus(task({ events: [tested(TODAY, 60)], groups }));
    expect(status.warnings[0]).toMatchObject({ kind: 'overCap', mgL: 60 });
    expect(status.over!.mgL).toBeGreaterThan(40);
    const { steps } = status.over!;
    expect(steps!.every(({ share }) => share > 0 && share <= 0.35)).toBe(true);
    expect(steps!.at(-1)!.toMgL).toBeLessThan(40);
    expect(computeWaterStatus(task({ groups })).over).toBeNull();
  });

  it('a step that was done today counts, and the next one is in two days', () => {
    const groups = [{ id: 'p', name: 'Platies', toleratesMgL: 40 }];
    const test = tested(TODAY, 80);
    const first = computeWaterStatus(task({ events: [test], groups }));
    const { share } = first.over!.steps![0]!;
    const done = event('changed', TODAY, { share });
    const then = computeWaterStatus(task({ events: [test, done], groups }));
    expect(then.days[0]!.after).toBeLessThan(then.days[0]!.before);
    expect(then.days[1]!.before).toBeLessThan(first.days[1]!.before);
    expect(then.over!.mgL).toBeLessThan(first.over!.mgL * 0.85);
    expect(then.over!.steps![0]!.inDays).toBe(2);
    expect(then.over!.steps!.length).toBeLessThan(first.over!.steps!.length);
  });

  it('fed without a word in the records is taken as fed by its plan', () => {
    const unwritten = computeWaterStatus(task({ servedMg: new Map(), events: lived(1, 0.1, 2) }));
    const written = computeWaterStatus(task({ events: lived(1, 0.1, 2) }));
    expect(Math.abs(unwritten.peakMgL - written.peakMgL)).toBeLessThan(1);
  });

  it('keeps to what the keeper knows that its fish stand', () => {
    const rhythm = { ...task().rhythm, capMgL: 30 };
    const status = computeWaterStatus(task({ rhythm }));
    expect(status.cap).toEqual({ mgL: 30, groupId: 'b', groupName: 'Loaches' });
    expect(computeWaterStatus(task({ rhythm: { ...rhythm, capMgL: null } })).cap!.mgL).toBe(20);
  });

  it('a source above the cap is said: no change of water can keep it', () => {
    const rhythm = { ...task().rhythm, sourceMgL: 25 };
    const status = computeWaterStatus(task({ rhythm }));
    expect(status.keeps).toEqual({ share: null, everyDays: null, ration: null });
    expect(status.warnings).toContainEqual({ kind: 'sourceOverCap' });
  });

  it('a test in the wrong unit is asked about, and believed once it is confirmed', () => {
    const events = [...lived(1.2, 0.2, 5), tested(before(1), 141)];
    const status = computeWaterStatus(task({ events }));
    const asked = status.warnings.find((one) => one.kind === 'odd');
    expect(asked).toMatchObject({ eventId: events.at(-1)!.id, mgL: 141 });
    expect(status.latest.nitrate!.value).toBeLessThan(60);
    const sure = computeWaterStatus(
      task({ events: [...events.slice(0, -1), { ...events.at(-1)!, sure: true }] }),
    );
    expect(sure.warnings.some((one) => one.kind === 'odd')).toBe(false);
    expect(sure.latest.nitrate!.value).toBe(141);
  });

  it('refills of a trigger go before the rhythm, on their days', () => {
    const trigger = [
      { day: addDays(TODAY, 12), share: 0.4 },
      { day: addDays(TODAY, 13), share: 0.3 },
    ];
    const { next, days } = computeWaterStatus(task({ rhythm: { ...task().rhythm, trigger } }));
    expect(next).toMatchObject({ day: addDays(TODAY, 12), share: 0.4, late: 0, held: true });
    const changed = days.flatMap(({ before: mgL, after }, at) => (after < 0.99 * mgL ? [at] : []));
    expect(changed.slice(0, 3)).toEqual([12, 13, 20]);
  });

  it('the next change follows the last, is late when it was missed, and is held for a spawn', () => {
    const last = event('changed', before(3));
    expect(computeWaterStatus(task({ events: [last] })).next).toMatchObject({
      day: addDays(TODAY, 4),
      litres: 25,
      late: 0,
    });
    const missed = event('changed', before(10));
    expect(computeWaterStatus(task({ events: [missed] })).next).toMatchObject({
      day: TODAY,
      late: 3,
    });
    const rhythm = { ...task().rhythm, heldUntil: addDays(TODAY, 9) };
    expect(computeWaterStatus(task({ events: [missed], rhythm })).next).toMatchObject({
      day: addDays(TODAY, 9),
      late: 0,
      held: true,
    });
    const unsaid = { ...task().rhythm, said: false };
    expect(computeWaterStatus(task({ events: [missed], rhythm: unsaid })).next).toBeNull();
  });

  it('a new filter ripens: ammonia first, then nitrite, and a day from which it is done', () => {
    const { raw } = computeWaterStatus(task({ since: before(2) }));
    const tops = (of: 'tan' | 'nitrite') => {
      const values = raw!.days.map((day) => day[of]);
      return values.indexOf(Math.max(...values));
    };
    expect(tops('tan')).toBeLessThan(tops('nitrite'));
    expect(raw!.ripeOn! > TODAY).toBe(true);
    expect(computeWaterStatus(task()).raw).toBeNull();
  });

  it('without a filter it says when a change must come; sourer water gives more time', () => {
    const of = (ph: number) => computeWaterStatus(task({ filtered: false, ph })).raw!;
    expect(of(6.5).hoursUntilConcern).toBeGreaterThan(of(8).hoursUntilConcern);
    expect(of(8).unionisedShare).toBeGreaterThan(of(6.5).unionisedShare);
    expect(of(8).ripeOn).toBeNull();
  });

  it('warns of ammonia by its pH, and of nitrite', () => {
    const kinds = (over: Partial<WaterEvent>) =>
      computeWaterStatus(task({ events: [event('tested', before(1), over)] })).warnings.map(
        ({ kind }) => kind,
      );
    expect(kinds({ tan: 0.5, ph: 8.2 })).toContain('ammonia');
    expect(kinds({ tan: 0.5, ph: 6.5 })).not.toContain('ammonia');
    expect(kinds({ nitrite: 0.6 })).toContain('nitrite');
    expect(kinds({ nitrite: 0.3 })).not.toContain('nitrite');
    // Where fry or bottom fish live it is said earlier.
    const fry = [{ id: 'f', name: 'Fry', toleratesMgL: 40, delicate: true }];
    const events = [event('tested', before(1), { nitrite: 0.3 })];
    expect(computeWaterStatus(task({ events, groups: fry })).warnings).toContainEqual({
      kind: 'nitrite',
      day: before(1),
      mgL: 0.3,
      fromMgL: 0.25,
    });
    expect(
      computeWaterStatus(
        task({ events: [event('tested', before(60), { nitrite: 3 })] }),
      ).warnings.map(({ kind }) => kind),
    ).not.toContain('nitrite');
  });

  it('two tests on one day, none, and of a day to come do no harm', () => {
    const events = [tested(before(5), 20), tested(before(5), 22), tested(addDays(TODAY, 3), 400)];
    const status = computeWaterStatus(task({ events }));
    expect(status.latest.nitrate).toEqual({ value: 22, day: before(5) });
    expect(status.days.every(({ before: mgL }) => Number.isFinite(mgL))).toBe(true);
  });

  it('whatever was tested and changed, the figures are numbers and the band holds its middle', () => {
    const happened = fc.array(
      fc.record({
        back: fc.integer({ min: 0, max: 119 }),
        nitrate: fc.double({ min: 0, max: 500, noNaN: true }),
        share: fc.double({ min: 0.01, max: 1, noNaN: true }),
        tests: fc.boolean(),
      }),
      { maxLength: 15 },
    );
    fc.assert(
      fc.property(happened, fc.double({ min: 0, max: 3000, noNaN: true }), (some, mg) => {
        const events = [...some]
          .sort((a, b) => b.back - a.back)
          .map(({ back, nitrate, share, tests }) =>
            tests ? tested(before(back), nitrate) : event('changed', before(back), { share }),
          );
        const status = computeWaterStatus(task({ events, plannedMg: Array<number>(56).fill(mg) }));
        for (const day of status.days) {
          expect(day.low).toBeLessThanOrEqual(day.before + 1e-6);
          expect(day.high).toBeGreaterThanOrEqual(day.before - 1e-6);
        }
        expect(status.peakMgL).toBeGreaterThanOrEqual(5);
      }),
      { numRuns: 60 },
    );
  });
});

describe('keeping under a cap', () => {
  it('each way is the other’s way back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        fc.integer({ min: 1, max: 28 }),
        (adds, share, everyDays) => {
          const rhythm = { share, everyDays, sourceMgL: 2 };
          const cap = peakOf(adds, rhythm);
          const fit = { production: 1, uptakeMgL: 0 };
          const keeps = keepsUnder(cap, fit, adds, rhythm);
          expect(keeps.share).toBeCloseTo(share, 6);
          expect(keeps.ration).toBeCloseTo(1, 6);
        },
      ),
    );
  });
});
