import fc from 'fast-check';
import { addDays } from '../round';
import { daysLeft, drawDown, goodUntil, inOrderOfUse, purchaseOf, type Lot } from '.';

const lot = (id: string, remainingG: number, bestBefore: string | null = null): Lot => ({
  id,
  remainingG,
  openedOn: null,
  bestBefore,
});
const today = { day: '2026-03-01', openedDays: null };
const days = (count: number) => Array.from({ length: count }, (_, i) => addDays('2026-03-01', i));

describe('drawing down the shelf', () => {
  it('takes what expires first', () => {
    const { draws, shortG } = drawDown(
      [lot('late', 10, '2027-01-01'), lot('soon', 4, '2026-04-01'), lot('never', 10)],
      9,
      today,
    );
    expect(draws).toEqual([
      { lotId: 'soon', massG: 4 },
      { lotId: 'late', massG: 5 },
    ]);
    expect(shortG).toBe(0);
  });

  it('keeps fresh food for half a year in the freezer, opened or not', () => {
    const opened = { ...lot('a', 5), openedOn: '2026-03-01' };
    expect(goodUntil({ ...opened, place: 'fridge' }, 4)).toBe('2026-03-05');
    expect(goodUntil({ ...opened, place: 'freezer' }, 4)).toBe('2026-08-28');
    // What has a freezer's figure already keeps it.
    expect(goodUntil({ ...opened, place: 'freezer' }, 90)).toBe('2026-05-30');
  });

  it('takes what was opened before what is sealed, once opening counts', () => {
    const opened = { ...lot('open', 5, '2026-12-01'), openedOn: '2026-02-25' };
    const order = (openedDays: number | null) =>
      inOrderOfUse([lot('sealed', 5, '2026-06-01'), opened], { day: '2026-03-01', openedDays }).map(
        (one) => one.id,
      );
    expect(order(null)).toEqual(['sealed', 'open']);
    expect(order(30)).toEqual(['open', 'sealed']);
    // Five days after opening it is past its day, and used only when nothing else is there.
    expect(order(3)).toEqual(['sealed', 'open']);
  });

  it.each([
    ['2026-03-10', '2026-03-01', 5, '2026-03-06'],
    ['2026-03-04', '2026-03-01', 5, '2026-03-04'],
    [null, '2026-03-01', 5, '2026-03-06'],
    ['2026-03-10', null, 5, '2026-03-10'],
    [null, '2026-03-01', null, null],
  ])('is good until %s, opened %s, kept %s days open: %s', (bestBefore, openedOn, kept, until) => {
    expect(goodUntil({ bestBefore, openedOn }, kept)).toBe(until);
  });

  it('creates and loses nothing', () => {
    const amount = fc.double({ min: 0, max: 1000, noNaN: true });
    fc.assert(
      fc.property(fc.array(amount, { maxLength: 6 }), amount, (stocks, wanted) => {
        const lots = stocks.map((grams, index) => lot(`lot${index}`, grams));
        const { draws, shortG } = drawDown(lots, wanted, today);
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
    expect(daysLeft([lot('a', 10)], Array(30).fill(3), days(30), null).days).toBe(3);
  });

  it('lasts longer over a fasting day', () => {
    const use = [3, 0, 3, 3, 3, 3];
    expect(daysLeft([lot('a', 10)], use, days(6), null).days).toBe(4);
  });

  it('says nothing where the shelf outlasts the horizon', () => {
    expect(daysLeft([lot('a', 1000)], Array(30).fill(1), days(30), null).days).toBeNull();
  });

  it('lets a lot end at its best-before and counts the waste', () => {
    const { days: left, waste } = daysLeft(
      [lot('a', 100, '2026-03-03')],
      Array(10).fill(5),
      days(10),
      null,
    );
    expect(left).toBe(3);
    expect(waste).toEqual([{ lotId: 'a', massG: 85, on: '2026-03-04' }]);
  });

  it('opens a sealed lot when it is first drawn from, and loses what does not keep', () => {
    // Four days open: six grams of ten are eaten from each pack, the rest is thrown away.
    const lots = [lot('a', 10, '2026-12-01'), lot('b', 10, '2026-12-02')];
    const supply = daysLeft(lots, Array(20).fill(1.5), days(20), 3);
    expect(supply.days).toBe(8);
    expect(supply.waste).toEqual([
      { lotId: 'a', massG: 4, on: '2026-03-05' },
      { lotId: 'b', massG: 4, on: '2026-03-09' },
    ]);
  });

  it('eats, wastes and keeps exactly what was there', () => {
    const stocked = fc.record({
      grams: fc.double({ min: 0, max: 50, noNaN: true }),
      best: fc.option(fc.integer({ min: -5, max: 60 })),
      opened: fc.option(fc.integer({ min: -20, max: 0 })),
    });
    const use = fc.array(fc.double({ min: 0, max: 5, noNaN: true }), {
      minLength: 40,
      maxLength: 40,
    });
    fc.assert(
      fc.property(
        fc.array(stocked, { maxLength: 6 }),
        use,
        fc.option(fc.integer({ min: 1, max: 30 })),
        (stock, useG, openedDays) => {
          const lots = stock.map(({ grams, best, opened }, index) => ({
            ...lot(`l${index}`, grams, best === null ? null : addDays('2026-03-01', best)),
            openedOn: opened === null ? null : addDays('2026-03-01', opened),
          }));
          const all = stock.reduce((sum, one) => sum + one.grams, 0);
          const supply = daysLeft(lots, useG, days(40), openedDays);
          const wasted = supply.waste.reduce((sum, one) => sum + one.massG, 0);
          expect(wasted).toBeLessThanOrEqual(all + 1e-9);
          // What lasts to the end was fed in full out of what was not wasted.
          const fed = useG
            .slice(0, supply.days ?? useG.length)
            .reduce((sum, grams) => sum + grams, 0);
          expect(fed).toBeLessThanOrEqual(all + 1e-6);
          // More of the same lots never lasts less long.
          const more = daysLeft(
            lots.map((one) => ({ ...one, remainingG: one.remainingG * 2 })),
            useG,
            days(40),
            openedDays,
          );
          expect(more.days ?? 41).toBeGreaterThanOrEqual(supply.days ?? 41);
          // And the keeper's own shelf is looked at, not touched.
          expect(lots.map((one) => one.remainingG)).toEqual(stock.map((one) => one.grams));
        },
      ),
    );
  });
});

describe('what to buy', () => {
  const gram = Array<number>(120).fill(1);
  const wanted = (
    over: {
      lots?: Lot[];
      useG?: number[];
      deliveryDays?: number;
      packG?: number;
      keepsDays?: number;
    } = {},
  ) =>
    purchaseOf({
      days: daysLeft(over.lots ?? [lot('a', 10)], over.useG ?? gram, days(120), null).days,
      useG: over.useG ?? gram,
      dayOf: days(120),
      deliveryDays: over.deliveryDays ?? 4,
      packG: over.packG ?? 20,
      keepsDays: over.keepsDays ?? null,
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

  it('is bought for no longer than it keeps', () => {
    expect(wanted({ keepsDays: 5 })?.massG.value).toBeCloseTo(5, 9);
    expect(wanted({ keepsDays: 90 })?.massG.value).toBeCloseTo(30, 9);
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
