import type { Problem } from '@open-larder/contract';
import type { ErrorRequestHandler, RequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { isTold, lineOf } from './lines';
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

/** Every error leaves as a problem document; what is not ours to explain leaves without its stack. */
export function sayErrors(log: Logger): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    const known =
      error instanceof ProblemError
        ? error.problem
        : (bodyProblem(error) ?? databaseProblem(error));
    if (!known) log.error({ err: error }, 'a request failed');
    const problem = known ?? {
      status: 500,
      title: 'Something went wrong here',
      detail: 'The server could not finish this. Nothing was changed; try again in a moment.',
    };
    if (!response.headersSent) send(response, problem);
    else if (isTold(response)) response.end(lineOf({ problem: whole(problem) }));
    else next(error);
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
