import type { LifeEvent } from '@open-larder/core';
import type { Weighed } from '@open-larder/core/growth';

/** What was measured of a group up to a day, the oldest first. */
export const measuredIn = (events: readonly LifeEvent[], upTo: string): Weighed[] =>
  events
    .flatMap((event): Weighed[] =>
      event.kind === 'measured' && event.day <= upTo
        ? [
            {
              day: event.day,
              lengthCm: event.lengthCm,
              lengthsCm: event.lengthsCm ?? null,
              massG: event.massG ?? null,
            },
          ]
        : [],
    )
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
