import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import { sampleFood, sampleGroup, sampleSplit, sampleTank } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';
import { ensureHousehold } from '../demo';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { Scope } from '../db';
import { exportText } from './export';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const ask = () => server.as('ours');
const take = (table: string, text: string, write = true) =>
  ask().post(`/api/tables/${table}`).send({ text, write }).expect(201);
const give = async (table: string) =>
  (await ask().get(`/api/tables/${table}`).expect(200)).body.text as string;
const COPY = ['tanks', 'groups', 'events'];

/** A house with moves, a split, a merger and something taken back. */
async function eventfulHouse() {
  const [here, there] = [sampleTank(), sampleTank({ name: 'Other, with "quotes"', walkOrder: 2 })];
  await ask().post('/api/tanks').send(here).expect(201);
  await ask().post('/api/tanks').send(there).expect(201);
  const group = sampleGroup(here.id);
  await ask().post('/api/groups').send(group).expect(201);
  const split = sampleSplit(there.id);
  await ask().post(`/api/groups/${group.id}/split`).send(split).expect(201);
  const event = {
    id: uuidv7(),
    day: '2026-03-06',
    note: '=SUM(A1)',
    males: 1,
    females: 0,
    unsexed: 0,
  };
  await ask()
    .post(`/api/groups/${group.id}/events`)
    .send({ ...event, kind: 'died', cause: 'age' })
    .expect(201);
  await ask()
    .post(`/api/group-events/${event.id}/withdrawal`)
    .send({ id: uuidv7(), replacement: null })
    .expect(201);
  await ask()
    .post(`/api/groups/${split.id}/merge`)
    .send({ id: uuidv7(), intoGroupId: group.id, day: '2026-03-08' })
    .expect(201);
}

describe('a round trip', () => {
  it('out and in again changes nothing', async () => {
    await eventfulHouse();
    const before = await Promise.all(COPY.map(give));
    const rows = await Promise.all([count(server.db, 'group_events'), count(server.db, 'stays')]);
    for (const [at, table] of COPY.entries()) {
      const { body } = await take(table, before[at] as string);
      expect(body.written).toBe(true);
      expect(body.counts).toMatchObject({ new: 0, changed: 0, error: 0 });
    }
    expect(await Promise.all(COPY.map(give))).toEqual(before);
    expect(
      await Promise.all([count(server.db, 'group_events'), count(server.db, 'stays')]),
    ).toEqual(rows);
  });

  it('into an empty house makes the same house, whatever units its keeper likes', async () => {
    await eventfulHouse();
    const [tanks, groups, events] = (await Promise.all(COPY.map(give))) as [string, string, string];
    const state = (await ask().get('/api/groups')).body.items.map((one: object) => ({
      ...one,
      version: 0,
    }));
    await server.close();
    server = await startTestServer();
    const { id: _, ...household } = (await ask().get('/api/household')).body;
    await ask()
      .put('/api/household')
      .send({ ...household, units: 'us', temperature: 'F', hardness: 'ppm' })
      .expect(200);
    for (const [table, text] of [
      ['tanks', tanks],
      ['groups', groups],
      ['events', events],
    ] as const) {
      const { body } = await take(table, text);
      expect(body.lines.filter((line: { state: string }) => line.state === 'error')).toEqual([]);
      expect(body.written).toBe(true);
    }
    expect(await Promise.all(COPY.map(give))).toEqual([tanks, groups, events]);
    const after = (await ask().get('/api/groups')).body.items.map((one: object) => ({
      ...one,
      version: 0,
    }));
    expect(after).toEqual(state);
  });

  it('holds for the whole demo', async () => {
    const catalogue = loadCatalogue();
    const now = server.clock.at;
    const id = await ensureHousehold(server.db, catalogue, { key: 'demo', timeZone: 'UTC', now });
    const demo = new Scope(server.db, id);
    const species = new Map(catalogue.species.map((row) => [row.key, row]));
    const texts = await Promise.all(
      (['tanks', 'groups', 'events'] as const).map((table) =>
        exportText(demo, table, { today: '2026-03-10', species }),
      ),
    );
    await server.close();
    server = await startTestServer();
    for (const [at, table] of COPY.entries()) {
      expect((await take(table, texts[at] as string)).body.written).toBe(true);
    }
    expect(await Promise.all(COPY.map(give))).toEqual(texts);
  });
});

