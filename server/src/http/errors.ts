import { refuseSize } from '@open-larder/say/refusal';
import type { Problem } from '@open-larder/contract';
import { OutOfRange } from '@open-larder/core';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { hasProgress, lineOf } from './lines';
import { ProblemError } from './problems';

type Said = Omit<Problem, 'type'> & { type?: string };
const whole = (problem: Said): Problem => ({ ...problem, type: problem.type ?? 'about:blank' });

function send(response: Response, problem: Said): void {
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify(whole(problem)));
}

export const unknownRoute: RequestHandler = (request, response) => {
  send(response, {
    status: 404,
    title: 'Not found',
    detail: `There is nothing at this address. The list of addresses is at /api/docs.`,
  });
};

/** How long someone who was turned away should wait, in seconds. */
const RETRY_S = '5';

/** Every error leaves as a problem document; what is not ours to explain leaves without its stack. */
export function formatErrors(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    const known =
      error instanceof ProblemError
        ? error.problem
        : (bodyProblem(error) ?? databaseProblem(error) ?? rangeProblem(error));
    if (!known) log.error({ err: error }, 'a request failed');
    const problem = known ?? {
      status: 500,
      title: 'Something went wrong here',
      detail: 'The server could not finish this. Try again in a moment: nothing is done twice.',
    };
    const waitS = error instanceof ProblemError ? error.waitS : undefined;
    if (problem.status === 503 && !response.headersSent) response.set('Retry-After', RETRY_S);
    if (waitS !== undefined && !response.headersSent) response.set('Retry-After', String(waitS));
    if (!response.headersSent) send(response, problem);
    else if (hasProgress(response)) response.end(lineOf({ problem: whole(problem) }));
    else next(error);
  };
}

/** What is wrong with a request before anyone looked at what it means. */
function bodyProblem(error: unknown): Omit<Problem, 'type'> | null {
  const { type, status, limit } = error as { type?: unknown; status?: unknown; limit?: unknown };
  if (type === 'entity.too.large') {
    return {
      status: 413,
      title: 'Too large',
      detail: refuseSize(formatBytes(Number(limit))),
    };
  }
  if (type === 'encoding.unsupported' || type === 'charset.unsupported') {
    return {
      status: 415,
      title: 'Not readable',
      detail: 'What was sent is encoded in a way that is not known here. Send plain UTF-8 JSON.',
    };
  }
  if (type === 'entity.parse.failed') {
    return { status: 400, title: 'Not readable', detail: 'What was sent is not valid JSON.' };
  }
  if (error instanceof URIError) {
    return { status: 400, title: 'Not readable', detail: 'This address cannot be read.' };
  }
  // Broken off, of a false length, or not packed as it says: whatever reads bodies found it.
  return typeof status === 'number' && status >= 400 && status < 500
    ? { status, title: 'Not readable', detail: 'What was sent arrived broken. Send it again.' }
    : null;
}

const formatBytes = (bytes: number) =>
  bytes >= 1024 * 1024 ? `${bytes / 1024 / 1024} MB` : `${bytes / 1024} kB`;

const OUT_OF_RANGE = new Set(['23514', '22003', '22P02', '22021', '22P05', '22007', '22008']);
const THERE_ALREADY = new Set(['23505', '23P01']);
/** A statement or a lock that took too long. */
const TOO_LONG = new Set(['57014', '55P03', '25P03']);

/** Constraints of the database, as the last wall behind the schemas, in words. */
function databaseProblem(error: unknown): Omit<Problem, 'type'> | null {
  const { name = '', parent } = error as { name?: string; parent?: Error & { code?: string } };
  const code = parent?.code ?? '';
  if (code === '23503') {
    return {
      status: 422,
      title: 'Please check what you entered',
      detail: 'Something that this refers to is not in this household. Reload and choose again.',
    };
  }
  if (OUT_OF_RANGE.has(code)) {
    return {
      status: 422,
      title: 'Please check what you entered',
      detail: 'A value lies outside what is possible. Nothing was changed.',
    };
  }
  if (THERE_ALREADY.has(code)) {
    return {
      status: 409,
      title: 'Does not fit',
      detail: 'This already exists, or overlaps with something that does. Nothing was changed.',
    };
  }
  if (code === '53100') {
    return {
      status: 507,
      title: 'The disk is full',
      detail:
        'The disk of the server is full. Nothing was changed; free some room, then try again.',
    };
  }
  if (TOO_LONG.has(code) || parent?.message === 'Query read timeout') {
    return {
      status: 503,
      title: 'Took too long',
      detail:
        'The server is busy and gave up on this. Try again in a moment: nothing is done twice.',
    };
  }
  return name.startsWith('SequelizeConnection') || isCutOff(parent)
    ? {
        status: 503,
        title: 'Not ready',
        detail: 'The database cannot be reached. Try again in a moment: nothing is done twice.',
      }
    : null;
}

/** The connection broke while something was on its way: whether that was done is not known. */
const isCutOff = (cause: (Error & { code?: string }) | undefined): boolean =>
  cause !== undefined &&
  (/^(57P0|08)/.test(cause.code ?? '') ||
    /^(Connection terminated|Client has encountered)/.test(cause.message) ||
    cause.code === 'ECONNRESET');

/** What a computation has no answer for is refused when it is written, in its words. */
const rangeProblem = (error: unknown): Omit<Problem, 'type'> | null =>
  error instanceof OutOfRange
    ? { status: 422, title: 'Please check what you entered', detail: error.message }
    : null;
