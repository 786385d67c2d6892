import { loadCatalogue } from '@open-larder/catalogue/load';
import { grown, leadOf, leftForMost, logisticOf, outlook, planSupply, type Supplying } from '.';

const kinds = new Map(loadCatalogue().cultures.map((row) => [row.key, row]));
const tub = (key: string, over: Partial<Supplying> = {}): Supplying => ({
  id: key,
  kind: kinds.get(key)!,
  measure: 10,
  ageDays: 0,
  startsOn: 0,
  estimate: { count: 0, sd: 0.2 },
  keptG: 0,
  tempOn: [24],
  ...over,
});
const moina = kinds.get('moina')!;
const model = logisticOf(moina, 10, 24);
const full = tub('moina', { estimate: { count: grown(model, leftForMost(model), 1), sd: 0.2 } });
const daily = ((grown(model, leftForMost(model), 1) - leftForMost(model)) * moina.animalUg!) / 1e6;
const every = (grams: number, days = 42) => new Array<number>(days).fill(grams);

describe('an outlook', () => {
  it('is the same for the same seed, and another for another', () => {
    const look = (seed: number) => outlook([full], every(daily * 0.5), 60, seed).metOn;
    expect(look(1)).toEqual(look(1));
    expect(look(1)).not.toEqual(look(2));
  });

  it('is sure of little, and not of more than a vessel gives', () => {
    expect(outlook([full], every(daily * 0.1, 14), 200, 1).service).toBeGreaterThan(0.9);
    const hard = outlook([full], every(daily * 1.5), 200, 1);
    expect(hard.metOn.at(-1)).toBeLessThan(0.4);
    expect(outlook([], every(1, 3), 10, 1).metOn).toEqual([0, 0, 0]);
    expect(outlook([], every(0, 3), 10, 1).service).toBe(1);
  });

  it('is surer with a second vessel, since one may crash', () => {
    const one = outlook([full], every(daily * 0.3), 400, 3);
    const two = outlook([full, { ...full, id: 'two' }], every(daily * 0.3), 400, 3);
    expect(two.service).toBeGreaterThan(one.service);
    expect(one.crashed.get('moina')).toBeGreaterThan(0.02);
    expect(one.crashed.get('moina')).toBeLessThan(0.6);
  });

  it('of a heat wave is that they crash', () => {
    const hot = [...every(24, 10), ...every(37, 32)];
    const wave = outlook([{ ...full, tempOn: hot }], every(daily * 0.3), 200, 1);
    expect(wave.metOn[5]).toBeGreaterThan(0.8);
    expect(wave.metOn.at(-1)).toBeLessThan(0.3);
  });
});

describe('a supply plan', () => {
  const options = { sure: 0.9, runs: 300, seed: 5 };
  const grindal = tub('grindal-worms', { measure: 4, tempOn: [22] });
  const fresh = ({ startsOn: _, id: __, ...rest }: Supplying) => rest;

  it('starts backwards from the day of need', () => {
    const lead = leadOf(fresh(grindal));
    expect(lead).toBeGreaterThan(21);
    const demand = [...every(0, 35), ...every(0.5, 20)];
    const { starts, outlook: report, short } = planSupply([], fresh(grindal), demand, options);
    expect(starts.length).toBeGreaterThan(0);
    expect(starts[0]!.startsOn).toBe(35 - lead);
    expect(report.service).toBeGreaterThanOrEqual(0.88);
    expect(short.length).toBeLessThan(3);
  });

  it('starts a day later where the first day that could be met is a fast', () => {
    const lead = leadOf(fresh(grindal));
    const demand = every(0.5, 55).map((grams, day) => (day === lead ? 0 : grams));
    expect(planSupply([], fresh(grindal), every(0.5, 55), options).starts[0]!.startsOn).toBe(0);
    expect(planSupply([], fresh(grindal), demand, options).starts[0]!.startsOn).toBe(1);
  });

  it('takes more vessels to be surer', () => {
    const demand = [...every(0, 35), ...every(0.8, 20)];
    const many = (sure: number) =>
      planSupply([], fresh(grindal), demand, { ...options, sure }).starts.length;
    expect(many(0.99)).toBeGreaterThan(many(0.6));
  });

  it('starts nothing where what stands is enough', () => {
    const demand = every(daily * 0.1, 20);
    expect(planSupply([full, { ...full, id: 'two' }], fresh(full), demand, options).starts).toEqual(
      [],
    );
  });

  it('says what is short before anything can be ready', () => {
    const { short, starts } = planSupply([], fresh(grindal), every(0.2, 50), options);
    expect(short.slice(0, 15)).toEqual(Array.from({ length: 15 }, (_, day) => day));
    expect(starts[0]!.startsOn).toBe(0);
  });

  it('gives up on a demand that nothing on earth supplies, and says so', () => {
    const { starts, short } = planSupply([], fresh(grindal), every(5000, 60), options);
    expect(starts.length).toBeLessThanOrEqual(24);
    expect(short).toHaveLength(60);
  });
});
