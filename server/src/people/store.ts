import type { Me, Role } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Registry } from '../db';
import { invalid, notFound, conflict } from '../http/problems';
import { digestOf, digestOfRecoveryCode, newRecoveryCodes } from './codes';
import { assertUncommon, hashPassword } from './passwords';
import type { Person, Visitor, Who } from './visitor';

/** Of the households of a person `p`, the one that is asked for, or their oldest. */
export const householdOf = (asked: string): string => `LATERAL (
  SELECT household_id, role FROM memberships
   WHERE person_id = p.id
   ORDER BY household_id = CAST(${asked} AS uuid) DESC NULLS LAST, since, household_id
   LIMIT 1)`;

export interface WhoRow extends Person {
  householdId: string | null;
  role: Role;
}

export const whoOf = ({ id, name, email, householdId, role }: WhoRow): Who => ({
  person: { id, name, email },
  household: householdId === null ? null : { id: householdId, role },
});

/** A person, and the household that they are in: the one asked for, or their oldest. */
export async function whoIs(
  registry: Registry,
  personId: string,
  householdId: string | null,
): Promise<Who | null> {
  const [row] = await registry.rows<WhoRow>(
    `SELECT p.id, p.name, p.email, m.household_id, m.role
       FROM people p LEFT JOIN ${householdOf(':householdId')} m ON true
      WHERE p.id = :personId`,
    { personId, householdId },
  );
  return row ? whoOf(row) : null;
}

export async function householdsOf(
  registry: Registry,
  personId: string,
): Promise<Me['households']> {
  return registry.rows<Me['households'][number]>(
    `SELECT h.id, h.name, m.role FROM memberships m JOIN households h ON h.id = m.household_id
      WHERE m.person_id = :personId ORDER BY m.since, h.id`,
    { personId },
  );
}

export async function hasOwner(registry: Registry, householdId: string): Promise<boolean> {
  const rows = await registry.rows(
    "SELECT 1 AS one FROM memberships WHERE household_id = :householdId AND role = 'owner' LIMIT 1",
    { householdId },
  );
  return rows.length > 0;
}

interface NewPerson {
  name: string;
  email: string | null;
  password: string;
}

/** Make a person, with the codes that help where the password is lost. @throws ProblemError 422 */
export async function createPerson(
  registry: Registry,
  { name, email, password }: NewPerson,
  now: Date,
): Promise<{ id: string; codes: string[] }> {
  await assertUncommon(password, name);
  const passwordHash = await hashPassword(password);
  return registry.atomically(async (inside) => {
    await inside.lock('people');
    const [taken] = await inside.rows<{ byName: boolean }>(
      `SELECT lower(name) = lower(:name) AS by_name FROM people
        WHERE lower(name) = lower(:name) OR lower(email) = lower(:email)
        ORDER BY by_name DESC LIMIT 1`,
      { name, email },
    );
    if (taken) {
      throw taken.byName
        ? invalid('name', 'this name is taken on this server; add a letter to yours')
        : invalid('email', 'this address is taken on this server; sign in, or leave it out');
    }
    const id = uuidv7();
    await inside.rows(
      `INSERT INTO people (id, name, email, password_hash, since)
       VALUES (:id, :name, :email, :passwordHash, :now) RETURNING id`,
      { id, name, email, passwordHash, now },
    );
    return { id, codes: await replaceCodes(inside, id) };
  });
}

/** New codes in place of the old ones. They are shown once. */
export async function replaceCodes(registry: Registry, personId: string): Promise<string[]> {
  const codes = newRecoveryCodes();
  await registry.atomically(async (inside) => {
    await inside.rows('DELETE FROM recovery_codes WHERE person_id = :personId RETURNING digest', {
      personId,
    });
    for (const code of codes) {
      await inside.rows(
        'INSERT INTO recovery_codes (person_id, digest) VALUES (:personId, :digest) RETURNING digest',
        { personId, digest: digestOf(code) },
      );
    }
  });
  return codes;
}

/** Use one of a person’s codes up. @returns whether it was one that had not been used */
export async function useRecoveryCode(
  registry: Registry,
  personId: string,
  code: string,
  now: Date,
): Promise<boolean> {
  const used = await registry.rows(
    `UPDATE recovery_codes SET used_at = :now
      WHERE person_id = :personId AND digest = :digest AND used_at IS NULL RETURNING digest`,
    { personId, digest: digestOfRecoveryCode(code), now },
  );
  return used.length > 0;
}

