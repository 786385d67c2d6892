import { hash, verify } from '@node-rs/argon2';
import { invalid } from '../http/problems';

/** Argon2id with what OWASP’s password storage cheat sheet asks for at the least (19 MiB, 2, 1). */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

let turn: Promise<unknown> = Promise.resolve();

/** One after the other: many who sign in at once would otherwise take every processor from the reads. */
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const result = turn.then(work, work);
  turn = result.catch(() => undefined);
  return result;
}

export const hashPassword = (password: string): Promise<string> =>
  inTurn(() => hash(password, COST));

let dummyHash: Promise<string> | null = null;

/** Whether it is the password. Without a hash the answer takes as long, so that no name shows. */
export async function isPassword(known: string | null, password: string): Promise<boolean> {
  dummyHash ??= hashPassword('stands for an unknown name');
  const against = known ?? (await dummyHash);
  const right = await inTurn(async () => verify(against, password)).catch(() => false);
  return known !== null && right;
}

let common: Promise<ReadonlySet<string>> | null = null;

/** Nearly fifty thousand passwords that are tried first; read when the first one is chosen. */
async function commonPasswords(): Promise<ReadonlySet<string>> {
  const { dictionary } = await import('@zxcvbn-ts/language-common');
  return new Set(dictionary['passwords-common'] as string[]);
}

/**
 * Refuse what is guessed first: well-known passwords, and what is little more than the person’s name.
 * @throws ProblemError 422 at `password`
 */
export async function assertUncommon(password: string, name: string): Promise<void> {
  const plain = password.toLowerCase();
  const isName = plain.replaceAll(name.toLowerCase(), '').length < 4;
  if (isName) throw invalid('password', 'this is close to your name; take something else');
  if ((await (common ??= commonPasswords())).has(plain)) {
    throw invalid('password', 'this password is in every list of passwords; take something else');
  }
}
