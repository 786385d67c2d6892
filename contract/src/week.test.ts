import { daysBetween, PLAIN } from '@open-larder/core/round';
import { dryRun, weekOutcome } from '@open-larder/core/week';
import { play } from '@open-larder/core/zones';
import { houseGroup, houseOf } from './house';
import { food, group, MONDAY, moment, rows, species, tank } from './house.testkit';
import type { Tank } from './tank';
import type { WaterRow } from './water';
import { feedingOf } from './zones';
import { dryFoodsOf, dryTankOf, preparingOf, usualOf, weekTaskOf, type WeekRows } from './week';

const lot = {
  id: 'l',
  foodId: 'f',
  amountG: 100,
  remainingG: 40,
  costMinor: 500,
  place: 'cupboard' as const,
  boughtOn: '2026-01-01',
  openedOn: null,
  bestBefore: '2026-03-05',
  version: 1,
};
const stocked = { ...food, lots: [lot], remainingG: 40 };
const other = { ...tank, id: 't2', name: 'Other' };
const theirs = { ...group, id: 'g2', tankId: 't2' };
const moments = [
  { ...moment('noon', 720), spareMin: 10 },
  { ...moment('evening', 1110), spareMin: null },
];
const week = (over: Partial<WeekRows> = {}): WeekRows => ({
  ...rows,
  foods: [stocked],
  moments,
  house: houseOf({
    household: { timeZone: 'UTC' },
    day: '2026-03-02',
    moments,
    tanks: [tank, other],
    groups: [group, theirs],
    foods: [stocked],
    species,
  }),
  ...over,
});

describe('a tank’s week', () => {
  it('begins with its cycle, and knows this tank and its groups alone', () => {
    const task = weekTaskOf(week(), '2026-03-05');
    expect(task.first).toBe(MONDAY);
    expect(task.house.tanks.map(({ id }) => id)).toEqual(['t']);
    expect(task.house.groups.map(({ id }) => id)).toEqual(['g']);
    expect(task.groups[0]).toMatchObject({ id: 'g', count: 8 });
    const three = {
      ...tank,
      plan: {
        version: 1,
        validFrom: MONDAY,
        cycle: { days: 3, from: '2026-03-03' },
        feedingStyle: null,
        fasts: [],
        water: null,
      },
    };
    expect(weekTaskOf(week({ tank: three }), '2026-03-08').first).toBe('2026-03-06');
  });

  it('may use what the shelf holds, less what the other tanks’ plans take', () => {
    const [shelf] = weekTaskOf(week(), MONDAY).shelf;
    const theirsG = weekOutcome(
      weekTaskOf(week({ tank: other, groups: [theirs] }), MONDAY),
    ).days.reduce((sum, day) => sum + day.servedG, 0);
    expect(theirsG).toBeGreaterThan(0);
    expect(shelf!.stockG).toBeCloseTo(40 - theirsG, 6);
    expect(shelf!.pricePerG).toBe(5);
    // It passes its date on the Thursday of that week.
    expect(shelf!.expiringG).toBeCloseTo(40 - theirsG, 6);
  });

  it('may use what its cultures give on each day, less what the others take on that day', () => {
    const row = week().foods[0]!;
    const given = Array<number>(7).fill(2);
    const alive = { ...row, remainingG: 0, lots: [], liveG: given };
    const [shelf] = weekTaskOf(week({ foods: [alive] }), MONDAY).shelf;
    const taken = weekOutcome(weekTaskOf(week({ tank: other, groups: [theirs] }), MONDAY)).days;
    shelf!.liveG!.forEach((grams, day) =>
      expect(grams).toBeCloseTo(Math.max(0, 2 - taken[day]!.servedG), 6),
    );
    expect(shelf!.stockG).toBeCloseTo(
      shelf!.liveG!.reduce((sum, grams) => sum + grams, 0),
      6,
    );
    expect(dryFoodsOf([alive])[0]!.liveG).toEqual(given);
  });

  it('has the minutes of a moment that the other tanks leave', () => {
    // One stop of a minute and a serving, with the five minutes that it waits for.
    expect(weekTaskOf(week(), MONDAY).spareMin).toEqual({ noon: expect.closeTo(10 - 2.3, 6) });
  });

  it('is in the feeding style that was chosen, or that suits its fish', () => {
    expect(weekTaskOf(week(), MONDAY).feedingStyle.portion).toBe(usualOf(week()).portion.choice);
    const feedingStyle = { ...weekTaskOf(week(), MONDAY).feedingStyle, lift: 'crumbs' as const };
    const plan = {
      version: 1,
      validFrom: MONDAY,
      cycle: { days: 7, from: '2024-01-01' },
      feedingStyle,
      fasts: [],
      water: null,
    };
    const task = weekTaskOf(week({ tank: { ...tank, plan } }), MONDAY);
    expect(task.feedingStyle.lift).toBe('crumbs');
    expect(task.foods[0]!.liftAfterMin).toBeNull();
  });

  it('takes the keeper’s own word of a food before what its kind lets expect', () => {
    const refuses = {
      ...group,
      diet: { ...group.diet!, rules: [{ foodId: 'f', taken: 0, mostPerWeek: null }] },
    };
    const house = { ...week().house, groups: [houseGroup(refuses, species, tank, MONDAY)!] };
    const task = weekTaskOf(week({ groups: [refuses], house }), MONDAY);
    expect(task.groups[0]!.taken).toEqual({ f: 0 });
    const [day] = weekOutcome(task).days;
    expect(day!.reaches.flat()).toEqual([0, 0]);
  });
});

