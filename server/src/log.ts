import type { IncomingMessage } from 'node:http';
import pino, { type Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/** Structured logs that hold no personal data: no addresses, names, bodies or queries. */
export function makeLog(level: string): Logger {
  return pino({ level, base: undefined });
}

/** One line a request: method, path with its ids, status and milliseconds. */
export function requestLog(log: Logger) {
  return pinoHttp({
    logger: log,
    customSuccessMessage: () => 'answered',
    customErrorMessage: () => 'answered with an error',
    autoLogging: { ignore: (request: IncomingMessage) => !request.url?.startsWith('/api/') },
    serializers: {
      req: (request: { method: string; url: string }) => ({
        method: request.method,
        path: request.url.split('?')[0],
      }),
      res: (response: { statusCode: number }) => ({ status: response.statusCode }),
      err: (error: Error) => ({ type: error.name, message: error.message }),
    },
  });
}
