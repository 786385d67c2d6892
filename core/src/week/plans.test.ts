import type { Guild } from '@open-larder/catalogue';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { STAGES } from '../fish';
import { fits } from '../mouth';
import {
  cellsOf,
  converted,
  fastEffects,
  feedsInTheDark,
  foodsByFit,
  isLit,
  laidOut,
  momentsToAdd,
  startingPlan,
  suitsWell,
  weekOutcome,
  type FeedingStyle,
  type WeekTask,
} from '.';
import {
  testDiet,
  testEater,
  testFlake,
  testLoaches,
  testServing,
  testTask,
  testWafer,
  testWorm,
  weekGroup,
} from './week.testkit';

const ids = () => {
  let next = 0;
  return () => `new${next++}`;
};
const noon = { id: 'noon', name: 'Midday', anchor: 'clock' as const, minutes: 800 };
const withNoon = (task: WeekTask): WeekTask => ({
  ...task,
  house: { ...task.house, moments: [...task.house.moments, noon] },
});

describe('a starting plan', () => {
  const guilds = [...new Set(loadCatalogue().species.map((row) => row.guild))];
  const practices = (['two', 'many'] as const).flatMap((meals) =>
    (['dry', 'fresh'] as const).map((staple) => ({ meals, staple })),
  );

  it.each(guilds)(
    'of a %s is there for every stage and feeding style, and fills every day',
    (guild) => {
      for (const stage of STAGES) {
        for (const feedingStyle of practices) {
          const lines = startingPlan(guild, stage, feedingStyle, false);
          const fed = ['yolk-sac larva', 'spawning', 'brooding'].includes(stage);
          const days = new Set(lines.flatMap((line) => line.days));
          expect(days.size).toBe(fed ? 0 : 7);
        }
      }
    },
  );

  it('is laid out for a group with foods that fit its mouth, computed amounts and no empty day', () => {
    const task = testTask();
    const [shoal] = task.groups;
    const lines = startingPlan('omnivore', 'adult', task.feedingStyle, false);
    const servings = laidOut(task, shoal!, lines, ids());
    expect(new Set(cellsOf(servings).map(({ day }) => day)).size).toBe(7);
    for (const { foodId, ownUnits } of servings) {
      expect(ownUnits).toBeNull();
      const food = task.foods.find((one) => one.id === foodId)!;
      expect(fits(shoal!.species, shoal!.lengthCm, { ...food, ...food.inWater }).fit).not.toBe(
        'too large',
      );
    }
  });

  it('gives what is meant for the day while the tank is lit, if a moment is', () => {
    const task = withNoon(testTask());
    const [shoal] = task.groups;
    const lines = startingPlan('omnivore', 'adult', task.feedingStyle, false);
    const evening = { ...noon, id: 'evening', minutes: 1200 };
    const moments = [...task.house.moments, evening];
    const lit = (onMin: number, offMin: number) => {
      const light = { onMin, offMin };
      const tanks = task.house.tanks.map((tank) => ({ ...tank, light }));
      const house = { ...task.house, moments, tanks };
      const lighted = { ...task, tank: { ...task.tank, light }, house };
      const used = laidOut(lighted, shoal!, lines, ids()).map(({ momentId }) => momentId);
      return new Set(used);
    };
    // Lit from after noon: the moment at noon is nearer to its beginning, and dark.
    expect(lit(820, 1320)).toEqual(new Set(['evening']));
    expect(lit(790, 1320)).toEqual(new Set(['noon', 'evening']));
    // Lit at none of them: the nearest all the same.
    expect(lit(1210, 1300).size).toBeGreaterThan(0);
  });

  it.each<[string, number, number, number[], [string, number][]]>([
    ['two meals in the light', 600, 1200, [450, 750, 1110], []],
    ['one in the evening', 840, 1320, [450, 750, 1110], [['lightsOff', -60]]],
    ['one just before it goes out', 840, 1200, [450, 1130], [['lightsOn', 60]]],
    ['none', 1140, 1380, [450, 750, 1110], [['lightsOff', -60], ['lightsOn', 60]]], // prettier-ignore
    ['one in a light too short for two', 1080, 1170, [1110], []],
    ['light past midnight', 1080, 60, [450, 1260], [['lightsOff', -60]]],
    ['no light', 0, 0, [450], []],
  ])('has moments for two meals in the light: %s', (_, onMin, offMin, at, wanted) => {
    const moments = at.map((minutes) => ({ ...noon, id: String(minutes), minutes }));
    const added = momentsToAdd(moments, { onMin, offMin });
    expect(added.map(({ anchor, minutes }) => [anchor, minutes])).toEqual(wanted);
    // Asked again with them, it wants no more.
    const all = [...moments, ...added.map((one, nth) => ({ ...one, id: `added ${nth}` }))];
    expect(momentsToAdd(all, { onMin, offMin })).toEqual([]);
  });

  it('knows when a tank is lit, past midnight too', () => {
    const lit = (atMin: number) => isLit(atMin, { onMin: 1080, offMin: 60 });
    expect([1079, 1080, 1439, 1440, 1499, 1500, 59, 60].map(lit)).toEqual(
      [false, true, true, true, true, false, true, false], // prettier-ignore
    );
    expect(isLit(700, { onMin: 600, offMin: 600 })).toBe(false);
  });

  it('ranks the foods of the shelf by fit for a group, and knows when none suits well', () => {
    const tablet = testWafer({ id: 'a-tablet', name: 'A tablet', plantShare: 0.15 });
    const boulder = testFlake({
      id: 'boulder',
      inWater: { ...testFlake().inWater, particleMinMm: 60, particleMaxMm: 90 },
    });
    const task = testTask({ foods: [tablet, boulder, testFlake()] });
    const [shoal] = task.groups;
    const ranked = foodsByFit(task, shoal!);
    expect(ranked[0]).toMatchObject({ foodId: 'flake', well: true });
    expect(ranked.find(({ foodId }) => foodId === 'boulder')!.suits).toBeLessThan(ranked[0]!.suits);
    for (let at = 1; at < ranked.length; at += 1) {
      expect(ranked[at]!.suits).toBeLessThanOrEqual(ranked[at - 1]!.suits);
    }
    expect(suitsWell(task, shoal!, [{ foodId: 'flake' }])).toBe(true);
    expect(suitsWell(task, shoal!, [{ foodId: 'no such food' }])).toBe(false);
    expect(suitsWell(task, shoal!, [])).toBe(false);
  });

  it('ranks what is dust to a large mouth behind what it can pick up', () => {
    const fleas = testWorm({ id: 'fleas', name: 'Fleas' });
    const tiny = { ...fleas.inWater, particleMinMm: 0.4, particleMaxMm: 0.5 };
    const fine = { ...fleas, id: 'fine', name: 'Fine', inWater: tiny };
    const task = testTask({ foods: [fleas, fine] });
    const [shoal] = task.groups;
    const rank = (lengthCm: number, guild: Guild) => {
      const group = { ...shoal!, lengthCm, species: { ...shoal!.species, guild } };
      return new Map(foodsByFit(task, group).map(({ foodId, suits }) => [foodId, suits]));
    };
    const large = rank(25, 'predator');
    expect(large.get('fine')!).toBeLessThan(0.4 * large.get('fleas')!);
    // To a small mouth, and to one that sifts, it is food like other.
    expect(rank(1.5, 'predator').get('fine')).toBe(rank(1.5, 'detritus feeder').get('fine'));
    const sifted = rank(25, 'detritus feeder');
    expect(sifted.get('fine')!).toBeGreaterThan(0.6 * sifted.get('fleas')!);
  });

  it('gives a wafer in whole pieces on fewer days where less would do, but not to fry', () => {
    const task = testTask({ foods: [testWafer({ unit: { massG: 0.5, step: 0.25 } })] });
    const { species, ...loach } = weekGroup(testLoaches());
    const few = { ...loach, count: 1, lengthCm: 3, species: { ...species, zone: 'film' as const } };
    const daily = [1, 2, 3, 4, 5, 6, 7];
    const lines = (['early', 'late'] as const).map((when) => ({
      role: 'plant' as const,
      when,
      days: daily,
      weight: 1,
    }));
    const { step } = task.house.foods[0]!.unit;
    const noons = withNoon(task);
    const servings = laidOut(noons, few, lines, ids());
    const days = servings.flatMap((one) => one.days);
    expect(servings.map(({ ownUnits }) => ownUnits)).toEqual(servings.map(() => step));
    // Never twice on a day.
    expect(new Set(days).size).toBe(days.length);
    expect(days.length).toBeLessThan(7);
    const fry = laidOut(noons, { ...few, stage: 'fry' }, lines, ids());
    expect(new Set(fry.flatMap((one) => one.days)).size).toBe(7);
    expect(fry.every(({ ownUnits }) => ownUnits === null)).toBe(true);
  });

  it('gives who feeds above the ground what is met there, and tablets to who feeds on it', () => {
    const tablet = testWafer({ id: 'a-tablet', name: 'A tablet', plantShare: 0.15 });
    const task = testTask({ foods: [tablet, testFlake()] });
    const shoal = task.groups[0];
    const { species, ...loach } = weekGroup(testLoaches());
    const loaches = { ...loach, species: { ...species, zone: 'bottom' as const } };
    const staple = [{ role: 'staple' as const, when: 'early' as const, days: [1], weight: 1 }];
    expect(laidOut(task, shoal!, staple, ids()).map(({ foodId }) => foodId)).toEqual(['flake']);
    expect(laidOut(task, loaches, staple, ids()).map(({ foodId }) => foodId)).toEqual(['a-tablet']);
  });

  it('is the same whatever the ids are', () => {
    const foods = [testWafer(), testFlake()];
    const renamed = foods.map((food, at) => ({ ...food, id: `${9 - at}` }));
    const lines = startingPlan('omnivore', 'adult', testTask().feedingStyle, false);
    const names = (of: typeof foods) => {
      const task = testTask({ foods: of });
      const nameOf = new Map(of.map(({ id, name }) => [id, name]));
      return task.groups.map((group) =>
        laidOut(task, group, lines, ids()).map(({ foodId }) => nameOf.get(foodId)),
      );
    };
    expect(names(renamed)).toEqual(names(foods));
    expect(names(foods.toReversed())).toEqual(names(foods));
  });

  it('feeds night fish after the light is out, and lays a longer cycle from the week', () => {
    const task = testTask({ plan: { cycle: { days: 10, from: '2026-03-02' }, fasts: [] } });
    const loaches = task.groups[1]!;
    expect(feedsInTheDark(loaches)).toBe(true);
    const lines = startingPlan('invertebrate picker', 'adult', task.feedingStyle, true);
    const servings = laidOut(task, loaches, lines, ids());
    expect(servings.some(({ momentId }) => momentId === 'night')).toBe(true);
    expect(Math.max(...servings.flatMap(({ days }) => days))).toBe(10);
  });

  it('is empty where nothing on the shelf may be eaten', () => {
    const task = testTask();
    const bare = { ...task, shelf: task.shelf.map((food) => ({ ...food, stockG: 0 })) };
    const lines = startingPlan('omnivore', 'adult', task.feedingStyle, false);
    expect(laidOut(bare, bare.groups[0]!, lines, ids())).toEqual([]);
  });
});

