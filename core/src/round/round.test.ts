import fc from 'fast-check';
import {
  addDays,
  compileGroupDay,
  compileRound,
  dietFindings,
  type HouseGroup,
  instantOf,
  wallMinutes,
  weekdayOf,
} from '.';
import { testGroup, testHouse, testTank } from './house.testkit';

describe('local time', () => {
  const zone = 'Europe/Berlin';

  it('survives the spring change: a skipped time becomes the first after the gap', () => {
    // 29 March 2026: 02:00 becomes 03:00.
    expect(instantOf('2026-03-29', 90, zone).toISOString()).toBe('2026-03-29T00:30:00.000Z');
    expect(instantOf('2026-03-29', 150, zone).toISOString()).toBe('2026-03-29T01:00:00.000Z');
    expect(instantOf('2026-03-29', 450, zone).toISOString()).toBe('2026-03-29T05:30:00.000Z');
    expect(instantOf('2026-03-28', 450, zone).toISOString()).toBe('2026-03-28T06:30:00.000Z');
  });

  it('survives the autumn change: a repeated time is taken the first time', () => {
    // 25 October 2026: 03:00 becomes 02:00.
    expect(instantOf('2026-10-25', 150, zone).toISOString()).toBe('2026-10-25T00:30:00.000Z');
    expect(instantOf('2026-10-25', 200, zone).toISOString()).toBe('2026-10-25T02:20:00.000Z');
  });

  it('keeps order over a whole day of any year, in zones with odd changes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('Europe/Berlin', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kolkata'),
        fc.integer({ min: 0, max: 1500 }),
        fc.integer({ min: 0, max: 1439 }),
        (where, offset, minutes) => {
          const day = addDays('2024-01-01', offset);
          const next = addDays(day, 1);
          const midnight = instantOf(day, 0, where).getTime();
          const at = instantOf(day, minutes, where).getTime();
          expect(at).toBeGreaterThanOrEqual(midnight);
          expect(at).toBeLessThanOrEqual(instantOf(next, 0, where).getTime());
        },
      ),
    );
  });

  it('refuses a zone that does not exist', () => {
    expect(() => instantOf('2026-01-01', 0, 'Nowhere/Reef')).toThrow(/not a known time zone/);
  });

  it('gives «lights-out + 20» of a tank lit past midnight to the evening before', () => {
    const moment = { id: 'n', name: 'Night', anchor: 'lightsOff' as const, minutes: 20 };
    expect(wallMinutes(moment, { onMin: 600, offMin: 1260 })).toBe(1280);
    expect(wallMinutes(moment, { onMin: 900, offMin: 10 })).toBe(1470);
  });

  it('knows weekdays', () => {
    expect(weekdayOf('2026-11-24')).toBe(2);
    expect(weekdayOf('2026-11-29')).toBe(7);
  });
});

describe('compiling a day', () => {
  it('goes by moments, then in walking order', () => {
    const round = compileRound(testHouse(), '2026-11-24');
    expect(round.moments.map((m) => m.moment.id)).toEqual(['morning', 'night']);
    expect(round.moments[0]?.stops.map((s) => s.tank.id)).toEqual(['a', 'b']);
    expect(round.moments[1]?.stops[0]?.at.toISOString()).toBe('2026-11-24T20:20:00.000Z');
  });

  it('keeps a fast, and lets nobody else go hungry for it', () => {
    const house = testHouse({
      groups: [
        testGroup('g1', 'a'),
        testGroup('g2', 'a', { diet: { ...testGroup('g2', 'a').diet!, fastWeekdays: [] } }),
      ],
    });
    const sunday = compileRound(house, '2026-11-29');
    expect(sunday.groups.map((g) => g.rest)).toEqual(['fast', null]);
    expect(sunday.moments.flatMap((m) => m.stops.flatMap((s) => s.servings))).toHaveLength(2);
  });

  it('never fasts fry, feeds nobody on the yolk, and skips an empty group', () => {
    const house = testHouse({
      groups: [
        testGroup('fry', 'a', { stage: 'fry', lengthCm: 0.6 }),
        testGroup('yolk', 'a', { stage: 'yolk-sac larva', lengthCm: 0.4 }),
        testGroup('gone', 'a', { count: 0 }),
      ],
    });
    expect(compileRound(house, '2026-11-29').groups.map((g) => g.rest)).toEqual([
      null,
      'stage',
      'empty',
    ]);
  });

  it('leaves out a serving whose food has left the shelf and gives its part to the others', () => {
    const group = testGroup('g1', 'a');
    const [first, second] = group.diet!.servings;
    const diet = { ...group.diet!, servings: [first!, { ...second!, foodId: 'gone' }] };
    const day = compileRound(testHouse({ groups: [{ ...group, diet }] }), '2026-11-24');
    const due = day.moments.flatMap((m) => m.stops.flatMap((s) => s.servings));
    expect(due).toHaveLength(1);
    expect(due[0]?.portion.wantedG.from[1]?.value).toBe(1);
  });

  it('plans the need within what rounding to serving units allows', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200 }),
        fc.double({ min: 2, max: 12, noNaN: true }),
        (count, lengthCm) => {
          const house = testHouse({ groups: [testGroup('g', 'a', { count, lengthCm })] });
          const [day] = compileRound(house, '2026-11-24').groups;
          const slack = 2 * 0.5 * 0.05 * 15;
          expect(Math.abs(day!.plannedKj - day!.needKj.value)).toBeLessThanOrEqual(slack);
        },
      ),
    );
  });

  it('is the same whatever the order of its input', () => {
    const house = testHouse();
    const turned = {
      ...house,
      groups: [...house.groups].reverse(),
      tanks: [...house.tanks].reverse(),
    };
    const stops = (h: typeof house) =>
      compileRound(h, '2026-11-24').moments.map((m) => m.stops.map((s) => s.tank.id));
    expect(stops(turned)).toEqual(stops(house));
  });
});

