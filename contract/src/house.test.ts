import type { Species } from '@open-larder/catalogue';
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
  belly: null,
  eats: [],
  bornOn: null,
  checkpoints: [],
  training: null,
  diet: null,
  ...over,
});
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

  it('take a measured length before an assumed one, and say which it is', () => {
    expect(houseGroup(group({ lengthCm: 3.1 }), species)).toMatchObject({
      lengthCm: 3.1,
      lengthMeasured: true,
    });
    expect(houseGroup(group({}), species)).toMatchObject({
      lengthCm: 2,
      lengthMeasured: false,
      count: 6,
    });
  });
});
