import { sampleGroup, sampleSpecies, sampleTank } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
const ask = () => server.as('ours');

describe('species of the keeper’s own', () => {
  it('are copied from a row, keep what was changed, and can be what a group is', async () => {
    const own = sampleSpecies();
    const { body } = await ask().post('/api/species').send(own).expect(201);
    expect(body).toMatchObject({
      copiedFrom: 'danio-rerio',
      version: 1,
      entry: { adultLengthCm: 5.5 },
    });
    const tank = sampleTank();
    await ask().post('/api/tanks').send(tank).expect(201);
    const group = sampleGroup(tank.id, { speciesKey: `own-${own.id}`, lengthCm: 8 });
    // 8 cm is too long for the catalogue's zebrafish, and right for this one.
    await ask().post('/api/groups').send(group).expect(201);
    await ask()
      .post('/api/groups')
      .send(sampleGroup(tank.id, { lengthCm: 8 }))
      .expect(422);
  });

  it('survive a catalogue update: the whole row is theirs', async () => {
    const own = sampleSpecies({ common: 'Lost from the catalogue' });
    await ask()
      .post('/api/species')
      .send({ ...own, copiedFrom: 'no-longer-there' })
      .expect(201);
    const { body } = await ask().get('/api/species').expect(200);
    const kept = body.items.find((one: { id: string }) => one.id === own.id);
    expect(kept.entry).toEqual(own.entry);
  });

  it('are edited by version: a stale edit gets both', async () => {
    const own = sampleSpecies();
    await ask().post('/api/species').send(own).expect(201);
    const edit = (version: number, lifeYears: number) =>
      ask()
        .put(`/api/species/${own.id}`)
        .send({ version, archived: false, entry: { ...own.entry, lifeYears } });
    expect((await edit(1, 3).expect(200)).body.version).toBe(2);
    const stale = await edit(1, 9).expect(409);
    expect([stale.body.yours.entry.lifeYears, stale.body.theirs.entry.lifeYears]).toEqual([9, 3]);
  });

  it.each([
    ['an upside-down range', { tempMinC: 30 }, 'entry.tempOptC'],
    ['half a length-weight pair', { lwA: 0.01, lwB: null }, 'entry.lwB'],
    ['a fish of ten metres', { adultLengthCm: 1000 }, 'entry.adultLengthCm'],
    ['no name', { common: '' }, 'entry.common'],
    [
      'zones for more than all of its time',
      { presenceDay: { surface: 1, mid: 1, bottom: 0, film: 0 } },
      'entry.presenceDay',
    ],
    ['a word that is none of the list', { guild: 'gourmet' }, 'entry.guild'],
  ])('refuse %s, at its field', async (_what, over, path) => {
    const { body } = await ask().post('/api/species').send(sampleSpecies(over)).expect(422);
    expect(body.errors.map((error: { path: string }) => error.path)).toContain(path);
  });
});
