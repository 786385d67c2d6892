import { v7 as uuidv7 } from 'uuid';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const DAY = '2026-03-10';
const sample = (over: object = {}) => ({
  id: uuidv7(),
  kind: 'prepare',
  about: `${uuidv7()} 450`,
  day: DAY,
  hand: 'Ada',
  at: '2026-03-10T06:30:00.000Z',
  ...over,
});
const send = (body: object) => server.as('ours').post('/api/chores').send(body);
const doneOn = async (day: string): Promise<{ id: string; about: string; hand: string | null }[]> =>
  (await server.as('ours').get(`/api/round/${day}`).expect(200)).body.done;

describe('a task of the round', () => {
  it('is said done, and stands in the round of its day alone', async () => {
    const chore = sample();
    const { body } = await send(chore).expect(201);
    expect(body).toEqual(chore);
    expect(await doneOn(DAY)).toContainEqual(chore);
    expect((await doneOn('2026-03-09')).map(({ id }) => id)).not.toContain(chore.id);
  });

  it('by two phones at once is done once, and both are told by whom', async () => {
    const about = `${uuidv7()} 1110`;
    const answers = await Promise.all(
      ['Ada', 'Ben', 'Ada'].map((hand) => send(sample({ about, hand }))),
    );
    expect(answers.map(({ status }) => status)).toEqual([201, 201, 201]);
    expect(new Set(answers.map(({ body }) => body.id)).size).toBe(1);
    expect((await doneOn(DAY)).filter((one) => one.about === about)).toHaveLength(1);
  });

  it('sent twice is written once; taken back it can be done anew', async () => {
    const chore = sample();
    await send(chore).expect(201);
    await send(chore).expect(201);
    const undo = () =>
      server
        .as('ours')
        .post(`/api/chores/${chore.id}/undo`)
        .send({ id: uuidv7(), at: chore.at })
        .expect(201);
    await undo();
    await undo();
    expect((await doneOn(DAY)).map(({ id }) => id)).not.toContain(chore.id);
    // A late copy of the first message is answered as it was, and does not do it again.
    await send(chore).expect(201);
    expect((await doneOn(DAY)).map(({ id }) => id)).not.toContain(chore.id);
    await send({ ...chore, id: uuidv7() }).expect(201);
  });

  it.each([
    ['a day that has not come', { day: '2026-03-12' }, 'day'],
    ['a time that has not come', { at: '2026-03-11T13:00:00Z' }, 'at'],
    ['nothing', { about: '  ' }, 'about'],
    ['a kind that there is not', { kind: 'dance' }, 'kind'],
    ['no time', { at: 'soon' }, 'at'],
  ])('of %s is refused in words', async (_, over, path) => {
    const { body } = await send(sample(over)).expect(422);
    expect(body.errors[0].path).toBe(path);
    expect(body.errors[0].message.length).toBeGreaterThan(5);
  });

  it('that nobody did cannot be taken back', async () => {
    await server
      .as('ours')
      .post(`/api/chores/${uuidv7()}/undo`)
      .send({ id: uuidv7(), at: '2026-03-10T06:30:00Z' })
      .expect(404);
  });
});

describe('quick phrases', () => {
  it('are the household’s own, at most twelve short ones', async () => {
    const { body } = await server.as('ours').get('/api/household').expect(200);
    expect(body.phrases).toEqual([]);
    const { id: _, ...values } = body;
    const put = (phrases: string[], version = body.version) =>
      server
        .as('ours')
        .put('/api/household')
        .send({ ...values, version, phrases });
    await put(['begging', 'slow today ']).expect(200);
    const again = await server.as('ours').get('/api/household').expect(200);
    expect(again.body.phrases).toEqual(['begging', 'slow today']);
    await put(
      Array.from({ length: 13 }, (_, at) => `p${at}`),
      again.body.version,
    ).expect(422);
    await put(['x'.repeat(41)], again.body.version).expect(422);
    await put([''], again.body.version).expect(422);
  });
});
