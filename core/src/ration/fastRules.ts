import type { Guild } from '@open-larder/catalogue';
import type { Stage } from '../fish';
import type { Belly } from './belly';

/**
 * How much of the usual time without food a guild tolerates, where nothing grows that it can graze:
 * what grazes or filters eats all day, what hunts eats now and then. Practice.
 */
export const FAST_BY_GUILD: Record<Guild, number> = {
  'plant grazer': 0.7,
  'film scraper': 0.5,
  'detritus feeder': 0.7,
  'filter feeder': 0.4,
  'invertebrate picker': 1,
  predator: 1.3,
  omnivore: 1,
};

/** And how much of it a stage does. Those that eat nothing or must not fast are decided apart. Practice. */
export const FAST_BY_STAGE: Record<Stage, number> = {
  'yolk-sac larva': 0,
  fry: 0,
  juvenile: 0.5,
  adult: 1,
  conditioning: 1,
  spawning: 1,
  brooding: 1,
  resting: 1.3,
  quarantine: 0.7,
  old: 0.8,
};

/** And with which belly it begins: there is little to live on in a hollow one. Assumption. */
export const FAST_BY_BELLY: Record<Belly, number> = { 1: 0.4, 2: 0.7, 3: 1, 4: 1.1, 5: 1.2 };
