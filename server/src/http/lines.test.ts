import { routes, type Route } from '@open-larder/contract';
import express from 'express';
import { once } from 'node:events';
import type { AddressInfo } from 'node:net';
import { makeLog } from '../log';
import { formatErrors } from './errors';
import { linesTo, type Reporting } from './lines';
import { conflict } from './problems';

const NEWS = { done: 3, of: 40 };

/** A server of one address, whose answer is worked out by `work`. */
async function serve(work: (reporting: Reporting<'balancePlan'>) => Promise<unknown>) {
  const app = express();
  app.post('/', async (_request, response) => {
    const lines = linesTo(response, routes.balancePlan as unknown as Route);
    lines.answer(await work(lines.reporting as Reporting<'balancePlan'>));
  });
  app.use(formatErrors(makeLog('silent')));
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  return {
    ask: (init: RequestInit = {}) =>
      fetch(`http://127.0.0.1:${port}/`, { method: 'POST', ...init }),
    close: () => server.close(),
  };
}

describe('an answer that tells how far it is', () => {
  it('is plain JSON where nothing is told', async () => {
    const { ask, close } = await serve(async () => ({ done: true }));
    const response = await ask();
    expect(response.status).toBe(201);
    expect(await response.json()).toEqual({ done: true });
    close();
  });

  it('is sent line by line as it goes, the answer last', async () => {
    let goOn = () => {};
    const until = new Promise<void>((resolve) => (goOn = resolve));
    const { ask, close } = await serve(async ({ report }) => {
      report(NEWS);
      await until;
      return { done: true };
    });
    const reader = (await ask()).body!.getReader();
    const next = async () => new TextDecoder().decode((await reader.read()).value);
    // The first line is here while the work waits for this test.
    expect(JSON.parse(await next())).toEqual({ progress: NEWS });
    goOn();
    expect(JSON.parse(await next())).toEqual({ answer: { done: true } });
    close();
  });

  it('says what went wrong as a problem before the first line, as a line after it', async () => {
    const early = await serve(async () => {
      throw conflict('Two at once.');
    });
    const refused = await early.ask();
    expect(refused.status).toBe(409);
    expect(await refused.json()).toMatchObject({ detail: 'Two at once.' });
    early.close();
    const late = await serve(async ({ report }) => {
      report(NEWS);
      throw new Error('a secret of the inside');
    });
    const [, last] = (await (await late.ask()).text()).trim().split('\n');
    expect(JSON.parse(last!)).toMatchObject({ problem: { status: 500, type: 'about:blank' } });
    expect(last).not.toContain('secret');
    late.close();
  });

  it('shows the work when nobody waits any more', async () => {
    let ended: () => void;
    const noticed = new Promise<void>((resolve) => (ended = resolve));
    const { ask, close } = await serve(async ({ report, gone }) => {
      gone.addEventListener('abort', () => ended());
      report(NEWS);
      await noticed;
      return {};
    });
    const leaving = new AbortController();
    await (await ask({ signal: leaving.signal })).body!.getReader().read();
    leaving.abort();
    await noticed;
    close();
  });

  it('never shows what the table does not know', async () => {
    const { ask, close } = await serve(async ({ report }) => {
      report({ ...NEWS, secret: 1 } as typeof NEWS);
      return {};
    });
    expect(await (await ask()).text()).not.toContain('secret');
    close();
  });
});
