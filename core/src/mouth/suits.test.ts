import { loadCatalogue } from '@open-larder/catalogue/load';
import { fits, onlyBinds, readiness, takes, wasEaten, type Eater, type Offer } from '.';

const dry = { protein: 0.44, fat: 0.08, fibre: 0.03, ash: 0.1, moisture: 0.08 };
const worm = { protein: 0.12, fat: 0.05, fibre: 0.01, ash: 0.01, moisture: 0.8 };
const eater = (over: Partial<Eater> = {}): Eater => ({
  guild: 'omnivore',
  gapeShare: 0.06,
  plantShareMin: 0.2,
  plantShareMax: 0.5,
  capped: [],
  takesDry: 1,
  ...over,
});
const offer = (over: Partial<Offer> = {}): Offer => ({
  kind: 'dry',
  family: 'grain',
  composition: dry,
  plantShare: 0.3,
  particleMinMm: 0.5,
  particleMaxMm: 2,
  ...over,
});
describe('a food against a mouth', () => {
  // Four centimetres and a mouth of 6 % of it: 2.4 mm.
  it.each([
    [{ particleMaxMm: 2.4 }, 'whole'],
    [{ particleMaxMm: 3 }, 'the smaller'],
    [{ particleMinMm: 3, particleMaxMm: 5 }, 'in bites'],
    [{ particleMinMm: 7, particleMaxMm: 9 }, 'too large'],
    [{ particleMinMm: 3, particleMaxMm: 5, kind: 'fresh' as const }, 'in bites'],
    [{ particleMinMm: 9, particleMaxMm: 9, pieceForm: 'disc' as const }, 'in bites'],
    [{ particleMinMm: 4, particleMaxMm: 15, pieceForm: 'flake' as const }, 'in bites'],
    [{ particleMinMm: 5, particleMaxMm: 8, pieceForm: 'shell' as const }, 'too large'],
    [{ particleMinMm: 9, particleMaxMm: 9, kind: 'gel' as const }, 'in bites'],
    [{ particleMinMm: 20, particleMaxMm: 30, family: 'wriggle' as const }, 'whole'],
    [{ particleMinMm: 30, particleMaxMm: 60, family: 'wriggle' as const }, 'the smaller'],
    [{ particleMinMm: 60, particleMaxMm: 80, family: 'wriggle' as const }, 'in bites'],
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

describe('what was seen', () => {
  const shell = offer({ particleMinMm: 5, particleMaxMm: 8, pieceForm: 'shell' });
  it('beats every rule of the mouth', () => {
    expect(fits(eater(), 4, shell).fit).toBe('too large');
    expect(fits(eater(), 4, shell, true).fit).toBe('in bites');
  });

  it('is no need where a beak or claws take it apart', () => {
    expect(fits(eater({ family: 'Tetraodontidae' }), 4, shell).fit).toBe('in bites');
    const pellet = offer({ particleMinMm: 6, particleMaxMm: 7 });
    expect(fits(eater({ shape: 'shrimp', gapeShare: 0.02 }), 3, pellet).fit).toBe('in bites');
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
    const predator = eater({
      guild: 'predator',
      takesDry: 0.5,
      plantShareMin: 0,
      plantShareMax: 0.1,
    });
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

describe('what only binds a mix', () => {
  it('is no meal: gelatine and agar are not, everything else of the catalogue is', () => {
    const binders = loadCatalogue()
      .foods.filter((food) => onlyBinds({ ...food, composition: food }))
      .map(({ key }) => key);
    expect(binders).toEqual(['gelatine', 'agar']);
  });
});

describe('what was seen', () => {
  it('beats what is expected: eaten once, a food fits, and is taken readily', () => {
    expect(wasEaten({}, 'peas')).toBe(false);
    expect(wasEaten({ eats: ['peas'] }, 'peas')).toBe(true);
    expect(readiness({ eats: ['peas'] }, 'peas', 0.1)).toBe(0.75);
    expect(readiness({ eats: ['peas'] }, 'peas', 0.9)).toBe(0.9);
    expect(readiness({ eats: ['peas'] }, 'flake', 0.1)).toBe(0.1);
  });

  it('gives way to the keeper’s own word', () => {
    expect(readiness({ eats: ['peas'], taken: { peas: 0 } }, 'peas', 0.9)).toBe(0);
    expect(wasEaten({ taken: { peas: 0.5 } }, 'peas')).toBe(true);
  });
});
