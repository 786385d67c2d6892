import { loadCatalogue } from '@open-larder/catalogue/load';
import { forecast, grown, leftForMost, logisticOf, type ForecastStart } from '.';

const kinds = new Map(loadCatalogue().cultures.map((row) => [row.key, row]));
const vessel = (key: string, over: Partial<ForecastStart> = {}): ForecastStart => ({
  kind: kinds.get(key)!,
  measure: 10,
  ageDays: 0,
  estimate: { count: 0, sd: 0.3 },
  keptG: 0,
  ...over,
});
const at = (tempC: number) => () => tempC;

describe('a tub of Moina', () => {
  const moina = kinds.get('moina')!;
  const model = logisticOf(moina, 10, 25);
  const gram = moina.animalUg! / 1e6;
  const full = grown(model, leftForMost(model), 1);
  const tub = vessel('moina', { estimate: { count: full, sd: 0.3 } });

  it('gives what it grows by day after day, and stands where it stood', () => {
    // 0.6 a day, 3 000 to the litre, ten litres: 30 000 · tanh(0.15) animals of 100 µg.
    const daily = 30_000 * Math.tanh(0.15) * gram;
    const ahead = forecast(tub, 20, at(25), () => daily * 0.999);
    expect(ahead[0]!.givesG).toBeCloseTo(daily, 9);
    expect(ahead.at(-1)!.givesG).toBeGreaterThan(daily * 0.95);
  });

  it('taken too hard gives little, and comes back when it is left alone', () => {
    const hard = (day: number) => (day < 2 ? 0.9 : 0);
    const ahead = forecast(tub, 30, at(25), hard);
    expect(ahead[2]!.givesG).toBeLessThan(ahead[0]!.givesG / 2);
    expect(ahead[29]!.contentG).toBeGreaterThan(ahead[0]!.contentG);
  });

  it('is ever less sure, within what the vessel carries', () => {
    const ahead = forecast(tub, 21, at(25));
    const widths = ahead.map(({ lowG, contentG }) => contentG / lowG);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
    const max = (model.capacity * moina.animalUg!) / 1e6;
    expect(Math.max(...ahead.map(({ highG }) => highG))).toBeLessThanOrEqual(max * 1.0001);
  });

  it('in a heat wave stands still, and is likely to crash', () => {
    const ahead = forecast(tub, 10, (day) => (day < 5 ? 25 : 35));
    expect(ahead[9]!.contentG).toBeCloseTo(ahead[6]!.contentG, 6);
    expect(ahead[9]!.crash).toBeGreaterThan(4 * ahead[0]!.crash);
  });

  it('of the large kind grows slowly in the cold', () => {
    const rate = (tempC: number) => logisticOf(kinds.get('large-water-fleas')!, 1, tempC).rPerDay;
    expect([6, 10, 15, 20].map(rate)).toEqual([...[6, 10, 15, 20].map(rate)].sort((a, b) => a - b));
    expect(rate(6)).toBe(0);
    expect(rate(30)).toBe(0);
  });
});

describe('what gives by its age', () => {
  it('a box of grindal worms gives nothing for three weeks, then in full for months', () => {
    const gives = forecast(vessel('grindal-worms', { measure: 4 }), 60, at(22)).map(
      ({ givesG }) => givesG,
    );
    expect(gives[20]).toBe(0);
    expect(gives[28]).toBeCloseTo(0.4, 6);
    expect(gives[40]).toBeCloseTo(0.8, 6);
  });

  it('infusoria are good for a week, a third at a time', () => {
    const good = forecast(vessel('infusoria', { measure: 1 }), 20, at(25)).filter(
      ({ givesG }) => givesG > 0,
    );
    expect(good.map(({ day }) => day)).toEqual([5, 6, 7, 8, 9, 10, 11]);
    expect(good[0]!.givesG * 3).toBeCloseTo(good[0]!.contentG, 9);
  });

  it('bought worms are there at once, and fewer from week to week', () => {
    const grams = forecast(vessel('kept-blackworms', { keptG: 50 }), 30, at(10)).map(
      ({ contentG }) => contentG,
    );
    expect(grams[0]).toBe(50);
    expect(grams[21]).toBe(25);
    expect(grams[29]).toBe(0);
  });

  it('every kind of the catalogue can be looked ahead for', () => {
    for (const kind of kinds.values()) {
      const tempC = (kind.tempMinC + kind.tempMaxC) / 2;
      const start = kind.model === 'logistic' ? { count: (kind.capacity ?? 0) * 2, sd: 0.4 } : { count: 0, sd: 0 }; // prettier-ignore
      const ahead = forecast({ kind, measure: 5, ageDays: 1, estimate: start, keptG: 20 }, 90, at(tempC)); // prettier-ignore
      expect(ahead.every((day) => Object.values(day).every(Number.isFinite))).toBe(true);
      expect(ahead.some(({ givesG }) => givesG > 0)).toBe(true);
    }
  });
});
