import type { ServingUnit } from '@open-larder/core/food';
import { finersOf, toServingUnits } from '@open-larder/core/food';
import {
  formatAnimals,
  formatBodyMass,
  formatGramBand,
  formatGrams,
  formatMinutes,
  formatPreparation,
  formatServing,
  formatUnits,
} from '.';

describe('amounts', () => {
  it.each([
    [0.5, '½ cube'],
    [1, '1 cube'],
    [1.25, '1¼ cubes'],
    [3, '3 cubes'],
  ])('%d is said «%s»', (units, said) => {
    expect(formatUnits(units, { name: 'cube', plural: 'cubes', step: 0.25 })).toBe(said);
  });

  it.each([
    ['2 pinches', 'Fine flake', '2 pinches fine flake'],
    ['¼ tablet', 'Plant tablet', '¼ plant tablet'],
    ['3 tablets', 'Plant tablet', '3 plant tablets'],
    ['1 pellet', 'Sinking pellets', '1 sinking pellet'],
    ['20 wafers', 'Wafer', '20 wafers'],
    ['1 wafer', 'Nettle wafer, small', '1 small nettle wafer'],
    ['½ pinch', 'Fry powder, coarse', '½ pinch coarse fry powder'],
    ['1 knife tip, crumbled', 'Plant tablet', '1 knife tip, crumbled plant tablet'],
  ])('%s of %s are %s', (amount, food, says) => expect(formatServing(amount, food)).toBe(says));

  it('are weighed where they are more than anyone counts out', () => {
    const pinch = { name: 'pinch', plural: 'pinches', step: 0.5, massG: 0.05 };
    expect(formatUnits(98, pinch)).toBe('98 pinches (4.9 g)');
    expect(formatUnits(12, pinch)).toBe('12 pinches');
    const pellet = { ...pinch, name: 'pellet', plural: 'pellets', step: 1 };
    expect(formatUnits(30, pellet)).toBe('30 pellets');
    expect(formatUnits(40, pellet)).toBe('40 pellets (2 g)');
  });

  it('says tiny masses in milligrams', () => {
    expect(formatGrams(0.00045)).toBe('0.45 mg');
    expect(formatGrams(0.00674)).toBe('6.74 mg');
    expect(formatGrams(0.1234)).toBe('0.123 g');
  });

  it('says a mass that is worked out to two digits, in the unit of its band', () => {
    expect(`${formatBodyMass(0.0524)}, ${formatGramBand(0.0524, 1.3)}`).toBe('52 mg, 40 to 68 mg');
    expect(`${formatBodyMass(5.153)}, ${formatGramBand(5.153, 1.3)}`).toBe('5.2 g, 4 to 6.7 g');
  });
});

const powder = {
  kind: 'dry' as const,
  family: 'mortar' as const,
  pieceForm: 'powder' as const,
  particleMinMm: 0.05,
  particleMaxMm: 0.2,
};
const tablet = {
  kind: 'dry' as const,
  family: 'leaf' as const,
  pieceForm: 'disc' as const,
  particleMinMm: 8,
  particleMaxMm: 14,
};
const larvae = {
  kind: 'frozen' as const,
  family: 'cube' as const,
  pieceForm: 'worm' as const,
  particleMinMm: 8,
  particleMaxMm: 15,
};
const unitOf = (
  food: Omit<Parameters<typeof finersOf>[0], 'unit'>,
  name: string,
  massG: number,
  step: number,
): ServingUnit => {
  const unit = { name, plural: `${name}s`, massG, step };
  return { ...unit, finer: finersOf({ ...food, unit }) };
};
const tip = unitOf(powder, 'knife tip', 0.04, 0.5);
const whole = unitOf(tablet, 'tablet', 0.6, 0.25);
const cube = unitOf(larvae, 'cube', 3.2, 0.25);

describe('less than the smallest step', () => {
  it.each([
    ['powder for a tub of fry: stirred into a glass', tip, 0.0016, '4 mL (½ knife tip in 50 mL)'],
    ['a tablet for four small catfish: crumbled', whole, 0.06, '1½ knife tips, crumbled'],
    [
      'a tablet for one: crumbs in a glass',
      whole,
      0.008,
      '20 mL (½ knife tip, crumbled, in 50 mL)',
    ],
    [
      'midge larvae for a nano tank: thawed in a glass',
      cube,
      0.16,
      '10 mL (¼ cube thawed in 50 mL)',
    ],
    ['a little under a step stays a step', whole, 0.1, '¼ tablet'],
  ])('%s', (_, unit, massG, says) => {
    const units = toServingUnits(massG, unit);
    expect(formatUnits(units, unit)).toBe(says);
  });
});

describe('a preparation', () => {
  it('is said with its time where that is worth saying', () => {
    const thaw = { kind: 'thaw' as const, leadMin: 15, workMin: 1, toMm: null };
    const rinse = { kind: 'rinse' as const, leadMin: 1, workMin: 1, toMm: null };
    expect(formatPreparation([thaw, rinse])).toBe('thaw 15 min, then rinse');
    expect(formatPreparation([{ kind: 'crumble', leadMin: 60, workMin: 1, toMm: 0.5 }])).toBe(
      'crumble to 0.5 mm 60 min',
    );
    expect(formatPreparation([])).toBe('');
    expect([45, 120, 150, 1800, 4320].map(formatMinutes)).toEqual([
      '45 min',
      '2 h',
      '2.5 h',
      '30 h',
      '3 d',
    ]);
  });
});

it.each([
  [7.4, '7'],
  [6751, '6800'],
  [54_321, '54 thousand'],
  [11_383_525, '11 million'],
])('%d animals are said as %s', (count, says) => {
  expect(formatAnimals(count)).toBe(says);
});