describe('another feeding style', () => {
  const to = (task: WeekTask, over: Partial<FeedingStyle>) =>
    converted(task, { ...task.feedingStyle, ...over }, ids());

  it('spreads two meals over many, to the same sum', () => {
    const task = withNoon(testTask());
    const { diets, said } = to(task, { meals: 'many' });
    const shoal = diets.get('shoal')!.servings;
    expect(new Set(shoal.map(({ momentId }) => momentId)).size).toBe(3);
    const weights = shoal.reduce((sum, { weight }) => sum + weight, 0);
    expect(weights).toBeCloseTo(1, 9);
    expect(said).toContainEqual({ key: 'meals', groupId: 'shoal', servings: 3 });
  });

  it('draws many meals together to the first and the last', () => {
    const many = ['morning', 'noon', 'night'].map((moment, at) =>
      testServing(`s${at}`, 'flake', moment, { ownUnits: 2 }),
    );
    const task = withNoon(testTask({ diets: { shoal: testDiet(many) } }));
    const two = to(
      { ...task, feedingStyle: { ...task.feedingStyle, meals: 'many' } },
      { meals: 'two' },
    );
    const shoal = two.diets.get('shoal')!.servings;
    expect(shoal.map(({ momentId, ownUnits }) => [momentId, ownUnits])).toEqual([
      ['morning', 4],
      ['night', 2],
    ]);
  });

  it('gives fresh food for dry, and soaks what floats', () => {
    const fresh = to(testTask(), { staple: 'fresh' });
    expect(fresh.diets.get('shoal')!.servings.map(({ foodId }) => foodId)).toEqual(['worm']);
    const soaked = to(testTask(), { soak: 'soaked' });
    expect(soaked.diets.get('shoal')!.servings[0]!.manner.soaked).toBe(true);
  });

  it('rests adults once a week, and never fry', () => {
    const fry = weekGroup(testEater('fry', { stage: 'fry', lengthCm: 0.8 }));
    const task = testTask({
      groups: [weekGroup(testEater('shoal')), fry],
      diets: { shoal: testDiet([]), fry: testDiet([]) },
    });
    const weekly = to(task, { fast: 'weekly' }).diets;
    expect(weekly.get('shoal')!.fastWeekdays).toEqual([7]);
    expect(weekly.get('fry')!.fastWeekdays).toEqual([]);
  });

  it('by clearing time gives what is gone in three minutes, more to more fish', () => {
    const unitsFor = (count: number) =>
      to(
        testTask({
          groups: [weekGroup(testEater('shoal', { count }))],
          diets: { shoal: testDiet([testServing('s', 'flake', 'morning')]) },
        }),
        { portion: 'clearing' },
      ).diets.get('shoal')!.servings[0]!.ownUnits!;
    expect(unitsFor(5)).toBeGreaterThan(0);
    expect(unitsFor(20)).toBeGreaterThan(2 * unitsFor(5));
  });

  it('that is the same changes nothing', () => {
    expect(to(testTask(), {}).said).toEqual([]);
  });
});

describe('a fast among others', () => {
  it('is told by what the group still finds, and what it leaves the others', () => {
    const shoal = testDiet([testServing('s', 'flake', 'morning')], { fastWeekdays: [7] });
    const loaches = testDiet([
      testServing('l', 'wafer', 'night', { zone: 'bottom', ownUnits: 200 }),
    ]);
    const task = testTask({
      diets: { shoal, loaches },
      foods: [testFlake(), testWafer(), testWorm()],
    });
    const [effect, ...others] = fastEffects(task, weekOutcome(task));
    expect(others).toEqual([]);
    expect(effect).toMatchObject({ day: 6, groupId: 'shoal' });
    expect(effect!.mates.map(({ groupId }) => groupId)).toEqual(['loaches']);
    // Hungry fish come to the wafer sooner: the loaches do not gain by the fast of the shoal.
    expect(effect!.eats).toBeGreaterThan(0);
    expect(effect!.mates[0]!.gets).toBeLessThanOrEqual(effect!.mates[0]!.usually + 1);
  });

  it('is not there where nobody fasts', () => {
    expect(fastEffects(testTask(), weekOutcome(testTask()))).toEqual([]);
  });
});
