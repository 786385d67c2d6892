import { loadCatalogue } from '@open-larder/catalogue/load';
import { broodOn, fryPortion, type FryDay } from '.';
import { report } from './brood.testkit';

const on = (day: number) => `2026-03-${String(day).padStart(2, '0')}`;
const line = [
  report('spawned', on(1)),
  report('eggsSeen', on(1), { count: 120 }),
  report('hatched', on(3)),
  report('swimming', on(6)),
  report('firstFood', on(6)),
];

describe('a line of events', () => {
  it.each([
    [0, 'paired'],
    [1, 'eggs'],
    [3, 'larvae'],
    [6, 'fry'],
  ])('on day %d of March stands as %s', (day, phase) => {
    expect(
      broodOn([report('paired', '2026-02-20'), ...line], on(day) < on(1) ? '2026-02-28' : on(day))
        .phase,
    ).toBe(phase);
  });

  it('is the same whatever the order in which it was told', () => {
    expect(broodOn([...line].reverse(), on(9))).toEqual(broodOn(line, on(9)));
  });

  it('believes the latest count, and says that the one before missed some', () => {
    const counted = [
      ...line,
      report('counted', on(10), { count: 40 }),
      report('counted', on(14), { count: 55 }),
    ];
    expect(broodOn(counted, on(12))).toMatchObject({ count: 40, recounted: false });
    expect(broodOn(counted, on(14))).toMatchObject({ count: 55, recounted: true });
    const less = [
      ...counted,
      report('lost', on(15), { count: 5 }),
      report('rehomed', on(16), { count: 20 }),
    ];
    expect(broodOn(less, on(16)).count).toBe(30);
  });

  it('is over with eggs that were eaten, or a brooder that swallowed', () => {
    expect(broodOn([...line.slice(0, 2), report('eggsEaten', on(2))], on(2))).toMatchObject({
      phase: 'over',
      count: 0,
    });
    const held = [report('spawned', on(1)), report('swallowed', on(9))];
    expect(broodOn(held, on(8)).phase).toBe('eggs');
    expect(broodOn(held, on(9)).phase).toBe('over');
    expect(broodOn([...line, report('lost', on(20), { count: 500 })], on(20)).phase).toBe('over');
  });

  it('with two clutches in one tub is more, of two ages', () => {
    const joined = [...line, report('joined', on(11), { count: 30 })];
    expect(broodOn(joined, on(11))).toMatchObject({ count: 150, mixed: true });
    expect(broodOn(joined, on(10)).mixed).toBe(false);
  });
});

describe('what a brood eats', () => {
  const { species, cultures, foods } = loadCatalogue();
  const shrimp = cultures.find(({ key }) => key === 'brine-shrimp')!;
  const food = {
    name: shrimp.name,
    composition: foods.find(({ key }) => key === shrimp.foodKey)!,
    animalUg: shrimp.animalUg,
  };
  const day: FryDay = {
    species: species.find(({ key }) => key === 'trichopodus-leerii')!,
    lengthCm: 0.8,
    count: 100,
    tempC: 26,
    lightHours: 12,
    moments: 4,
  };

  it('is counted in animals that weigh what the day’s grams do', () => {
    const report = fryPortion(day, food);
    expect(report.animalsPerDay! * shrimp.animalUg!).toBeCloseTo(report.gramsPerDay * 1e6, -2);
    expect(report.gramsPerMeal * report.meals).toBeCloseTo(report.gramsPerDay, 9);
    // A fry of eight millimetres takes some dozens up to a few hundred a day.
    const each = report.animalsPerDay! / day.count;
    expect(each).toBeGreaterThan(10);
    expect(each).toBeLessThan(1000);
  });

  it('wants more meals than a keeper with a job has, and says what they do not carry', () => {
    const report = fryPortion(day, food);
    expect(report.mealsWanted).toBeGreaterThan(4);
    expect(report.meals).toBe(4);
    const often = fryPortion({ ...day, moments: 12 }, food);
    expect(often.carried).toBeGreaterThanOrEqual(report.carried);
    const once = fryPortion({ ...day, moments: 1 }, food);
    expect(once.carried).toBeLessThan(often.carried);
    expect(once.carried).toBeGreaterThan(0);
  });

  it('of powder is not counted', () => {
    expect(fryPortion(day, { ...food, animalUg: null })).toMatchObject({
      animalsPerDay: null,
      animalsPerMeal: null,
    });
  });
});

describe('young that were never counted', () => {
  const laid = [
    report('conditioned', '2026-03-01', { tubId: 'pair' }),
    report('spawned', '2026-03-16', { tubId: 'pair' }),
  ];
  const carried = report('moved', '2026-03-17', { tubId: 'pair', toTubId: 'nursery' });

  it('are where all of them were moved, and away from their parents', () => {
    expect(broodOn(laid, '2026-03-18')).toMatchObject({ homeTubId: null, parentsMovedOn: null });
    expect(broodOn([...laid, carried], '2026-03-18')).toMatchObject({
      homeTubId: 'nursery',
      parentsMovedOn: '2026-03-17',
    });
  });

  it('stay where they are when only some of them are moved', () => {
    const some = { ...carried, count: 20 };
    expect(broodOn([...laid, some], '2026-03-18')).toMatchObject({
      homeTubId: null,
      parentsMovedOn: null,
    });
  });
});
