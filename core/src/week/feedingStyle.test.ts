import { choicesOf, liftAfter, usualFeedingStyle, type Styled } from './feedingStyle';

const eater = (species: Partial<Styled['species']> = {}, over: Partial<Styled> = {}) => ({
  species: {
    guild: 'omnivore' as const,
    stomach: true,
    shape: 'fusiform',
    zone: 'mid',
    capped: [],
    ...species,
  },
  stage: 'adult' as const,
  needKj: 1,
  ...over,
});

describe('the choices that suit a tank', () => {
  it('follow those who eat most of its food', () => {
    const few = eater({ guild: 'plant grazer' });
    const heavy = eater({}, { needKj: 5 });
    expect(usualFeedingStyle([few, heavy]).portion.choice).toBe('weight');
    expect(usualFeedingStyle([{ ...few, needKj: 9 }, heavy]).portion).toEqual({
      choice: 'grazing',
      because: 'grazers',
    });
  });

  it('never fast fry, feed them often, and leave their crumbs', () => {
    const fry = eater({}, { stage: 'fry', needKj: 0.1 });
    expect(choicesOf(usualFeedingStyle([fry, eater({}, { needKj: 9 })]))).toMatchObject({
      portion: 'grazing',
      meals: 'many',
      lift: 'crumbs',
      fast: 'none',
    });
  });

  it('rest heavy adults weekly, and give young plant eaters nothing dry', () => {
    expect(usualFeedingStyle([eater()]).fast).toEqual({ choice: 'weekly', because: 'heavyAdults' });
    const young = eater({ capped: ['animal protein'] }, { stage: 'juvenile' });
    expect(usualFeedingStyle([young]).staple).toEqual({
      choice: 'fresh',
      because: 'proteinSensitive',
    });
  });

  it('of an empty tank are the usual ones', () => {
    for (const { because } of Object.values(usualFeedingStyle([]))) expect(because).toBe('usual');
  });
});

describe('when what is left is lifted', () => {
  const flake = {
    kind: 'dry' as const,
    family: 'grain' as const,
    plantShare: 0.2,
    liftAfterMin: 30,
  };
  const wafer = {
    kind: 'dry' as const,
    family: 'grain' as const,
    plantShare: 0.7,
    liftAfterMin: 240,
  };
  const slice = {
    kind: 'fresh' as const,
    family: 'leaf' as const,
    plantShare: 1,
    liftAfterMin: 600,
  };

  it('is the food’s own time where nothing was chosen', () => {
    expect(liftAfter(null, flake)).toBe(30);
  });

  it('is soon for crumbs but never for what is eaten as it softens', () => {
    expect(liftAfter({ lift: 'soon' }, flake)).toBe(15);
    expect(liftAfter({ lift: 'soon' }, wafer)).toBe(240);
  });

  it('is a day for plant food, or never for crumbs', () => {
    expect(liftAfter({ lift: 'day' }, wafer)).toBe(1440);
    expect(liftAfter({ lift: 'day' }, flake)).toBe(30);
    expect(liftAfter({ lift: 'crumbs' }, flake)).toBeNull();
    expect(liftAfter({ lift: 'crumbs' }, slice)).toBe(1440);
  });

  it('is weeks for dead leaves, whatever is done with slices', () => {
    const leaf = { kind: 'dry' as const, family: 'leaf' as const, plantShare: 1 };
    for (const lift of ['soon', 'day', 'crumbs'] as const) {
      expect(liftAfter({ lift }, { ...leaf, liftAfterMin: 30_000 })).toBe(30_000);
    }
  });
});
