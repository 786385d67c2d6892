import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { Umzug, type UmzugStorage } from 'umzug';
import * as house from './migrations/0001-house';
import * as knowTheFish from './migrations/0002-know-the-fish';
import * as knowTheLarder from './migrations/0003-know-the-larder';
import * as shelf from './migrations/0004-shelf';
import * as recipes from './migrations/0005-recipes';
import * as manner from './migrations/0006-manner';
import * as sightings from './migrations/0007-sightings';
import * as plans from './migrations/0008-plans';
import * as chores from './migrations/0009-chores';
import * as looks from './migrations/0010-looks';
import * as proposals from './migrations/0011-proposals';
import * as vessels from './migrations/0012-vessels';
import * as broods from './migrations/0013-broods';
import * as waterAndGrowth from './migrations/0014-water-and-growth';
import * as correction from './migrations/0015-correction';
import * as trialsAndRatings from './migrations/0016-trials-and-ratings';
import * as receipts from './migrations/0017-receipts';
import * as pieces from './migrations/0018-pieces';
import * as mealEnds from './migrations/0019-meal-ends';
import * as checkpoints from './migrations/0020-checkpoints';
import * as eggDays from './migrations/0021-egg-days';
import * as existingCultures from './migrations/0022-existing-cultures';
import * as forecasts from './migrations/0023-forecasts';
import * as activeEvents from './migrations/0024-active-events';
import * as feedingStyle from './migrations/0025-feeding-style';
import * as signsAsFigures from './migrations/0026-signs-as-figures';
import * as youngAreFed from './migrations/0027-young-are-fed';
import * as broodCheckpoints from './migrations/0028-checkpoints-of-broods';
import * as pins from './migrations/0029-pins';
import * as periods from './migrations/0030-periods';
import * as people from './migrations/0031-people';
import * as walls from './migrations/0032-walls-between-households';
import * as passkeys from './migrations/0033-passkeys';
import * as erasing from './migrations/0034-erasing';
import * as changes from './migrations/0035-changes';
import * as countsAtAnInstant from './migrations/0036-counts-at-an-instant';
import * as countsOfALot from './migrations/0037-counts-of-a-lot';
import * as aServingOfADay from './migrations/0038-a-serving-of-a-day';

const MIGRATIONS = [
  house,
  knowTheFish,
  knowTheLarder,
  shelf,
  recipes,
  manner,
  sightings,
  plans,
  chores,
  looks,
  proposals,
  vessels,
  broods,
  waterAndGrowth,
  correction,
  trialsAndRatings,
  receipts,
  pieces,
  mealEnds,
  checkpoints,
  eggDays,
  existingCultures,
  forecasts,
  activeEvents,
  feedingStyle,
  signsAsFigures,
  youngAreFed,
  broodCheckpoints,
  pins,
  periods,
  people,
  walls,
  passkeys,
  erasing,
  changes,
  countsAtAnInstant,
  countsOfALot,
  aServingOfADay,
];
/** Their names, the oldest first: the states that a database may be found in. */
export const STATES: readonly string[] = MIGRATIONS.map(({ name }) => name);
/** Arbitrary but fixed: two servers that start together migrate one after the other. */
const LOCK = 741_093_122;

/**
 * Bring the database to its newest shape, in one transaction: after a crash it is as it was.
 * @param to the last one to run, where it is not the newest
 * @returns names of the migrations that ran
 */
export async function migrate(db: Sequelize, to?: string): Promise<string[]> {
  return db.transaction(async (transaction) => {
    await db.query(`SELECT pg_advisory_xact_lock(${LOCK})`, { transaction });
    await db.query(
      'CREATE TABLE IF NOT EXISTS migrations (name text PRIMARY KEY, ran_at timestamptz DEFAULT now())',
      { transaction },
    );
    const umzug = new Umzug({
      migrations: MIGRATIONS.map(({ name, up }) => ({
        name,
        up: async () => {
          await db.query(up, { transaction });
        },
      })),
      storage: storageIn(db, transaction),
      logger: undefined,
    });
    return (await umzug.up(to === undefined ? {} : { to })).map((migration) => migration.name);
  });
}

/** What ran is written in the same transaction as what it did. */
function storageIn(db: Sequelize, transaction: Transaction): UmzugStorage {
  return {
    async executed() {
      const rows = await db.query<{ name: string }>('SELECT name FROM migrations ORDER BY name', {
        type: QueryTypes.SELECT,
        transaction,
      });
      return rows.map((row) => row.name);
    },
    async logMigration({ name }) {
      await db.query('INSERT INTO migrations (name) VALUES (:name)', {
        replacements: { name },
        transaction,
      });
    },
    async unlogMigration({ name }) {
      await db.query('DELETE FROM migrations WHERE name = :name', {
        replacements: { name },
        transaction,
      });
    },
  };
}
