import fc from 'fast-check';
import { addDays, daysBetween } from '../round';
import {
  broodWork,
  computeBroodStatus,
  conditioningEndsOn,
  fryTimes,
  litMinutes,
  parentsOn,
  portionOfGroup,
  type BroodEvent,
  type BroodFood,
} from '.';
import { broodOf, liveFood, report, strategyOf, tub } from './brood.testkit';
import { spreadOver } from './fryTimes';

const LIGHT = { lightOnMin: 7 * 60, lightOffMin: 21 * 60 };
const HOME = { moments: [], spans: [{ fromMin: 0, toMin: 1439 }] };
const hours = (...of: number[]) => of.map((hour) => hour * 60);

describe('the times at which young are fed', () => {
  it('go from the first light to the last, two hours apart, for who is always there', () => {
    expect(fryTimes(LIGHT, HOME)).toEqual(hours(7, 9, 11, 13, 15, 17, 19));
  });

  it('are thinned to the hours of a keeper with a job', () => {
    const job = {
      moments: hours(12.5),
      spans: [
        { fromMin: 6 * 60, toMin: 8 * 60 },
        { fromMin: 17 * 60, toMin: 22 * 60 },
      ],
    };
    expect(fryTimes(LIGHT, job)).toEqual(hours(7, 12.5, 17, 19));
  });

  it('know a light that goes over midnight, and someone who is never there in it', () => {
    const night = { lightOnMin: 18 * 60, lightOffMin: 2 * 60 };
    expect(fryTimes(night, { moments: hours(19, 1), spans: [] })).toEqual(hours(19, 1));
    expect(fryTimes(LIGHT, { moments: hours(5), spans: [] })).toEqual([20.5 * 60]);
  });

  it('lie in the light, apart, in order, and are never none', () => {
    const minute = fc.integer({ min: 0, max: 1439 });
    fc.assert(
      fc.property(
        minute,
        minute,
        fc.array(minute, { maxLength: 5 }),
        fc.array(fc.record({ fromMin: minute, toMin: minute }), { maxLength: 3 }),
        (lightOnMin, lightOffMin, moments, spans) => {
          const light = { lightOnMin, lightOffMin };
          const since = fryTimes(light, { moments, spans }).map(
            (at) => (at - lightOnMin + 1440) % 1440,
          );
          expect(since.length).toBeGreaterThan(0);
          expect(since.every((at) => at <= litMinutes(light))).toBe(true);
          expect(since.slice(1).every((at, index) => at - since[index]! >= 120)).toBe(true);
        },
      ),
    );
  });

  it('are spread where there are more of them than meals', () => {
    expect(spreadOver(hours(7, 9, 11, 13, 15), 3)).toEqual(hours(7, 11, 15));
    expect(spreadOver(hours(7, 9), 5)).toEqual(hours(7, 9));
    expect(spreadOver(hours(7, 9, 11), 1)).toEqual(hours(7));
  });
});

const TODAY = '2026-03-10';
const days = (ago: number) => addDays(TODAY, -ago);
const three = [tub(), tub({ id: 'b', name: 'B' }), tub({ id: 'c', name: 'C' })];
const swum = [
  report('swimming', days(10)),
  report('counted', days(9), { count: 90 }),
  report('moved', days(8), { toTubId: 'b', count: 30 }),
  report('moved', days(8), { toTubId: 'c', count: 30 }),
];
const danios = (over: object = {}) =>
  computeBroodStatus(
    broodOf('danio-rerio', {
      events: swum,
      tubs: three,
      foods: [liveFood('brine-shrimp')],
      times: hours(8, 12, 16, 20),
      ...over,
    }),
  );

describe('meals of young', () => {
  it('are the same for three tubs of as many, at the times of the day', () => {
    const { meals, feeds } = danios();
    expect(meals.map(({ minutes }) => minutes)).toEqual(hours(8, 12, 16, 20));
    expect(feeds[0]!.meals).toBe(4);
    for (const { servings } of meals) {
      expect(servings.map(({ tubId }) => tubId)).toEqual(['tub', 'b', 'c']);
      expect(new Set(servings.map(({ units }) => units)).size).toBe(1);
    }
  });

  it('are none on the yolk, and none while a treatment is in', () => {
    expect(danios({ events: [report('hatched', days(1))] }).meals).toEqual([]);
    const treated = (over: object) =>
      danios({ events: [...swum, report('treated', days(3), over)] });
    expect(treated({ forDays: 5 }).meals).toEqual([]);
    expect(treated({ forDays: 3 }).meals).toHaveLength(4);
  });

  it('foul the water by what was served, less what was taken out', () => {
    const given = (massG: number, more: BroodEvent[] = []) =>
      danios({
        events: [...swum, ...more],
        served: [{ tubId: 'b', day: days(1), massG, proteinG: massG * 0.1 }],
      }).tubs[1]!;
    const [planned, little, much] = [danios().tubs[1]!, given(0.01), given(1)];
    expect(planned.asServed).toBe(false);
    expect(little).toMatchObject({ asServed: true, gramsPerDay: 0.01 });
    expect(much.change!).toBeGreaterThan(little.change!);
    const lifted = given(1, [report('lifted', days(1), { tubId: 'b', share: 0.75 })]);
    expect(lifted.gramsPerDay).toBeCloseTo(0.25, 9);
    expect(
      danios({ served: [{ tubId: 'b', day: days(1), massG: 1, proteinG: 0.1 }] }).tubs[2]!.asServed,
    ).toBe(false);
  });
});

