import { setDeviceClock } from '../store/clock';

/**
 * The time at which component tests happen: never the machine's, so that no test passes on some days
 * alone. `npm run test:days` sets others; the clock runs on from there.
 */
export const TEST_NOW = process.env.OPEN_LARDER_TEST_NOW ?? '2026-03-11T13:00:00Z';

/** The test household's day (its zone is UTC). */
export const TODAY = new Date(TEST_NOW).toISOString().slice(0, 10);
/** Minutes after midnight, and the weekday from Monday, 1, to Sunday, 7. */
export const MINUTES = new Date(TEST_NOW).getUTCHours() * 60 + new Date(TEST_NOW).getUTCMinutes();
export const WEEKDAY = new Date(TEST_NOW).getUTCDay() || 7;

export const testNowMs = (): number => Date.parse(TEST_NOW) + Date.now() - startedMs;

const startedMs = Date.now();
setDeviceClock(testNowMs);