describe('findings on a diet', () => {
  const house = testHouse();
  const foods = new Map(house.foods.map((food) => [food.id, food]));
  const moments = new Map(house.moments.map((moment) => [moment.id, moment]));
  const look = (group: ReturnType<typeof testGroup>, tank = testTank('a', 1)) =>
    dietFindings(group, tank, foods, moments, '2026-11-23').map((finding) => finding.kind);

  it('finds nothing wrong with a well-fed group in its range', () => {
    expect(look(testGroup('g', 'a', { count: 40 }))).toEqual([]);
  });

  it('warns of water outside the range', () => {
    expect(look(testGroup('g', 'a', { count: 40 }), testTank('a', 1, { tempC: 12 }))).toContain(
      'tooCold',
    );
    expect(look(testGroup('g', 'a', { count: 40 }), testTank('a', 1, { tempC: 33 }))).toContain(
      'tooWarm',
    );
  });

  it('finds the gap that fry cannot stand', () => {
    const kinds = look(testGroup('g', 'a', { stage: 'fry', lengthCm: 0.7, count: 400 }));
    expect(kinds).toContain('longGap');
    expect(kinds).toContain('fryFast');
  });

  it('says when a serving unit is too coarse for the need', () => {
    expect(look(testGroup('g', 'a', { count: 1, lengthCm: 2 }))).toContain('rounding');
  });

  it('says when the keeper’s own amount is far from the need, and when a meal is too big', () => {
    const group = testGroup('g', 'a');
    const diet = {
      ...group.diet!,
      servings: group.diet!.servings.map((serving) => ({ ...serving, ownUnits: 60 })),
    };
    const kinds = look({ ...group, diet });
    expect(kinds).toContain('ownAmount');
    expect(kinds).toContain('bigMeal');
  });
});

describe('a leaf in a diet', () => {
  const leaf = {
    id: 'leaf',
    name: 'Catappa leaf',
    composition: { protein: 0.07, fat: 0.03, fibre: 0.18, ash: 0.11, moisture: 0.09 },
    unit: { name: 'leaf', plural: 'leaves', massG: 1.2, step: 0.25 },
    litter: true,
  };
  const plain = testGroup('g1', 'b');
  const [first] = plain.diet!.servings;
  const grazing = {
    ...plain,
    diet: {
      ...plain.diet!,
      servings: [...plain.diet!.servings, { ...first!, id: 'l', foodId: 'leaf' }],
    },
  };
  const foods = new Map([...testHouse().foods, leaf].map((food) => [food.id, food]));
  const tank = testTank('b', 1);
  const monday = '2026-03-09';

  it('lies beside the ration: the meals of its day are as large as ever', () => {
    const without = compileGroupDay(plain, tank, foods, monday);
    const { servings, plannedKj } = compileGroupDay(grazing, tank, foods, monday);
    expect(plannedKj).toBe(without.plannedKj);
    expect(servings.map(({ portion }) => portion.massG)).toEqual([
      ...without.servings.map(({ portion }) => portion.massG),
      1.2,
    ]);
  });

  it('is no large meal, no meal to count, and no rounding', () => {
    const moments = new Map(testHouse().moments.map((moment) => [moment.id, moment]));
    const findings = (group: HouseGroup) => dietFindings(group, tank, foods, moments, monday);
    expect(findings(grazing)).toEqual(findings(plain));
  });
});
