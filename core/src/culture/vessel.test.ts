import { loadCatalogue } from '@open-larder/catalogue/load';
import fc from 'fast-check';
import {
  afterHarvest,
  forecast,
  grown,
  hatchHours,
  hatchShareOf,
  leftForMost,
  logisticOf,
  forecastStartOf,
  computeVesselStatus,
  workOn,
  type VesselEvent,
  type Vessel,
} from '.';
import { addDays } from '../round';

const kinds = new Map(loadCatalogue().cultures.map((row) => [row.key, row]));
const START = '2026-03-01';
const START_MS = Date.parse('2026-03-01T06:00:00Z');
const onDay = (day: number) => addDays(START, day);

type Told = VesselEvent extends infer H
  ? H extends VesselEvent
    ? Omit<H, 'day' | 'atMs'>
    : never
  : never;
const report = (day: number, event: Told): VesselEvent =>
  ({ ...event, day: onDay(day), atMs: START_MS + day * 86_400_000 }) as VesselEvent;
const vessel = (key: string, events: VesselEvent[] = [], over: Partial<Vessel> = {}): Vessel => ({
  kind: kinds.get(key)!,
  also: null,
  measure: 10,
  tempC: 24,
  startedOn: START,
  startedAtMs: START_MS,
  startG: null,
  events,
  ...over,
});
const at = (one: Vessel, day: number) => computeVesselStatus(one, onDay(day));
const works = (one: Vessel, day: number, nowMs = START_MS + day * 86_400_000) =>
  workOn(one, at(one, day), onDay(day), nowMs).map(({ what }) => what);

