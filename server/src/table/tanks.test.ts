import { v7 as uuidv7 } from 'uuid';
import { sampleGroup, sampleSpecies, sampleTank } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const ask = () => server.as('ours');
const take = async (table: string, text: string, write = true) =>
  (await ask().post(`/api/tables/${table}`).send({ text, write }).expect(201)).body;
const tanks = async () => (await ask().get('/api/tanks').expect(200)).body.items;
const make = async (over: object = {}) => {
  const tank = sampleTank(over);
  await ask().post('/api/tanks').send(tank).expect(201);
  return tank;
};

describe('tanks from a table', () => {
  it('are known by name, and changed only in the columns that are there', async () => {
    const tank = await make({ plants: 'many', gh: 6 });
    const report = await take('tanks', 'name,temp_c\nMillpond,27.5\n');
    expect(report).toMatchObject({ written: true, counts: { changed: 1, new: 0 } });
    expect((await tanks())[0]).toMatchObject({
      id: tank.id,
      tempC: 27.5,
      plants: 'many',
      gh: 6,
      lengthCm: 100,
      version: 2,
    });
  });

  it('a blank cell empties what may be empty, and leaves the rest as it was', async () => {
    await make({ plants: 'many', gh: 6 });
    await take('tanks', 'name,plants,gh,temp_c\nMillpond,,,\n');
    expect((await tanks())[0]).toMatchObject({ plants: null, gh: null, tempC: 25 });
  });

  it('that stand twice, or hold more than they can, stop the whole table', async () => {
    await make();
    const twice = await take('tanks', 'name,temp_c\nMillpond,24\nMillpond,26\n');
    expect(twice.lines[1].says).toBe('this tank is listed twice in the table');
    const full = await take('tanks', 'name,litres,temp_c\nNew one,54,25\nMillpond,900,26\n');
    expect(full.written).toBe(false);
    expect(full.lines[1].cells[1].says).toMatch(/holds less than that/);
    expect((await tanks())[0]).toMatchObject({ tempC: 25, version: 1 });
    expect(await count(server.db, 'tanks')).toBe(1);
  });

  it('are put away and brought back by a column', async () => {
    await make();
    await take('tanks', 'name,put_away\nMillpond,yes\n');
    expect((await tanks())[0].archived).toBe(true);
    await take('tanks', 'name,put_away\nMillpond,no\n');
    expect((await tanks())[0].archived).toBe(false);
  });

  it('new ones follow in walking order', async () => {
    await make({ walkOrder: 7 });
    await take('tanks', 'name,litres\nFirst,20\nSecond,30\n');
    expect((await tanks()).map((tank: { walkOrder: number }) => tank.walkOrder)).toEqual([7, 8, 9]);
  });
});

describe('groups from a table', () => {
  it('are renamed, become of another species, and end', async () => {
    const tank = await make();
    const group = sampleGroup(tank.id);
    await ask().post('/api/groups').send(group).expect(201);
    const report = await take(
      'groups',
      `id,name,species,ended_on\n${group.id},Pearls,pearl danio,2026-03-08\n`,
    );
    expect(report.counts).toMatchObject({ changed: 1 });
    const [after] = (await ask().get('/api/groups').expect(200)).body.items;
    expect(after).toMatchObject({
      name: 'Pearls',
      speciesKey: 'danio-albolineatus',
      archived: true,
    });
  });

  it('say what is wrong with an id, a name and a species', async () => {
    const report = await take('groups', 'id,name,species\nseven,A,zebrafish\n,,zebrafish\n,B,\n');
    expect(report.counts.error).toBe(3);
    expect(
      report.lines.map((line: { cells: { says: string | null }[] }) =>
        line.cells.map((cell) => cell.says).find(Boolean),
      ),
    ).toEqual(['this is not a valid id', 'give it a name', 'name its species']);
    expect(await count(server.db, 'groups')).toBe(0);
  });

  it('an id that another household has is refused, and nothing of the table is written', async () => {
    const tank = sampleTank();
    const group = sampleGroup(tank.id);
    await server.as('theirs').post('/api/tanks').send(tank).expect(201);
    await server.as('theirs').post('/api/groups').send(group).expect(201);
    const text = `id,name,species\n${uuidv7()},Mine,zebrafish\n${group.id},Stolen,zebrafish\n`;
    const answer = await ask().post('/api/tables/groups').send({ text, write: true });
    expect(answer.status).toBe(409);
    expect((await ask().get('/api/groups').expect(200)).body.items).toEqual([]);
    expect(await count(server.db, 'groups')).toBe(1);
    const [theirs] = (await server.as('theirs').get('/api/groups').expect(200)).body.items;
    expect(theirs.name).toBe('Danios');
  });
});

describe('species of one’s own in tables', () => {
  it('are known by their names, there and back', async () => {
    const own = sampleSpecies({ common: 'Brook danio', scientific: 'Danio sp. brook' });
    await ask().post('/api/species').send(own).expect(201);
    const report = await take(
      'house',
      'tank,species,count,size\nBrook,brook danio,8,60x30x30 cm\n',
    );
    expect(report).toMatchObject({ written: true });
    const [group] = (await ask().get('/api/groups').expect(200)).body.items;
    expect(group.speciesKey).toBe(`own-${own.id}`);
    const { text } = (await ask().get('/api/tables/groups').expect(200)).body;
    expect(text).toContain('Danio sp. brook');
    expect((await take('groups', text)).counts).toMatchObject({ same: 1, changed: 0 });
  });
});
