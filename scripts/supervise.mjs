import { say } from './say.mjs';

/** Pauses between two starts of what ends again and again, in seconds; after that it is given up. */
const PAUSES_S = [1, 2, 4, 8, 15, 30, 30, 30];
/** What ran for so long did not end because of how it was started. */
const STEADY_MS = 60_000;

/**
 * Start something anew whenever it ends by itself, with growing pauses.
 * @param start  starts it; answers {ended: a promise of its end}, or throws
 * @param isOver true once it is meant to end
 * @returns a promise that ends when it is over, or rejects when it is given up
 */
export async function keepRunning(what, start, isOver) {
  let tries = 0;
  let ran = false;
  for (;;) {
    const since = Date.now();
    try {
      const { ended } = await start();
      ran = true;
      await ended;
    } catch (error) {
      // What never ran would not run the next time either: whoever started it reads why.
      if (!ran) throw error;
      if (!isOver()) process.stderr.write(`${error.message}\n`);
    }
    if (isOver()) return;
    if (Date.now() - since > STEADY_MS) tries = 0;
    if (tries === PAUSES_S.length) throw new Error(`${what} ends again and again; it is given up.`);
    say(`${what} has ended; it is started again in ${PAUSES_S[tries]} s.`);
    await new Promise((resolve) => setTimeout(resolve, PAUSES_S[tries] * 1000));
    tries += 1;
    if (isOver()) return;
  }
}