describe('live food within reach', () => {
  const shrimp = (todayG: number, lastingG: number) =>
    liveFood('brine-shrimp', { gives: { todayG, lastingG } });
  const dry = liveFood('brine-shrimp', {
    key: 'flake',
    name: 'Crushed flake',
    live: false,
    kindKey: null,
    foodId: 'f',
    minUm: 100,
    maxUm: 200,
    gives: null,
  });
  const feeds = (foods: BroodFood[]) =>
    danios({ foods }).feeds.map(({ key, gramsPerDay }) => [key, gramsPerDay] as const);

  it('is fed as far as its cultures give; dry food carries the rest', () => {
    const [[, wanted]] = feeds([shrimp(100, 100)]) as [readonly [string, number]];
    const half = new Map(feeds([shrimp(wanted / 2, 0), dry]));
    expect(half.get('brine-shrimp')).toBeCloseTo(wanted / 2, 6);
    expect(half.get('flake')).toBeGreaterThan(0);
    expect(feeds([shrimp(0, 0), dry]).map(([key]) => key)).toEqual(['flake']);
  });

  it('is half of the day at most where it is fat worms', () => {
    const worms = liveFood('grindal-worms', { minUm: 100, maxUm: 200, gives: null });
    const shares = new Map(
      danios({ foods: [worms, dry] }).feeds.map((one) => [one.key, one.share]),
    );
    expect(shares.get('grindal-worms')).toBeLessThanOrEqual(0.5);
    expect(shares.get('flake')).toBeGreaterThanOrEqual(0.5);
    expect(danios({ foods: [worms] }).feeds.map(({ key }) => key)).toEqual(['grindal-worms']);
  });

  it('stays what is meant where nothing dry fits', () => {
    expect(feeds([shrimp(0.001, 0)]).map(([key]) => key)).toEqual(['brine-shrimp']);
  });

  it('is asked of the live shelf only as far as a house could grow it', () => {
    const { demand } = danios({ foods: [shrimp(0.1, 0.1), dry] });
    const asked = demand.find(({ key }) => key === 'brine-shrimp')!.gramsOn;
    expect(Math.max(...asked)).toBeLessThanOrEqual(1 + 1e-9);
  });
});

describe('parents', () => {
  const day = (breeding: string, events: BroodEvent[], raising: 'with' | 'apart' = 'with') =>
    parentsOn({ strategy: strategyOf(breeding), events, raising, today: TODAY });

  it('of a group of five one holds and fasts: portions are for four', () => {
    const holding = day('mouth-brooder', [report('spawned', days(4))])!;
    expect(holding).toEqual({ is: 'guarding', animals: 1, share: 0, day: 5 });
    expect(portionOfGroup(holding, 5)).toBeCloseTo(0.8, 9);
    expect(portionOfGroup(holding, 1)).toBe(0);
  });

  it('eat again, and more, once the young swim; and as usual after ten days', () => {
    const let_ = (ago: number) =>
      day('mouth-brooder', [report('spawned', days(30)), report('swimming', days(ago))]);
    expect(portionOfGroup(let_(2)!, 1)).toBeCloseTo(4 / 3, 9);
    expect(let_(10)).toBeNull();
  });

  it('are left alone as they spawn, guard on half, and eat on where none guards', () => {
    expect(day('egg scatterer', [report('paired', days(0))])).toMatchObject({
      is: 'spawning',
      share: 0,
    });
    expect(day('egg scatterer', [report('paired', days(2))])).toBeNull();
    expect(day('live-bearer', [report('paired', days(0))])).toBeNull();
    expect(day('surface spawner', [report('spawned', days(1))])).toMatchObject({
      animals: 2,
      share: 0.5,
    });
    expect(day('plant spawner', [report('spawned', days(1))])).toBeNull();
    expect(day('skin feeder', [report('spawned', days(1))])).toBeNull();
    expect(
      day('cave spawner', [report('spawned', days(1)), report('eggsEaten', days(0))]),
    ).toBeNull();
    expect(
      day('cave spawner', [report('spawned', days(1)), report('parentsMoved', days(0))]),
    ).toBeNull();
  });
});

