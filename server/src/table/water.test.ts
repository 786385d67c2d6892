import type { TableReport, WaterEventRow } from '@open-larder/contract';
import { sampleTank } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
const tank = sampleTank({ name: 'Millpond' });
beforeAll(async () => {
  server = await startTestServer();
  await server.as('ours').post('/api/tanks').send(tank).expect(201);
});
afterAll(() => server.close());

const take = async (text: string, write = true): Promise<TableReport> =>
  (await server.as('ours').post('/api/tables/water').send({ text, write }).expect(201)).body;
const events = async (): Promise<WaterEventRow[]> =>
  (await server.as('ours').get(`/api/tanks/${tank.id}/water`).expect(200)).body.items;

describe('tests and changes of water as a table', () => {
  it('in nitrate nitrogen come in as nitrate, and a line with a share is a change', async () => {
    const report = await take(
      'tank,day,Nitrate (NO3-N),pH,changed\nMillpond,2026-02-01,4.1,6.9,\nMillpond,2026-02-02,,,25 %',
    );
    expect(report.counts).toEqual({ new: 2, same: 0, changed: 0, error: 0 });
    const [change, test] = await events();
    expect(change).toMatchObject({ kind: 'changed', share: 0.25, nitrate: null });
    expect(test!.nitrate).toBeCloseTo(18.15, 1);
    expect(test!.ph).toBe(6.9);
  });

  it('pasted twice say nothing new', async () => {
    const text = 'tank,day,nitrate_NO3_mg_l\nMillpond,2026-02-09,20';
    expect((await take(text)).counts.new).toBe(1);
    expect((await take(text)).counts).toMatchObject({ new: 0, same: 1 });
  });

  it('without a unit are taken as the usual one, and marked as guessed', async () => {
    const report = await take('tank,day,Nitrate\nMillpond,2026-02-10,20', false);
    expect(report.lines[0]!.cells[2]).toMatchObject({ state: 'guessed' });
    expect(report.lines[0]!.cells[2]!.says).toMatch(/NO3/);
    expect(report.written).toBe(false);
  });

  it.each([
    ['an unknown tank', 'tank,day,ph\nNowhere,2026-02-01,7', 0],
    ['a day to come', 'tank,day,ph\nMillpond,2027-02-01,7', 1],
    ['a unit that nobody knows', 'tank,day,Nitrate (spoons)\nMillpond,2026-02-01,7', 2],
    ['a pH that cannot be', 'tank,day,ph\nMillpond,2026-02-01,70', 2],
    ['no number', 'tank,day,ph\nMillpond,2026-02-01,acid', 2],
  ])('with %s are refused at the cell, all or none', async (_, text, cell) => {
    const before = (await events()).length;
    const report = await take(`${text}\n`);
    expect(report.lines[0]!.cells[cell]!.state).toBe('error');
    expect(report.lines[0]!.cells[cell]!.says!.length).toBeGreaterThan(8);
    expect((await events()).length).toBe(before);
  });

  it('go out and come in again as they are', async () => {
    const { body } = await server.as('ours').get('/api/tables/water').expect(200);
    expect(body.text.split('\n')[0]).toContain('nitrate_NO3_mg_l');
    const report = await take(body.text, false);
    expect(report.counts).toMatchObject({ new: 0, changed: 0, error: 0 });
    expect(report.counts.same).toBeGreaterThan(2);
  });
});
