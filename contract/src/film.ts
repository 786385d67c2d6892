import type { FilmSeen } from '@open-larder/core/tank';
import { daysBetween } from '@open-larder/core/round';
import type { Tank } from './tank';

/** Days for which a film that was seen counts as food. Practice. */
const FILM_HOLDS_DAYS = 7;

/** The film of a tank as it counts on a day; null where it was not seen in the week before. */
export const filmOn = (
  { film, filmOn: seenOn }: Pick<Tank, 'film' | 'filmOn'>,
  day: string,
): FilmSeen | null =>
  seenOn !== null && daysBetween(seenOn, day) <= FILM_HOLDS_DAYS ? film : null;
