import type { Erased } from '@open-larder/contract';
import { sha256 } from '../backup/format';
import { backupOf } from '../backup/write';
import { beginAnew } from '../household/create';
import type { Handlers } from '../http/mount';
import { conflict, invalid } from '../http/problems';
import { assertOwnPassword } from './ownPassword';
import type { PeopleParts } from './routes';
import { assertPerson } from './store';

/** What of a person stays with a household that goes on. */
const NAME_STAYS = (name: string): string =>
  `«${name}» stays beside what was logged: the records of a household are its own.`;
const FILES_STAY =
  'Backups that were saved as files, by hand or day by day, stay until they are deleted where they are.';

/** Leaving for good: a person, or a whole household. */
export function erasingRoutes(
  parts: PeopleParts,
): Pick<Handlers, 'exportMe' | 'eraseMe' | 'eraseHousehold'> {
  const { registry, offered } = parts;
  return {
    async exportMe(_request, { visitor }) {
      const { id } = assertPerson(visitor);
      const [kept] = await registry.rows<{ kept: object }>(
        `SELECT json_build_object(
           'name', p.name, 'email', p.email, 'since', p.since,
           'households', (SELECT json_agg(json_build_object('name', h.name, 'role', m.role, 'since', m.since))
                            FROM memberships m JOIN households h ON h.id = m.household_id
                           WHERE m.person_id = p.id),
           'devices', (SELECT json_agg(json_build_object('kind', s.sess ->> 'device', 'since', s.sess ->> 'since',
                                                         'seen', s.sess ->> 'seen'))
                         FROM sessions s WHERE s.sess ->> 'personId' = CAST(p.id AS text)),
           'passkeys', (SELECT json_agg(json_build_object('device', k.device, 'since', k.since, 'usedAt', k.used_at))
                          FROM passkeys k WHERE k.person_id = p.id),
           'codesLeft', (SELECT count(*) FROM recovery_codes c WHERE c.person_id = p.id AND c.used_at IS NULL)
         ) AS kept FROM people p WHERE p.id = :id`,
        { id },
      );
      return { fileName: 'my-account.json', text: `${JSON.stringify(kept!.kept, null, 2)}\n` };
    },

    async eraseMe({ body: { password } }, { visitor }) {
      const person = assertPerson(visitor);
      await assertOwnPassword(parts, visitor, person, password);
      await registry.atomically(async (inside) => {
        const alone = await inside.rows<{ name: string }>(
          `SELECT h.name FROM memberships m JOIN households h ON h.id = m.household_id
            WHERE m.person_id = :id AND m.role = 'owner'
              AND NOT EXISTS (SELECT 1 FROM memberships o
                               WHERE o.household_id = m.household_id AND o.role = 'owner'
                                 AND o.person_id <> m.person_id)
            ORDER BY h.name FOR UPDATE OF m`,
          { id: person.id },
        );
        if (alone.length > 0) {
          throw conflict(
            `You are the only owner of ${alone.map(({ name }) => name).join(', ')}. Make someone else an owner, or erase the household first.`,
          );
        }
        for (const sql of [
          'UPDATE invitations SET invited_by = NULL WHERE invited_by = :id RETURNING id',
          ...['memberships', 'recovery_codes', 'pairings', 'passkeys', 'passkey_challenges'].map(
            (table) => `DELETE FROM ${table} WHERE person_id = :id RETURNING person_id`,
          ),
          "DELETE FROM sessions WHERE sess ->> 'personId' = CAST(:id AS text) RETURNING sid",
          'DELETE FROM people WHERE id = :id RETURNING id',
        ]) {
          await inside.rows(sql, { id: person.id });
        }
      });
      await visitor.signOut();
      return { remains: [NAME_STAYS(person.name), FILES_STAY] } satisfies Erased;
    },

    async eraseHousehold({ body: { name, password, backup } }, { visitor, scope }) {
      const { person } = visitor.who!;
      if (person) await assertOwnPassword(parts, visitor, person, password);
      await scope.snapshot(async (inside) => {
        const [household] = await inside.rows<{ name: string; key: string; timeZone: string }>(
          'SELECT name, key, time_zone FROM households WHERE id = :household',
        );
        if (household?.name !== name.trim()) {
          throw invalid('name', 'this is not the name of the household that is open');
        }
        if (sha256(await backupOf(inside)) !== backup) {
          throw conflict('Something was logged since this backup was saved. Save it again first.');
        }
        await inside.rows("SELECT erase_household() AS erased WHERE :household <> ''");
        // The server begins with this one: an empty one waits in its place for its first owner.
        if (scope.householdId === offered) await beginAnew(inside, household);
      });
      return { remains: [FILES_STAY] } satisfies Erased;
    },
  };
}