describe('how a vessel stands', () => {
  it('from a tenth of what it carries it grows as the equation says', () => {
    const moina = kinds.get('moina')!;
    const model = logisticOf(moina, 10, 24);
    const gram = moina.animalUg! / 1e6;
    const after = at(vessel('moina'), 6);
    expect(after.contentG).toBeCloseTo(grown(model, model.capacity / 10, 6) * gram, 6);
    expect(after.state).toBe('giving');
    expect(at(vessel('moina'), 0).state).toBe('building');
    expect(after.lastingG).toBeCloseTo((model.rPerDay * model.capacity * gram) / 4, 9);
  });

  it('left alone for a month is hardly known, and says so', () => {
    const one = vessel('moina', [report(1, { kind: 'seen', density: 4, clarity: 'clear' })]);
    const now = at(one, 40);
    expect(now.unseenDays).toBe(39);
    const look = workOn(one, now, onDay(40), START_MS).find(({ what }) => what === 'look');
    expect(look).toMatchObject({ urgent: true, because: { is: 'unseen', days: 39, guess: true } });
    // It may have crashed unseen.
    expect(now.lowG).toBe(0);
    expect(at(one, 3).lowG).toBeGreaterThan(0);
  });

  it('from which more is taken than can be there is believed to have held it', () => {
    const now = at(vessel('moina', [report(1, { kind: 'harvested', massG: 400, count: null })]), 1);
    expect(now.surprised).toBe(true);
    expect(now.contentG).toBeGreaterThan(0);
  });

  it('with two kinds in it each is given half', () => {
    const alone = at(vessel('moina'), 20);
    const both = at(vessel('moina', [], { also: kinds.get('small-water-fleas')! }), 20);
    expect(both.contentG).toBeCloseTo(alone.contentG / 2, 3);
  });

  it('in a heat wave grows no more and is likelier to crash, and afterwards as usual', () => {
    const hot = vessel('moina', [report(5, { kind: 'warmth', tempC: 38 })]);
    const now = at(hot, 6);
    expect(now.tempC).toBe(38);
    expect(now.crash.causes.map(({ cause }) => cause)).toContain('warm');
    expect(now.crash.perDay).toBeGreaterThan(3 * at(vessel('moina'), 6).crash.perDay);
    expect(now.tempAhead.slice(0, 4)).toEqual([38, 38, 38, 24]);
    expect(at(hot, 20).tempC).toBe(24);
  });

  it('crashed holds nothing; refilled it begins with what was put in', () => {
    const crashed = [report(8, { kind: 'crashed' })];
    expect(at(vessel('moina', crashed), 9)).toMatchObject({
      state: 'crashed',
      contentG: 0,
      givesG: 0,
    });
    const again = vessel('moina', [...crashed, report(9, { kind: 'added', massG: 0.1 })]);
    expect(at(again, 9).contentG).toBeCloseTo(0.1, 2);
    expect(works(vessel('moina', crashed), 9)).toEqual(['restart']);
    const ended = vessel('moina', [report(8, { kind: 'ended' })]);
    expect(at(ended, 9).state).toBe('ended');
    expect(at(ended, 7).state).not.toBe('ended');
    expect(works(ended, 9)).toEqual([]);
  });

  it('whose food stays away carries less, where its feeding is written down', () => {
    const fed = (days: number[]) =>
      at(
        vessel(
          'moina',
          days.map((day) => report(day, { kind: 'fed' })),
        ),
        20,
      ).contentG;
    const daily = Array.from({ length: 20 }, (_, day) => day);
    expect(fed(daily)).toBeCloseTo(fed([]), 6);
    expect(fed(daily.slice(0, 8))).toBeLessThan(fed([]) * 0.7);
  });

  it('a hatch is ready after its hours, gives what its cysts give, and less what was taken', () => {
    const jar = vessel('brine-shrimp', [], { measure: 1, startG: 1, tempC: 28 });
    const status = at(jar, 1);
    expect(status.hatchesAtMs).toBe(START_MS + hatchHours(28) * 3_600_000);
    // 250 000 cysts of a gram, 75 % of them, 10 µg wet each: by hand 1.9 g.
    expect(status.contentG).toBeCloseTo(
      (250_000 * 0.75 * kinds.get('brine-shrimp')!.animalUg!) / 1e6,
      6,
    );
    const ready = START_MS + 24 * 3_600_000;
    expect(works(jar, 1, ready - 60_000)).toEqual([]);
    expect(works(jar, 1, ready)).toEqual(['hatched']);
    const taken = report(1, { kind: 'harvested', massG: status.contentG, count: null });
    expect(at({ ...jar, events: [taken] }, 1).contentG).toBe(0);
    // What was taken does not come again tomorrow either.
    const half = report(1, { kind: 'harvested', massG: status.contentG / 2, count: null });
    const ahead = (one: Vessel) =>
      forecast(forecastStartOf({ ...one, shared: false }, at(one, 1)), 2, () => 28)[1]!.contentG;
    expect(ahead({ ...jar, events: [half] })).toBeCloseTo(ahead(jar) / 2, 9);
    const again = { ...jar, events: [taken, report(2, { kind: 'restarted', massG: 2 })] };
    expect(at(again, 3).contentG).toBeCloseTo(status.contentG * 2, 6);
    expect(at({ ...jar, hatchShare: 0.375 }, 1).contentG).toBeCloseTo(status.contentG / 2, 6);
  });

  it.each([...kinds.keys()])('%s of any age and temperature stands within its bounds', (key) => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 300 }),
        fc.double({ min: 1, max: 39, noNaN: true }),
        fc.array(fc.tuple(fc.integer({ min: 0, max: 300 }), fc.double({ min: 0.001, max: 50, noNaN: true })), { maxLength: 6 }), // prettier-ignore
        (day, tempC, harvests) => {
          const events = harvests
            .sort(([a], [b]) => a - b)
            .map(([on, massG]) => report(on, { kind: 'harvested', massG, count: null }));
          const status = at(vessel(key, events, { tempC, startG: 1 }), day);
          expect(status.lowG).toBeLessThanOrEqual(status.contentG + 1e-9);
          expect(status.contentG).toBeLessThanOrEqual(status.highG + 1e-9);
          expect(status.givesG).toBeGreaterThanOrEqual(0);
          expect(status.givesG).toBeLessThanOrEqual(status.contentG + 1e-9);
          expect(status.crash.perDay).toBeGreaterThanOrEqual(0);
          expect(status.crash.perDay).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('a box of worms', () => {
  const box = (events: VesselEvent[]) =>
    at(vessel('grindal-worms', events, { measure: 2, tempC: 22 }), 60);
  const seen = (density: 1 | 2 | 3 | 4 | 5, day = 58) =>
    report(day, { kind: 'seen', density, clarity: null });
  it('gives more or less than its kind by how it was seen, and its band narrows', () => {
    const usual = box([]);
    expect(usual.vigour).toBe(1);
    // By hand: boxes differ by ÷ and × 2 in nine of ten, a look by 0.5 of the logarithm.
    const boxes = (Math.log(2) / 1.645) ** 2;
    const weight = boxes / (boxes + 0.25);
    expect(box([seen(3)]).vigour).toBeCloseTo(0.5 ** weight, 9);
    expect(box([seen(3)]).givesG).toBeCloseTo(usual.givesG * 0.5 ** weight, 9);
    expect(box([seen(5)]).vigour).toBeGreaterThan(1);
    const width = ({ lowG, highG }: { lowG: number; highG: number }) => Math.log(highG / lowG);
    expect(width(box([seen(4), seen(4, 50)]))).toBeLessThan(width(box([seen(4)])));
    expect(width(box([seen(4)]))).toBeLessThan(width({ ...usual, lowG: usual.contentG / 2 }) + 1);
  });
  it('is not judged by an old look, or one from before it could give', () => {
    expect(box([seen(1, 5)]).vigour).toBe(1);
    expect(box([seen(1, 25)]).vigour).toBe(1);
  });
});

describe('a strain', () => {
  const causes = (events: VesselEvent[]) =>
    at(vessel('moina', events), 4).crash.causes.map(({ cause }) => cause);
  it('is water that stays cloudy, not that of the day it was fed', () => {
    const cloudy = report(4, { kind: 'seen', density: null, clarity: 'cloudy' });
    expect(causes([report(4, { kind: 'fed' }), cloudy])).not.toContain('overfed');
    expect(causes([report(2, { kind: 'fed' }), cloudy])).toContain('overfed');
    expect(causes([report(3, { kind: 'seen', density: null, clarity: 'foul' })])).toContain(
      'overfed',
    );
  });
  it('of very old cultures is worked out as for old ones', () => {
    expect(() => computeVesselStatus(vessel('moina'), '2099-01-01')).not.toThrow();
    expect(() => computeVesselStatus(vessel('white-worms'), '2099-01-01')).not.toThrow();
  });
});

describe('what is to be done', () => {
  it('is to feed by clarity, and not into cloudy or foul water', () => {
    const fed = report(3, { kind: 'fed' });
    expect(works(vessel('moina', [fed]), 3)).not.toContain('feed');
    expect(works(vessel('moina', [fed]), 4)).toContain('feed');
    const seen = (clarity: 'clear' | 'cloudy' | 'foul') =>
      works(vessel('moina', [fed, report(4, { kind: 'seen', density: null, clarity })]), 4);
    expect(seen('clear')).toContain('feed');
    expect(seen('cloudy')).not.toContain('feed');
    expect(seen('foul')[0]).toBe('clear');
    // Changed, it is looked at again before it is fed.
    const foul = report(4, { kind: 'seen', density: null, clarity: 'foul' });
    const after = works(
      vessel('moina', [fed, foul, report(4, { kind: 'changed', share: 0.33 })]),
      4,
    );
    expect(after).toContain('look');
    expect(after).not.toContain('clear');
    expect(after).not.toContain('feed');
  });

  it('is to thin out what is crowded, to change water, and to look', () => {
    const crowded = vessel('moina', [report(6, { kind: 'seen', density: 5, clarity: null })], {
      startG: 25,
    });
    expect(works(crowded, 6)).toContain('thin');
    expect(works(vessel('moina'), 7)).toEqual(expect.arrayContaining(['change', 'look']));
    const changed = vessel('moina', [report(6, { kind: 'changed', share: 0.25 })]);
    expect(works(changed, 7)).not.toContain('change');
  });

  it('is to start the next one before this one fades, once', () => {
    const worms = vessel('microworms', [], { measure: 2 });
    const fade = kinds.get('microworms')!.fadeDays!;
    const speed = 2 ** ((24 - kinds.get('microworms')!.refC!) / 10);
    const day = Math.floor(fade / speed) - 2;
    expect(works(worms, day - 6)).not.toContain('next');
    expect(works(worms, day)).toContain('next');
    const split = { ...worms, events: [report(day - 1, { kind: 'split', share: 0.2 })] };
    expect(works(split, day)).not.toContain('next');
    expect(at(worms, 200).state).toBe('over');
    expect(works(worms, 200)).toEqual(['restart']);
  });

  it('is nothing while it rests', () => {
    const resting = vessel('grindal-worms', [report(2, { kind: 'rested' })]);
    expect(works(resting, 20)).toEqual([]);
    expect(at(resting, 20)).toMatchObject({ state: 'resting', givesG: 0 });
    const woken = [...resting.events, report(20, { kind: 'woken' })];
    expect(at({ ...resting, events: woken }, 20).state).not.toBe('resting');
  });
});

describe('a harvest', () => {
  const full = vessel('moina');
  const status = at(full, 30);
  it('within what it makes good leaves next week as it is', () => {
    const after = afterHarvest(
      forecastStartOf({ ...full, shared: false }, status),
      status.givesG,
      24,
    )!;
    expect(after.tooMuch).toBe(false);
    expect(after.overLasting).toBe(false);
    expect(after.recoversDays).toBeCloseTo(0, 6);
  });

  it('of nearly all takes days to recover from, and of more than all never does', () => {
    const model = logisticOf(full.kind, 10, 24);
    const max = status.contentG * 0.95;
    const after = afterHarvest(forecastStartOf({ ...full, shared: false }, status), max, 24)!;
    expect(after.overLasting).toBe(true);
    // By the equation: from what is left to where it grows most.
    const [from, to, all] = [status.estimate.count * 0.05, leftForMost(model), model.capacity];
    const byHand = Math.log((to * (all - from)) / (from * (all - to))) / model.rPerDay;
    expect(after.recoversDays).toBeCloseTo(byHand, 6);
    expect(after.weekG.with).toBeLessThan(after.weekG.without);
    expect(
      afterHarvest(forecastStartOf({ ...full, shared: false }, status), status.contentG * 2, 24),
    ).toMatchObject({
      tooMuch: true,
      recoversDays: null,
    });
  });

  it('of worms follows their age, and has no such answer', () => {
    const worms = vessel('microworms');
    expect(
      afterHarvest(forecastStartOf({ ...worms, shared: false }, at(worms, 10)), 1, 24),
    ).toBeNull();
  });
});

describe('the share that hatches', () => {
  it('is the usual one until jars were counted, then more and more the keeper’s own', () => {
    expect(hatchShareOf([])).toEqual({ share: 0.75, jars: 0 });
    const jar = {
      startG: 1,
      events: [
        report(1, { kind: 'harvested', massG: 1, count: 125_000 }),
        report(2, { kind: 'restarted', massG: 2 }),
        report(3, { kind: 'harvested', massG: 1, count: 250_000 }),
      ],
    };
    expect(hatchShareOf([jar])).toEqual({ share: (0.5 + 0.5 + 2 * 0.75) / 4, jars: 2 });
    const many = hatchShareOf(Array.from({ length: 50 }, () => jar));
    expect(many.share).toBeCloseTo(0.505, 2);
  });

  it('is learned per jar: lifted three times, a jar is one jar, and all of it counts', () => {
    const lift = (count: number | null) => report(1, { kind: 'harvested', massG: 0.3, count });
    const jar = (...counts: (number | null)[]) => ({ startG: 1, events: counts.map(lift) });
    const once = hatchShareOf([jar(150_000)]);
    expect(hatchShareOf([jar(80_000, 50_000, 20_000)])).toEqual(once);
    expect(once).toEqual({ share: (0.6 + 2 * 0.75) / 3, jars: 1 });
    // A lift that was not counted leaves the share unknown.
    expect(hatchShareOf([jar(80_000, null)])).toEqual({ share: 0.75, jars: 0 });
  });
});

describe('status and forecast of one vessel', () => {
  const all = [...kinds.values()];
  const vesselEvents = fc.array(
    fc.record({
      day: fc.integer({ min: 0, max: 40 }),
      what: fc.constantFrom('fed', 'harvested', 'counted', 'seen', 'rested', 'woken', 'added'),
      size: fc.double({ min: 0.05, max: 1, noNaN: true }),
      density: fc.constantFrom(1, 2, 3, 4, 5),
    }),
    { maxLength: 8 },
  );

  it('agree on the same day, for every kind, whatever happened to it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...all),
        vesselEvents,
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.boolean(),
        fc.integer({ min: 0, max: 40 }),
        (kind, list, hatchShare, shared, day) => {
          const events = list
            .map(({ day: on, what, size, density }): VesselEvent => {
              if (what === 'harvested') return report(on, { kind: what, massG: size, count: null });
              if (what === 'added') return report(on, { kind: what, massG: size });
              if (what === 'counted') return report(on, { kind: what, count: 40, sampleMl: 10 });
              if (what === 'seen') {
                return report(on, { kind: what, density: density as 3, clarity: null });
              }
              return report(on, { kind: what as 'fed' });
            })
            .sort((a, b) => a.atMs - b.atMs);
          const one = vessel(kind.key, events, {
            measure: 5,
            tempC: (kind.tempMinC + kind.tempMaxC) / 2,
            startG: kind.model === 'hatch' || kind.model === 'kept' ? 3 : null,
            hatchShare,
            also: shared ? kinds.get('infusoria')! : null,
          });
          const status = at(one, day);
          const [now] = forecast(
            forecastStartOf({ ...one, shared }, status, hatchShare),
            5,
            () => status.tempC,
          );
          expect(now!.contentG).toBeCloseTo(status.contentG, 9);
          expect(now!.givesG).toBeCloseTo(status.givesG, 9);
          expect(now!.highG).toBeCloseTo(status.highG, 9);
          // Where it may have crashed unseen, the status alone knows.
          if (status.lowG > 0) expect(now!.lowG).toBeCloseTo(status.lowG, 9);
        },
      ),
      { numRuns: 400 },
    );
  });
});

