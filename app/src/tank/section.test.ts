import type { Species } from '@open-larder/catalogue';
import { blankTank, type Group, type Tank } from '@open-larder/contract';
import { houseOf } from '@open-larder/contract/house';
import { isLit, sectionOf } from './section';

const tank = (over: Partial<Tank>): Tank => ({
  ...blankTank,
  id: 't',
  name: 'T',
  lengthCm: 80,
  widthCm: 35,
  heightCm: 40,
  waterLevelCm: 30,
  litres: null,
  tempC: 25,
  ph: null,
  lightOnMin: 600,
  lightOffMin: 1200,
  walkOrder: 1,
  version: 1,
  archived: false,
  plan: null,
  lastTemp: null,
  ...over,
});
const species = new Map([
  [
    'a',
    {
      scientific: 'Trichopodus leerii',
      family: 'Osphronemidae',
      shape: 'deep',
      adultLengthCm: 10,
      zone: 'mid',
      activity: 'day',
    } as Species,
  ],
]);
const group = (over: Partial<Group>): Group =>
  ({
    id: 'g',
    tankId: 't',
    speciesKey: 'a',
    stage: 'adult',
    lengthCm: null,
    archived: false,
    size: { males: 0, females: 0, unsexed: 5, total: 5 },
    ...over,
  }) as Group;

const house = (groups: readonly Group[]) =>
  houseOf({
    household: { timeZone: 'UTC' },
    day: '2026-03-02',
    moments: [],
    tanks: [tank({})],
    groups,
    foods: [],
    species,
  });

describe('a tank as a drawing', () => {
  it('is to its own measures, with the groups whose species are known', () => {
    const groups = [group({}), group({ id: 'x', speciesKey: 'gone' })];
    const section = sectionOf(tank({}), groups, species, house(groups));
    expect(section).toMatchObject({ lengthCm: 80, heightCm: 40, waterLevelCm: 30 });
    expect(section.groups).toEqual([
      {
        id: 'g',
        shape: 'deep',
        family: 'Osphronemidae',
        pattern: 'spots',
        lengthCm: 8.5,
        count: 5,
        zone: 'mid',
        activity: 'day',
      },
    ]);
  });

  it('known by litres alone is drawn as a usual one of that size', () => {
    const { lengthCm, heightCm, waterLevelCm } = sectionOf(
      tank({ lengthCm: null, heightCm: null, waterLevelCm: null, litres: 90 }),
      [],
      species,
      house([]),
    );
    expect((lengthCm * heightCm * waterLevelCm) / 1000).toBeCloseTo(90, 6);
  });

  it('is lit by its own hours, past midnight too', () => {
    expect([599, 600, 1199, 1200].map((minutes) => isLit(tank({}), minutes))).toEqual([
      false,
      true,
      true,
      false,
    ]);
    const late = tank({ lightOnMin: 1000, lightOffMin: 60 });
    expect([30, 90, 1100].map((minutes) => isLit(late, minutes))).toEqual([true, false, true]);
  });
});
