import { createHash, randomBytes, randomInt } from 'node:crypto';

/** A random secret cannot be guessed: a plain digest of it is enough. */
export const digestOf = (secret: string): string =>
  createHash('sha256').update(secret).digest('base64url');

/** 128 bits, for a link. */
export const newLinkCode = (): string => randomBytes(16).toString('base64url');

/** Without what is read as something else: 0 and O, 1, I and L. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const GROUPS = 6;
const GROUP = 4;
const CODES = 8;

const newCode = (): string =>
  Array.from({ length: GROUPS }, () =>
    Array.from({ length: GROUP }, () => LETTERS[randomInt(LETTERS.length)]).join(''),
  ).join('-');

/** Codes to be printed, each of 118 bits. */
export const newRecoveryCodes = (): string[] => Array.from({ length: CODES }, newCode);

/** As it is typed: small letters, blanks or other dashes make no difference. */
export function digestOfRecoveryCode(typed: string): string {
  const letters = typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
  return digestOf((letters.match(/.{1,4}/g) ?? []).join('-'));
}
