import { z } from 'zod';
import { id } from './basics';

/** What a person may do in a household: each may do what those before it may. */
export const role = z.enum(['guest', 'feeder', 'keeper', 'owner']);
export type Role = z.infer<typeof role>;

/** Also stands beside what a person did, hence as short as a hand's name. */
const personName = z
  .string()
  .trim()
  .min(1, 'enter your name here')
  .max(30, 'keep it under 30 letters')
  .refine((text) => !text.includes('@'), 'an e-mail address goes into its own field');

const email = z
  .email('this is not an e-mail address')
  .max(254, 'this address is too long')
  .nullable()
  .default(null);

const SHORTEST = 8;
const newPassword = z
  .string()
  .min(SHORTEST, `take at least ${SHORTEST} letters; four words are easy to keep`)
  .max(200, 'keep it under 200 letters');

/** As typed to sign in: what is wrong with it is not the form’s to say. */
const password = z.string().min(1, 'type your password').max(200);
const whoSignsIn = z.string().trim().min(1, 'type your name or e-mail').max(254);
/** From a link: letters of an address, of a fixed length. */
const linkCode = z
  .string()
  .regex(/^[\w-]{22}$/, 'this link is incomplete: open it again, or ask for a new one');

const joined = z.object({ id: z.string(), name: z.string(), role });

/** Who is asking, and in which household. */
export const me = z.object({
  /** `byItself`: whoever uses this machine is the keeper, without a password. */
  signedIn: z.enum(['no', 'yes', 'byItself']),
  person: z.object({ id: z.string(), name: z.string(), email: z.string().nullable() }).nullable(),
  household: joined.nullable(),
  households: z.array(joined),
  /** The household has no owner yet: the first to come becomes it. */
  firstVisit: z.boolean(),
  /** What a phone opens to reach this server; null where it answers on this machine alone. */
  address: z.string().nullable(),
});
export type Me = z.infer<typeof me>;

/** Each signs its person in once, where the password is lost. Shown when they are made, never again. */
export const recoveryCodes = z.object({ codes: z.array(z.string()) });
export const meWithCodes = z.object({ me, codes: z.array(z.string()) });

const newPerson = { name: personName, email, password: newPassword };

export const houseBegin = z.object({
  ...newPerson,
  /** Printed where the server was started; not needed on that machine itself. */
  setUpCode: z.string().trim().max(40).default(''),
});
export const signingIn = z.object({ who: whoSignsIn, password });
export const recovery = z.object({
  who: whoSignsIn,
  code: z.string().trim().min(1, 'type one of your codes').max(60),
  password: newPassword,
});
export const passwordChange = z.object({ current: password, password: newPassword });
export const passwordGiven = z.object({ password });

/** A key that a device of the person holds, and that signs them in without a password. */
export const passkey = z.object({
  id: z.string(),
  /** The device on which it was made. */
  device: z.string(),
  since: z.string(),
  usedAt: z.string().nullable(),
});
export const passkeys = z.object({ passkeys: z.array(passkey) });

/** What goes to and comes from the browser’s own passkey functions, as they define it (WebAuthn level 3). */
const byBrowser = z.record(z.string(), z.unknown());
export const passkeyOptions = z.object({ options: byBrowser });
export const passkeyAnswer = z.object({
  answer: byBrowser.refine(
    (answer) => typeof answer.id === 'string' && answer.id.length < 2048,
    'this is no answer of a passkey; try again',
  ),
});

/** A browser that is signed in. */
export const device = z.object({
  id: z.string(),
  /** «Phone», «Computer»: as far as it tells. */
  name: z.string(),
  since: z.string(),
  seen: z.string(),
  here: z.boolean(),
});
export const devices = z.object({ devices: z.array(device) });

export const member = z.object({
  id: z.string(),
  name: z.string(),
  role,
  since: z.string(),
  you: z.boolean(),
});
export const people = z.object({ people: z.array(member) });
export const roleEdit = z.object({ role });

export const invitationCreate = z.object({
  role,
  days: z.int().min(1, 'at least a day').max(30, 'at most 30 days'),
});
export const invitation = z.object({
  id: z.string(),
  role,
  invitedBy: z.string(),
  expiresAt: z.string(),
});
export const invitations = z.object({ invitations: z.array(invitation) });
/** The code is shown once, as part of a link. */
export const invitationMade = invitation.extend({ code: z.string() });

export const invitationCode = z.object({ code: linkCode });
export const invitationSeen = z.object({
  household: z.string(),
  role,
  invitedBy: z.string(),
  expiresAt: z.string(),
});
/** Who is signed in comes as that person; everyone else as a new person. */
export const invitationAccept = z.object({
  code: linkCode,
  person: z.object(newPerson).nullable().default(null),
});
export const meWithCodesIfNew = z.object({ me, codes: z.array(z.string()).nullable() });

/** Signs another device of the same person in, once, within two minutes. */
export const pairingMade = z.object({ code: z.string(), expiresAt: z.string() });
export const pairingCode = z.object({ code: linkCode });

/** A household goes for good only after all of it was saved: the digest shows that nothing came since. */
export const householdErasure = z.object({
  name: z.string().trim().min(1, 'type the name of the household').max(60),
  /** Left out where whoever uses this machine is the keeper, without a password. */
  password: z.string().max(200).default(''),
  backup: z.string().regex(/^[0-9a-f]{64}$/, 'save a backup first'),
});
/** What is still there of who or what was erased, in sentences. */
export const erased = z.object({ remains: z.array(z.string()) });
export type Erased = z.infer<typeof erased>;

export const householdChoice = z.object({ id });
export const householdBegin = z.object({
  name: z.string().trim().min(1, 'give the house a name').max(60, 'keep the name under 60 letters'),
});
