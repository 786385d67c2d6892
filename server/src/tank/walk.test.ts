import type { Tank } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { sampleTank } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
  for (let at = 1; at <= 4; at += 1) {
    await server
      .as('ours')
      .post('/api/tanks')
      .send(sampleTank({ name: `Rack ${at}`, walkOrder: at * 10 }))
      .expect(201);
  }
});
afterAll(() => server.close());

const list = async (): Promise<Tank[]> =>
  (await server.as('ours').get('/api/tanks').expect(200)).body.items;
const put = (tankIds: string[]) => server.as('ours').put('/api/walk').send({ tankIds });

describe('the walking order', () => {
  it('is set whole, and tanks are listed in it', async () => {
    const before = await list();
    const ids = before.map(({ id }) => id).reverse();
    await put(ids).expect(200);
    const after = await list();
    expect(after.map(({ id }) => id)).toEqual(ids);
    expect(after.map(({ walkOrder }) => walkOrder)).toEqual([1, 2, 3, 4]);
    // Set again it changes nothing: nobody's edit of a tank grows stale by it.
    await put(ids).expect(200);
    expect((await list()).map(({ version }) => version)).toEqual(
      after.map(({ version }) => version),
    );
  });

  it('of other tanks than there are is refused, and nothing moves', async () => {
    const ids = (await list()).map(({ id }) => id);
    const { body } = await put(ids.slice(1)).expect(409);
    expect(body.detail).toMatch(/made or put away/);
    await put([...ids.slice(1), uuidv7()]).expect(409);
    await put([...ids, ids[0]!]).expect(422);
    await put([]).expect(409);
    expect((await list()).map(({ id }) => id)).toEqual(ids);
  });

  it('leaves out a tank that was put away', async () => {
    const [gone, ...kept] = await list();
    const { id, ...fields } = gone!;
    await server
      .as('ours')
      .put(`/api/tanks/${id}`)
      .send({ ...fields, plan: undefined, archived: true })
      .expect(200);
    await put(kept.map((tank) => tank.id).reverse()).expect(200);
    const after = (await list()).filter(({ archived }) => !archived);
    expect(after.map((tank) => tank.id)).toEqual(kept.map((tank) => tank.id).reverse());
  });
});
