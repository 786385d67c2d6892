import type { RequestHandler } from 'express';
import helmet from 'helmet';
import { ProblemError } from './problems';

/** How browsers reach the server. */
export interface Reach {
  /** Names and addresses that it answers to, as they stand in an address bar. */
  names: readonly string[];
  /** Over TLS, its own or a proxy’s. */
  secure: boolean;
  /** Addresses of a proxy whose word is taken for who asks, and by what name; null without one. */
  proxy: string | null;
}

const LOOPBACK_NAMES = ['localhost', '127.0.0.1', '[::1]', '::1'];

export const ON_LOOPBACK: Reach = { names: LOOPBACK_NAMES, secure: false, proxy: null };

const HALF_A_YEAR_S = 15_552_000;

/**
 * What browsers are asked to keep to. Styles are written by the interface at run time, hence
 * 'unsafe-inline' for them and nothing else.
 */
export function securityHeaders({ secure }: Reach): RequestHandler {
  const helmeted = helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        // Of our own scripts alone; the solver of the week is WebAssembly of our own.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        workerSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
        ...(secure && { upgradeInsecureRequests: [] }),
      },
    },
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
  });
  return (request, response, next) => {
    response.setHeader(
      'Permissions-Policy',
      'camera=(), microphone=(), geolocation=(), payment=(), usb=(), screen-wake-lock=(self)',
    );
    // Not for localhost: what else runs on this machine may be without TLS.
    if (secure && !LOOPBACK_NAMES.includes(request.hostname)) {
      response.setHeader('Strict-Transport-Security', `max-age=${HALF_A_YEAR_S}`);
    }
    helmeted(request, response, next);
  };
}

/** A foreign name in Host means that another site’s name was pointed at this machine. */
export function refuseForeignHosts({ names }: Reach): RequestHandler {
  const known = new Set([...LOOPBACK_NAMES, ...names.map((name) => name.toLowerCase())]);
  const shown = names.find((name) => !LOOPBACK_NAMES.includes(name));
  return (request, _response, next) => {
    // Express gives an address of version 6 without what is around it in an address bar.
    if (known.has(request.hostname?.toLowerCase() ?? '')) return next();
    next(
      new ProblemError({
        status: 421,
        title: 'Wrong address',
        detail: shown
          ? `Open Larder does not answer to this name. Open ${shown}, or add the name where the server is started.`
          : 'Open Larder answers on this machine only, at http://localhost.',
      }),
    );
  };
}

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** What changes something comes from a page of our own, or from a program, never from another site. */
export const refuseForeignWrites: RequestHandler = (request, _response, next) => {
  if (SAFE.has(request.method)) return next();
  const site = request.get('Sec-Fetch-Site');
  const origin = request.get('Origin');
  const ours = origin === undefined || hostOf(origin) === request.host;
  if (ours && (site === undefined || site === 'same-origin' || site === 'none')) return next();
  next(
    new ProblemError({
      status: 403,
      title: 'From another site',
      detail: 'This was sent by a page of another site. Nothing was changed.',
    }),
  );
};

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
