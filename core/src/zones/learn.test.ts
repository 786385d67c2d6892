import {
  advise,
  bandsOf,
  learn,
  modelOf,
  play,
  shownBy,
  simulate,
  type BellyLooks,
  type Feeding,
  type Learned,
  type LearnedGroup,
  type Sighting,
} from '.';
import type { Belly } from '../ration';
import { testDrop, testEater, testFeeding, testLoaches } from './zones.testkit';

const groups = [testEater('shoal'), testLoaches()];
const dayFeed = testFeeding({
  groups,
  drops: [testDrop('flake', 'shoal', { massG: 0.15 })],
});
const bottomFeed = testFeeding({
  groups,
  drops: [testDrop('wafer', 'loaches', { zone: 'bottom', massG: 0.2, atMin: 1330 })],
  fromMin: 1330,
  toMin: 1390,
});

/** What a keeper would see whose fish are like this. */
function seen(feeding: Feeding, truth: Record<string, Learned>): Sighting {
  const real = {
    ...feeding,
    groups: feeding.groups.map((group) => ({ ...group, learned: truth[group.id] })),
  };
  const model = modelOf(real);
  const { clearedMin, left, came } = shownBy(model, simulate(model, { everyS: 20 }));
  return {
    feeding,
    clearedMin: left < 0.05 ? clearedMin : null,
    about: null,
    left,
    came: new Map(feeding.groups.map((group, f) => [group.id, came[f]!])),
  };
}

const usual = { search: 1, taking: 1, coming: 1 };
const slow = { ...usual, search: 0.7, coming: 0.35 };

describe('what is learned of a tank', () => {
  it('is nothing where all is as expected, or nothing was seen', () => {
    const asExpected = learn([seen(dayFeed, {}), seen(bottomFeed, {})]);
    for (const group of asExpected) {
      expect(group.search).toBeCloseTo(1, 1);
      expect(group.taking).toBeCloseTo(1, 1);
      expect(group.coming).toBeCloseTo(1, 1);
    }
    expect(learn([])).toEqual([]);
  });

  it('finds a group that is slower than expected, and is surer the more it sees', () => {
    // Nobody said who came: a clearing time alone has to tell.
    const timed = { ...seen(dayFeed, { shoal: slow }), came: new Map() };
    const once = learn([timed]);
    const often = learn(Array.from({ length: 6 }, () => timed));
    expect(once[0]!.coming).toBeLessThan(0.9);
    expect(often[0]!.coming).toBeLessThan(once[0]!.coming);
    expect(often[0]!.sure.coming).toBeGreaterThan(once[0]!.sure.coming);
    // Of the loaches a shoal at the surface shows little.
    expect(often[1]!.sure.coming).toBeLessThan(often[0]!.sure.coming);
  });

  it('reads a look at one food as of that food alone, by the clock of that food', () => {
    const both = testFeeding({
      groups,
      drops: [
        testDrop('flake', 'shoal', { key: 'flake', massG: 0.15, atMin: 600 }),
        testDrop('wafer', 'loaches', { key: 'wafer', zone: 'bottom', massG: 2, atMin: 603 }),
      ],
      fromMin: 600,
      toMin: 640,
    });
    const model = modelOf(both);
    const cleared = simulate(model, { everyS: 20, stepScale: 2 }).clearedS[0]! / 60;
    // As expected for the flake, whatever became of the wafer beside it.
    const seenFlake: Sighting = {
      feeding: both,
      about: new Set(['flake']),
      clearedMin: cleared,
      left: null,
      came: new Map(),
    };
    for (const group of learn([seenFlake])) expect(group.search).toBeCloseTo(1, 1);
    // Taken for the whole meal, of which much lies on, it would speak of hungrier fish.
    const [, loaches] = learn([{ ...seenFlake, about: null }]);
    expect(loaches!.search * loaches!.taking * loaches!.coming).toBeGreaterThan(1.06);
  });

  it('finds a group that hangs back, from who came', () => {
    const truth = { loaches: { ...usual, coming: 0.3 } };
    const learned = learn(Array.from({ length: 5 }, () => seen(bottomFeed, truth)));
    expect(learned[1]!.coming).toBeLessThan(0.8);
    expect(learned[1]!.sure.coming).toBeGreaterThan(0);
  });

  it('stays within its bounds, whatever was seen', () => {
    const never = { ...seen(dayFeed, {}), clearedMin: 0, left: 1, came: new Map([['shoal', 0]]) };
    for (const group of learn([never, never, never])) {
      for (const value of [group.search, group.taking, group.coming]) {
        expect(value).toBeGreaterThanOrEqual(0.25);
        expect(value).toBeLessThanOrEqual(4);
      }
    }
  });

  it('predicts better than before', () => {
    const truth = { shoal: slow };
    const sightings = Array.from({ length: 4 }, () => seen(dayFeed, truth));
    const learned = new Map(learn(sightings).map((group) => [group.groupId, group]));
    const cleared = (traits: ReadonlyMap<string, Learned>) => {
      const model = modelOf({
        ...dayFeed,
        groups: groups.map((group) => ({ ...group, learned: traits.get(group.id) })),
      });
      return shownBy(model, simulate(model, { everyS: 20 })).clearedMin;
    };
    const real = cleared(new Map(Object.entries(truth)));
    const miss = (traits: ReadonlyMap<string, Learned>) =>
      Math.abs(Math.log(cleared(traits) / real));
    expect(miss(learned)).toBeLessThan(miss(new Map()) / 2);
  });

  it('can be stopped', () => {
    let runs = 0;
    learn([seen(dayFeed, {})], () => {
      runs += 1;
      return runs < 3;
    });
    expect(runs).toBeLessThan(20);
  });
});