describe('a house as a keeper pastes it', () => {
  it('makes tanks and groups, understands units, and marks every guess', async () => {
    const text = [
      'Tank\tSize\tTemp\tSpecies\tMales\tFemales\tCount\tLength',
      'Kitchen\t24 x 12 x 16 in\t78F\tneon tetras\t\t\t12\t1 1/4 in',
      'Kitchen\t\t\tkulhi loach\t\t\tabout 6\t',
      'Hall\t\t\tGuppy\t3\t6\t\t',
    ].join('\n');
    const { body } = await take('house', text, false);
    expect(body.counts).toEqual({ new: 3, same: 0, changed: 0, error: 0 });
    expect(body.written).toBe(false);
    expect(await count(server.db, 'tanks')).toBe(0);
    const state = (line: number, column: string) =>
      body.lines[line].cells[
        body.columns.findIndex((one: { title: string }) => one.title === column)
      ];
    expect(state(0, 'Species')).toMatchObject({ state: 'read', says: 'taken as Neon tetra' });
    expect(state(1, 'Species')).toMatchObject({ state: 'guessed', says: 'taken as Kuhli loach' });
    expect(state(1, 'Not sexed')).toMatchObject({ state: 'guessed', text: 'about 6' });
    expect(state(2, 'Tank')).toMatchObject({
      state: 'guessed',
      says: expect.stringMatching(/60 L/),
    });

    expect((await take('house', text)).body.written).toBe(true);
    const tanks = (await ask().get('/api/tanks')).body.items;
    expect(tanks.map((tank: { name: string }) => tank.name)).toEqual(['Kitchen', 'Hall']);
    expect(tanks[0].lengthCm).toBeCloseTo(60.96, 6);
    expect(tanks[0].tempC).toBeCloseTo(25.5556, 3);
    const groups = (await ask().get('/api/groups')).body.items;
    expect(groups.map((group: { size: { total: number } }) => group.size.total)).toEqual([
      12, 6, 9,
    ]);
    expect(groups[0].lengthCm).toBeCloseTo(3.175, 6);

    const again = await take('house', text);
    expect(again.body.counts).toMatchObject({ new: 0, same: 3 });
    expect((await ask().get('/api/groups')).body.items).toHaveLength(3);
  });

  it('is read without a header too: tank, species, number, length, stage', async () => {
    const { body } = await take('house', 'Shelf 1,zebrafish,10,3.5,adult\nShelf 2,cherry barb,8\n');
    expect(body).toMatchObject({ written: true, counts: { new: 2 } });
    expect(body.columns[2]).toMatchObject({ title: 'Not sexed' });
  });

  it('is taken in whole or not at all, and each fault is said at its cell', async () => {
    const text = [
      'tank,species,count,length,day,size',
      'A,zebrafish,10,3.5,2026-03-01,60x30x30',
      'A,unicorn fish of old,3,,,',
      'A,zebrafish,-2,,,',
      'A,zebrafish,4,44 cm,,',
      'A,zebrafish,4,,2026-02-30,',
      'B,zebrafish,4,,,60x30',
      ',zebrafish,4,,,',
    ].join('\n');
    const { body } = await take('house', text);
    expect(body).toMatchObject({ written: false, counts: { error: 6 } });
    const errors = body.lines.map((line: { line: number; cells: { state: string }[] }) => [
      line.line,
      line.cells.findIndex((cell) => cell.state === 'error'),
    ]);
    expect(errors).toEqual([
      [2, -1],
      [3, 1],
      [4, 2],
      [5, 3],
      [6, 4],
      [7, 5],
      [8, 0],
    ]);
    expect(body.lines[3].cells[3].says).toMatch(/grow to about 4 cm; 44 cm/);
    expect(await count(server.db, 'tanks')).toBe(0);
  });

  it('leaves out columns that it does not know, and says so', async () => {
    const { body } = await take('house', 'tank,species,count,mood\nA,zebrafish,10,cheerful');
    expect(body.columns[3]).toEqual({ header: 'mood', title: null });
    expect(body.lines[0].cells[3].state).toBe('left out');
    expect(body.written).toBe(true);
  });
});

describe('events from a file', () => {
  it('are added, and refused with the event that they break', async () => {
    const tank = sampleTank();
    await ask().post('/api/tanks').send(tank).expect(201);
    const group = sampleGroup(tank.id, { name: 'Shoal', males: 0, females: 0, unsexed: 10 });
    await ask().post('/api/groups').send(group).expect(201);
    const bad = 'group,day,kind,number\nShoal,2026-03-03,died,4\nShoal,2026-03-05,sold,7\n';
    const { body } = await take('events', bad);
    expect(body).toMatchObject({ written: false, counts: { error: 1, new: 1 } });
    expect(body.lines[1].says).toMatch(/the sale of 7 not sexed on 5 Mar 2026: only 6/);
    await take(
      'events',
      'group,day,kind,number\nShoal,2026-03-03,died,4\nShoal,2026-03-05,sold,6\n',
    );
    expect((await ask().get('/api/groups')).body.items[0].size.total).toBe(0);
  });

  it('never change what is written: a known event with another value is a fault', async () => {
    await eventfulHouse();
    const text = (await give('events')).replace(/,4,6,0,/, ',4,7,0,');
    const { body } = await take('events', text);
    expect(body.written).toBe(false);
    expect(JSON.stringify(body.lines)).toMatch(/events are never changed/);
  });
});

