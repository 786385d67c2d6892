import type { Species } from '@open-larder/catalogue';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { houseGroup, houseOf } from './house';
import type { Group } from './group';

const species = new Map([['danio', { key: 'danio', adultLengthCm: 4 } as Species]]);
const group = (over: Partial<Group>): Group => ({
  id: 'g',
  tankId: 't',
  name: 'Danios',
  speciesKey: 'danio',
  version: 1,
  archived: false,
  stage: 'juvenile',
  lengthCm: null,
  size: { males: 1, females: 2, unsexed: 3, total: 6 },
  lastOn: {},
  grew: { days: 0, since: null },
  belly: null,
  eats: [],
  bornOn: null,
  checkpoints: [],
  training: null,
  diet: null,
  ...over,
});
const tank = { tempC: 25, lastTemp: null };
const day = '2026-03-02';
const moment = {
  id: 'm',
  name: 'Noon',
  anchor: 'clock' as const,
  minutes: 720,
  spareMin: null,
  version: 1,
};
const food = (id: string, archived: boolean) => ({
  id,
  name: id,
  composition: { protein: 0, fat: 0, fibre: 0, ash: 0, moisture: 0 },
  unit: { name: 'u', plural: 'us', massG: 1, step: 1 },
  weighings: [],
  liftAfterMin: 30,
  kind: 'dry' as const,
  family: 'grain' as const,
  inWater: { floatMinutes: null, sinkCmPerS: null, particleMinMm: null, particleMaxMm: null },
  archived,
});

describe('rows as the core’s house', () => {
  it('leave out what was put away or ended', () => {
    const house = houseOf({
      household: { timeZone: 'UTC' },
      day: '2026-03-02',
      moments: [
        { ...moment, archived: false },
        { ...moment, id: 'old', archived: true },
      ],
      tanks: [],
      groups: [
        group({}),
        group({ id: 'ended', archived: true }),
        group({ id: 'odd', speciesKey: 'gone' }),
      ],
      foods: [food('on', false), food('off', true)],
      species,
    });
    expect(house.moments.map((one) => one.id)).toEqual(['m']);
    expect(house.groups.map((one) => one.id)).toEqual(['g']);
    expect(house.foods.map((one) => one.id)).toEqual(['on']);
  });

  it('go on from a measured length as their kind grows, while they are fry or juveniles', () => {
    const [guppy] = loadCatalogue().species.filter(({ key }) => key === 'poecilia-reticulata');
    const kinds = new Map([[guppy!.key, guppy!]]);
    const young = (since: string | null) =>
      group({ speciesKey: guppy!.key, lengthCm: 1.2, grew: { days: 3, since } });
    const on = (since: string | null, today: string) =>
      houseGroup(young(since), kinds, tank, today)!;
    const [soon, later] = [on('2026-02-01', '2026-02-08'), on('2026-02-01', '2026-03-15')];
    expect(soon.lengthCm).toBeGreaterThan(1.2);
    expect(later.lengthCm).toBeGreaterThan(soon.lengthCm + 0.3);
    expect(later.lengthCm).toBeLessThan(guppy!.growth.linfCm);
    expect(later.grown).toMatchObject({ measuredCm: 1.2, days: 45 });
    expect(later.grown!.sd).toBeGreaterThan(soon.grown!.sd);
    // Grown up, it keeps what it grew; and without its tank nothing is known of how warm it had it.
    expect(on(null, '2027-01-01').grown!.days).toBe(3);
    expect(houseGroup(young('2026-02-01'), kinds, undefined, day)!.lengthCm).toBe(1.2);
  });

  it('take a measured length before an assumed one, and say which it is', () => {
    expect(houseGroup(group({ lengthCm: 3.1 }), species, tank, day)).toMatchObject({
      lengthCm: 3.1,
      lengthMeasured: true,
    });
    expect(houseGroup(group({}), species, tank, day)).toMatchObject({
      lengthCm: 2,
      lengthMeasured: false,
      count: 6,
    });
  });
});