describe('bellies and shyness', () => {
  const bold = testEater('bold');
  const shy = testEater('shy', { species: { boldness: 0.5 } });
  const day = (learned: readonly LearnedGroup[] = []) =>
    testFeeding({
      groups: [bold, shy].map((group) => ({
        ...group,
        learned: learned.find(({ groupId }) => groupId === group.id),
      })),
      drops: [
        testDrop('flake', 'bold', { key: 'morning', massG: 0.1, atMin: 600 }),
        testDrop('flake', 'shy', { key: 'evening', massG: 0.1, atMin: 1080 }),
      ],
      fromMin: 540,
      toMin: 1440,
    });
  const looks = (belly: Belly | null, times: number, hungBack = false): BellyLooks => ({
    feeding: day(),
    seen: new Map([['shy', Array.from({ length: times }, () => ({ belly, hungBack }))]]),
  });
  const learned = (...of: Parameters<typeof looks>) => learn([], undefined, looks(...of));
  const shareOf = (feeding: Feeding) => play(feeding).report.groups[1]!.ofNeed.value;

  it('three flat bellies at a full ration lower what they are believed to get, and the advice', () => {
    const moments = [600, 1080].map((atMin, at) => ({ id: `m${at}`, name: `Meal ${at}`, atMin }));
    const advised = (feeding: Feeding) => advise(feeding, 'shy', moments as never).better.length;
    const before = shareOf(day());
    const once = shareOf(day(learned(2, 1)));
    const often = day(learned(2, 3));
    expect(before).toBeGreaterThan(100);
    expect(once).toBeLessThan(before - 3);
    expect(shareOf(often)).toBeLessThan(once);
    expect(shareOf(often)).toBeLessThan(92);
    expect(advised(day())).toBe(0);
    expect(advised(often)).toBeGreaterThan(0);
  });

  it('well filled bellies leave them as expected, and surer than nothing does', () => {
    const [, filled] = learned(3, 6);
    expect(filled!.eating.times).toBeCloseTo(1, 1);
    expect(filled!.coming).toBeCloseTo(1, 1);
    expect(filled!.sure.coming).toBeGreaterThan(0);
  });

  it('a group that hangs back comes less; what was not ticked says nothing', () => {
    expect(learned(null, 4, true)[1]!.coming).toBeLessThan(0.75);
    expect(learned(null, 4)[1]!.coming).toBeCloseTo(1, 6);
  });

  it('what a look leaves in doubt is what the band of a simulation is drawn from', () => {
    const width = (feeding: Feeding) => {
      const { ofNeed } = bandsOf(feeding, 150, 7);
      return Math.log(ofNeed[1]!.high / ofNeed[1]!.low);
    };
    const sure = learned(3, 12).map((one) => ({
      ...one,
      sure: { search: 0.9, taking: 0.9, coming: 0.9 },
    }));
    expect(width(day(sure))).toBeLessThan(width(day()));
  });
});

describe('search and taste', () => {
  it('are known together better than apart', () => {
    const timed = { ...seen(dayFeed, { shoal: slow }), came: new Map() };
    const [shoal] = learn(Array.from({ length: 6 }, () => timed));
    expect(shoal!.eating.times).toBeCloseTo(shoal!.search * shoal!.taking, 9);
    expect(shoal!.eating.sure).toBeGreaterThanOrEqual(
      Math.min(shoal!.sure.search, shoal!.sure.taking),
    );
  });
});