describe('what is no table', () => {
  it('is asked about, and never makes the server fail', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom('house', 'tanks', 'groups', 'events'),
        fc.array(fc.array(fc.string({ unit: 'grapheme', maxLength: 12 }), { maxLength: 5 }), {
          minLength: 1,
          maxLength: 4,
        }),
        async (table, rows) => {
          const text = rows.map((cells) => cells.join(',')).join('\n');
          const answer = await ask().post(`/api/tables/${table}`).send({ text, write: true });
          expect([201, 422]).toContain(answer.status);
          // Any word could be the name of a tank in a list without a header; elsewhere it is nothing.
          if (answer.status === 201 && table !== 'house') expect(answer.body.counts.new).toBe(0);
        },
      ),
      { numRuns: 40 },
    );
    await ask().post('/api/tables/house').send({ text: '', write: false }).expect(422);
    await ask().post('/api/tables/cars').send({ text: 'a', write: false }).expect(404);
    const long = Array.from({ length: 20_002 }, () => 'a,b').join('\n');
    expect((await ask().post('/api/tables/tanks').send({ text: long, write: false })).status).toBe(
      422,
    );
  });
});

describe('a table that is odd', () => {
  it.each([
    ['with a million columns', `name${','.repeat(1_000_000)}`, /over 200 columns/],
    ['with a cell of 200 kB', `name\n${'x'.repeat(200_000)}`, /over 5000 letters/],
    ['with a header of 20 kB', `${'Length in ( '.repeat(1700)}\nA`, /over 5000 letters/],
    ['with too many lines', 'name\n'.repeat(20_002), /at most 20000 lines/],
  ])('%s is refused in words', async (_, text, sentence) => {
    const { body } = await ask().post('/api/tables/tanks').send({ text, write: false }).expect(422);
    expect(body.detail).toMatch(sentence);
  });

  it('is read in a thread where it is large, as in place where it is small', async () => {
    const lines = Array.from({ length: 2500 }, (_, at) => `Tank ${at},80,35,40,25`);
    const header = 'name,length (cm),width (cm),height (cm),temp (C)';
    const large = await take('tanks', [header, ...lines].join('\n'), false);
    expect(large.body.counts).toMatchObject({ new: 2500, error: 0 });
    const small = await take('tanks', [header, ...lines.slice(0, 3)].join('\n'), false);
    expect(large.body.lines.slice(0, 3)).toEqual(small.body.lines);
  });

  it('asks about new lines that stand twice, and takes both where they are meant', async () => {
    const food = sampleFood();
    await ask().post('/api/foods').send(food).expect(201);
    const line = `${food.name},60,cupboard,2026-03-01`;
    const text = ['food,amount_g,place,bought', line, line].join('\n');
    const { body } = await take('lots', text);
    expect(body).toMatchObject({ written: false, doubts: ['twice'] });
    expect(body.lines[1].says).toMatch(/^the same as line 2/);
    const meant = await ask()
      .post('/api/tables/lots')
      .send({ text, write: false, twice: true })
      .expect(201);
    expect(meant.body).toMatchObject({ doubts: [], counts: { new: 2 } });
  });

  it('does not drop the second of two groups that are called the same', async () => {
    const text = 'Tank,Species,Number\nRace,zebrafish,6\nRace,zebrafish,6';
    const { body } = await take('house', text);
    expect(body).toMatchObject({ written: false, doubts: [], counts: { error: 1 } });
    expect(body.lines[1].says).toMatch(/give one of them another name/);
  });

  it('asks how numbers are written, and takes them as it is said', async () => {
    const text = 'Tank,Species,Number,Length (mm)\nRace,zebrafish,6,"1,000"';
    const { body } = await take('house', text, false);
    expect(body).toMatchObject({ doubts: ['numbers'], counts: { error: 1 } });
    const said = await ask()
      .post('/api/tables/house')
      .send({ text, write: false, numbers: 'comma' })
      .expect(201);
    expect(said.body.doubts).toEqual([]);
    expect(said.body.lines[0].cells[3].says).toBe('taken as 1.000');
  });
});