describe('what grazers get of a film', () => {
  const sucker = [...species.values()].find(({ key }) => key === 'otocinclus-macrospilus')!;
  const grazers = { ...group, speciesKey: sucker.key, diet: null };
  const bare = { ...tank, film: 'furred' as const, filmOn: '2026-03-04' };
  const report = (water: Tank = bare) =>
    week({
      tank: water,
      groups: [grazers],
      house: houseOf({
        household: { timeZone: 'UTC' },
        day: '2026-03-02',
        moments,
        tanks: [water],
        groups: [grazers],
        foods: [stocked],
        species,
      }),
    });
  /** Of what they need, %: by who gets it, and by the week of a day. */
  const both = (whose: WeekRows, day: string) => {
    const shown = play(feedingOf(whose, day, null)).report.groups[0]!.ofNeed.value;
    const { groups } = weekOutcome(weekTaskOf(whose, day)).days[daysBetween(MONDAY, day)]!;
    return [shown, (100 * groups[0]!.gotKj) / groups[0]!.needKj] as const;
  };

  it.each(['2026-03-05', '2026-03-08'])('is one figure in both places on %s', (day) => {
    const [shown, planned] = both(report(), day);
    expect(shown).toBeGreaterThan(5);
    expect(Math.abs(shown - planned)).toBeLessThan(2);
  });

  it('is nothing in either where none was seen, or not in the last week', () => {
    for (const filmOn of [null, '2026-02-24']) {
      const film = filmOn === null ? null : bare.film;
      for (const share of both(report({ ...bare, film, filmOn }), '2026-03-05')) {
        expect(share).toBe(0);
      }
    }
  });

  it('carries no one through a dry run that it does not feed', () => {
    const none = { ...bare, film: null, filmOn: null };
    const days = (water: Tank) =>
      dryRun([dryTankOf(report(water), '2026-03-05')], dryFoodsOf([]), 14).tanks[0]!.groups[0]!
        .hungryDays;
    expect(days(none)).toBe(14);
    const [, share] = both(report(), '2026-03-05');
    expect(days(bare)).toBe(share < 50 ? 14 : 0);
  });
});

