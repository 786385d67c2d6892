import type { Problem } from '@open-larder/contract';

/** An answer that is not a success, with a sentence for a person. */
export class ProblemError extends Error {
  constructor(
    readonly problem: Omit<Problem, 'type'> & { type?: string },
    /** How long to wait before it is tried again, where that is known. */
    readonly waitS?: number,
  ) {
    super(problem.detail);
    this.name = 'ProblemError';
  }
}

/** Text with a NUL, which no field may hold. */
export class NulError extends ProblemError {
  constructor() {
    super({
      status: 400,
      title: 'Not readable',
      detail: 'What was sent holds a character that cannot be kept (NUL). Take it out.',
    });
  }
}

export const notFound = (what: string) =>
  new ProblemError({
    status: 404,
    title: 'Not found',
    detail: `${what} is not here. It may have been removed; go back and reload the list.`,
  });

/** A change built on an older version: both are returned, nothing is overwritten. */
export const stale = (what: string, yours: unknown, theirs: unknown) =>
  new ProblemError({
    status: 409,
    type: 'urn:open-larder:stale',
    title: 'Changed meanwhile',
    detail: `${what} was changed somewhere else since you opened it. Compare both and save again.`,
    yours,
    theirs,
  });

export const conflict = (detail: string, theirs?: unknown) =>
  new ProblemError({ status: 409, title: 'Does not fit', detail, theirs });

/** The id stands for something else: sent again with other content, or another household's. */
export const idUsed = () =>
  new ProblemError({
    status: 409,
    type: 'urn:open-larder:id-used',
    title: 'Saved already',
    detail:
      'This was saved before, as it was first sent. Check it there; save again to add this too.',
  });

export const signInFirst = () =>
  new ProblemError({
    status: 401,
    type: 'urn:open-larder:signed-out',
    title: 'Not signed in',
    detail: 'You are not signed in on this device, or no longer. Sign in; what you typed stays.',
  });

export const notAllowed = (detail: string) =>
  new ProblemError({ status: 403, title: 'Not for you to do', detail });

export const unavailable = (detail: string) =>
  new ProblemError({
    status: 503,
    type: 'urn:open-larder:unavailable',
    title: 'Not available just now',
    detail,
  });

export const invalid = (path: string, message: string) =>
  new ProblemError({
    status: 422,
    title: 'Please check what you entered',
    detail: message,
    errors: [{ path, message }],
  });
