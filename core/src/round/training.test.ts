import fc from 'fast-check';
import type { Food } from '../ration';
import { compileGroupDay } from './day';
import { testGroup, testHouse, testTank } from './house.testkit';
import { TRAINING_STEPS, trainingOn, type Tasting } from './training';

const MONDAY = '2026-03-09';
const after = (offers: string) =>
  trainingOn([...offers].map((one) => ({ t: 'taken', s: 'some', r: 'refused' })[one] as Tasting));

describe('a training', () => {
  it.each([
    ['', 1],
    ['t', 1],
    ['tt', 2],
    ['tst', 1],
    ['tstt', 2],
    ['tttttt', 4],
    ['ttr', 2],
    ['ttrr', 1],
    ['ttrt', 2],
    ['rrrr', 1],
  ])('after «%s» is at step %i', (offers, step) => {
    expect(after(offers)).toMatchObject({ step, share: TRAINING_STEPS[step - 1] });
  });

  it('ends when the new food alone was taken twice, and not before', () => {
    expect(after('t'.repeat(9)).ends).toBeNull();
    expect(after('t'.repeat(10)).ends).toBe('taken');
    expect(after(`${'t'.repeat(10)}rr`)).toMatchObject({ ends: null, step: 4 });
  });

  it('is hopeless after six refusals in a row at the first step', () => {
    expect(after('rrrrr').ends).toBeNull();
    expect(after('rrrrrr').ends).toBe('hopeless');
    expect(after('rrrrrrs').ends).toBeNull();
  });

  it('goes on from where it was stopped', () => {
    expect(trainingOn([], 3)).toMatchObject({ step: 3, share: 0.5 });
  });

  it('never moves by more than a step a meal', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom<Tasting>('taken', 'some', 'refused')), (offers) => {
        let before = 1;
        offers.forEach((_, at) => {
          const { step } = trainingOn(offers.slice(0, at + 1));
          expect(Math.abs(step - before)).toBeLessThanOrEqual(1);
          before = step;
        });
      }),
    );
  });
});

describe('a meal of a training', () => {
  const worm: Food = {
    id: 'worm',
    name: 'Worms',
    composition: { protein: 0.1, fat: 0.02, fibre: 0.01, ash: 0.01, moisture: 0.85 },
    unit: { name: 'worm', plural: 'worms', massG: 0.01, step: 1 },
  };
  const foods = new Map([...testHouse().foods, worm].map((food) => [food.id, food]));
  const plain = testGroup('g1', 'b', { count: 40 });
  const [morning] = plain.diet!.servings;
  const training = (offers: string) => ({
    id: 'training',
    servingId: morning!.id,
    foodId: 'worm',
    ...after(offers),
  });
  const dayOf = (over: object) =>
    compileGroupDay({ ...plain, ...over }, testTank('b', 2), foods, MONDAY);

  it('has a little of the new food among the known one, and as much energy as before', () => {
    const day = dayOf({ training: training('tt') });
    const [known, fresh, night] = day.servings;
    expect(day.servings.map(({ serving, mixed }) => [serving.id, mixed])).toEqual([
      ['g1-morning', 'known'],
      ['training', 'new'],
      ['g1-night', null],
    ]);
    expect(fresh).toMatchObject({ food: { id: 'worm' }, zone: 'surface' });
    const wanted = (due: typeof known) => due!.portion.wantedG.value;
    const before = dayOf({}).servings[0]!.portion.wantedG.value;
    expect(wanted(known)).toBeCloseTo(before * 0.75, 9);
    expect(day.plannedKj / dayOf({}).plannedKj).toBeGreaterThan(0.9);
    expect(night!.portion.units).toBe(dayOf({}).servings[1]!.portion.units);
    expect(JSON.stringify(fresh!.portion.why)).toContain('Step of the training');
  });

  it('is of the new food alone at the last step', () => {
    const day = dayOf({ training: training('t'.repeat(8)) });
    expect(day.servings.map(({ food, mixed }) => [food.id, mixed])).toEqual([
      ['worm', 'new'],
      ['flake', null],
    ]);
  });

  it('keeps to the energy of an amount that the keeper set', () => {
    const servings = [{ ...morning!, ownUnits: 8 }];
    const set = dayOf({ diet: { ...plain.diet!, servings } });
    const mixed = dayOf({ diet: { ...plain.diet!, servings }, training: training('tttt') });
    expect(mixed.servings.map(({ portion }) => portion.units)[0]).toBe(4);
    expect(mixed.plannedKj / set.plannedKj).toBeCloseTo(1, 1);
  });

  it('stands in for servings of the new food, unless a day has no others', () => {
    const worms = { ...morning!, id: 'worms', foodId: 'worm' };
    const ids = (servings: object[]) =>
      dayOf({ diet: { ...plain.diet!, servings }, training: training('') }).servings.map(
        ({ serving }) => serving.id,
      );
    expect(ids([morning!, worms])).toEqual(['g1-morning', 'training']);
    expect(ids([worms])).toEqual(['worms']);
  });

  it('is plain again where the new food has left the shelf', () => {
    const gone = { ...training('tt'), foodId: 'gone' };
    expect(dayOf({ training: gone }).servings).toHaveLength(2);
  });
});