describe('what grazers get of a slice that stands over night', () => {
  const slice = {
    ...stocked,
    id: 'slice',
    name: 'Blanched courgette',
    family: 'leaf' as const,
    kind: 'fresh' as const,
    form: 'sinks' as const,
    composition: { protein: 0.012, fat: 0.003, fibre: 0.011, ash: 0.006, moisture: 0.947 },
    plantShare: 1,
    unit: { name: 'slice', plural: 'slices', massG: 8, step: 0.25 },
    liftAfterMin: 1440,
  };
  const bristlenose = [...species.values()].find(({ key }) => key === 'ancistrus-cirrhosus')!;
  const grazers: typeof group = {
    ...group,
    speciesKey: bristlenose.key,
    lengthCm: 9,
    diet: {
      ...group.diet!,
      fastWeekdays: [],
      servings: [{ ...group.diet!.servings[0]!, foodId: 'slice', zone: 'bottom', days: [1, 4] }],
    },
  };
  const foods = [slice];
  const report = week({
    groups: [grazers],
    foods,
    house: houseOf({
      household: { timeZone: 'UTC' },
      day: '2026-03-02',
      moments,
      tanks: [tank],
      groups: [grazers],
      foods,
      species,
    }),
  });
  const outcome = weekOutcome(weekTaskOf(report, MONDAY));
  const gotOn = (d: number) => outcome.days[d]!.groups[0]!.gotKj;

  it('is one figure in both places, on its day and on the day after', () => {
    for (const [d, day] of [
      [0, '2026-03-02'],
      [1, '2026-03-03'],
    ] as const) {
      const shown = play(feedingOf(report, day, null)).report.groups[0]!.gotKj.value;
      expect(gotOn(d)).toBeGreaterThan(0);
      expect(Math.abs(shown / gotOn(d) - 1)).toBeLessThan(0.03);
    }
    expect(gotOn(2)).toBe(0);
  });

  it('is all of it in a dry run too', () => {
    const [run] = dryRun([dryTankOf(report, MONDAY)], dryFoodsOf(foods), 7).tanks;
    const needKj = outcome.days[0]!.groups[0]!.needKj;
    const planned = outcome.days.reduce((sum, day) => sum + day.groups[0]!.gotKj, 0);
    const ran = (run!.groups[0]!.ofNeed[0]! / 100) * needKj * 7;
    expect(ran / planned).toBeCloseTo(1, 1);
  });

  it('is accounted for: eaten, dissolved or lifted by the end of the cycle', () => {
    const [first] = outcome.days;
    expect(first!.wasteG).toBeLessThan(first!.servedG);
    const served = outcome.days.reduce((sum, day) => sum + day.servedG, 0);
    const wasted = outcome.days.reduce((sum, day) => sum + day.wasteG, 0);
    const perGram = gotOn(0) + gotOn(1) + gotOn(3) + gotOn(4);
    const eatenOn = (d: number) =>
      outcome.days[d]!.reaches.flat().reduce((sum, share) => sum + share, 0) * first!.servedG;
    const eaten = ((eatenOn(0) + eatenOn(3)) * perGram) / (gotOn(0) + gotOn(3));
    expect((eaten + wasted) / served).toBeCloseTo(1, 1);
  });
});

describe('a dry run of rows', () => {
  it('begins on its day, with the water as it was said or is usual', () => {
    const dry = dryTankOf(week(), '2026-03-05');
    expect(dry.task.first).toBe('2026-03-05');
    expect(dry.water.everyDays).toBe(7);
    const run = dryRun([dry], dryFoodsOf([stocked]), 14);
    expect(run.tanks[0]!.nitrateMgL).toHaveLength(14);
    const status = {
      days: [{ before: 33 }],
      fit: { production: 1.2, uptakeMgL: 0.3 },
    } as unknown as WaterRow['status'];
    expect(dryTankOf(week(), '2026-03-05', status).believed).toEqual({
      mgL: 33,
      production: 1.2,
      uptakeMgL: 0.3,
    });
    expect(dry.believed).toBeNull();
    // The lot is good until the fifth.
    expect(run.runOuts).toEqual([{ foodId: 'f', day: '2026-03-06' }]);
  });
});

describe('what is to be prepared', () => {
  it('follows the steps of each food, over all tanks', () => {
    const soak = { kind: 'soak' as const, leadMin: 120, workMin: 1, toMm: null };
    const steps = [soak];
    const { house } = week();
    const [first] = preparingOf(house, [{ ...stocked, steps }], MONDAY, 1);
    expect(first!.startMin).toBe(720 + PLAIN.afterMin + 5 - 120);
    expect(first!.meals.map(({ tankId }) => tankId)).toEqual(['t', 't2']);
    expect(preparingOf(house, [stocked], MONDAY, 1)).toEqual([]);
  });
});