describe('eggs that a guard kicks out', () => {
  const cave = (share: number) =>
    broodOf('ancistrus-cirrhosus', {
      eggCare: 'left',
      today: TODAY,
      events: [report('spawned', days(2)), report('kickedOut', days(0), { share })],
    });
  it('go into a tumbler; the guard that keeps some of them fasts on', () => {
    const some = cave(0.4);
    expect(broodWork(some, computeBroodStatus(some)).map(({ what }) => what)).toEqual(
      expect.arrayContaining(['tumble', 'inspect', 'fast']),
    );
    expect(parentsOn(some)).toMatchObject({ is: 'guarding' });
    expect(computeBroodStatus(some).record.kickedOut).toBe(true);
  });

  it('leave it free to eat once all are out, and are the keeper’s to tend', () => {
    const all = cave(1);
    const work = broodWork(all, computeBroodStatus(all)).map(({ what }) => what);
    expect(work).toEqual(expect.arrayContaining(['tumble', 'eggs']));
    expect(work).not.toContain('fast');
    expect(parentsOn(all)).toBeNull();
  });

  it('are asked for on their day, and not again', () => {
    const later = { ...cave(0.4), today: addDays(TODAY, 1) };
    expect(broodWork(later, computeBroodStatus(later)).map(({ what }) => what)).not.toContain(
      'tumble',
    );
  });
});

describe('conditioning', () => {
  const end = (events: BroodEvent[], span: number | null = null) =>
    conditioningEndsOn(events, span);
  it('ends by itself after its days, or once they have spawned', () => {
    expect(end([report('conditioned', days(13))])).toBe(addDays(TODAY, 1));
    expect(end([report('conditioned', days(13))], 10)).toBe(days(3));
    expect(end([report('conditioned', days(3)), report('spawned', days(1))])).toBe(days(1));
    expect(end([report('conditioned', days(3)), report('swimming', days(9))])).toBe(
      addDays(TODAY, 11),
    );
    expect(end([report('spawned', days(1))])).toBeNull();
  });
});

describe('lengths to come', () => {
  it('are dated in order: sorted, parted where they fight, and gone at the end', () => {
    const fighters = computeBroodStatus(
      broodOf('betta-splendens', { events: [report('swimming', days(5))], targetCm: 3 }),
    ).checkpoints;
    expect(fighters.map(({ is }) => is)).toEqual(
      expect.arrayContaining(['sort', 'part', 'target']),
    );
    expect(fighters.every(({ cm }, at) => at === 0 || cm >= fighters[at - 1]!.cm)).toBe(true);
    expect(danios().checkpoints.map(({ is }) => is)).not.toContain('part');
  });

  it('of the keeper are due by an age, and say whether they will be reached', () => {
    const ask = (lengthCm: number, ageDays: number | null) =>
      danios({ checkpoints: [{ name: 'sellable', lengthCm, ageDays }] }).checkpoints.find(
        ({ is }) => is === 'own',
      )!;
    const soon = ask(2, 20);
    expect(soon.own).toMatchObject({ name: 'sellable', ageDays: 20, verdict: 'late' });
    expect(ask(2, 400).own!.verdict).toBe('on time');
    // Due on the very day on which they most likely have it, it may be either.
    const { state, swim } = danios();
    const born = state.hatchedOn ?? swim!.day;
    expect(ask(2, daysBetween(born, soon.day!)).own!.verdict).toBe('unsure');
    expect(ask(2, null).own).toMatchObject({ dueOn: null, verdict: null });
    expect(ask(0.3, 400).own!.verdict).toBe('reached');
    expect(ask(40, 400)).toMatchObject({ day: null, own: { verdict: 'late' } });
  });

  it('tell what one young eats and fouls then, the more the longer it is', () => {
    const { needs } = danios({ targetCm: 2 });
    expect(needs.map(({ lengthCm }) => lengthCm).at(-1)).toBe(2);
    const live = needs.flatMap((need) => (need.live ? [need.live.oneG] : []));
    expect(live.every((oneG, at) => at === 0 || oneG > live[at - 1]!)).toBe(true);
    expect(needs.every(({ waterL }) => waterL === null || waterL > 0)).toBe(true);
  });
});

describe('survival', () => {
  const { state, tubs } = danios({
    events: [
      ...swum,
      report('lost', days(1), { tubId: 'b', count: 3 }),
      report('rehomed', days(0), { tubId: 'c', count: 10 }),
    ],
  });
  it('is counted over the brood: who moved or was given away is alive', () => {
    expect(state.survival).toEqual({ alive: 87, of: 90 });
    expect(tubs.map(({ survival }) => survival)).toEqual([1, 0.9, 1]);
  });
  it('is not known before a count', () => {
    expect(danios({ events: [report('swimming', days(3))] }).state.survival).toBeNull();
  });
});