/** Found by name or e-mail, however it is spelt in capitals. */
export async function personBy(
  registry: Registry,
  who: string,
): Promise<(Person & { passwordHash: string }) | null> {
  const [row] = await registry.rows<Person & { passwordHash: string }>(
    `SELECT id, name, email, password_hash FROM people
      WHERE lower(name) = lower(:who) OR lower(email) = lower(:who)
      ORDER BY lower(name) = lower(:who) DESC LIMIT 1`,
    { who },
  );
  return row ?? null;
}

export async function passwordHashOf(registry: Registry, personId: string): Promise<string | null> {
  const [row] = await registry.rows<{ passwordHash: string }>(
    'SELECT password_hash FROM people WHERE id = :personId',
    { personId },
  );
  return row?.passwordHash ?? null;
}

/** Set a password; wherever else the person was signed in, they are no longer. */
export async function setPassword(
  registry: Registry,
  person: { id: string; name: string },
  password: string,
): Promise<void> {
  await assertUncommon(password, person.name);
  const passwordHash = await hashPassword(password);
  await registry.rows(
    'UPDATE people SET password_hash = :passwordHash WHERE id = :id RETURNING id',
    { id: person.id, passwordHash },
  );
  await registry.rows("DELETE FROM sessions WHERE sess ->> 'personId' = :id RETURNING sid", {
    id: person.id,
  });
}

/** @throws ProblemError 409 where they belong to it already */
export async function join(
  registry: Registry,
  personId: string,
  householdId: string,
  role: Role,
  now: Date,
): Promise<void> {
  const joined = await registry.rows(
    `INSERT INTO memberships (household_id, person_id, role, since)
     VALUES (:householdId, :personId, :role, :now) ON CONFLICT DO NOTHING RETURNING role`,
    { householdId, personId, role, now },
  );
  if (joined.length === 0) throw conflict('You belong to this household already.');
}

export async function membersOf(registry: Registry, householdId: string) {
  return registry.rows<{ id: string; name: string; role: Role; since: Date }>(
    `SELECT p.id, p.name, m.role, m.since FROM memberships m JOIN people p ON p.id = m.person_id
      WHERE m.household_id = :householdId ORDER BY m.since, p.id`,
    { householdId },
  );
}

/**
 * Change what a person may do in a household, or with null take them out of it.
 * @throws ProblemError 404 where they do not belong to it, 409 where no owner would be left
 */
export async function setRole(
  registry: Registry,
  householdId: string,
  personId: string,
  role: Role | null,
): Promise<void> {
  await registry.atomically(async (inside) => {
    await inside.lock(householdId);
    const members = await membersOf(inside, householdId);
    const one = members.find(({ id }) => id === personId);
    if (!one) throw notFound('This person');
    const owners = members.filter((member) => member.role === 'owner');
    if (one.role === 'owner' && role !== 'owner' && owners.length === 1) {
      throw conflict(
        members.length > 1
          ? `${one.name} is the only owner. Make someone else an owner first.`
          : `${one.name} is the only person here. The household needs an owner.`,
      );
    }
    await inside.rows(
      role === null
        ? `DELETE FROM memberships WHERE household_id = :householdId AND person_id = :personId
           RETURNING role`
        : `UPDATE memberships SET role = :role
            WHERE household_id = :householdId AND person_id = :personId RETURNING role`,
      { householdId, personId, role },
    );
  });
}

/** Delete what let someone in for a while and no longer does. */
export async function dropExpired(registry: Registry, now: Date): Promise<void> {
  for (const links of ['pairings', 'passkey_challenges']) {
    await registry.rows(`DELETE FROM ${links} WHERE expires_at < :now RETURNING digest`, { now });
  }
  await registry.rows(
    'DELETE FROM sign_in_waits WHERE expire < extract(epoch FROM now()) * 1000 RETURNING key',
  );
}

interface About {
  registry: Registry;
  /** The household that waits for its first owner. */
  offered: string;
  address: string | null;
}

/** What the app shows of who is asking. */
export async function meOf({ registry, offered, address }: About, who: Who | null): Promise<Me> {
  const { person = null, household = null } = who ?? {};
  const households = person
    ? await householdsOf(registry, person.id)
    : household
      ? await registry.rows<Me['households'][number]>(
          "SELECT id, name, 'owner' AS role FROM households WHERE id = :id",
          { id: household.id },
        )
      : [];
  return {
    signedIn: who === null ? 'no' : person === null ? 'byItself' : 'yes',
    person,
    household: households.find(({ id }) => id === household?.id) ?? null,
    households,
    firstVisit: who === null && !(await hasOwner(registry, offered)),
    address,
  };
}

/** @throws ProblemError 409 where sign-in is off */
export function assertPerson({ who }: Visitor): Person {
  if (!who?.person) {
    throw conflict(
      'Sign-in is off on this server: whoever uses this machine is the keeper. docs/running.md says how to turn it on.',
    );
  }
  return who.person;
}
