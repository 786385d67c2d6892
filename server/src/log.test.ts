import { Writable } from 'node:stream';
import express from 'express';
import supertest from 'supertest';
import { formatErrors } from './http/errors';
import { notFound } from './http/problems';
import { makeLog, requestLog } from './log';
import { sampleFood, sampleWaterTest, smallHouse } from './testing/samples';
import { startTestServer } from './testing/testServer';

function listening() {
  const lines: string[] = [];
  const stream = new Writable({
    write(chunk: Buffer, _encoding, done) {
      lines.push(chunk.toString());
      done();
    },
  });
  const log = makeLog('info', stream);
  const app = express();
  app.use(requestLog(log));
  app.use(express.json());
  app.post('/api/tanks', (_request, response) => void response.json({ ok: true }));
  app.get('/api/broken', () => {
    throw new Error('a secret inside');
  });
  app.get('/api/missing', () => {
    throw notFound('This tank');
  });
  app.use(formatErrors(log));
  return { app, lines };
}

describe('the log', () => {
  it('holds method, path and status, and nothing that people typed', async () => {
    const { app, lines } = listening();
    await supertest(app)
      .post('/api/tanks?search=grandmother')
      .set('Cookie', 'session=hush')
      .set('Authorization', 'Bearer hush')
      .send({ name: 'Aunt’s bedroom' })
      .expect(200);
    const line = lines.join('');
    expect(JSON.parse(line)).toMatchObject({
      req: { method: 'POST', path: '/api/tanks' },
      res: { status: 200 },
    });
    expect(line).not.toMatch(/grandmother|hush|bedroom|127\.0\.0\.1/);
  });

  it('keeps where a failure arose, and never what it says', async () => {
    const { app, lines } = listening();
    const { body } = await supertest(app).get('/api/broken').expect(500);
    expect(JSON.stringify(body)).not.toMatch(/secret|stack/);
    expect(body.detail).toMatch(/nothing is done twice/);
    const failure = lines.map((line) => JSON.parse(line)).find(({ err }) => err?.at);
    expect(failure.err).toMatchObject({ type: 'Error' });
    expect(failure.err.at[0]).toMatch(/log\.test\.ts/);
    expect(lines.join('')).not.toMatch(/a secret inside/);
  });

  it('does not call a missing thing a failure', async () => {
    const { app, lines } = listening();
    const { body } = await supertest(app).get('/api/missing').expect(404);
    expect(body.detail).toMatch(/This tank is not here/);
    expect(lines.join('')).not.toMatch(/"level":50.*a request failed/);
  });
});

describe('the log of a write that fails in the database', () => {
  it('holds no note, no name and no statement', async () => {
    const lines: string[] = [];
    const stream = new Writable({
      write(chunk: Buffer, _encoding, done) {
        lines.push(chunk.toString());
        done();
      },
    });
    const server = await startTestServer({ log: makeLog('info', stream) });
    const { ask, tank } = await smallHouse(server);
    await server.db.query('ALTER TABLE water_events RENAME COLUMN note TO remark');
    await server.db.query('ALTER TABLE foods ADD CHECK (name <> $$Grandmother$$)');
    const test = sampleWaterTest({ note: 'hush, the pond of the neighbour' });
    await ask.post(`/api/tanks/${tank.id}/water`).send(test).expect(500);
    await ask
      .post('/api/foods')
      .send(sampleFood({ name: 'Grandmother' }))
      .expect(422);
    await ask.post('/api/foods').send('{"name": "hush').type('json').expect(400);
    expect(lines.join('')).toContain('a request failed');
    expect(lines.join('')).not.toMatch(/hush|neighbour|Grandmother|remark|INSERT INTO|SELECT /);
    await server.close();
  });
});
