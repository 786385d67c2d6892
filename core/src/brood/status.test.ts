import { addDays, daysBetween } from '../round';
import { broodWork, LADDER_DAYS, computeBroodStatus, type BroodTask } from '.';
import { allSpecies, broodOf, liveFood, speciesOf, report, tub } from './brood.testkit';

const KILLI = 'fundulopanchax-gardneri';
const laid = '2026-03-01';
const on = (day: number) => addDays(laid, day);
const status = (task: BroodTask) => computeBroodStatus(task);
const works = (task: BroodTask) => broodWork(task, status(task)).map(({ what }) => what);

/** A killifish brood of forty that swim since the first of March. */
const fry = (over: Partial<BroodTask> = {}): BroodTask =>
  broodOf(KILLI, {
    today: on(9),
    events: [report('swimming', laid), report('counted', laid, { count: 40 })],
    ...over,
  });

describe('how a brood stands', () => {
  it('waits for nothing that nobody saw begin', () => {
    const empty = status(broodOf(KILLI));
    expect(empty).toMatchObject({ stages: [], next: null, rungs: [], feeds: [], demand: [] });
    expect(status(broodOf(KILLI, { tubs: [] })).tubs).toEqual([]);
  });

  it('has a ladder whose foods fit on their days, and that ends with none left out', () => {
    const { rungs, lengthsCm, mouthsUm } = status(fry());
    expect(lengthsCm).toHaveLength(LADDER_DAYS);
    expect(lengthsCm).toEqual([...lengthsCm].sort((a, b) => a - b));
    rungs.forEach(({ from, to, minUm, mouthUm }, at) => {
      expect(minUm).toBeLessThanOrEqual(mouthUm);
      expect(mouthUm).toBeCloseTo(mouthsUm[daysBetween(laid, from)]!, 9);
      const next = rungs[at + 1];
      expect(to).toBe(next ? addDays(next.from, 4) : null);
    });
    expect(rungs.map(({ key }) => key)).toEqual(['vinegar-worms', 'brine-shrimp', 'moina']);
  });

  it('asks for a culture so many days before its rung, and for none that stands', () => {
    const missing = [liveFood('brine-shrimp'), liveFood('moina', { there: false, leadDays: 12 })];
    const [shrimp, moina] = status(fry({ foods: missing })).rungs;
    expect(shrimp!.startBy).toBeNull();
    expect(daysBetween(moina!.startBy!, moina!.from)).toBe(12);
    const early = fry({ foods: missing, today: addDays(moina!.startBy!, -5) });
    expect(works(early)).not.toContain('start');
    const due = fry({ foods: missing, today: addDays(moina!.startBy!, -1) });
    expect(works(due)).toContain('start');
    const late = fry({ foods: missing, today: addDays(moina!.startBy!, 2) });
    const start = broodWork(late, status(late)).find(({ what }) => what === 'start');
    expect(start).toMatchObject({
      because: { is: 'start', name: 'Moina', inDays: -2, rungInDays: 10 },
      urgent: true,
    });
  });

  it('feeds what is there in place of what is not yet, and says where nothing is', () => {
    const powder = {
      ...liveFood('brine-shrimp'),
      key: 'powder',
      name: 'Powder',
      live: false,
      kindKey: null,
      animalUg: null,
      minUm: 50,
      maxUm: 200,
    };
    const none = liveFood('brine-shrimp', { there: false });
    const report_ = status(fry({ foods: [none, powder] }));
    expect(report_.rungs.map(({ key }) => key)).toEqual(['brine-shrimp']);
    expect(report_.feeds).toMatchObject([{ key: 'powder', instead: none.name, share: 1 }]);
    const bare = fry({ foods: [none] });
    expect(status(bare).feeds).toMatchObject([{ key: 'brine-shrimp', missing: true }]);
    const asks = broodWork(bare, status(bare)).find(({ what }) => what === 'firstFood');
    expect(asks).toMatchObject({ urgent: true });
    // Where two rungs overlap, the one that is there carries both.
    const both = [liveFood('vinegar-worms'), none];
    expect(status(fry({ foods: both, today: on(4) })).feeds).toMatchObject([
      { key: 'vinegar-worms', instead: null, share: 1 },
    ]);
  });

  it('waits for what is due, though an earlier stage was missed', () => {
    const task = broodOf('trichopodus-leerii', { events: [report('spawned', laid)], today: on(5) });
    expect(status(task).next!.stage).toBe('swim');
  });

  it('begins a rung on the day that they were seen to take it, sooner or later than told', () => {
    const plain = status(fry()).rungs.find(({ key }) => key === 'moina')!;
    for (const by of [-3, 4]) {
      const day = addDays(plain.from, by);
      const task = fry({
        today: day,
        events: [...fry().events, report('took', day, { foodKey: 'moina' })],
      });
      const rung = status(task).rungs.find(({ key }) => key === 'moina')!;
      expect(rung).toMatchObject({ from: day, taken: true });
      expect(status(task).feeds.map(({ key }) => key)).toContain('moina');
    }
  });

  it('wants of each food what it feeds on that day, to the gram', () => {
    const { demand } = status(fry());
    for (const ahead of [0, 7, 20]) {
      const then = status(fry({ today: on(9 + ahead) }));
      for (const { key, gramsPerDay } of then.feeds) {
        const wanted = demand.find((one) => one.key === key)!;
        expect(wanted.gramsOn[ahead]).toBeCloseTo(gramsPerDay, 9);
      }
    }
  });

  it('feeds more as they grow, and by their number', () => {
    const grams = (task: BroodTask) =>
      status(task).feeds.reduce((sum, feed) => sum + feed.gramsPerDay, 0);
    const shrimp = [liveFood('brine-shrimp')];
    const at = (day: number) => grams(fry({ today: on(day), foods: shrimp }));
    expect(at(20)).toBeGreaterThan(at(9));
    const half = fry({
      foods: shrimp,
      events: [report('swimming', laid), report('counted', laid, { count: 20 })],
    });
    expect(at(9) / grams(half)).toBeCloseTo(2, 9);
    expect(status(half).feeds[0]!.unitsPerMeal).toBeGreaterThan(0);
  });

  it('takes the first food of the chosen practice, and says how long nothing of it fits', () => {
    const small = broodOf('trichopodus-leerii', {
      today: on(1),
      events: [report('swimming', laid)],
    });
    expect(status(small).firstFood).toBe('smallest');
    expect(status(small).gapDays).toBe(0);
    const shrimp = { ...small, firstFood: 'shrimp' as const };
    expect(status(shrimp).gapDays).toBeGreaterThan(2);
    const hungry = broodWork(shrimp, status(shrimp)).find(({ what }) => what === 'firstFood');
    expect(hungry).toMatchObject({ urgent: true });
    const powder = { ...small, firstFood: 'powder' as const };
    expect(status(powder).rungs).toEqual([]);
  });

  it('goes on from a length that was measured, in its tub and for the brood', () => {
    const plain = status(fry());
    const longer = plain.lengthCm! * 10 + 2;
    const measured = fry({
      events: [...fry().events, report('measured', on(9), { lengthMm: longer })],
    });
    expect(status(measured).lengthCm).toBeCloseTo(longer / 10, 6);
    expect(status(measured).tubs[0]!.lengthCm).toBeCloseTo(longer / 10, 6);
    expect(status(measured).target! < plain.target!).toBe(true);
    const huge = speciesOf(KILLI).adultLengthCm * 30;
    const never = fry({ events: [...fry().events, report('measured', on(9), { lengthMm: huge })] });
    expect(status(never).lengthCm).toBeCloseTo(plain.lengthCm!, 9);
  });

  it('changes what its food does to the water, and none where a filter does it', () => {
    const [one] = status(fry({ tubs: [tub({ litres: 2 })] })).tubs;
    expect(one!.change).toBeGreaterThan(0.1);
    expect(one!.hours).toBeGreaterThan(0);
    const [two] = status(fry({ tubs: [tub({ litres: 1.5 })] })).tubs;
    expect(two!.change! / one!.change!).toBeCloseTo(2 / 1.5, 9);
    // Sour water holds its ammonia back, but the next change may not: it counts as 7.5.
    const [sour] = status(fry({ tubs: [tub({ litres: 2, ph: 5.5 })] })).tubs;
    const [plain] = status(fry({ tubs: [tub({ litres: 2, ph: 7.5 })] })).tubs;
    expect(sour!.change).toBe(plain!.change);
    // However large the tub, what is lifted goes with a tenth of it.
    expect(status(fry({ tubs: [tub({ litres: 500 })] })).tubs[0]!.change).toBe(0.1);
    const [filtered] = status(fry({ tubs: [tub({ filtered: true })] })).tubs;
    expect(filtered).toMatchObject({ change: 0, hours: null });
    const cup = fry({ tubs: [tub({ litres: 0.3, ph: 8.5 })] });
    expect(status(cup).tubs[0]!.change).toBeNull();
    expect(works(cup)).toEqual(expect.arrayContaining(['change', 'moveUp']));
  });

  it('shows the water and the minutes of the weeks to come', () => {
    const task = fry({ tubs: [tub({ litres: 3 })] });
    const { weeks, tubs, feeds } = status(task);
    expect(weeks.map(({ from }) => from)).toEqual([0, 7, 14, 21, 28, 35].map((day) => on(9 + day)));
    expect(weeks[0]!.changeL).toBeCloseTo(tubs[0]!.change! * 3, 9);
    expect(weeks[0]!.minutesPerDay).toBe(feeds[0]!.meals * 2 + 5);
    const then = status({ ...task, today: on(9 + 21) });
    expect(weeks[3]!.changeL).toBeCloseTo(then.weeks[0]!.changeL, 9);
    expect(weeks[3]!.wantsL).toBeCloseTo(then.tubs[0]!.wantsL!, 9);
    // Before they swim nothing is asked, and after it is.
    const eggs = status(broodOf(KILLI, { events: [report('spawned', laid)], today: on(5) }));
    expect(eggs.weeks[0]!.minutesPerDay).toBe(0);
    expect(eggs.weeks.at(-1)!.minutesPerDay).toBeGreaterThan(0);
  });

  it('shows the day on which they are long enough, with a window', () => {
    const { target, targetFrom, targetTo, targetCm } = status(fry({ targetCm: 2 }));
    expect(targetCm).toBe(2);
    expect([targetFrom!, target!, targetTo!]).toEqual([targetFrom!, target!, targetTo!].sort());
    const unseen = broodOf(KILLI, { events: [report('spawned', laid)], today: on(400) });
    expect(works(unseen)).not.toContain('home');
    const soon = fry({ targetCm: 2, today: addDays(target!, -3) });
    expect(works(soon)).toContain('home');
    expect(status(fry({ targetCm: 150 })).target).toBeNull();
  });
});

