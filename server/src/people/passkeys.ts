import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type AuthenticatorTransport,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server';
import type { Me } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Handlers } from '../http/mount';
import { invalid, notFound, ProblemError } from '../http/problems';
import { digestOf } from './codes';
import { assertOwnPassword } from './ownPassword';
import type { PeopleParts } from './routes';
import { assertPerson, dropExpired } from './store';
import type { Visitor } from './visitor';

/** A question to a passkey is good for so long: whoever holds it may have to find a finger first. */
const ASKED_MS = 300_000;
const NAME = 'Open Larder';

type Passkeys =
  | 'listPasskeys'
  | 'beginPasskey'
  | 'addPasskey'
  | 'removePasskey'
  | 'beginPasskeySignIn'
  | 'signInByPasskey';

interface Kept {
  id: string;
  personId: string;
  credential: string;
  publicKey: string;
  counter: number;
  transports: string;
}

/** The name of a site that keys are bound to: where it moves to another name, they are made anew. */
const siteOf = ({ origin }: Visitor): string => new URL(origin).hostname;

const refused = () =>
  new ProblemError({
    status: 401,
    title: 'That did not work',
    detail: 'This passkey is not known here. Sign in with your password, then add it again.',
  });

/** Passkeys (WebAuthn): made by who has typed the password, and then used in its place. */
export function passkeyRoutes(
  parts: PeopleParts,
  meNow: (visitor: Visitor, personId: string, householdId: string | null) => Promise<Me>,
): Pick<Handlers, Passkeys> {
  const { registry, clock, waits } = parts;
  const keysOf = async (personId: string) => {
    const rows = await registry.rows<{
      id: string;
      device: string;
      since: Date;
      usedAt: Date | null;
    }>(
      'SELECT id, device, since, used_at FROM passkeys WHERE person_id = :personId ORDER BY since, id',
      { personId },
    );
    return {
      passkeys: rows.map((row) => ({
        ...row,
        since: row.since.toISOString(),
        usedAt: row.usedAt?.toISOString() ?? null,
      })),
    };
  };
  const remember = async (challenge: string, personId: string | null) => {
    // Anyone may ask: what was asked in vain is not kept.
    await dropExpired(registry, clock.now());
    await registry.rows(
      `INSERT INTO passkey_challenges (digest, person_id, expires_at)
       VALUES (:digest, :personId, :expiresAt) RETURNING digest`,
      {
        digest: digestOf(challenge),
        personId,
        expiresAt: new Date(clock.now().getTime() + ASKED_MS),
      },
    );
  };
  /** Whether it was asked of this person, lately and for the first time: each is answered once. */
  const wasAsked = (personId: string | null) => async (challenge: string) =>
    (
      await registry.rows(
        `DELETE FROM passkey_challenges
          WHERE digest = :digest AND expires_at > :now
            AND person_id IS NOT DISTINCT FROM CAST(:personId AS uuid) RETURNING digest`,
        { digest: digestOf(challenge), personId, now: clock.now() },
      )
    ).length > 0;

  return {
    listPasskeys: (_request, { visitor }) => keysOf(assertPerson(visitor).id),

    async beginPasskey({ body: { password } }, { visitor }) {
      const person = assertPerson(visitor);
      await assertOwnPassword(parts, visitor, person, password);
      const known = await registry.rows<Kept>(
        'SELECT credential, transports FROM passkeys WHERE person_id = :id',
        { id: person.id },
      );
      const options = await generateRegistrationOptions({
        rpName: NAME,
        rpID: siteOf(visitor),
        userName: person.name,
        userID: Buffer.from(person.id),
        excludeCredentials: known.map(({ credential: id, transports }) => ({
          id,
          transports: transportsOf(transports),
        })),
        authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
      });
      await remember(options.challenge, person.id);
      return { options: { ...options } };
    },

    async addPasskey({ body: { answer } }, { visitor }) {
      const person = assertPerson(visitor);
      const made = await verifyRegistrationResponse({
        response: answer as unknown as RegistrationResponseJSON,
        expectedChallenge: wasAsked(person.id),
        expectedOrigin: visitor.origin,
        expectedRPID: siteOf(visitor),
        requireUserVerification: true,
      }).catch(() => null);
      if (!made?.verified || !made.registrationInfo) {
        throw invalid('answer', 'this passkey cannot be checked; begin again');
      }
      const { credential } = made.registrationInfo;
      await registry.rows(
        `INSERT INTO passkeys (id, person_id, credential, public_key, counter, transports, device, since)
         VALUES (:id, :person, :credential, :publicKey, :counter, :transports, :device, :now)
         ON CONFLICT DO NOTHING RETURNING id`,
        {
          id: uuidv7(),
          person: person.id,
          credential: credential.id,
          publicKey: Buffer.from(credential.publicKey).toString('base64url'),
          counter: credential.counter,
          transports: (credential.transports ?? []).join(' '),
          device: visitor.device,
          now: clock.now(),
        },
      );
      return keysOf(person.id);
    },

    async removePasskey({ params: { id } }, { visitor }) {
      const person = assertPerson(visitor);
      const gone = await registry.rows(
        'DELETE FROM passkeys WHERE id = :id AND person_id = :person RETURNING id',
        { id, person: person.id },
      );
      if (gone.length === 0) throw notFound('This passkey');
      return keysOf(person.id);
    },

    async beginPasskeySignIn(_request, { visitor }) {
      const options = await generateAuthenticationOptions({
        rpID: siteOf(visitor),
        userVerification: 'required',
      });
      await remember(options.challenge, null);
      return { options: { ...options } };
    },

    async signInByPasskey({ body: { answer } }, { visitor }) {
      const personId = await waits.guard(visitor.from, 'passkey', async () => {
        const [kept] = await registry.rows<Kept>(
          `SELECT id, person_id, credential, public_key, counter, transports FROM passkeys
            WHERE credential = :credential`,
          { credential: String(answer.id) },
        );
        if (!kept) return null;
        const shown = await verifyAuthenticationResponse({
          response: answer as unknown as AuthenticationResponseJSON,
          expectedChallenge: wasAsked(null),
          expectedOrigin: visitor.origin,
          expectedRPID: siteOf(visitor),
          credential: {
            id: kept.credential,
            publicKey: Buffer.from(kept.publicKey, 'base64url'),
            counter: Number(kept.counter),
            transports: transportsOf(kept.transports),
          },
          requireUserVerification: true,
        }).catch(() => null);
        if (!shown?.verified) return null;
        await registry.rows(
          'UPDATE passkeys SET counter = :counter, used_at = :now WHERE id = :id RETURNING id',
          { id: kept.id, counter: shown.authenticationInfo.newCounter, now: clock.now() },
        );
        return kept.personId;
      });
      if (!personId) throw refused();
      return meNow(visitor, personId, null);
    },
  };
}

const transportsOf = (text: string): AuthenticatorTransport[] =>
  text.split(' ').filter(Boolean) as AuthenticatorTransport[];
