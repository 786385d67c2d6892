import type { Problem } from '@open-larder/contract';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { ProblemError } from './problems';

function send(response: Response, problem: Omit<Problem, 'type'> & { type?: string }): void {
  response
    .status(problem.status)
    .type('application/problem+json')
    .send(JSON.stringify({ ...problem, type: problem.type ?? 'about:blank' }));
}

export const unknownRoute: RequestHandler = (request, response) => {
  send(response, {
    status: 404,
    title: 'Not found',
    detail: `There is nothing at this address. The list of addresses is at /api/docs.`,
  });
};

/** Every error leaves as a problem document; what is not ours to explain leaves without its stack. */
export function sayErrors(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    if (error instanceof ProblemError) {
      send(response, error.problem);
      return;
    }
    const known = bodyProblem(error) ?? databaseProblem(error);
    if (known) {
      send(response, known);
      return;
    }
    log.error({ err: error }, 'a request failed');
    send(response, {
      status: 500,
      title: 'Something went wrong here',
      detail: 'The server could not finish this. Nothing was changed; try again in a moment.',
    });
  };
}

function bodyProblem(error: unknown): Omit<Problem, 'type'> | null {
  const type = (error as { type?: unknown }).type;
  if (type === 'entity.too.large') {
    return {
      status: 413,
      title: 'Too large',
      detail: 'What was sent is over 256 kB. Send it in smaller parts.',
    };
  }
  if (
    type === 'entity.parse.failed' ||
    type === 'charset.unsupported' ||
    type === 'encoding.unsupported'
  ) {
    return { status: 400, title: 'Not readable', detail: 'What was sent is not valid JSON.' };
  }
  return error instanceof URIError
    ? { status: 400, title: 'Not readable', detail: 'This address cannot be read.' }
    : null;
}

/** Constraints of the database, as the last wall behind the schemas, in words. */
function databaseProblem(error: unknown): Omit<Problem, 'type'> | null {
  const code = (error as { parent?: { code?: string } }).parent?.code;
  switch (code) {
    case '23503':
      return {
        status: 422,
        title: 'Please check what you entered',
        detail: 'Something that this refers to is not in this household. Reload and choose again.',
      };
    case '23514':
    case '22003':
    case '22P02':
    case '22021':
      return {
        status: 422,
        title: 'Please check what you entered',
        detail: 'A value lies outside what is possible. Nothing was changed.',
      };
    case '23505':
    case '23P01':
      return {
        status: 409,
        title: 'Does not fit',
        detail: 'This is already there, or overlaps with what is. Nothing was changed.',
      };
    default:
      return (error as { name?: string }).name?.startsWith('SequelizeConnection')
        ? {
            status: 503,
            title: 'Not ready',
            detail: 'The database cannot be reached. Nothing was changed; try again in a moment.',
          }
        : null;
  }
}
