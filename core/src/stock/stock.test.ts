import fc from 'fast-check';
import { addDays } from '../round';
import { daysLeft, drawDown, type Lot } from '.';

const lot = (id: string, remainingG: number, bestBefore: string | null = null): Lot => ({
  id,
  remainingG,
  openedOn: null,
  bestBefore,
});
const days = (count: number) => Array.from({ length: count }, (_, i) => addDays('2026-03-01', i));

describe('drawing down the shelf', () => {
  it('takes what expires first', () => {
    const { draws, shortG } = drawDown(
      [lot('late', 10, '2027-01-01'), lot('soon', 4, '2026-04-01'), lot('never', 10)],
      9,
    );
    expect(draws).toEqual([
      { lotId: 'soon', massG: 4 },
      { lotId: 'late', massG: 5 },
    ]);
    expect(shortG).toBe(0);
  });

  it('creates and loses nothing', () => {
    const amount = fc.double({ min: 0, max: 1000, noNaN: true });
    fc.assert(
      fc.property(fc.array(amount, { maxLength: 6 }), amount, (stocks, wanted) => {
        const lots = stocks.map((grams, index) => lot(`lot${index}`, grams));
        const { draws, shortG } = drawDown(lots, wanted);
        const drawn = draws.reduce((sum, draw) => sum + draw.massG, 0);
        expect(drawn + shortG).toBeCloseTo(wanted, 5);
        for (const draw of draws) {
          const from = lots.find((one) => one.id === draw.lotId) as Lot;
          expect(draw.massG).toBeLessThanOrEqual(from.remainingG + 1e-6);
        }
      }),
    );
  });
});

describe('days left', () => {
  it('counts whole days of the plan’s own use', () => {
    expect(daysLeft([lot('a', 10)], Array(30).fill(3), days(30)).days).toBe(3);
  });

  it('lasts longer over a fasting day', () => {
    const use = [3, 0, 3, 3, 3, 3];
    expect(daysLeft([lot('a', 10)], use, days(6)).days).toBe(4);
  });

  it('says nothing where the shelf outlasts the horizon', () => {
    expect(daysLeft([lot('a', 1000)], Array(30).fill(1), days(30)).days).toBeNull();
  });

  it('lets a lot end at its best-before and counts the waste', () => {
    const { days: left, wastedG } = daysLeft(
      [lot('a', 100, '2026-03-03')],
      Array(10).fill(5),
      days(10),
    );
    expect(left).toBe(3);
    expect(wastedG).toBeCloseTo(85, 9);
  });
});
