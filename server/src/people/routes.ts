import type { Role } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Clock } from '../clock';
import type { Registry } from '../db';
import { createHousehold } from '../household/create';
import type { Handlers } from '../http/mount';
import { conflict, invalid, notAllowed, notFound, ProblemError } from '../http/problems';
import { digestOf, newLinkCode } from './codes';
import { erasingRoutes } from './erasing';
import { assertOwnPassword } from './ownPassword';
import { passkeyRoutes } from './passkeys';
import { isPassword } from './passwords';
import {
  assertPerson,
  createPerson,
  hasOwner,
  join,
  meOf,
  membersOf,
  personBy,
  replaceCodes,
  setPassword,
  setRole,
  useRecoveryCode,
  whoIs,
} from './store';
import type { Visitor } from './visitor';
import type { Waits } from './waits';

const DAY_MS = 86_400_000;
const PAIRING_MS = 120_000;

export interface PeopleParts {
  registry: Registry;
  clock: Clock;
  waits: Waits;
  /** The household that waits for its first owner. */
  offered: string;
  /** Asked of the first owner who is not at the machine itself; null where none was printed. */
  setUpCode: string | null;
  /** What a phone opens to reach this server; null where it answers on this machine alone. */
  address: string | null;
}

const WRONG = 'The name or the password is not right.';
const refused = (detail: string) =>
  new ProblemError({ status: 401, title: 'That did not work', detail });
const gone = (what: string) =>
  new ProblemError({
    status: 410,
    title: 'No longer good',
    detail: `${what} is used up, was withdrawn or is too old. Ask for a new one.`,
  });

