import fc from 'fast-check';
import { estimate, grown, type Density, type Logistic, type BeliefEvent } from '.';

const moina: Logistic = { rPerDay: 0.3, capacity: 3000 };
const on = () => moina;
const at = (events: BeliefEvent[], day: number, start = 200) => estimate(start, events, day, on);

describe('what is believed to be in a vessel', () => {
  it('grows as its kind does where nobody looks, and is ever less sure', () => {
    expect(at([], 6).count).toBeCloseTo(grown(moina, 200, 6), 6);
    const tub = { rPerDay: 0.02, capacity: 1e6 };
    const sds = [1, 10, 30].map((day) => estimate(200, [], day, () => tub).sd);
    expect(sds).toEqual([...sds].sort((a, b) => a - b));
    expect(at([], 30).unseenDays).toBe(30);
  });

  it('follows what is seen, and is surer for it', () => {
    const blind = at([], 5);
    const seen = at([{ day: 5, kind: 'seen', density: 5 }], 5);
    expect(seen.count).toBeGreaterThan(blind.count);
    expect(seen.sd).toBeLessThan(blind.sd);
    const counted = at([{ day: 5, kind: 'counted', count: 900 }], 5);
    expect(counted.sd).toBeLessThan(seen.sd);
    expect(Math.abs(Math.log(counted.count / 900))).toBeLessThan(0.1);
  });

  it('lies within its band nine times of ten', () => {
    // A culture that grows a little faster or slower than its kind, looked at every third day.
    let within = 0;
    let all = 0;
    for (let r = 0.2; r < 0.41; r += 0.02) {
      for (let start = 80; start < 500; start += 60) {
        const truth = (day: number) => grown({ ...moina, rPerDay: r }, start, day);
        const look = (day: number): BeliefEvent => {
          const share = truth(day) / moina.capacity;
          const near = [0.02, 0.1, 0.25, 0.5, 0.9].map((one) => Math.abs(Math.log(one / share)));
          return { day, kind: 'seen', density: (near.indexOf(Math.min(...near)) + 1) as Density };
        };
        const events = [3, 6, 9, 12].map(look);
        for (const day of [4, 8, 12, 15]) {
          const { low, high } = at(events, day);
          all += 1;
          within += low <= truth(day) && truth(day) <= high ? 1 : 0;
        }
      }
    }
    expect(within / all).toBeGreaterThan(0.9);
  });

  it('loses what is taken; more than could be there was there after all, and is said', () => {
    const full = at([], 15).count;
    const after = at([{ day: 15, kind: 'harvested', count: 1000 }], 15);
    expect(after.count).toBeCloseTo(full - 1000, 6);
    expect(after.surprised).toBe(false);
    const over = at([{ day: 2, kind: 'harvested', count: 2500 }], 2);
    expect(over).toMatchObject({ surprised: true });
    expect(over.count).toBeGreaterThan(200);
  });

  it('is none after a crash, until something is put in', () => {
    expect(at([{ day: 4, kind: 'crashed' }], 8)).toMatchObject({ count: 0, low: 0, high: 0 });
    const anew: BeliefEvent[] = [
      { day: 4, kind: 'crashed' },
      { day: 5, kind: 'added', count: 300 },
    ];
    expect(at(anew, 6).count).toBeGreaterThan(300);
  });

  it('is halved by a split', () => {
    const whole = at([], 10).count;
    expect(at([{ day: 10, kind: 'kept', share: 0.5 }], 10).count).toBeCloseTo(whole / 2, 6);
  });

  it('stays a number whatever happens', () => {
    const count = fc.double({ min: 0, max: 1e7, noNaN: true });
    const day = fc.integer({ min: 0, max: 60 });
    const event = fc.oneof(
      fc.record({ kind: fc.constant('seen' as const), day, density: fc.constantFrom<Density>(1, 2, 3, 4, 5) }), // prettier-ignore
      fc.record({ kind: fc.constant('harvested' as const), day, count }),
      fc.record({ kind: fc.constant('counted' as const), day, count }),
      fc.record({ kind: fc.constant('added' as const), day, count }),
      fc.record({ kind: fc.constant('kept' as const), day, share: fc.double({ min: 0, max: 1, noNaN: true }) }), // prettier-ignore
      fc.record({ kind: fc.constant('crashed' as const), day }),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 12 }), count, (events, start) => {
        const inOrder = [...events].sort((a, b) => a.day - b.day);
        const { low, count: max, high, sd } = at(inOrder, 60, start);
        expect([low, max, high, sd].every(Number.isFinite)).toBe(true);
        expect(low).toBeLessThanOrEqual(max);
        expect(max).toBeLessThanOrEqual(high);
      }),
    );
  });
});