describe('any brood', () => {
  it('stands, of every species that is bred, at any age, hot or cold', () => {
    for (const { key, breeding } of allSpecies) {
      if (breeding === 'not bred at home') continue;
      for (const [daysAgo, tempC] of [
        [0, 0.5],
        [30, 39],
        [5000, 24],
      ] as const) {
        const day = addDays(laid, -daysAgo);
        const task = broodOf(key, {
          today: laid,
          tubs: [tub({ tempC, litres: 0.2, ph: 9.5 })],
          events: [
            report('spawned', addDays(day, -60)),
            report('swimming', day),
            report('counted', day, { count: 100_000 }),
          ],
        });
        const report_ = status(task);
        expect(report_.lengthCm).toBeGreaterThan(0);
        for (const feed of report_.feeds) expect(Number.isFinite(feed.gramsPerDay)).toBe(true);
        const asked = broodWork(task, report_).map(({ what }) => what);
        expect(asked.length).toBeGreaterThan(0);
        // Those that have grown up are no fry to be fed by the drop.
        if (daysAgo === 5000) {
          expect(asked).toContain('home');
          expect(asked).not.toContain('firstFood');
        }
      }
    }
  });
});

describe('odd cases of a brood', () => {
  it('two clutches in one tub are of two ages, and counted together', () => {
    const task = fry({ events: [...fry().events, report('joined', on(5), { count: 25 })] });
    expect(status(task).state).toMatchObject({ count: 65, mixed: true });
  });

  it('a hatch a day early brings all that follows forward, and its cultures with it', () => {
    const events = [report('spawned', laid)];
    const foods = [liveFood('brine-shrimp', { there: false, leadDays: 2 })];
    const before = status(broodOf(KILLI, { events, foods, today: on(10) }));
    const early = addDays(before.next!.day, -1);
    const after = status(
      broodOf(KILLI, { events: [...events, report('hatched', early)], foods, today: early }),
    );
    expect(after.swim!.day < before.swim!.day).toBe(true);
    expect(after.rungs[0]!.startBy! < before.rungs[0]!.startBy!).toBe(true);
  });

  it.each(['eggsEaten', 'swallowed', 'ended'] as const)(
    '%s ends it: nothing more is asked',
    (kind) => {
      const task = broodOf(KILLI, {
        events: [report('spawned', laid), report(kind, on(3))],
        today: on(4),
      });
      const report_ = status(task);
      expect(report_.state.phase).toBe('over');
      expect(report_.next).toBeNull();
      expect(report_.demand).toEqual([]);
      expect(broodWork(task, report_)).toEqual([]);
    },
  );

  it('a temperature that fell in the night puts hatching off', () => {
    const events = [report('spawned', laid)];
    const plain = status(broodOf(KILLI, { events, today: on(5) }));
    const cold = status(
      broodOf(KILLI, { events: [...events, report('warmth', on(4), { tempC: 15 })], today: on(5) }),
    );
    expect(cold.next!.day > plain.next!.day).toBe(true);
    // Three days at most are believed to be as cold: they make 9/10·ln 2.5 less than their way.
    const lost = 3 * (1 - 2.5 ** -0.9);
    expect(daysBetween(plain.next!.day, cold.next!.day)).toBe(Math.round(lost));
  });

  it('fry counted at 40 and then at 55 are 55', () => {
    const task = fry({ events: [...fry().events, report('counted', on(8), { count: 55 })] });
    expect(status(task)).toMatchObject({ count: 55, counted: true });
    expect(status(task).state.recounted).toBe(true);
    expect(status(task).tubs[0]!.survival).toBe(1);
  });

  it('a keeper away for three days in week one leaves fry that do not stand it', () => {
    const { toleratesHours } = status(fry({ today: on(3) }));
    expect(toleratesHours).toBeGreaterThan(0);
    expect(toleratesHours).toBeLessThanOrEqual(24);
  });

  it('swimming that was seen without hatching counts, and laying is not needed', () => {
    const task = broodOf(KILLI, {
      events: [report('spawned', laid), report('swimming', on(14))],
      today: on(20),
    });
    expect(status(task).swim).toMatchObject({ day: on(14), seen: true });
    expect(status(task).next).toBeNull();
  });
});

