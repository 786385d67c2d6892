import fc from 'fast-check';
import { addDays } from '../round';
import { daysLeft, drawDown, purchaseOf, type Lot } from '.';

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

describe('what to buy', () => {
  const wanted = (over: Partial<Parameters<typeof purchaseOf>[0]> = {}) =>
    purchaseOf({
      lots: [lot('a', 10)],
      useG: Array(120).fill(1),
      dayOf: days(120),
      deliveryDays: 4,
      packG: 20,
      ...over,
    });

  it('is ordered so that it comes on the day when the shelf is empty', () => {
    // Ten grams at a gram a day are gone on the eleventh; four days before is the seventh.
    expect(wanted()).toMatchObject({ runsOutOn: '2026-03-11', orderBy: '2026-03-07', late: false });
    expect(wanted()?.massG.value).toBeCloseTo(30, 9);
    expect(wanted()?.packs).toBe(2);
  });

  it('is late where delivery takes longer than the shelf lasts, and says today', () => {
    expect(wanted({ lots: [lot('a', 2)] })).toMatchObject({ orderBy: '2026-03-01', late: true });
    expect(wanted({ deliveryDays: 0 })).toMatchObject({ orderBy: '2026-03-11', late: false });
  });

  it('follows fasts and best-before dates, not an average', () => {
    const fasting = Array.from({ length: 120 }, (_, at) => (at % 7 === 6 ? 0 : 1));
    expect(wanted({ useG: fasting })?.runsOutOn).toBe('2026-03-12');
    expect(wanted({ lots: [lot('a', 10, '2026-03-05')] })?.runsOutOn).toBe('2026-03-06');
  });

  it('is nothing where the shelf lasts, or nothing is used', () => {
    expect(wanted({ lots: [lot('a', 1000)] })).toBeNull();
    expect(wanted({ useG: Array(120).fill(0) })).toBeNull();
  });

  it('in whole packs, covers what it must and never a pack more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.double({ min: 0.01, max: 20, noNaN: true }),
        (packG, use) => {
          const bought = wanted({ lots: [], packG, useG: Array(120).fill(use) });
          const grams = (bought?.packs as number) * packG;
          expect(grams).toBeGreaterThanOrEqual((bought?.massG.value as number) - 1e-6);
          expect(grams - packG).toBeLessThan((bought?.massG.value as number) + 1e-6);
        },
      ),
    );
  });
});
