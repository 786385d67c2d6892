import { openHere } from '../offline/here';
import { call } from '../store/call';
import { forgetRoundAhead } from '../store/readAhead';

/**
 * Sign this device out, and take from it all that it kept. The page is loaded anew, so that nothing that was
 * read stays in it.
 * @param evenUnsent what was not sent yet is given up
 * @returns how much is not sent yet, where that stops it
 */
export async function signOutHere({ evenUnsent = false } = {}): Promise<number> {
  const here = await openHere();
  if (!evenUnsent) {
    await here.outbox.pass();
    if (here.kept().length > 0) return here.kept().length;
  }
  await call('signOut');
  await here.forgetAll();
  forgetRoundAhead();
  globalThis.location?.assign?.('/');
  return 0;
}
