import {
  LINES,
  type Line,
  type ResponseOf,
  type Route,
  type RouteName,
  type ProgressOf,
} from '@open-larder/contract';
import type { Response } from 'express';

/** What a handler may use whose answer takes long. */
export interface Reporting<N extends RouteName> {
  report: (news: ProgressOf<N>) => void;
  /** Whoever asked no longer waits. */
  gone: AbortSignal;
}

export const lineOf = <N extends RouteName>(line: Line<N>) => `${JSON.stringify(line)}\n`;

/** Whether an answer has begun to be told line by line. */
export const hasProgress = (response: Response) =>
  response.headersSent && String(response.get('Content-Type')).startsWith(LINES);

/** A route's answer: whole where nothing was reported before it, else as the last of its lines. */
export function linesTo(response: Response, { method, progress }: Route) {
  const status = method === 'post' ? 201 : 200;
  const gone = new AbortController();
  response.on('close', () => gone.abort());
  const reporting: Reporting<RouteName> = {
    gone: gone.signal,
    report(news) {
      if (!response.headersSent) {
        // A line that waited to be compressed with the next would come too late.
        response.set('Cache-Control', 'no-store, no-transform');
        response.status(status).type(LINES);
      }
      response.write(lineOf({ progress: progress!.parse(news) as never }));
    },
  };
  return {
    reporting,
    answer(answer: unknown) {
      if (hasProgress(response)) response.end(lineOf({ answer: answer as ResponseOf<RouteName> }));
      else response.status(status).json(answer);
    },
  };
}