describe('a culture that was going already', () => {
  const looks = (density: 1 | 2 | 3 | 4 | 5) =>
    at(
      vessel('moina', [report(60, { kind: 'seen', density, clarity: 'clear' })], {
        enteredOn: onDay(60),
      }),
      60,
    );

  it('is what it looks like when it is entered, not what sixty days should have made of it', () => {
    const full = kinds.get('moina')!.capacity! * 10;
    for (const [density, share] of [
      [1, 0.02],
      [3, 0.25],
      [5, 0.9],
    ] as const) {
      const { count } = looks(density).estimate;
      expect(count / full).toBeGreaterThan(share * 0.7);
      expect(count / full).toBeLessThan(share * 1.45);
    }
    // Of one that was started here, sixty days of growth weigh more than a look.
    const grownUp = at(
      vessel('moina', [report(60, { kind: 'seen', density: 1, clarity: null })]),
      60,
    );
    expect(grownUp.estimate.count).toBeGreaterThan(looks(1).estimate.count * 3);
  });

  it('set up again starts over', () => {
    const one = vessel(
      'moina',
      [
        report(60, { kind: 'seen', density: 1, clarity: null }),
        report(61, { kind: 'restarted', massG: null }),
      ],
      { enteredOn: onDay(60) },
    );
    const plain = vessel('moina', [report(61, { kind: 'restarted', massG: null })]);
    expect(at(one, 66).estimate).toEqual(at(plain, 66).estimate);
  });
});
