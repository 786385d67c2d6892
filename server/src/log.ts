import type { IncomingMessage } from 'node:http';
import pino, { type DestinationStream, type Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/**
 * Of an error, what it is and where it arose. Never its message: those of a database, or of what reads
 * JSON, repeat what people typed, and the statement with it.
 */
export function errorForLog(error: Error): object {
  const cause = (error as { parent?: Error }).parent ?? error;
  const { code, table, constraint } = cause as Error & Record<string, unknown>;
  const frames = (error.stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
  return {
    type: error.name,
    code,
    table,
    constraint,
    at: frames.slice(0, 8).map((at) => at.trim()),
  };
}

/** Structured logs that hold no personal data: no addresses, names, bodies or queries. */
export function makeLog(level: string, to?: DestinationStream): Logger {
  const options = { level, base: undefined, serializers: { err: errorForLog } };
  return to ? pino(options, to) : pino(options);
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
      err: errorForLog,
    },
  });
}
