import { z } from 'zod';
import type { Reach } from './http/reach';

const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost']);

const port = z.coerce.number().int().min(1).max(65_535);

const settings = z.object({
  OPEN_LARDER_PORT: port.default(4310),
  OPEN_LARDER_DB_URL: z.string().startsWith('postgres://', 'give a postgres:// address'),
  /** Folder of the exported web app; without it the server answers only the API. */
  OPEN_LARDER_WEB_DIR: z.string().optional(),
  /** Folder that holds the database, where it is on this machine: its disk is watched. */
  OPEN_LARDER_DATA_DIR: z.string().optional(),
  /** Folder of daily backups; without it none are made. */
  OPEN_LARDER_BACKUP_DIR: z.string().optional(),
  /** Which household is signed in by itself, and made when it is missing. */
  OPEN_LARDER_HOUSEHOLD: z.enum(['demo', 'empty']).default('demo'),
  OPEN_LARDER_TIME_ZONE: z.string().optional(),
  /** Instant at which the product's clock starts, in place of the machine's. */
  OPEN_LARDER_CLOCK: z.iso.datetime({ offset: true }).optional(),
  /** Address that it listens on: this machine alone, unless said. */
  OPEN_LARDER_HOST: z.string().min(1).default('127.0.0.1'),
  /** Names and addresses by which it is opened, beside localhost, with commas between. */
  OPEN_LARDER_NAMES: z.string().default(''),
  /** Files of a certificate and its key, in PEM. */
  OPEN_LARDER_TLS_CERT: z.string().optional(),
  OPEN_LARDER_TLS_KEY: z.string().optional(),
  /** Address of a proxy that brings TLS and says who asks: «loopback», «10.0.0.2». */
  OPEN_LARDER_PROXY: z.string().optional(),
  /** What a phone opens, where it is not the first of the names with this port. */
  OPEN_LARDER_ADDRESS: z.url({ protocol: /^https?$/ }).optional(),
  /** People sign in, or whoever uses this machine is the keeper. */
  OPEN_LARDER_SIGN_IN: z.enum(['people', 'itself']).optional(),
  /** Asked of the first owner, where that is not someone at this machine. */
  OPEN_LARDER_SETUP_CODE: z.string().min(8).max(40).optional(),
  OPEN_LARDER_LOG: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('info'),
});

export interface Config {
  port: number;
  dbUrl: string;
  webDir: string | undefined;
  dataDir: string | undefined;
  backupDir: string | undefined;
  household: 'demo' | 'empty';
  timeZone: string;
  clockStart: string | undefined;
  host: string;
  tls: { cert: string; key: string } | null;
  reach: Reach;
  /** What a phone opens; null where the server answers on this machine alone. */
  address: string | null;
  signIn: 'people' | 'itself';
  setUpCode: string | null;
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
  const reached = readReach(read.data);
  return {
    ...reached,
    port: read.data.OPEN_LARDER_PORT,
    dbUrl: read.data.OPEN_LARDER_DB_URL,
    webDir: read.data.OPEN_LARDER_WEB_DIR,
    dataDir: read.data.OPEN_LARDER_DATA_DIR,
    backupDir: read.data.OPEN_LARDER_BACKUP_DIR,
    household: read.data.OPEN_LARDER_HOUSEHOLD,
    timeZone:
      read.data.OPEN_LARDER_TIME_ZONE ?? Intl.DateTimeFormat().resolvedOptions().timeZone ?? 'UTC',
    clockStart: read.data.OPEN_LARDER_CLOCK,
    logLevel: read.data.OPEN_LARDER_LOG,
  };
}

type Settings = z.output<typeof settings>;

/**
 * How the server is reached. Away from this machine it wants people who sign in, and TLS.
 * @throws Error with what is missing, and what to set
 */
function readReach(read: Settings) {
  const host = read.OPEN_LARDER_HOST;
  const names = read.OPEN_LARDER_NAMES.split(',').flatMap((name) => name.trim() || []);
  const { OPEN_LARDER_TLS_CERT: cert, OPEN_LARDER_TLS_KEY: key } = read;
  if ((cert === undefined) !== (key === undefined)) {
    throw new Error('give both OPEN_LARDER_TLS_CERT and OPEN_LARDER_TLS_KEY, or neither');
  }
  const tls = cert !== undefined && key !== undefined ? { cert, key } : null;
  const proxy = read.OPEN_LARDER_PROXY ?? null;
  const secure = tls !== null || proxy !== null;
  const away = !LOOPBACK.has(host) || names.length > 0;
  const signIn =
    read.OPEN_LARDER_SIGN_IN ??
    (away || secure || read.OPEN_LARDER_HOUSEHOLD === 'empty' ? 'people' : 'itself');
  if (away && !secure) {
    throw new Error(
      'off this machine, passwords and records must travel over TLS: give OPEN_LARDER_TLS_CERT and OPEN_LARDER_TLS_KEY, or OPEN_LARDER_PROXY where a proxy does that; for a home, `npm run serve -- --lan` does all of it',
    );
  }
  if ((away || secure) && signIn === 'itself') {
    throw new Error(
      'without sign-in the server answers on this machine alone: leave OPEN_LARDER_SIGN_IN out, or OPEN_LARDER_HOST, OPEN_LARDER_NAMES, TLS and proxy',
    );
  }
  const [first] = names;
  const port = tls === null ? '' : `:${read.OPEN_LARDER_PORT}`;
  return {
    host,
    tls,
    signIn,
    reach: { names, secure, proxy } satisfies Reach,
    address: read.OPEN_LARDER_ADDRESS ?? (first ? `https://${first}${port}` : null),
    setUpCode: read.OPEN_LARDER_SETUP_CODE?.toUpperCase() ?? null,
  } as const;
}
