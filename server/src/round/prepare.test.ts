import { v7 as uuidv7 } from 'uuid';
import {
  sampleFood,
  sampleGroup,
  sampleServing,
  sampleTank,
  sampleVessel,
  smallHouse,
} from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { pagesIn } from '../testing/pdf';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

describe('what is to be prepared on a day', () => {
  it('is begun in time, once for all tanks, and the evening before where it takes long', async () => {
    const house = await smallHouse(server);
    const soaked = sampleFood({
      name: 'Hard granules',
      steps: [{ kind: 'soak', leadMin: 600, workMin: 2, toMm: null }],
      keeps: { sealedDays: null, openedDays: null, preparedHours: 4 },
    });
    await house.ask.post('/api/foods').send(soaked).expect(201);
    const early = { id: uuidv7(), name: 'Early', anchor: 'clock', minutes: 420, spareMin: null };
    await house.ask.post('/api/moments').send(early).expect(201);
    const tank = sampleTank();
    const group = sampleGroup(tank.id);
    await house.ask.post('/api/tanks').send(tank).expect(201);
    await house.ask.post('/api/groups').send(group).expect(201);
    for (const [groupId, version] of [
      [house.group.id, 1],
      [group.id, 0],
    ] as const) {
      await house.ask
        .put(`/api/groups/${groupId}/diet`)
        .send({
          version,
          fastWeekdays: [],
          goalFactor: null,
          rules: [],
          servings: [sampleServing(soaked.id, early.id), sampleServing(soaked.id, house.moment.id)],
        })
        .expect(200);
    }
    const { body } = await house.ask.get('/api/round/2026-03-10/preparations').expect(200);
    const tasks = body.tasks.filter((one: { foodId: string }) => one.foodId === soaked.id);
    // Ten hours before the evening's meal, and tonight for tomorrow at seven.
    expect(tasks).toMatchObject([
      { startMin: 510, readyMin: 1110, meals: 2, what: 'soak 10 h', workMin: 2 },
      { startMin: 1260, readyMin: 1860, meals: 2 },
    ]);
    expect(tasks[0].tankIds.sort()).toEqual([house.tank.id, tank.id].sort());
    expect(tasks[1].about).toBe(`${soaked.id} 1860`);
    // What is served as it is needs nothing.
    expect(body.tasks.every((one: { foodId: string }) => one.foodId !== house.food.id)).toBe(true);
    await house.ask.get('/api/round/2026-13-45/preparations').expect(404);
  });
});

describe('a day’s round on one page', () => {
  it('is one page of PDF, on a day with nothing and on one with far too much', async () => {
    const house = await smallHouse(server);
    const pages = async (day: string) => {
      const { body } = await house.ask.get(`/api/round/${day}/sheet`).expect(200);
      return { name: body.fileName, count: pagesIn(body.base64).length };
    };
    expect(await pages('2026-03-10')).toEqual({ name: 'round-2026-03-10.pdf', count: 1 });
    expect((await pages('2020-01-01')).count).toBe(1);
    const many = Array.from({ length: 60 }, (_, at) =>
      sampleServing(house.food.id, house.moment.id, { place: `a place of its own, number ${at}` }),
    );
    await house.ask
      .put(`/api/groups/${house.group.id}/diet`)
      .send({ version: 1, fastWeekdays: [], goalFactor: null, rules: [], servings: many })
      .expect(200);
    // What the live shelf asks for stands on it too.
    await house.ask.post('/api/vessels').send(sampleVessel()).expect(201);
    expect((await pages('2026-03-10')).count).toBe(1);
    await house.ask.get('/api/round/2026-13-45/sheet').expect(404);
  });
});
