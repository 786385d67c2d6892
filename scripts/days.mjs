import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { root } from './places.mjs';

/**
 * Days on which software that knows days breaks: every weekday, just after and just before midnight,
 * both nights on which clocks change, a leap day, the turn of the year.
 */
export const DAYS = [
  '2026-11-23T13:00:00Z',
  '2026-11-24T13:00:00Z',
  '2026-11-25T13:00:00Z',
  '2026-11-26T13:00:00Z',
  '2026-11-27T13:00:00Z',
  '2026-11-28T13:00:00Z',
  '2026-11-29T13:00:00Z',
  '2026-12-05T00:05:00Z',
  '2026-12-06T23:55:00Z',
  '2026-03-29T00:30:00Z',
  '2026-03-29T01:30:00Z',
  '2026-10-25T00:30:00Z',
  '2026-10-25T01:30:00Z',
  '2028-02-29T12:00:00Z',
  '2026-12-31T23:55:00Z',
  '2027-01-01T00:05:00Z',
];

/** One of them for a run of all the tests: another for each commit, the same whenever it is run. */
export function dayOfCommit() {
  let commit = '';
  try {
    commit = execFileSync('git', ['rev-parse', 'HEAD'], { cwd: root, stdio: 'pipe' }).toString();
  } catch {
    // Not a checkout: the first of them serves.
  }
  return DAYS[createHash('sha256').update(commit).digest()[0] % DAYS.length];
}
