import { Writable } from 'node:stream';
import express from 'express';
import pino from 'pino';
import supertest from 'supertest';
import { sayErrors } from './http/errors';
import { notFound } from './http/problems';
import { requestLog } from './log';

function listening() {
  const lines: string[] = [];
  const stream = new Writable({
    write(chunk: Buffer, _encoding, done) {
      lines.push(chunk.toString());
      done();
    },
  });
  const log = pino({ level: 'info', base: undefined }, stream);
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
  app.use(sayErrors(log));
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

  it('keeps the cause of a failure, which never leaves the server', async () => {
    const { app, lines } = listening();
    const { body } = await supertest(app).get('/api/broken').expect(500);
    expect(JSON.stringify(body)).not.toMatch(/secret|stack/);
    expect(body.detail).toMatch(/Nothing was changed/);
    expect(lines.join('')).toMatch(/a secret inside/);
  });

  it('does not call a missing thing a failure', async () => {
    const { app, lines } = listening();
    const { body } = await supertest(app).get('/api/missing').expect(404);
    expect(body.detail).toMatch(/This tank is not here/);
    expect(lines.join('')).not.toMatch(/"level":50.*a request failed/);
  });
});
