import { QueryTypes } from 'sequelize';
import { v7 as uuidv7 } from 'uuid';
import { startTestServer, type TestServer } from '../testing/testServer';
import { asAppRole } from './appRole';
import { migrate, STATES } from './migrate';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const DAY = '2026-02-01';
const ids = {
  moment: uuidv7(),
  tank: uuidv7(),
  group: uuidv7(),
  food: uuidv7(),
  lot: uuidv7(),
  serving: uuidv7(),
  feeding: uuidv7(),
  undone: uuidv7(),
};

/** A house as the first version wrote it down: fish that are fed, a serving that was taken back. */
const firstHouse = (household: string): string => `
INSERT INTO households (id, key, name, time_zone, units, clock, week_start, currency)
VALUES ('${household}', 'empty', 'Old house', 'Europe/Berlin', 'metric', '24', 1, 'EUR');
INSERT INTO moments (id, household_id, name, anchor, minutes)
VALUES ('${ids.moment}', '${household}', 'Evening', 'clock', 1080);
INSERT INTO tanks (id, household_id, name, length_cm, width_cm, height_cm, temp_c, light_on_min,
                   light_off_min, walk_order)
VALUES ('${ids.tank}', '${household}', 'Window', 60, 30, 35, 24, 600, 1260, 1);
INSERT INTO groups (id, household_id, name, species_key)
VALUES ('${ids.group}', '${household}', 'Danios', 'danio-rerio');
INSERT INTO stays (id, household_id, group_id, tank_id, during)
VALUES ('${uuidv7()}', '${household}', '${ids.group}', '${ids.tank}', '[${DAY},)');
INSERT INTO group_events (id, household_id, group_id, kind, day, males, females, unsexed)
VALUES ('${uuidv7()}', '${household}', '${ids.group}', 'arrived', '${DAY}', 4, 4, 0);
INSERT INTO group_events (id, household_id, group_id, kind, day, length_cm)
VALUES ('${uuidv7()}', '${household}', '${ids.group}', 'measured', '${DAY}', 4);
INSERT INTO group_events (id, household_id, group_id, kind, day, stage)
VALUES ('${uuidv7()}', '${household}', '${ids.group}', 'staged', '${DAY}', 'adult');
INSERT INTO foods (id, household_id, name, family, kind, form, protein, fat, fibre, ash, moisture,
                   plant_share, unit_name, unit_plural, unit_mass_g, unit_step)
VALUES ('${ids.food}', '${household}', 'Flake', 'grain', 'dry', 'floats', 0.46, 0.08, 0.03, 0.1, 0.07,
        0.4, 'pinch', 'pinches', 0.05, 0.25);
INSERT INTO lots (id, household_id, food_id, amount_g, bought_on)
VALUES ('${ids.lot}', '${household}', '${ids.food}', 50, '${DAY}');
INSERT INTO diets (household_id, group_id, version, valid_from, fast_weekdays)
VALUES ('${household}', '${ids.group}', 1, '${DAY}', '{7}');
INSERT INTO diet_servings (household_id, group_id, version, position, id, food_id, moment_id, zone,
                           place, weekdays, weight)
VALUES ('${household}', '${ids.group}', 1, 1, '${ids.serving}', '${ids.food}', '${ids.moment}', 'surface',
        'front left', '{1,2,3,4,5,6}', 1);
INSERT INTO feedings (id, household_id, undoes, serving_id, day, at, group_id, food_id, outcome,
                      planned_units, units, mass_g, note)
VALUES ('${ids.feeding}', '${household}', NULL, '${ids.serving}', '2026-03-10', '2026-03-10T17:00:00Z',
        '${ids.group}', '${ids.food}', 'served', 1, 1, 0.05, ''),
       ('${ids.undone}', '${household}', NULL, '${ids.serving}', '2026-03-09', '2026-03-09T17:00:00Z',
        '${ids.group}', '${ids.food}', 'served', 1, 1, 0.05, '');
INSERT INTO feedings (id, household_id, undoes, serving_id, day, at, group_id, food_id, outcome,
                      planned_units, units, mass_g, note)
VALUES ('${uuidv7()}', '${household}', '${ids.undone}', '${ids.serving}', '2026-03-09',
        '2026-03-09T17:01:00Z', '${ids.group}', '${ids.food}', 'served', 1, 1, 0.05, '');
INSERT INTO stock_events (id, household_id, lot_id, kind, delta_g, day, feeding_id)
VALUES ('${uuidv7()}', '${household}', '${ids.lot}', 'bought', 50, '${DAY}', NULL),
       ('${uuidv7()}', '${household}', '${ids.lot}', 'drawn', -0.05, '2026-03-10', '${ids.feeding}');
`;

const total = async (sql: string): Promise<number> => {
  const [row] = await server.db.query<{ n: string }>(sql, { type: QueryTypes.SELECT });
  return Number(row!.n);
};

it('a house of the first version is carried through every state to the newest, and is read there', async () => {
  await server.db.query('DROP SCHEMA public CASCADE; CREATE SCHEMA public');
  expect(await migrate(server.db, STATES[0])).toEqual([STATES[0]]);
  await server.db.query(firstHouse(server.ids.ours));
  for (const state of STATES.slice(1)) {
    expect(await migrate(server.db, state)).toEqual([state]);
    expect(await total('SELECT count(*) AS n FROM feedings')).toBe(3);
    expect(await total('SELECT remaining_g AS n FROM lots')).toBeCloseTo(49.95, 6);
    expect(await total('SELECT count(*) AS n FROM diet_servings')).toBe(1);
  }
  expect(await migrate(server.db)).toEqual([]);
  await asAppRole(server.db, process.env.OPEN_LARDER_TEST_DB_URL!);

  const ask = server.as('ours');
  const { body: tanks } = await ask.get('/api/tanks').expect(200);
  expect(tanks.items).toMatchObject([{ id: ids.tank, name: 'Window', tempC: 24 }]);
  const { body: groups } = await ask.get('/api/groups').expect(200);
  expect(groups.items).toMatchObject([{ id: ids.group, tankId: ids.tank, name: 'Danios' }]);
  expect(JSON.stringify(groups.items[0])).toContain('"males":4');
  const { body: round } = await ask.get('/api/round/2026-03-10').expect(200);
  const servings = round.moments.flatMap((moment: { stops: { servings: object[] }[] }) =>
    moment.stops.flatMap((stop) => stop.servings),
  );
  expect(servings).toMatchObject([{ servingId: ids.serving, fed: { id: ids.feeding } }]);
  // What was taken back stays taken back; Sunday, 8 March, was without food and still is.
  const { body: before } = await ask.get('/api/round/2026-03-09').expect(200);
  expect(JSON.stringify(before)).not.toContain(ids.undone);
  const { body: backup } = await ask.get('/api/backup').expect(200);
  expect(backup.base64.length).toBeGreaterThan(1000);
});