describe('other ways of life', () => {
  it('young that are born are waited for, and eat from that day', () => {
    const paired = broodOf('poecilia-reticulata', {
      events: [report('paired', laid)],
      today: on(20),
    });
    expect(status(paired).next).toMatchObject({ stage: 'born', from: on(24), to: on(35) });
    const born = broodOf('poecilia-reticulata', {
      events: [report('paired', laid), report('swimming', on(28))],
      today: on(28),
    });
    expect(status(born)).toMatchObject({ next: null, gapDays: 0 });
    expect(status(born).feeds.length).toBeGreaterThan(0);
  });

  it('eggs that are stored are wetted when their weeks are over', () => {
    const annual = { ...broodOf('nothobranchius-guentheri'), events: [report('spawned', laid)] };
    const waits = status({ ...annual, eggCare: 'stored', today: on(10) });
    expect(waits.next).toMatchObject({ stage: 'wet', from: on(42) });
    expect(works({ ...annual, today: on(43) })).toContain('wet');
    const wetted = {
      ...annual,
      events: [...annual.events, report('hatched', on(60))],
      today: on(60),
    };
    expect(status(wetted).swim!.day).toBe(on(60));
  });

  it('a brooder holds until she releases, later than the eggs hatch', () => {
    const task = broodOf('labidochromis-caeruleus', {
      eggCare: 'released',
      events: [report('spawned', laid)],
      today: on(2),
    });
    // Nobody sees them hatch in her mouth: what is waited for is that she lets them go.
    expect(status(task).stages.map(({ stage }) => stage)).toEqual(['swim']);
    expect(daysBetween(laid, status(task).next!.day)).toBeGreaterThan(15);
    expect(works(task)).not.toContain('eggs');
    expect(works(task)).toContain('fast');
    expect(works(task)).not.toContain('parents');
    const released = {
      ...task,
      events: [...task.events, report('swimming', on(21))],
      today: on(23),
    };
    expect(works(released)).toContain('recover');
    expect(works({ ...released, today: on(40) })).not.toContain('recover');
  });

  it('a treatment holds food back, and names no dose', () => {
    const task = fry({ events: [...fry().events, report('treated', on(9))] });
    const work = broodWork(task, status(task));
    expect(work[0]).toMatchObject({ what: 'treated', urgent: true });
    expect(work.map(({ what }) => what)).not.toContain('feed');
    expect(work.map(({ what }) => what)).not.toContain('firstFood');
    expect(works({ ...task, today: on(12) })).toContain('firstFood');
  });
});
