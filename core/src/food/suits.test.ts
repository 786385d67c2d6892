import { loadCatalogue } from '@open-larder/catalogue/load';
import {
  fits,
  mealSteps,
  onlyBinds,
  prepared,
  sayMinutes,
  sayPreparation,
  takes,
  type Eater,
  type Offer,
} from '.';

const dry = { protein: 0.44, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.08 };
const worm = { protein: 0.12, fat: 0.05, fibre: 0.01, ash: 0.01, moisture: 0.8 };
const eater = (over: Partial<Eater> = {}): Eater => ({
  guild: 'omnivore',
  gapeShare: 0.06,
  plantShareMin: 0.2,
  plantShareMax: 0.5,
  capped: [],
  ...over,
});
const offer = (over: Partial<Offer> = {}): Offer => ({
  kind: 'dry',
  family: 'grain',
  composition: dry,
  plantShare: 0.3,
  particleMinMm: 0.5,
  particleMaxMm: 2,
  liftAfterMin: 5,
  ...over,
});
const step = (kind: 'soak' | 'crumble' | 'thaw' | 'rinse', toMm: number | null = null) => ({
  kind,
  leadMin: 60,
  workMin: 1,
  toMm,
});
const floating = {
  form: 'floats' as const,
  floatMinutes: 10,
  sinkCmPerS: 0.5,
  particleMinMm: 3,
  particleMaxMm: 5,
};

describe('a food against a mouth', () => {
  // Four centimetres and a mouth of 6 % of it: 2.4 mm.
  it.each([
    [{ particleMaxMm: 2.4 }, 'whole'],
    [{ particleMaxMm: 3 }, 'the smaller'],
    [{ particleMinMm: 3, particleMaxMm: 5 }, 'too large'],
    [{ particleMinMm: 3, particleMaxMm: 5, kind: 'fresh' as const }, 'in bites'],
    [{ particleMinMm: 9, particleMaxMm: 9, liftAfterMin: 60 }, 'in bites'],
    [{ particleMinMm: 9, particleMaxMm: 9, kind: 'gel' as const }, 'in bites'],
    [{ particleMinMm: 5, particleMaxMm: 7, family: 'wriggle' as const }, 'whole'],
    [{ particleMinMm: null }, 'unknown'],
  ])('%j is eaten %s', (over, fit) => {
    const { fit: found, gapeMm } = fits(eater(), 4, offer(over));
    expect(gapeMm.value).toBeCloseTo(2.4, 9);
    expect(found).toBe(fit);
  });

  it('that cannot rasp leaves a slice alone', () => {
    const slice = offer({ kind: 'fresh', particleMinMm: 20, particleMaxMm: 50 });
    expect(fits(eater({ guild: 'predator' }), 4, slice).fit).toBe('too large');
    expect(fits(eater({ guild: 'invertebrate picker' }), 4, slice).fit).toBe('too large');
  });
});

describe('how readily it is taken', () => {
  it('falls with the distance from the band of plant food', () => {
    const by = (plantShare: number) => takes(eater(), offer({ plantShare })).likely.value;
    expect(by(0.2)).toBe(1);
    expect(by(0.5)).toBe(1);
    expect(by(1)).toBeCloseTo(0.5, 9);
    expect(by(0)).toBeCloseTo(0.8, 9);
  });

  it('is less for a predator where nothing moves', () => {
    const predator = eater({ guild: 'predator', plantShareMin: 0, plantShareMax: 0.1 });
    const live = offer({ kind: 'live', family: 'wriggle', plantShare: 0 });
    expect(takes(predator, live).word).toBe('readily');
    expect(takes(predator, offer({ plantShare: 0 })).word).toBe('usually');
    expect(takes(predator, offer({ plantShare: 0.95 })).word).toBe('hardly');
  });

  it('names what it should have little of', () => {
    const capped = eater({ capped: ['copper-bearing foods', 'rich worms'] });
    const rich = offer({ kind: 'live', family: 'wriggle', composition: worm });
    expect(takes(capped, rich).capped).toBe('rich worms');
    expect(takes(capped, offer()).capped).toBeNull();
    expect(takes(eater({ capped: ['fatty foods'] }), rich).capped).toBe('fatty foods');
    expect(takes(eater({ capped: ['animal protein'] }), offer({ plantShare: 0.1 })).capped).toBe(
      'animal protein',
    );
  });
});

describe('preparation', () => {
  it('of soaking makes it sink at once, and takes its time', () => {
    expect(prepared(floating, [step('soak')])).toEqual({
      ...floating,
      form: 'sinks',
      floatMinutes: 0,
      sinkCmPerS: 2,
      leadMin: 60,
      workMin: 1,
    });
  });

  it('of crumbling makes it smaller, never larger', () => {
    expect(prepared(floating, [step('crumble', 1)])).toMatchObject({
      particleMinMm: 1,
      particleMaxMm: 1,
      form: 'floats',
    });
    expect(prepared(floating, [step('crumble', 9)])).toMatchObject({
      particleMinMm: 3,
      particleMaxMm: 5,
    });
  });

  it('of nothing changes nothing, and unknown sizes stay unknown', () => {
    expect(prepared(floating, [])).toEqual({ ...floating, leadMin: 0, workMin: 0 });
    const unknown = { ...floating, particleMinMm: null, particleMaxMm: null };
    expect(prepared(unknown, [step('thaw')])).toMatchObject({ particleMaxMm: null });
    expect(prepared(unknown, [step('crumble', 2)])).toMatchObject({
      particleMinMm: 2,
      particleMaxMm: 2,
    });
  });

  it('of a batch is put by: only what follows is done for the meal', () => {
    const batch = [
      { kind: 'blanch' as const, leadMin: 15, workMin: 6, toMm: null },
      { kind: 'open-freeze' as const, leadMin: 240, workMin: 4, toMm: null },
      { kind: 'weigh-down' as const, leadMin: 1, workMin: 1, toMm: null },
    ];
    expect(mealSteps(batch).map((one) => one.kind)).toEqual(['weigh-down']);
    expect(prepared(floating, batch)).toMatchObject({ leadMin: 1, workMin: 1, form: 'sinks' });
  });

  it('is said with its time where that is worth saying', () => {
    const thaw = { kind: 'thaw' as const, leadMin: 15, workMin: 1, toMm: null };
    const rinse = { kind: 'rinse' as const, leadMin: 1, workMin: 1, toMm: null };
    expect(sayPreparation([thaw, rinse])).toBe('thaw 15 min, then rinse');
    expect(sayPreparation([step('crumble', 0.5)])).toBe('crumble to 0.5 mm 60 min');
    expect(sayPreparation([])).toBe('');
    expect([45, 120, 150, 1800, 4320].map(sayMinutes)).toEqual([
      '45 min',
      '2 h',
      '2.5 h',
      '30 h',
      '3 d',
    ]);
  });
});

describe('what only binds a mix', () => {
  it('is no meal: gelatine and agar are not, everything else of the catalogue is', () => {
    const binders = loadCatalogue()
      .foods.filter((food) => onlyBinds({ ...food, composition: food }))
      .map(({ key }) => key);
    expect(binders).toEqual(['gelatine', 'agar']);
  });
});
