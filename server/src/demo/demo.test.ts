import { loadCatalogue } from '@open-larder/catalogue/load';
import { QueryTypes } from 'sequelize';
import { readBroodStatuses } from '../brood/status';
import { broods } from '../brood/store';
import { Scope } from '../db';
import { count, startTestServer, type TestServer } from '../testing/testServer';
import { chanceFrom } from './chance';
import { ensureHousehold } from './household';
import { HISTORY_DAYS } from './scenario';

let server: TestServer;
const now = new Date('2026-03-29T18:00:00Z');
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const wanted = { key: 'demo' as const, timeZone: 'Europe/Berlin', now };

describe('the demo household', () => {
  it('is told once, with eight weeks behind it and the day of today half served', async () => {
    const id = await ensureHousehold(server.db, loadCatalogue(), wanted);
    const rows = await count(server.db, 'feedings');
    expect(await ensureHousehold(server.db, loadCatalogue(), wanted)).toBe(id);
    expect(await count(server.db, 'feedings')).toBe(rows);
    const [span] = await server.db.query<{ days: number; last: string }>(
      'SELECT count(DISTINCT day) AS days, max(at)::text AS last FROM feedings',
      { type: QueryTypes.SELECT },
    );
    expect(span?.days).toBe(HISTORY_DAYS + 1);
    expect(new Date(span?.last ?? 0).getTime()).toBeLessThanOrEqual(now.getTime());
  });

  it('has its faults to find: a tub running out, and no lot below nothing', async () => {
    const lots = await server.db.query<{ name: string; remainingG: number }>(
      'SELECT f.name, l.remaining_g AS "remainingG" FROM lots l JOIN foods f ON f.id = l.food_id',
      { type: QueryTypes.SELECT },
    );
    expect(Math.min(...lots.map((lot) => lot.remainingG))).toBeGreaterThanOrEqual(0);
    const powder = lots.find((lot) => lot.name === 'Fry powder');
    expect(powder?.remainingG).toBeLessThan(0.6);
    expect(powder?.remainingG).toBeGreaterThan(0.02);
  });

  it('has a brood at day nine, whose tub wants its water changed today', async () => {
    const id = await ensureHousehold(server.db, loadCatalogue(), wanted);
    const scope = new Scope(server.db, id);
    const kept = await broods(scope, null, null);
    const report = await readBroodStatuses(scope, loadCatalogue(), { now: () => now }, kept);
    const [before, brood] = [report[0]!, report[1]!];
    expect(before.status.state).toMatchObject({ phase: 'over', ended: 'ended', rehomed: 14 });
    expect(brood.status.state).toMatchObject({ phase: 'fry', count: 38 });
    expect(brood.status.swim!.day).toBe('2026-03-20');
    expect(brood.status.feeds.length).toBeGreaterThan(0);
    expect(brood.work.map(({ what }) => what)).toContain('change');
  });

  it('an empty household starts with moments alone', async () => {
    const before = await count(server.db, 'tanks');
    await ensureHousehold(server.db, loadCatalogue(), { ...wanted, key: 'empty' });
    expect(await count(server.db, 'tanks')).toBe(before);
  });

  it('the same seed tells the same story', () => {
    const draw = () => Array.from({ length: 5 }, chanceFrom(7).next);
    expect(draw()).toEqual(draw());
    expect(chanceFrom(7).id(now)).toBe(chanceFrom(7).id(now));
  });
});
