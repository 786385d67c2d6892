import { formatQuantity } from '@open-larder/say';
import type { Catalogue } from '@open-larder/catalogue/load';
import type { UnitChoice } from '@open-larder/core/units';
import type { LabelKind } from '@open-larder/contract';
import { z } from 'zod';
import type { Scope } from '../db';
import type { Label } from './sheet';

interface About {
  scope: Scope;
  catalogue: Catalogue;
  units: UnitChoice;
  /** What stands before the kind and the id of a thing. */
  address: string;
}

const named = z.object({ id: z.string(), name: z.string() });

/** What there is to stick a label to, in the order in which it is walked to. */
export const LABELLED: Record<LabelKind, (about: About) => Promise<Label[]>> = {
  async tanks({ scope, address }) {
    const rows = await scope.read(
      named.extend({ groups: z.string().nullable() }),
      `SELECT t.id, t.name, string_agg(g.name, ', ' ORDER BY g.name) AS groups
         FROM tanks t
         LEFT JOIN stays s ON s.household_id = t.household_id AND s.tank_id = t.id
                          AND upper_inf(s.during)
         LEFT JOIN groups g ON g.id = s.group_id AND g.ended_on IS NULL
        WHERE t.household_id = :household AND NOT t.archived
        GROUP BY t.id ORDER BY t.walk_order, t.id`,
    );
    return rows.map(({ id, name, groups }) => ({
      name,
      detail: groups ?? '',
      address: `${address}/tanks/${id}`,
    }));
  },
  async cultures({ scope, catalogue, address }) {
    const rows = await scope.read(
      named.extend({ kindKey: z.string() }),
      `SELECT v.id, v.name, v.kind_key FROM vessels v
        WHERE v.household_id = :household
          AND NOT EXISTS (SELECT 1 FROM active_vessel_events e
                           WHERE e.household_id = v.household_id AND e.vessel_id = v.id
                             AND e.kind = 'ended')
        ORDER BY v.name, v.id`,
    );
    const kinds = new Map(catalogue.cultures.map(({ key, name }) => [key, name]));
    return rows.map(({ id, name, kindKey }) => ({
      name,
      detail: kinds.get(kindKey) ?? '',
      address: `${address}/cultures/${id}`,
    }));
  },
  async tubs({ scope, units, address }) {
    const rows = await scope.read(
      named.extend({ brood: z.string(), broodId: z.string(), litres: z.number() }),
      `SELECT t.id, t.name, t.litres, b.id AS brood_id, b.name AS brood
         FROM brood_tubs t JOIN broods b ON b.household_id = t.household_id AND b.id = t.brood_id
        WHERE t.household_id = :household
          AND NOT EXISTS (SELECT 1 FROM active_brood_events e
                           WHERE e.household_id = b.household_id AND e.brood_id = b.id
                             AND e.kind = 'ended')
        ORDER BY b.name, t.name, t.id`,
    );
    return rows.map(({ name, brood, broodId, litres }) => ({
      name,
      detail: `${brood}, ${formatQuantity(units, 'volume', litres)}`,
      address: `${address}/broods/${broodId}`,
    }));
  },
};
