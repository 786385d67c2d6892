import type { LifeEventRow } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { samplePhoto, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let ours: Awaited<ReturnType<typeof smallHouse>>;
beforeAll(async () => {
  server = await startTestServer();
  ours = await smallHouse(server, 'ours');
});
afterAll(() => server.close());

const measure = (over: object = {}) => {
  const body = {
    id: uuidv7(),
    kind: 'measured',
    day: '2026-03-06',
    lengthCm: 3.6,
    lengthsCm: [3.4, 3.6, 3.8],
    ...over,
  };
  return { body, sent: ours.ask.post(`/api/groups/${ours.group.id}/events`).send(body) };
};
const life = async (): Promise<LifeEventRow[]> =>
  (await ours.ask.get(`/api/groups/${ours.group.id}/events`).expect(200)).body.items;

describe('a sample of a group', () => {
  it('keeps each fish and its mass, and the group has its mean', async () => {
    const { body, sent } = measure({ massG: 0.42 });
    expect((await sent.expect(201)).body.lengthCm).toBe(3.6);
    const kept = (await life()).find(({ id }) => id === body.id)!;
    expect(kept).toMatchObject({ lengthCm: 3.6, lengthsCm: [3.4, 3.6, 3.8], massG: 0.42 });
  });

  it('may be a mean alone, as before', async () => {
    const { body, sent } = measure({ lengthsCm: null });
    await sent.expect(201);
    expect((await life()).find(({ id }) => id === body.id)).toMatchObject({
      lengthsCm: null,
      massG: null,
    });
  });

  it.each([
    ['whose mean is another', { lengthCm: 4 }, 'lengthCm'],
    ['of no fish', { lengthsCm: [] }, 'lengthsCm'],
    ['of more than can be measured', { lengthsCm: Array<number>(201).fill(3.6) }, 'lengthsCm'],
    ['that weigh nothing', { massG: 0 }, 'massG'],
  ])('%s is refused', async (_, over, path) => {
    const { body } = await measure(over).sent.expect(422);
    expect(body.errors[0].path).toBe(path);
  });

  it('goes out as a table and comes in as it is', async () => {
    const { body } = await ours.ask.get('/api/tables/events').expect(200);
    expect(body.text).toContain('3.4 | 3.6 | 3.8');
    const report = await ours.ask
      .post('/api/tables/events')
      .send({ text: body.text, write: false });
    expect(report.body.counts).toMatchObject({ new: 0, changed: 0, error: 0 });
  });
});

describe('the picture of a measurement', () => {
  it('is kept once, with its marks, and read back', async () => {
    const { body, sent } = measure();
    await sent.expect(201);
    const photo = samplePhoto(body.id);
    await ours.ask.post('/api/photos').send(photo).expect(201);
    await ours.ask.post('/api/photos').send(photo).expect(201);
    const read = await ours.ask.get(`/api/group-events/${body.id}/photo`).expect(200);
    expect(read.body).toEqual(photo);
    await ours.ask.post('/api/photos').send(samplePhoto(body.id)).expect(409);
  });

  it('of nothing measured, of no picture, or a huge one is refused', async () => {
    const { body, sent } = measure();
    await sent.expect(201);
    const refused = async (over: object, path: string) => {
      const answer = await ours.ask
        .post('/api/photos')
        .send(samplePhoto(body.id, over))
        .expect(422);
      expect(answer.body.errors[0].path).toBe(path);
    };
    await refused({ eventId: uuidv7() }, 'eventId');
    await refused({ picture: 'data:image/svg+xml;base64,AAAA' }, 'picture');
    await refused({ picture: `data:image/png;base64,${'A'.repeat(1_600_000)}` }, 'picture');
    await refused({ marks: { ruler: [], fish: [] } }, 'marks.ruler');
    await ours.ask.get(`/api/group-events/${uuidv7()}/photo`).expect(404);
  });
});
