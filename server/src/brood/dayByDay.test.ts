import type { BroodRow } from '@open-larder/contract';
import { addDays, daysBetween } from '@open-larder/core';
import {
  sampleBrood,
  sampleBroodEvent,
  sampleBroodTub,
  sampleVessel,
  smallHouse,
} from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

/** Broods of four ways of life, run day by day through the product on a clock of their own. */
interface Case {
  speciesKey: string;
  tempC: number;
  eggCare: string;
  /** Days from laying on which it is «seen», apart from what is expected. */
  seen: (expected: { hatch: number | null; swim: number }) => {
    hatch: number | null;
    swim: number;
  };
  count: number;
}

const asExpected: Case['seen'] = (expected) => expected;
const CASES: [string, Case][] = [
  [
    'an egg scatterer',
    { speciesKey: 'danio-rerio', tempC: 26, eggCare: 'moved', seen: asExpected, count: 150 },
  ],
  [
    'a bubble-nester, a day early',
    {
      speciesKey: 'trichopodus-leerii',
      tempC: 28,
      eggCare: 'left',
      seen: ({ hatch, swim }) => ({ hatch: hatch === null ? null : hatch - 1, swim: swim - 1 }),
      count: 300,
    },
  ],
  [
    'a plant spawner, two days late',
    {
      speciesKey: 'fundulopanchax-gardneri',
      tempC: 23,
      eggCare: 'moved',
      seen: ({ hatch, swim }) => ({ hatch: hatch === null ? null : hatch + 2, swim: swim + 2 }),
      count: 40,
    },
  ],
  [
    'a mouth-brooder',
    {
      speciesKey: 'labidochromis-caeruleus',
      tempC: 26,
      eggCare: 'released',
      seen: asExpected,
      count: 18,
    },
  ],
];

const LAID = '2026-03-01';
const DAYS = 45;

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

describe.each(CASES)('%s', (_, { speciesKey, tempC, eggCare, seen, count }) => {
  it('is told day by day: dates, portions, water, cultures', async () => {
    server.clock.at = new Date(`${LAID}T12:00:00Z`);
    const { ask } = await smallHouse(server);
    const brood = sampleBrood({
      speciesKey,
      eggCare,
      tub: sampleBroodTub({ tempC, litres: 60 }),
    });
    let row: BroodRow = (await ask.post('/api/broods').send(brood).expect(201)).body;
    const logEvent = async (day: string, kind: string, over: object = {}) => {
      const event = sampleBroodEvent({ kind, day, at: `${day}T10:00:00.000Z`, ...over });
      row = (await ask.post(`/api/broods/${brood.id}/events`).send(event).expect(201)).body;
    };
    const read = async () => {
      const { body } = await ask.get('/api/broods?limit=500').expect(200);
      row = body.items.find(({ id }: BroodRow) => id === brood.id);
    };
    await logEvent(LAID, 'spawned');
    const expected = {
      hatch: dayOf(row, 'hatch'),
      swim: dayOf(row, 'swim')!,
    };
    const logEvents = seen(expected);
    const started: { key: string; on: string }[] = [];
    const grams: number[] = [];
    for (let at = 1; at < DAYS; at += 1) {
      const day = addDays(LAID, at);
      server.clock.at = new Date(`${day}T12:00:00Z`);
      await read();
      const { status, work } = row;
      const kinds = work.map(({ what }) => what);
      // What is expected lies in its window, and the window narrows around what was seen.
      for (const stage of status.stages) {
        expect(stage.from <= stage.day && stage.day <= stage.to).toBe(true);
      }
      if (at < logEvents.swim) {
        expect(status.feeds).toEqual([]);
        expect(kinds).not.toContain('feed');
      }
      for (const rung of status.rungs) {
        if (rung.there || rung.kindKey === null || started.some(({ key }) => key === rung.key)) {
          continue;
        }
        if (rung.startBy! > day) continue;
        expect(kinds).toContain('start');
        // The keeper does as the product says; with what they bring, it gives from its day on.
        const vessel = sampleVessel({
          kindKey: rung.kindKey,
          name: rung.name,
          measure: 1,
          startedOn: day,
          at: `${day}T09:00:00.000Z`,
          startG: 1,
          water: '',
        });
        await ask.post('/api/vessels').send(vessel).expect(201);
        started.push({ key: rung.key, on: day });
      }
      if (at === logEvents.hatch) {
        await logEvent(day, 'hatched');
        expect(row.status.state.phase).toBe('larvae');
        // No food until they swim, where that is not on the same day.
        const yolk = row.work.some(({ what }) => what === 'yolk');
        expect(yolk).toBe(row.status.swim!.day > day);
      }
      if (at === logEvents.swim) {
        await logEvent(day, 'swimming');
        await logEvent(day, 'counted', { count });
        expect(row.status.next).toBeNull();
        expect(row.status.gapDays).toBe(0);
        expect(row.work.map(({ what }) => what)).toContain('firstFood');
        await logEvent(day, 'firstFood');
      }
      if (at >= logEvents.swim) {
        grams.push(row.status.feeds.reduce((sum, feed) => sum + dry(feed), 0));
        expect(row.status.feeds.length).toBeGreaterThan(0);
        for (const feed of row.status.feeds) expect(feed.unitsPerMeal).toBeGreaterThan(0);
      }
    }
    // They eat more as they grow, counted in dry matter: foods differ in water.
    expect(grams.at(-1)!).toBeGreaterThan(grams[0]!);
    const { rungs } = row.status;
    expect(rungs.length).toBeGreaterThan(0);
    expect(rungs.map(({ from }) => from)).toEqual(rungs.map(({ from }) => from).sort());
    expect(row.status.swim!.day).toBe(addDays(LAID, logEvents.swim));
    // What had to be started was started before its rung.
    for (const { key, on } of started) {
      const rung = rungs.find((one) => one.key === key);
      if (rung) expect(on <= addDays(rung.from, rung.leadDays)).toBe(true);
    }
    if (process.env.OPEN_LARDER_TELL) {
      process.stdout.write(`${report(speciesKey, expected, logEvents, row, started, grams)}\n`);
    }
  }, 60_000);
});

const DRY = { infusoria: 0.002, 'brine-shrimp': 0.18 } as Record<string, number>;
const dry = ({ key, gramsPerDay }: BroodRow['status']['feeds'][number]) =>
  gramsPerDay * (DRY[key] ?? 0.18);

function dayOf({ status }: BroodRow, stage: string): number | null {
  const found = status.stages.find((one) => one.stage === stage);
  return found ? daysBetween(LAID, found.day) : null;
}

/** A line for the docs. */
function report(
  speciesKey: string,
  expected: { hatch: number | null; swim: number },
  logEvents: { hatch: number | null; swim: number },
  { status }: BroodRow,
  started: { key: string; on: string }[],
  grams: number[],
): string {
  const after = (day: string) => daysBetween(LAID, day);
  return [
    speciesKey,
    `hatch ${expected.hatch} / ${logEvents.hatch}`,
    `swim ${expected.swim} / ${logEvents.swim}`,
    status.rungs.map(({ name, from }) => `${name} ${after(from)}`).join(', '),
    started.map(({ key, on }) => `${key} started ${after(on)}`).join(', '),
    `dry food ${(grams[0]! * 1000).toFixed(1)} to ${(grams.at(-1)! * 1000).toFixed(1)} mg/d`,
  ].join(' | ');
}
