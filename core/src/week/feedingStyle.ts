import { isLitter, type Lasting } from '../food';
import type { FoodFamily, Guild } from '@open-larder/catalogue';
import { type Stage } from '../fish';

/** Choices on which good keepers differ: what a tank's plan is made by. */
export const FEEDING_STYLES = {
  /** By a share of body mass, by what is gone in minutes, or food left in all day. */
  portion: ['weight', 'clearing', 'grazing'],
  meals: ['two', 'many'],
  /** When what is left is taken out: soon, plant food after a day, or crumbs never. */
  lift: ['soon', 'day', 'crumbs'],
  staple: ['dry', 'fresh'],
  fast: ['weekly', 'none'],
  soak: ['soaked', 'dry'],
} as const;

export type FeedingStyleKey = keyof typeof FEEDING_STYLES;
export const FEEDING_STYLE_KEYS = Object.keys(FEEDING_STYLES) as FeedingStyleKey[];
export type FeedingStyle = { [K in FeedingStyleKey]: (typeof FEEDING_STYLES)[K][number] };

/** What speaks for a choice in a tank. */
export type Because =
  | 'fry'
  | 'growers'
  | 'grazers'
  | 'noStomachs'
  | 'proteinSensitive'
  | 'heavyAdults'
  | 'bottom'
  | 'shrimp'
  | 'usual';

/** What of a group decides which choices fit it. */
export interface Styled {
  species: {
    guild: Guild;
    stomach: boolean;
    shape: string;
    zone: string;
    capped: readonly string[];
  };
  stage: Stage;
  /** Energy it needs a day: who weighs how much where groups differ. */
  needKj: number;
}

export type Usual = { [K in FeedingStyleKey]: { choice: FeedingStyle[K]; because: Because } };

const GRAZES: ReadonlySet<Guild> = new Set(['plant grazer', 'film scraper', 'detritus feeder']);
const GROWS: ReadonlySet<Stage> = new Set(['fry', 'juvenile']);
const RESTS: ReadonlySet<Stage> = new Set(['adult', 'old', 'resting']);

/**
 * The choices that suit a tank, from the groups that eat most of its food. Assumptions, each with
 * what speaks for it; any keeper may choose otherwise.
 */
export function usualFeedingStyle(groups: readonly Styled[]): Usual {
  const all = groups.reduce((sum, group) => sum + group.needKj, 0);
  const mostly = (is: (group: Styled) => boolean) =>
    all > 0 && groups.reduce((sum, group) => sum + (is(group) ? group.needKj : 0), 0) > all / 2;
  const any = (is: (group: Styled) => boolean) => groups.some(is);
  const fry = any(({ stage }) => stage === 'fry');
  const growers = mostly(({ stage }) => GROWS.has(stage));
  const grazers = mostly(({ species }) => GRAZES.has(species.guild));
  const noStomachs = mostly(({ species }) => !species.stomach);
  const shrimp = any(({ species }) => species.shape === 'shrimp');
  const sensitive = any(
    ({ species, stage }) => GROWS.has(stage) && species.capped.includes('animal protein'),
  );
  const heavy = mostly(({ species, stage }) => RESTS.has(stage) && species.stomach);
  const bottom = any(({ species }) => species.zone === 'bottom');
  const pick = <C>(
    choices: readonly (readonly [when: boolean, choice: C, because: Because])[],
    otherwise: C,
  ): { choice: C; because: Because } => {
    const found = choices.find(([when]) => when);
    return found
      ? { choice: found[1], because: found[2] }
      : { choice: otherwise, because: 'usual' };
  };
  return {
    portion: pick<FeedingStyle['portion']>(
      [
        [fry, 'grazing', 'fry'],
        [grazers, 'grazing', 'grazers'],
      ],
      'weight',
    ),
    meals: pick<FeedingStyle['meals']>(
      [
        [fry, 'many', 'fry'],
        [growers, 'many', 'growers'],
        [noStomachs, 'many', 'noStomachs'],
      ],
      'two',
    ),
    lift: pick<FeedingStyle['lift']>(
      [
        [fry, 'crumbs', 'fry'],
        [shrimp, 'crumbs', 'shrimp'],
        [grazers, 'day', 'grazers'],
      ],
      'soon',
    ),
    staple: pick<FeedingStyle['staple']>([[sensitive, 'fresh', 'proteinSensitive']], 'dry'),
    fast: pick<FeedingStyle['fast']>(
      [
        [fry, 'none', 'fry'],
        [growers, 'none', 'growers'],
        [grazers, 'none', 'grazers'],
        [heavy, 'weekly', 'heavyAdults'],
      ],
      'none',
    ),
    soak: pick<FeedingStyle['soak']>([[bottom, 'soaked', 'bottom']], 'dry'),
  };
}

/** The choices alone. */
export const choicesOf = (usual: Usual): FeedingStyle =>
  Object.fromEntries(FEEDING_STYLE_KEYS.map((key) => [key, usual[key].choice])) as FeedingStyle;

/** Minutes after which «soon» has taken out what is left, and a day. Assumptions. */
const SOON_MIN = 15;
const DAY_MIN = 1440;
/** Food of at least this plant share may stay in. Assumption. */
const PLANT = 0.5;

/** What of a food decides how long it may stay in. */
export interface LeftInWater extends Lasting {
  family: FoodFamily;
  plantShare: number;
}

/**
 * Minutes after which what is left of a food is lifted in a tank of that feeding style; null leaves it.
 * Without one the food's own time holds.
 */
export function liftAfter(
  feedingStyle: Pick<FeedingStyle, 'lift'> | null,
  food: LeftInWater,
): number | null {
  const own = food.liftAfterMin;
  // Leaves stay until only their veins are left, whatever is done with slices.
  if (feedingStyle === null || isLitter(food)) return own;
  const plant = food.plantShare >= PLANT;
  switch (feedingStyle.lift) {
    case 'soon':
      // A wafer or a slice is eaten as it softens: it would not be given to be taken out at once.
      return own === null ? SOON_MIN : plant ? own : Math.min(own, SOON_MIN);
    case 'day':
      return plant ? Math.max(own ?? DAY_MIN, DAY_MIN) : own;
    case 'crumbs':
      // Slices rot; crumbs are found.
      return food.family === 'leaf' ? DAY_MIN : null;
  }
}
