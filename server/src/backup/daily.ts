import { mkdir, readdir, rename, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { addDays } from '@open-larder/core/round';
import type { Logger } from 'pino';
import { localDay, type Clock } from '../clock';
import type { Registry } from '../db';
import { writeBackup } from './write';

const HOUR_MS = 3_600_000;
/** Kept: each of the last seven days, then one a week for five weeks, and one a month for a year. */
const DAYS = 7;
const WEEKS = 5;
const MONTHS = 12;

interface Parts {
  registry: Registry;
  clock: Clock;
  folder: string;
  log: Logger;
}

/** «open-larder-2026-03-11-1a2b3c4d5e6f.zip» */
const NAME = /^open-larder-(\d{4}-\d{2}-\d{2})-([0-9a-f]{12})\.zip$/;
export const backupName = (day: string, householdId: string): string =>
  `open-larder-${day}-${householdId.slice(-12)}.zip`;

/** Back every household up once a day, as soon as the server runs on it. @returns how to stop that */
export function backUpDaily(parts: Parts): () => void {
  const all = () =>
    backUpToday(parts).catch((error: unknown) =>
      parts.log.error({ err: error }, 'the daily backup was not made'),
    );
  void all();
  const timer = setInterval(() => void all(), HOUR_MS);
  timer.unref();
  return () => clearInterval(timer);
}

/** Write what is missing of today, and drop what is too old. @returns names of the files that were written */
export async function backUpToday({ registry, clock, folder }: Parts): Promise<string[]> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const there = new Set(await readdir(folder));
  const households = await registry.rows<{ id: string; timeZone: string }>(
    'SELECT id, time_zone FROM households ORDER BY id',
  );
  const written: string[] = [];
  for (const { id, timeZone } of households) {
    const name = backupName(localDay(clock.now(), timeZone), id);
    if (there.has(name)) continue;
    const zip = await writeBackup(registry.scopeOf(id));
    // Under its name only once it is whole.
    const part = join(folder, `${name}.part`);
    await writeFile(part, zip, { mode: 0o600 });
    await rename(part, join(folder, name));
    written.push(name);
  }
  for (const name of outdated([...there, ...written]))
    await rm(join(folder, name), { force: true });
  return written;
}

/** Files that are kept no longer. What is not named like a backup is not touched. */
export function outdated(names: readonly string[]): string[] {
  const byHousehold = new Map<string, string[]>();
  for (const name of names) {
    const [, day, household] = NAME.exec(name) ?? [];
    if (day && household) byHousehold.set(household, [...(byHousehold.get(household) ?? []), day]);
  }
  return [...byHousehold].flatMap(([household, days]) => {
    const kept = keptOf(days);
    return days.filter((day) => !kept.has(day)).map((day) => `open-larder-${day}-${household}.zip`);
  });
}

function keptOf(days: readonly string[]): ReadonlySet<string> {
  const newest = [...new Set(days)].sort().reverse();
  /** The newest of each of the latest spans. */
  const oneEach = (spanOf: (day: string) => string, spans: number) => {
    const last = new Map<string, string>();
    for (const day of newest) if (!last.has(spanOf(day))) last.set(spanOf(day), day);
    return [...last.values()].slice(0, spans);
  };
  return new Set([
    ...newest.slice(0, DAYS),
    ...oneEach(mondayOf, WEEKS),
    ...oneEach((day) => day.slice(0, 7), MONTHS),
  ]);
}

/** The Monday on which the week of a day began. */
const mondayOf = (day: string): string =>
  addDays(day, -((new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7));
