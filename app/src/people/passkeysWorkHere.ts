import { browserSupportsWebAuthn } from '@simplewebauthn/browser';

/** Browsers bind passkeys to a name: an address of numbers has none. */
const isNumbers = (host: string): boolean => /^[\d.]+$/.test(host) || host.startsWith('[');

export const passkeysWorkHere = (): boolean =>
  typeof location !== 'undefined' && browserSupportsWebAuthn() && !isNumbers(location.hostname);

export const WHY_NOT =
  'Passkeys need a browser that knows them, and an address that is a name rather than numbers.';

/** What a keeper can do about a passkey that was not made or not shown. */
export function wentWrong(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'InvalidStateError') return 'This device already has a passkey of yours.';
  if (name === 'NotAllowedError') return 'It was cancelled, or took too long. Try again.';
  return 'This browser did not let a passkey be used here. Sign in with your password.';
}
