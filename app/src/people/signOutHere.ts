import { call } from '../store/call';

/** Sign this device out. The page is loaded anew, so that nothing that was read stays in it. */
export async function signOutHere(): Promise<void> {
  await call('signOut');
  globalThis.location?.assign?.('/');
}
