import type { BroodRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import {
  sampleBrood,
  sampleBroodEvent,
  sampleBroodSplit,
  sampleBroodTub,
  sampleVessel,
  smallHouse,
} from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { pagesIn } from '../testing/pdf';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
let brood: ReturnType<typeof sampleBrood>;
const TODAY = '2026-03-10';
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  server.clock.at = new Date(`${TODAY}T12:00:00Z`);
  house = await smallHouse(server);
  brood = sampleBrood();
});
afterAll(() => server.close());

const begin = (over: object = {}) => house.ask.post('/api/broods').send({ ...brood, ...over });
const logEvent = (over: object = {}) =>
  house.ask.post(`/api/broods/${brood.id}/events`).send(sampleBroodEvent(over));
const report = async (over: object = {}): Promise<BroodRow> =>
  (await logEvent({ day: TODAY, ...over }).expect(201)).body;
const undo = (id: string) =>
  house.ask
    .post(`/api/brood-events/${id}/undo`)
    .send({ id: uuidv7(), at: `${TODAY}T12:00:00.000Z` });
const works = (row: BroodRow) => row.work.map(({ what }) => what);

describe('a brood', () => {
  it('tells from its laying when it hatches and swims, and is sent twice as once', async () => {
    await begin().expect(201);
    await begin().expect(201);
    const spawned = sampleBroodEvent();
    const { body } = await house.ask
      .post(`/api/broods/${brood.id}/events`)
      .send(spawned)
      .expect(201);
    await house.ask.post(`/api/broods/${brood.id}/events`).send(spawned).expect(201);
    // 380 degree-days at 24 °C: on the sixteenth day.
    expect(body.status.next).toMatchObject({ stage: 'hatch', day: '2026-03-17', seen: false });
    expect(body.status.next.from < '2026-03-17').toBe(true);
    expect(body.status.state.phase).toBe('eggs');
    expect(works(body)).toContain('eggs');
    expect(works(body)).not.toContain('parents');
    expect(body.status.rungs[0]).toMatchObject({ there: false });
    const { body: list } = await house.ask.get('/api/broods?limit=500').expect(200);
    expect(list.items.filter(({ id }: BroodRow) => id === brood.id)).toHaveLength(1);
    const { body: events } = await house.ask.get(`/api/broods/${brood.id}/events`).expect(200);
    expect(events.items).toHaveLength(1);
  });

  it('is expected when earlier clutches of its species here let it be expected', async () => {
    await begin().expect(201);
    const alone = (await report({ day: '2026-03-01' })).status.next!;
    const past = sampleBrood();
    await house.ask.post('/api/broods').send(past).expect(201);
    for (const [kind, day] of [
      ['spawned', '2026-02-01'],
      ['hatched', '2026-02-13'],
    ] as const) {
      await house.ask
        .post(`/api/broods/${past.id}/events`)
        .send(sampleBroodEvent({ kind, day }))
        .expect(201);
    }
    const { body: list } = await house.ask.get('/api/broods?limit=500').expect(200);
    const { next } = list.items.find(({ id }: BroodRow) => id === brood.id).status;
    // Four days early of sixteen: this one is looked for earlier too.
    expect(next.day < alone.day).toBe(true);
    expect(next.stage).toBe('hatch');
  });

  it('goes on from a hatch that came early, and back when that is taken back', async () => {
    await begin().expect(201);
    const before = await report({ day: '2026-03-01' });
    const seen = uuidv7();
    const after = await report({ id: seen, kind: 'hatched' });
    expect(after.status.state).toMatchObject({ phase: 'larvae', hatchedOn: TODAY });
    expect(after.status.swim!.day < before.status.swim!.day).toBe(true);
    const { body: back } = await undo(seen).expect(201);
    await undo(seen).expect(201);
    expect(back.status.swim).toEqual(before.status.swim);
    // A late copy of the first message is answered as it was, and does not say it again.
    await logEvent({ id: seen, kind: 'hatched', day: TODAY }).expect(201);
    const { body: list } = await house.ask.get('/api/broods?limit=500').expect(200);
    const now = list.items.find(({ id }: BroodRow) => id === brood.id);
    expect(now.status.swim).toEqual(before.status.swim);
  });

  it('feeds those that swim by their number, and changes their water after the last meal', async () => {
    const worms = { kindKey: 'microworms', name: 'Worms', measure: 2, startedOn: '2026-02-25' };
    await house.ask.post('/api/vessels').send(sampleVessel(worms)).expect(201);
    await begin().expect(201);
    await report({ kind: 'swimming', day: '2026-03-04' });
    const few = await report({ kind: 'counted', count: 20 });
    const many = await report({ kind: 'counted', count: 60 });
    const [fewG, manyG] = [few, many].map(({ status }) => status.feeds[0]!.gramsPerDay);
    expect(manyG! / fewG!).toBeCloseTo(3, 6);
    expect(many.status.state).toMatchObject({ count: 60, recounted: true });
    expect(works(many)).toEqual(expect.arrayContaining(['firstFood', 'change']));
    const changed = await report({ kind: 'changed', share: 0.5 });
    expect(works(changed)).not.toContain('change');
    expect(works(await report({ kind: 'firstFood' }))).toContain('feed');
  });

  it('is split evenly over more tubs in one act, which is sent twice as once', async () => {
    await begin().expect(201);
    await report({ kind: 'swimming', day: '2026-03-01' });
    const [two, three] = ['Tub two', 'Tub three'].map((name) => ({
      ...sampleBroodTub({ name }),
      moveId: uuidv7(),
    }));
    const split = sampleBroodSplit(brood.tub.id, { count: 50, tubs: [two, three] });
    const send = () => house.ask.post(`/api/broods/${brood.id}/split`).send(split).expect(201);
    await send();
    const { body } = await send();
    expect(
      body.status.tubs.map(({ name, count }: { name: string; count: number }) => [name, count]),
    ).toEqual([
      ['Tub one', 18],
      ['Tub two', 16],
      ['Tub three', 16],
    ]);
    expect(body.status.state.count).toBe(50);
    const few = sampleBroodSplit(brood.tub.id, {
      count: 2,
      tubs: [
        { ...sampleBroodTub(), moveId: uuidv7() },
        { ...sampleBroodTub(), moveId: uuidv7() },
      ],
    });
    const refused = await house.ask.post(`/api/broods/${brood.id}/split`).send(few).expect(422);
    expect(refused.body.errors[0]).toMatchObject({
      path: 'count',
      message: /fewer of them than tubs/,
    });
    const strange = sampleBroodSplit(uuidv7());
    await house.ask.post(`/api/broods/${brood.id}/split`).send(strange).expect(422);
    const { body: list } = await house.ask.get('/api/broods').expect(200);
    const after = (list.items as BroodRow[]).find(({ id }) => id === brood.id);
    expect(after?.tubs).toHaveLength(3);
  });

  it('is split over tubs that are told apart', async () => {
    await begin().expect(201);
    const second = sampleBroodTub({ name: 'Tub two' });
    await house.ask.post(`/api/broods/${brood.id}/tubs`).send(second).expect(201);
    await house.ask.post(`/api/broods/${brood.id}/tubs`).send(second).expect(201);
    const first = brood.tub.id;
    await report({ kind: 'swimming', day: '2026-03-01' });
    await report({ kind: 'counted', count: 50, tubId: first });
    const row = await report({ kind: 'moved', count: 20, tubId: first, toTubId: second.id });
    expect(row.status.tubs.map(({ name, count }) => [name, count])).toEqual([
      ['Tub one', 30],
      ['Tub two', 20],
    ]);
    await report({ kind: 'lost', count: 5, tubId: second.id });
    const measured = await report({
      kind: 'measured',
      tubId: second.id,
      lengthMm: 9,
      shortMm: 5,
      longMm: 13,
    });
    expect(measured.status.state.count).toBe(45);
    expect(measured.status.tubs[1]).toMatchObject({ survival: 0.75, sort: true });
    expect(measured.status.tubs[1]!.lengthCm).toBeCloseTo(0.9, 9);
    expect(works(measured)).toContain('sort');
    const { body: tub } = await house.ask
      .put(`/api/brood-tubs/${second.id}`)
      .send({ ...second, litres: 25, version: 1 })
      .expect(200);
    expect(tub.status.tubs[1].litres).toBe(25);
    await house.ask
      .put(`/api/brood-tubs/${second.id}`)
      .send({ ...second, litres: 30, version: 1 })
      .expect(409);
  });

  it('has a card of one page for its tub, before there is anything to feed and after', async () => {
    await begin({ name: 'A name as long as anyone may give to a brood of theirs, so' }).expect(201);
    const page = async () => {
      const { body } = await house.ask.get(`/api/broods/${brood.id}/card`).expect(200);
      expect(body.fileName).toMatch(/^a-name-as-long.*-card\.pdf$/);
      const pages = pagesIn(body.base64);
      expect(pages).toHaveLength(1);
      return pages[0]!;
    };
    expect((await page()).width).toBeGreaterThan((await page()).height);
    await report({ kind: 'swimming', day: '2026-03-02' });
    await report({ kind: 'counted', count: 50 });
    await page();
  });

  it('may be corrected, by one at a time', async () => {
    await begin().expect(201);
    const { tub: _, id: __, speciesKey: ___, ...fields } = brood;
    const edit = { ...fields, version: 1, firstFood: 'powder', targetCm: 3 };
    const { body } = await house.ask.put(`/api/broods/${brood.id}`).send(edit).expect(200);
    expect(body).toMatchObject({ firstFood: 'powder', targetCm: 3, version: 2 });
    const other = { ...edit, targetCm: 4 };
    await house.ask.put(`/api/broods/${brood.id}`).send(other).expect(409);
  });

  it.each([
    ['an unknown species', { speciesKey: 'nobody-knows' }, 'speciesKey'],
    ['a tub without water', { tub: sampleBroodTub({ litres: 0 }) }, 'tub.litres'],
    ['a tank that is not there', { tankId: uuidv7() }, 'tankId'],
  ])('is refused with %s', async (_, over, path) => {
    const { body } = await begin(over).expect(422);
    expect(body.errors[0].path).toBe(path);
  });

  it.each([
    ['a day that has not come', { day: '2026-04-01' }, 'day'],
    ['a count of nothing that died', { kind: 'lost', count: 0 }, 'count'],
    ['a tub of nobody', { tubId: uuidv7() }, 'tubId'],
    [
      'a shortest that is longer',
      { kind: 'measured', lengthMm: 5, shortMm: 6, longMm: null },
      'shortMm',
    ],
  ])('refuses %s', async (_, over, path) => {
    await begin().expect(201);
    const { body } = await logEvent({ day: TODAY, ...over }).expect(422);
    expect(body.errors[0].path).toBe(path);
  });
});
