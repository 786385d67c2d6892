import { existsSync } from 'node:fs';
import { join } from 'node:path';
import type { Catalogue } from '@open-larder/catalogue/load';
import compression from 'compression';
import express, { Router, type Express, type Request, type RequestHandler } from 'express';
import { routes } from '@open-larder/contract';
import staticGzip from 'express-static-gzip';
import type { Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import { backupRoutes } from './backup/routes';
import { catalogueRoutes } from './catalogue/routes';
import type { Bell } from './changes/bell';
import { changeRoutes } from './changes/routes';
import { changeStream } from './changes/stream';
import type { Clock } from './clock';
import { Scope, type DatabaseWatch } from './db';
import { diskOf } from './disk';
import { choreRoutes } from './chore/routes';
import { broodRoutes } from './brood/routes';
import { cultureRoutes } from './culture/routes';
import { dietRoutes } from './diet/routes';
import { forecastRoutes } from './forecasts/routes';
import { feedingRoutes } from './feeding/routes';
import { foodRoutes } from './food/routes';
import { groupRoutes } from './group/routes';
import { householdRoutes } from './household/routes';
import {
  ON_LOOPBACK,
  refuseForeignHosts,
  refuseForeignWrites,
  securityHeaders,
  type Reach,
} from './http/reach';
import { addressPages } from './http/docs';
import { formatErrors, unknownRoute } from './http/errors';
import { endsSoon, type CertificateWatch } from './http/server';
import { mount, type Handlers } from './http/mount';
import { NulError, ProblemError } from './http/problems';
import { TIME_HEADER } from '@open-larder/contract/paths';
import { inventoryRoutes } from './inventory/routes';
import { qrLabelRoutes } from './qrLabels/routes';
import { larderRoutes } from './larder/routes';
import { requestLog } from './log';
import { lookRoutes } from './look/routes';
import { momentRoutes } from './moment/routes';
import { recipeRoutes } from './recipe/routes';
import { recordsRoutes } from './records/routes';
import { roundRoutes } from './round/routes';
import { peopleRoutes, type PeopleParts } from './people/routes';
import { STRANGER, type Visitor, type VisitorOf } from './people/visitor';
import { photoRoutes } from './photo/routes';
import { proposalRoutes } from './proposal/routes';
import { planRoutes } from './plan/routes';
import { sightingRoutes } from './sighting/routes';
import { speciesRoutes } from './species/routes';
import { tableRoutes } from './table/routes';
import { tankRoutes } from './tank/routes';
import { trainingRoutes } from './training/routes';
import { waterRoutes } from './water/routes';
import { accountRoutes } from './account/routes';
import { ratingRoutes } from './rating/routes';
import { trialRoutes } from './trial/routes';

export interface AppParts {
  db: Sequelize;
  catalogue: Catalogue;
  clock: Clock;
  log: Logger;
  /** Folder of the exported web app, if it is to be served. */
  webDir?: string;
  /** Who is asking. */
  visitorOf: VisitorOf;
  people: PeopleParts;
  /** Reads the session that `visitorOf` goes by, where people sign in. */
  readSession?: RequestHandler;
  /** Who may reach the server, and by what names. */
  reach?: Reach;
  /** Whether the database answers; without it, that is only known from what is asked of it. */
  watch?: DatabaseWatch;
  /** Rings as something changed; without it no page is told. */
  bell?: Bell;
  /** The certificate that it is reached with, where it brings TLS itself. */
  certificate?: CertificateWatch;
  /** Folder that holds the database, whose disk must not fill up unnoticed. */
  dataDir?: string;
}

const BODY_LIMIT = 256 * 1024;
/** Whole tables come in one piece, since they are taken in whole or not at all; and so do pictures. */
const TABLE_LIMIT = 5 * 1024 * 1024;
const BACKUP_LIMIT = 131 * 1024 * 1024;
const YEAR_S = 31_536_000;
/** The household of who has none: there is no such row. */
const NOWHERE = '00000000-0000-0000-0000-000000000000';

export function createApp(parts: AppParts): Express {
  const { db, catalogue, clock, log, webDir, visitorOf, watch, reach = ON_LOOPBACK } = parts;
  const app = express();
  app.disable('x-powered-by');
  if (reach.proxy !== null) app.set('trust proxy', reach.proxy);
  if (log.isLevelEnabled('info')) app.use(requestLog(log));
  app.use(securityHeaders(reach));
  app.use(refuseForeignHosts(reach));
  app.use(refuseForeignWrites);
  app.use(compression());
  app.use('/api/docs', addressPages());
  app.use('/api', (_request, response, next) => {
    response.setHeader(TIME_HEADER, clock.now().toISOString());
    next();
  });
  app.use('/api/restore', express.json({ limit: BACKUP_LIMIT, verify: noNul }));
  app.use(['/api/tables', '/api/photos'], express.json({ limit: TABLE_LIMIT, verify: noNul }));
  app.use('/api', express.json({ limit: BODY_LIMIT, verify: noNul }));

  const contextFor = (visitor: Visitor) => ({
    scope: new Scope(db, visitor.who?.household?.id ?? NOWHERE),
    visitor,
    catalogue,
    clock,
  });
  // Whether the database answers is reported without waiting for it.
  const health = Router();
  mount(health, healthRoutes(parts), { contextOf: async () => contextFor(STRANGER) });
  app.use(health);
  const router = Router();
  const contextOf = async (request: Request) => contextFor(await visitorOf(request));
  if (parts.bell)
    router.get(routes.listChanges.path, changeStream({ contextOf, bell: parts.bell }));
  mount(
    router,
    { ...RESOURCES, ...peopleRoutes(parts.people), ...qrLabelRoutes(parts.people) },
    {
      contextOf,
      guard: watch?.guard,
      onChange: parts.bell?.ring,
      onUnreadable: (route, ids) => log.error({ route, ids }, 'stored rows cannot be read'),
    },
  );
  if (parts.readSession) app.use('/api', parts.readSession);
  app.use(router);
  app.use('/api', unknownRoute);
  if (webDir !== undefined && existsSync(webDir)) serveWeb(app, webDir);
  app.use(unknownRoute);
  app.use(formatErrors(log));
  return app;
}

const RESOURCES: Omit<
  Handlers,
  | 'getHealth'
  | 'getReady'
  | keyof ReturnType<typeof peopleRoutes>
  | keyof ReturnType<typeof qrLabelRoutes>
> = {
  ...householdRoutes,
  ...backupRoutes,
  ...catalogueRoutes,
  ...speciesRoutes,
  ...momentRoutes,
  ...tankRoutes,
  ...groupRoutes,
  ...dietRoutes,
  ...foodRoutes,
  ...inventoryRoutes,
  ...larderRoutes,
  ...roundRoutes,
  ...feedingRoutes,
  ...choreRoutes,
  ...broodRoutes,
  ...cultureRoutes,
  ...lookRoutes,
  ...proposalRoutes,
  ...trainingRoutes,
  ...photoRoutes,
  ...waterRoutes,
  ...accountRoutes,
  ...ratingRoutes,
  ...trialRoutes,
  ...recipeRoutes,
  ...recordsRoutes,
  ...forecastRoutes,
  ...planRoutes,
  ...sightingRoutes,
  ...tableRoutes,
  ...changeRoutes,
};

function healthRoutes({
  db,
  watch,
  dataDir,
  clock,
  certificate = { ends: null },
}: AppParts): Pick<Handlers, 'getHealth' | 'getReady'> {
  return {
    async getHealth() {
      const { freeMb, low } = await diskOf(dataDir);
      return {
        status: 'ok' as const,
        diskFreeMb: freeMb,
        diskLow: low,
        certificateEnds: endsSoon(certificate, clock.now()),
      };
    },
    async getReady() {
      if (watch && !watch.up) throw NOT_READY;
      try {
        await db.query('SELECT 1 FROM migrations LIMIT 1');
      } catch {
        throw NOT_READY;
      }
      return { status: 'ready' as const };
    },
  };
}

const NOT_READY = new ProblemError({
  status: 503,
  title: 'Not ready',
  detail: 'The database cannot be reached or is not set up yet.',
});

/** A character that PostgreSQL cannot keep, however it is written in JSON. */
const NUL = /(?:^|[^\\])(?:\\\\)*\\u0000/;

function noNul(_request: unknown, _response: unknown, body: Buffer): void {
  if (body.includes('u0000') && NUL.test(body.toString())) throw new NulError();
}

function serveWeb(app: Express, webDir: string): void {
  // Names under _expo and assets carry a hash of what they hold, so they never change.
  for (const folder of ['_expo', 'assets']) {
    app.use(
      `/${folder}`,
      staticGzip(join(webDir, folder), {
        enableBrotli: true,
        orderPreference: ['br', 'gz'],
        index: false,
        serveStatic: { maxAge: YEAR_S * 1000, immutable: true },
      }),
    );
    app.use(`/${folder}`, unknownRoute);
  }
  app.use(express.static(webDir, { index: false, maxAge: 0 }));
  app.get('/{*path}', (_request, response) => {
    response.setHeader('Cache-Control', 'no-cache');
    response.sendFile(join(webDir, 'index.html'));
  });
}