export function peopleRoutes(parts: PeopleParts) {
  const { registry, clock, waits, offered, setUpCode } = parts;
  const meNow = async (visitor: Visitor, personId: string, householdId: string | null) => {
    await visitor.signIn(personId, householdId);
    return meOf(parts, await whoIs(registry, personId, householdId));
  };
  const devicesOf = async (visitor: Visitor) => {
    const { id } = assertPerson(visitor);
    const rows = await registry.rows<Record<'id' | 'name' | 'since' | 'seen', string>>(
      `SELECT sess ->> 'deviceId' AS id, sess ->> 'device' AS name, sess ->> 'since' AS since,
              sess ->> 'seen' AS seen
         FROM sessions WHERE sess ->> 'personId' = :id AND expire > now()
        ORDER BY sess ->> 'seen' DESC, sid`,
      { id },
    );
    return { devices: rows.map((row) => ({ ...row, here: row.id === visitor.deviceId })) };
  };
  const peopleOf = async ({ who }: Visitor) => ({
    people: (await membersOf(registry, who!.household!.id)).map((one) => ({
      ...one,
      since: one.since.toISOString(),
      you: one.id === who!.person?.id,
    })),
  });
  const invitationsOf = async ({ who }: Visitor) => {
    const rows = await registry.rows<{
      id: string;
      role: Role;
      invitedBy: string | null;
      expiresAt: Date;
    }>(
      `SELECT i.id, i.role, p.name AS invited_by, i.expires_at
         FROM invitations i LEFT JOIN people p ON p.id = i.invited_by
        WHERE i.household_id = :household AND i.ended_at IS NULL AND i.expires_at > :now
        ORDER BY i.expires_at, i.id`,
      { household: who!.household!.id, now: clock.now() },
    );
    return {
      invitations: rows.map((row) => ({
        ...row,
        invitedBy: row.invitedBy ?? 'The keeper',
        expiresAt: row.expiresAt.toISOString(),
      })),
    };
  };
  const openInvitation = async (code: string, inside = registry) => {
    const [row] = await inside.rows<{
      id: string;
      householdId: string;
      household: string;
      role: Role;
      invitedBy: string | null;
      expiresAt: Date;
    }>(
      `SELECT i.id, i.household_id, h.name AS household, i.role, p.name AS invited_by, i.expires_at
         FROM invitations i JOIN households h ON h.id = i.household_id
         LEFT JOIN people p ON p.id = i.invited_by
        WHERE i.digest = :digest AND i.ended_at IS NULL AND i.expires_at > :now`,
      { digest: digestOf(code), now: clock.now() },
    );
    if (!row) throw gone('This invitation');
    return { ...row, invitedBy: row.invitedBy ?? 'The keeper' };
  };
  const assertMayBegin = async (visitor: Visitor, typed: string) => {
    if (visitor.onThisMachine) return;
    const right = await waits.guard(visitor.from, 'first owner', async () =>
      setUpCode !== null && typed.toUpperCase() === setUpCode ? true : null,
    );
    if (right) return;
    throw invalid(
      'setUpCode',
      setUpCode === null
        ? 'the first owner signs up on the machine that the server runs on'
        : 'this is not the code that was printed where the server was started',
    );
  };

  return {
    ...passkeyRoutes(parts, meNow),
    ...erasingRoutes(parts),

    getMe: (_request, { visitor }) => meOf(parts, visitor.who),

    async beginHouse({ body }, { visitor }) {
      if (visitor.who) throw conflict('You are signed in already.');
      await assertMayBegin(visitor, body.setUpCode);
      const { id, codes } = await registry.atomically(async (inside) => {
        await inside.lock(offered);
        if (await hasOwner(inside, offered)) {
          throw conflict('This house has an owner already. Ask them for an invitation.');
        }
        const person = await createPerson(inside, body, clock.now());
        await join(inside, person.id, offered, 'owner', clock.now());
        return person;
      });
      return { me: await meNow(visitor, id, offered), codes };
    },

    async signIn({ body: { who, password } }, { visitor }) {
      const person = await waits.guard(visitor.from, who, async () => {
        const known = await personBy(registry, who);
        return (await isPassword(known?.passwordHash ?? null, password)) ? known : null;
      });
      if (!person) throw refused(WRONG);
      return meNow(visitor, person.id, null);
    },

    async recoverAccount({ body: { who, code, password } }, { visitor }) {
      const person = await waits.guard(visitor.from, who, () =>
        registry.atomically(async (inside) => {
          const known = await personBy(inside, who);
          if (!known || !(await useRecoveryCode(inside, known.id, code, clock.now()))) return null;
          // A password that is refused uses no code up: all of it is undone together.
          await setPassword(inside, known, password);
          return known;
        }),
      );
      if (!person) throw refused('The name or the code is not right, or the code was used before.');
      return meNow(visitor, person.id, null);
    },

    async signOut(_request, { visitor }) {
      if (visitor.who?.person) await visitor.signOut();
      return meOf(parts, visitor.who?.person ? null : visitor.who);
    },

    async changePassword({ body: { current, password } }, { visitor }) {
      const person = assertPerson(visitor);
      await assertOwnPassword(parts, visitor, person, current, 'current');
      await setPassword(registry, person, password);
      return meNow(visitor, person.id, visitor.who!.household?.id ?? null);
    },

    async makeCodes({ body: { password } }, { visitor }) {
      const person = assertPerson(visitor);
      await assertOwnPassword(parts, visitor, person, password);
      return { codes: await replaceCodes(registry, person.id) };
    },

    listDevices: (_request, { visitor }) => devicesOf(visitor),

    async signOutDevice({ params: { id } }, { visitor }) {
      const person = assertPerson(visitor);
      const ended = await registry.rows(
        `DELETE FROM sessions
          WHERE sess ->> 'personId' = :person AND sess ->> 'deviceId' = :id RETURNING sid`,
        { person: person.id, id },
      );
      if (ended.length === 0) throw notFound('This device');
      return devicesOf(visitor);
    },

    async makePairing(_request, { visitor }) {
      const person = assertPerson(visitor);
      const code = newLinkCode();
      const expiresAt = new Date(clock.now().getTime() + PAIRING_MS);
      await registry.rows(
        `INSERT INTO pairings (digest, person_id, household_id, expires_at)
         VALUES (:digest, :person, :household, :expiresAt) RETURNING digest`,
        {
          digest: digestOf(code),
          person: person.id,
          household: visitor.who!.household?.id ?? null,
          expiresAt,
        },
      );
      return { code, expiresAt: expiresAt.toISOString() };
    },

    async usePairing({ body: { code } }, { visitor }) {
      const used = await waits.guard(visitor.from, 'pairing', async () => {
        const [row] = await registry.rows<{ personId: string; householdId: string | null }>(
          `UPDATE pairings SET used_at = :now
            WHERE digest = :digest AND used_at IS NULL AND expires_at > :now
            RETURNING person_id, household_id`,
          { digest: digestOf(code), now: clock.now() },
        );
        return row ?? null;
      });
      if (!used) throw gone('This link');
      return meNow(visitor, used.personId, used.householdId);
    },

    async chooseHousehold({ body: { id } }, { visitor }) {
      const person = assertPerson(visitor);
      const who = await whoIs(registry, person.id, id);
      if (who?.household?.id !== id) throw notFound('This household');
      await visitor.moveTo(id);
      return meOf(parts, who);
    },

    async beginHousehold({ body: { name } }, { visitor }) {
      const person = assertPerson(visitor);
      const id = uuidv7();
      await registry.atomically(async (inside) => {
        await createHousehold(inside, { id, name, like: visitor.who!.household?.id ?? offered });
        await join(inside, person.id, id, 'owner', clock.now());
      });
      await visitor.moveTo(id);
      return meOf(parts, await whoIs(registry, person.id, id));
    },

    listPeople: (_request, { visitor }) => peopleOf(visitor),

    async editRole({ params: { id }, body: { role } }, { visitor }) {
      await setRole(registry, visitor.who!.household!.id, id, role);
      return peopleOf(visitor);
    },

    async removePerson({ params: { id } }, { visitor }) {
      if (id === visitor.who!.person?.id) {
        throw notAllowed('To go yourself, choose «Leave this household».');
      }
      await setRole(registry, visitor.who!.household!.id, id, null);
      return peopleOf(visitor);
    },

    async leaveHousehold(_request, { visitor }) {
      const person = assertPerson(visitor);
      await setRole(registry, visitor.who!.household!.id, person.id, null);
      const who = await whoIs(registry, person.id, null);
      await visitor.moveTo(who?.household?.id ?? null);
      return meOf(parts, who);
    },

    listInvitations: (_request, { visitor }) => invitationsOf(visitor),

    async createInvitation({ body: { role, days } }, { visitor }) {
      const { person, household } = visitor.who!;
      assertPerson(visitor);
      const code = newLinkCode();
      const id = uuidv7();
      const expiresAt = new Date(clock.now().getTime() + days * DAY_MS);
      await registry.rows(
        `INSERT INTO invitations (id, household_id, role, invited_by, digest, expires_at)
         VALUES (:id, :household, :role, :person, :digest, :expiresAt) RETURNING id`,
        {
          id,
          household: household!.id,
          role,
          person: person!.id,
          digest: digestOf(code),
          expiresAt,
        },
      );
      return { id, role, invitedBy: person!.name, expiresAt: expiresAt.toISOString(), code };
    },

    async withdrawInvitation({ params: { id } }, { visitor }) {
      const ended = await registry.rows(
        `UPDATE invitations SET ended_at = :now
          WHERE id = :id AND household_id = :household AND ended_at IS NULL RETURNING id`,
        { id, household: visitor.who!.household!.id, now: clock.now() },
      );
      if (ended.length === 0) throw notFound('This invitation');
      return invitationsOf(visitor);
    },

    async seeInvitation({ body: { code } }) {
      const { household, role, invitedBy, expiresAt } = await openInvitation(code);
      return { household, role, invitedBy, expiresAt: expiresAt.toISOString() };
    },

    async acceptInvitation({ body: { code, person: newcomer } }, { visitor }) {
      const known = visitor.who?.person ?? null;
      if (!known && !newcomer) throw invalid('person', 'say who you are, or sign in first');
      const joined = await registry.atomically(async (inside) => {
        const invitation = await openInvitation(code, inside);
        const person = known
          ? { id: known.id, codes: null }
          : await createPerson(inside, newcomer!, clock.now());
        const taken = await inside.rows(
          'UPDATE invitations SET ended_at = :now WHERE id = :id AND ended_at IS NULL RETURNING id',
          { id: invitation.id, now: clock.now() },
        );
        if (taken.length === 0) throw gone('This invitation');
        await join(inside, person.id, invitation.householdId, invitation.role, clock.now());
        return { ...person, householdId: invitation.householdId };
      });
      if (known) {
        await visitor.moveTo(joined.householdId);
        return {
          me: await meOf(parts, await whoIs(registry, joined.id, joined.householdId)),
          codes: null,
        };
      }
      return { me: await meNow(visitor, joined.id, joined.householdId), codes: joined.codes };
    },
  } satisfies Partial<Handlers>;
}
