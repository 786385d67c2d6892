import { v7 as uuidv7 } from 'uuid';
import { sampleRating, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let house: Awaited<ReturnType<typeof smallHouse>>;
beforeAll(async () => {
  server = await startTestServer();
});
beforeEach(async () => {
  house = await smallHouse(server);
});
afterAll(() => server.close());

const add = (over: object = {}) => house.ask.post('/api/ratings').send(sampleRating(house, over));
const list = async () =>
  (await house.ask.get('/api/ratings').expect(200)).body.items.filter(
    ({ groupId }: { groupId: string }) => groupId === house.group.id,
  );

describe('what a food did, as rated', () => {
  it('is kept with its names, the newest first, and taken back by another event', async () => {
    await add().expect(201);
    const second = sampleRating(house, {
      colour: null,
      growth: 'worse',
      note: 'slow',
      hand: 'Ada',
    });
    await house.ask.post('/api/ratings').send(second).expect(201);
    await house.ask.post('/api/ratings').send(second).expect(201);
    expect(await list()).toMatchObject([
      { growth: 'worse', colour: null, foodName: 'Fine flake', note: 'slow', hand: 'Ada' },
      { colour: 'better', growth: null, groupName: 'Danios' },
    ]);
    const undo = () =>
      house.ask
        .post(`/api/ratings/${second.id}/undo`)
        .send({ id: uuidv7(), at: second.at })
        .expect(201);
    await undo();
    await undo();
    expect(await list()).toHaveLength(1);
  });

  it.each([
    ['nothing is rated', { colour: null }],
    ['the day has not come', { day: '2026-03-12' }],
    ['there is no such word', { growth: 'huge' }],
  ])('is refused where %s', async (_, over) => {
    await add(over).expect(422);
    expect(await list()).toEqual([]);
  });

  it('of nobody, or of no food, is not found', async () => {
    await add({ groupId: uuidv7() }).expect(404);
    await add({ foodId: uuidv7() }).expect(404);
    await house.ask
      .post(`/api/ratings/${uuidv7()}/undo`)
      .send({ id: uuidv7(), at: '2026-03-10T18:00:00.000Z' })
      .expect(404);
  });
});
