import { addDays } from '../round';
import {
  broodWork,
  computeBroodStatus,
  programmeOf,
  youngDietOf,
  type BroodFood,
  type BroodTask,
} from '.';
import { allSpecies, broodOf, liveFood, report, speciesOf } from './brood.testkit';

const SWIM = '2026-03-01';

/** A dry food ground to powder, from plants or from fish. */
const powder = (key: string, plantShare: number, protein: number): BroodFood => ({
  ...liveFood('infusoria'),
  key,
  name: key,
  minUm: 50,
  maxUm: 200,
  live: false,
  composition: { protein, fat: 0.06, fibre: 0.05, ash: 0.08, moisture: 0.07 },
  plantShare,
  animalUg: null,
  kindKey: null,
  unit: { name: 'tip', plural: 'tips', massG: 0.01, step: 0.5 },
});
const GREEN = powder('green powder', 0.8, 0.35);
const RICH = powder('rich powder', 0.1, 0.6);

const swimming = (key: string, age: number, over: Partial<BroodTask> = {}): BroodTask => {
  const task = broodOf(key, over);
  return {
    ...task,
    foods: [...task.foods, GREEN, RICH],
    events: [report('spawned', addDays(SWIM, -10)), report('swimming', SWIM)],
    today: addDays(SWIM, age),
  };
};
const namesOn = (key: string, age: number, over: Partial<BroodTask> = {}) =>
  computeBroodStatus(swimming(key, age, over)).feeds.map((feed) => feed.key);

describe('how young are fed on principle', () => {
  it('follows from how they live: suckers graze, discus feed on skin, the others hunt', () => {
    expect(youngDietOf(speciesOf('ancistrus-cirrhosus'))).toBe('grazers');
    expect(youngDietOf(speciesOf('neocaridina-davidi'))).toBe('grazers');
    expect(youngDietOf(speciesOf('symphysodon-aequifasciatus'))).toBe('skinFeeders');
    expect(youngDietOf(speciesOf('danio-rerio'))).toBe('prey');
    expect(youngDietOf(speciesOf('poecilia-reticulata'))).toBe('prey');
  });

  it('is known of every species, and deals nothing on a day on which skin is all they have', () => {
    for (const species of allSpecies) {
      const programme = programmeOf(species, null, (day) => 0.4 + day * 0.03, 120);
      for (let day = 0; day < 120; day += 1) {
        expect(programme.carried(day)).toBeGreaterThanOrEqual(0);
        expect(programme.carried(day)).toBeLessThanOrEqual(1);
      }
      if (programme.diet === 'skinFeeders') expect(programme.carried(0)).toBe(1);
    }
  });
});

describe('grazers', () => {
  it('are never dealt live food or rich powder, on any day', () => {
    for (const age of [0, 7, 21, 60, 110]) {
      expect(namesOn('ancistrus-cirrhosus', age)).toEqual(['green powder']);
    }
    const status = computeBroodStatus(swimming('ancistrus-cirrhosus', 7));
    expect(status.never).toEqual(['animalsToGrazers', 'richToGrazers']);
    expect(status.gapDays).toBe(0);
  });

  it('have film at once, vegetables from a centimetre on, and powder for a quarter of the need', () => {
    const status = computeBroodStatus(swimming('ancistrus-cirrhosus', 7));
    expect(status.standing).toMatchObject([
      { what: 'film', from: SWIM, to: null },
      { what: 'vegetables', to: null },
    ]);
    expect(status.feeds[0]!.share).toBeCloseTo(0.25);
    const whats = broodWork(swimming('ancistrus-cirrhosus', 60), status).map(({ what }) => what);
    expect(whats).toContain('standing');
    expect(whats).toContain('firstFood');
  });

  it('with nothing on the shelf that suits them live on what stands in the water', () => {
    const bare = { ...swimming('ancistrus-cirrhosus', 7), foods: [RICH, liveFood('brine-shrimp')] };
    const status = computeBroodStatus(bare);
    expect(status.feeds).toEqual([]);
    expect(broodWork(bare, status).map(({ because }) => because.is)).not.toContain('nothingFits');
  });
});

describe('skin-feeders', () => {
  const key = 'symphysodon-aequifasciatus';

  it('get nothing but skin at first, then live food beside it, and dry food from 2 cm on', () => {
    expect(namesOn(key, 0)).toEqual([]);
    expect(namesOn(key, 4)).toEqual([]);
    const [beside] = computeBroodStatus(swimming(key, 8)).feeds;
    expect(beside).toMatchObject({ live: true, share: 0.5 });
    const early = computeBroodStatus(swimming(key, 0));
    const dry = early.rungs.filter(({ live }) => !live);
    for (const { from } of dry) {
      const day = Math.round((Date.parse(from) - Date.parse(SWIM)) / 86_400_000);
      expect(early.lengthsCm[day]).toBeGreaterThanOrEqual(2);
    }
    expect(early.standing[0]).toMatchObject({ what: 'skin', from: SWIM });
    expect(early.never).toEqual(['dryToSkinFeeders']);
  });

  it('raised without their parents, because the keeper chose so, are fed as others are', () => {
    expect(namesOn(key, 0, { firstFood: 'smallest' })).not.toEqual([]);
    expect(namesOn(key, 0, { firstFood: 'powder' })).not.toEqual([]);
  });
});

describe('a choice', () => {
  it('of film carries hunters until brine shrimp fits, and halves what is dealt', () => {
    const status = computeBroodStatus(swimming('danio-rerio', 0, { firstFood: 'film' }));
    expect(status.standing).toMatchObject([{ what: 'film' }]);
    expect(status.rungs.map((rung) => rung.key)).not.toContain('infusoria');
    expect(status.rungs.some((rung) => rung.key === 'brine-shrimp')).toBe(true);
    expect(status.gapDays).toBe(0);
  });
});
