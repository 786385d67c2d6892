import type { Catalogue } from '@open-larder/catalogue/load';
import { QueryTypes, type Sequelize } from 'sequelize';
import { Scope } from '../db';
import { modelOf } from '../db/models';
import { catchUp } from '../forecasts/catchUp';
import { chanceFrom } from './chance';
import { writeHistory } from './history';
import { MOMENTS } from './scenario';

/** Fixed, so that two starts tell the same story. */
const SEED = 20_260_401;

/** Time enough to score the whole history. */
const WHOLE_MS = 120_000;

interface Wanted {
  key: 'demo' | 'empty';
  timeZone: string;
  now: Date;
}

/**
 * The household that is signed in by itself: found by its key, or made.
 * @returns its id
 */
export async function ensureHousehold(
  db: Sequelize,
  catalogue: Catalogue,
  { key, timeZone, now }: Wanted,
): Promise<string> {
  return db.transaction(async (transaction) => {
    await db.query('SELECT pg_advisory_xact_lock(hashtextextended(:key, 1))', {
      replacements: { key },
      transaction,
    });
    const [known] = await db.query<{ id: string }>('SELECT id FROM households WHERE key = :key', {
      type: QueryTypes.SELECT,
      replacements: { key },
      transaction,
    });
    if (known) return known.id;
    const chance = chanceFrom(SEED + (key === 'demo' ? 0 : 1));
    const id = chance.id(now);
    await modelOf(db, 'households').create(
      {
        id,
        key,
        name: key === 'demo' ? 'The Weir Room' : 'My fish room',
        timeZone,
        units: 'metric',
        temperature: 'C',
        hardness: 'dGH',
        clock: '24',
        weekStart: 1,
        currency: 'EUR',
        deliveryDays: 4,
        version: 1,
      },
      { transaction },
    );
    const scope = new Scope(db, id, transaction);
    const moments = MOMENTS.map(({ key: momentKey, ...moment }) => ({
      ...moment,
      key: momentKey,
      id: chance.id(now),
      version: 1,
      archived: false,
    }));
    await scope.insert(
      'moments',
      moments.map(({ key: _, ...moment }) => moment),
    );
    if (key === 'demo') {
      await writeHistory(scope, catalogue, { chance, timeZone, now, moments });
      // How right the forecasts were is worked out from that history, as it would have been day by day.
      await catchUp(scope, catalogue, { now: () => now }, WHOLE_MS);
    }
    return id;
  });
}
