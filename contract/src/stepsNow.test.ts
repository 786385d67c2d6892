import type { PreparationStep } from '@open-larder/catalogue';
import type { FoodRow } from './food';
import { stepsNow } from './stepsNow';

const step = (kind: PreparationStep['kind'], leadMin: number): PreparationStep => ({
  kind,
  leadMin,
  workMin: 1,
  toMm: null,
});
const lot = (place: FoodRow['lots'][number]['place'], over: object = {}) => ({
  id: place,
  foodId: 'f',
  amountG: 100,
  remainingG: 80,
  costMinor: null,
  place,
  boughtOn: '2026-03-01',
  openedOn: null,
  bestBefore: null,
  version: 1,
  ...over,
});
const courgette = (
  lots: FoodRow['lots'],
  kind: FoodRow['kind'] = 'fresh',
): Parameters<typeof stepsNow>[0] => ({
  kind,
  lots,
  steps: [step('blanch', 15), step('weigh-down', 1)],
  keeps: { sealedDays: 10, openedDays: 4, preparedHours: 72 },
});
const kindsOf = (food: Parameters<typeof stepsNow>[0]) =>
  stepsNow(food, '2026-03-10').map(({ kind }) => kind);

describe('what is done to a food today', () => {
  it('is to take one out where the next lot was blanched and frozen', () => {
    expect(kindsOf(courgette([lot('freezer')]))).toEqual(['take out of the freezer', 'weigh-down']);
  });

  it.each([
    ['it stands in the fridge', courgette([lot('fridge')])],
    ['the frozen one is used up', courgette([lot('freezer', { remainingG: 0 }), lot('fridge')])],
    [
      'the one in the fridge ends first',
      courgette([lot('freezer'), lot('fridge', { bestBefore: '2026-03-12' })]),
    ],
    ['there is none', courgette([])],
    ['it is sold frozen, and thaws as it always does', courgette([lot('freezer')], 'frozen')],
  ])('is what it always is where %s', (_, food) => {
    expect(kindsOf(food)).toEqual(['blanch', 'weigh-down']);
  });
});
