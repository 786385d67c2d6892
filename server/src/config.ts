import { z } from 'zod';

const port = z.coerce.number().int().min(1).max(65_535);

const settings = z.object({
  OPEN_LARDER_PORT: port.default(4310),
  OPEN_LARDER_DB_URL: z.string().startsWith('postgres://', 'give a postgres:// address'),
  /** Folder of the exported web app; without it the server answers only the API. */
  OPEN_LARDER_WEB_DIR: z.string().optional(),
  /** Folder that holds the database, where it is on this machine: its disk is watched. */
  OPEN_LARDER_DATA_DIR: z.string().optional(),
  /** Which household is signed in by itself, and made when it is missing. */
  OPEN_LARDER_HOUSEHOLD: z.enum(['demo', 'empty']).default('demo'),
  OPEN_LARDER_TIME_ZONE: z.string().optional(),
  /** Instant at which the product's clock starts, in place of the machine's. */
  OPEN_LARDER_CLOCK: z.iso.datetime({ offset: true }).optional(),
  OPEN_LARDER_LOG: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('info'),
});

export interface Config {
  port: number;
  dbUrl: string;
  webDir: string | undefined;
  dataDir: string | undefined;
  household: 'demo' | 'empty';
  timeZone: string;
  clockStart: string | undefined;
  logLevel: string;
}

/**
 * Settings from the environment.
 * @throws Error naming each variable that is wrong and what it should be
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const read = settings.safeParse(env);
  if (!read.success) {
    const errors = read.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
    throw new Error(`the settings are not usable:\n${errors.join('\n')}`);
  }
  return {
    port: read.data.OPEN_LARDER_PORT,
    dbUrl: read.data.OPEN_LARDER_DB_URL,
    webDir: read.data.OPEN_LARDER_WEB_DIR,
    dataDir: read.data.OPEN_LARDER_DATA_DIR,
    household: read.data.OPEN_LARDER_HOUSEHOLD,
    timeZone:
      read.data.OPEN_LARDER_TIME_ZONE ?? Intl.DateTimeFormat().resolvedOptions().timeZone ?? 'UTC',
    clockStart: read.data.OPEN_LARDER_CLOCK,
    logLevel: read.data.OPEN_LARDER_LOG,
  };
}
