import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addDays } from '@open-larder/core/round';
import { makeLog } from '../log';
import { smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { backUpToday, outdated } from './daily';
import { restoreBackup } from './restore';

let server: TestServer;
let folder: string;
beforeAll(async () => {
  server = await startTestServer();
  folder = await mkdtemp(join(tmpdir(), 'backups-'));
});
afterAll(async () => {
  await rm(folder, { recursive: true });
  await server.close();
});

const run = () =>
  backUpToday({
    registry: server.people.registry,
    clock: { now: () => server.clock.at },
    folder,
    log: makeLog('silent'),
  });

describe('a backup each day', () => {
  it('is made once for each household, and can be restored', async () => {
    const { tank } = await smallHouse(server, 'ours');
    const [first] = (await run()).filter((name) =>
      name.endsWith(`${server.ids.ours.slice(-12)}.zip`),
    );
    expect(await run()).toEqual([]);
    const zip = new Uint8Array(await readFile(join(folder, first!)));
    const there = await startTestServer();
    try {
      await restoreBackup(there.scope('ours'), zip);
      const { body } = await there.as('ours').get('/api/tanks').expect(200);
      expect(body.items).toMatchObject([{ name: tank.name }]);
    } finally {
      await there.close();
    }
  });

  it('is made again on the next day, and leaves nothing half written', async () => {
    server.clock.at = new Date('2026-03-11T12:00:00Z');
    expect(await run()).toHaveLength(2);
    expect((await readdir(folder)).filter((name) => !name.endsWith('.zip'))).toEqual([]);
  });

  it('leaves alone what others keep in its folder', async () => {
    await writeFile(join(folder, 'notes.txt'), 'mine');
    server.clock.at = new Date('2027-03-11T12:00:00Z');
    await run();
    expect(await readdir(folder)).toContain('notes.txt');
  });
});

describe('what is kept of a year', () => {
  const house = '0123456789ab';
  const nameOf = (day: string) => `open-larder-${day}-${house}.zip`;

  it('is a week of days, five weeks, and a day of each month', () => {
    let kept: string[] = [];
    for (let at = 0; at < 400; at += 1) {
      kept.push(nameOf(addDays('2026-01-01', at)));
      const gone = new Set(outdated(kept));
      kept = kept.filter((name) => !gone.has(name));
    }
    const days = kept.map((name) => name.slice(12, 22));
    const today = addDays('2026-01-01', 399);
    for (let back = 0; back < 7; back += 1) expect(days).toContain(addDays(today, -back));
    expect(new Set(days.map((day) => day.slice(0, 7))).size).toBe(12);
    expect(days.length).toBeLessThanOrEqual(7 + 5 + 12);
    expect(days.filter((day) => day >= addDays(today, -35)).length).toBeGreaterThanOrEqual(10);
  });

  it('drops nothing while there is little, and one household’s never for another', () => {
    const few = [nameOf('2026-01-01'), 'open-larder-2026-01-02-ba9876543210.zip', 'else.zip'];
    expect(outdated(few)).toEqual([]);
  });
});
