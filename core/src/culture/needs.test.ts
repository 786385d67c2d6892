import { loadCatalogue } from '@open-larder/catalogue/load';
import { addDays } from '../round';
import { plannedUse } from '../stock';
import { testHouse } from '../round/house.testkit';
import {
  dailySupply,
  gramsOfOne,
  jarFor,
  leadOf,
  logisticOf,
  SUPPLY_DAYS,
  forecastStartOf,
  computeVesselStatus,
  supplyOf,
  type LiveFood,
  type Supplying,
  type Vessel,
} from '.';

const kinds = new Map(loadCatalogue().cultures.map((row) => [row.key, row]));
const DAY = '2026-03-02';
const vessel = (key: string, over: Partial<Vessel> = {}): Vessel => ({
  kind: kinds.get(key)!,
  also: null,
  measure: 90,
  tempC: 24,
  startedOn: addDays(DAY, -60),
  startedAtMs: 0,
  startG: null,
  events: [],
  ...over,
});
const supplying = (one: Vessel): Supplying => {
  const status = computeVesselStatus(one, DAY);
  return {
    ...forecastStartOf({ ...one, shared: false }, status),
    id: 'v',
    startsOn: 0,
    tempOn: status.tempAhead,
  };
};
const live = (over: Partial<LiveFood> = {}): LiveFood => ({
  foodId: 'flake',
  kind: kinds.get('moina')!,
  vessels: [],
  fresh: { measure: 90, tempC: 24 },
  hatchShare: 0.75,
  wantedAtMin: 420,
  handyMin: [],
  ...over,
});
const ask = (food: LiveFood, over: object = {}) =>
  supplyOf({
    house: testHouse(),
    day: DAY,
    foods: [food],
    sure: 0.95,
    runs: 200,
    seed: 1,
    ...over,
  });

describe('what the plan wants of live food', () => {
  it('is what the week’s plan serves, day by day', () => {
    const [report] = ask(live());
    const use = plannedUse(testHouse(), DAY, SUPPLY_DAYS);
    const byHand = use.reduce((sum, { gramsOn }) => sum + gramsOn[3]!, 0);
    expect(byHand).toBeGreaterThan(0);
    expect(report!.demandG).toHaveLength(SUPPLY_DAYS);
    expect(report!.demandG[3]).toBeCloseTo(byHand, 9);
  });

  it('is that and what broods want beside it', () => {
    const [plain] = ask(live());
    const [more] = ask(live({ broodsG: [0, 2, 3] }));
    plain!.demandG
      .slice(0, 4)
      .forEach((grams, at) => expect(more!.demandG[at]).toBeCloseTo(grams + [0, 2, 3, 0][at]!, 9));
  });

  it('without any vessel is short until a new one can give, and told so', () => {
    const [report] = ask(live());
    const { plan } = report!;
    expect(plan!.starts.length).toBeGreaterThan(0);
    expect(plan!.leadDays).toBe(leadOf({ ...supplying(vessel('moina')), tempOn: [24] }));
    const before = (day: number) => day < plan!.leadDays;
    const wanted = [...report!.demandG.keys()].filter((day) => report!.demandG[day]! > 0);
    expect(plan!.short.filter(before)).toEqual(wanted.filter(before));
    expect(report!.availableG.every((grams) => grams === 0)).toBe(true);
  });

  it('with more than enough standing says what is left over, and starts no more than backups', () => {
    const [report] = ask(live({ vessels: [supplying(vessel('moina', { measure: 900 }))] }));
    expect(report!.surplusG).toBeGreaterThan(0);
    expect(report!.metOn[0]).toBeGreaterThan(0.95);
    expect(report!.plan!.short.length).toBeLessThan(SUPPLY_DAYS);
  });

  it('of what hatches is jars in turn, worked by hand', () => {
    const shrimp = kinds.get('brine-shrimp')!;
    const [report] = ask(live({ kind: shrimp, fresh: { measure: 1, tempC: 24 } }));
    const max = Math.max(...report!.demandG);
    // 36 hours at 24 °C: two jars; wanted at seven, one is set up at seven in the evening.
    expect(report!.jars).toMatchObject({ jars: 2, startMin: 19 * 60, hours: 36 });
    expect(report!.jars!.cystsG).toBeCloseTo(jarFor(max / gramsOfOne(shrimp), 0.75).cystsG, 9);
    expect(report!.plan).toBeNull();
    // Nobody is there at seven: at half past six it is set up, and what hatched waits half an hour.
    const [handy] = ask(
      live({ kind: shrimp, fresh: { measure: 1, tempC: 24 }, handyMin: [450, 18 * 60 + 30] }),
    );
    expect(handy!.jars).toMatchObject({ jars: 2, startMin: 18 * 60 + 30, waitsH: 0.5 });
  });

  it('that no culture gives has no plan, and nothing is claimed of it', () => {
    const [report] = ask(live({ kind: null }));
    expect(report).toMatchObject({ plan: null, jars: null, surplusG: 0 });
    expect(report!.demandG[0]).toBeGreaterThan(0);
  });

  it('is the same for the same seed, shows how far it is, and stops when asked to', () => {
    expect(ask(live())).toEqual(ask(live()));
    const report: number[] = [];
    const foods = [live(), live({ foodId: 'other' })];
    const task = { house: testHouse(), day: DAY, foods, sure: 0.9, runs: 20, seed: 1 };
    expect(
      supplyOf(task, (done) => {
        report.push(done);
        return false;
      }),
    ).toHaveLength(1);
    expect(report).toEqual([1]);
  });
});

describe('what a vessel gives for good', () => {
  const daily = (one: Vessel) => {
    const status = computeVesselStatus(one, DAY);
    return dailySupply(forecastStartOf({ ...one, shared: false }, status), status, 14);
  };
  it('is no more than it grows by in a day where it grows most', () => {
    const one = vessel('moina');
    const model = logisticOf(one.kind, 90, 24);
    const byHand = model.capacity * Math.tanh(model.rPerDay / 4) * gramsOfOne(one.kind);
    expect(daily(one)[0]).toBeCloseTo(byHand, 9);
    expect(daily(one)[13]).toBeCloseTo(byHand, 9);
  });
  it('is nothing of what crashed, rests or is over', () => {
    for (const what of ['crashed', 'rested', 'ended'] as const) {
      const events = [{ kind: what, day: DAY, atMs: 0 }];
      expect(daily(vessel('moina', { events }))).toEqual(Array(14).fill(0));
    }
    expect(daily(vessel('microworms', { startedOn: addDays(DAY, -300) }))).toEqual(
      Array(14).fill(0),
    );
  });
  it('of a jar is what its eggs give, once in its hours', () => {
    const one = vessel('brine-shrimp', { measure: 1, startG: 1, tempC: 24, startedOn: DAY });
    const whole = 250_000 * 0.75 * gramsOfOne(one.kind);
    expect(daily(one)[0]).toBeCloseTo(whole / 2, 6);
  });
  it('of worms that are kept ends with them', () => {
    const one = vessel('kept-tubifex', { startG: 28, startedOn: DAY });
    const given = daily(one);
    expect(given.reduce((sum, grams) => sum + grams, 0)).toBeCloseTo(28, 6);
  });
});
