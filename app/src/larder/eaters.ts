import { GUILDS, type Guild, type Species } from '@open-larder/catalogue';
import type { FoodRow } from '@open-larder/contract';
import { prepared } from '@open-larder/core/food';
import { fits, takes, wasEaten, type Fit } from '@open-larder/core/mouth';
import type { AppData } from '../store';

/** Who a food is held against: a group as it is now, or a way of eating where no fish is there. */
export interface ForWhom {
  id: string;
  title: string;
  detail?: string;
  guild: Guild;
  species: Species | null;
  lengthCm: number;
  /** Foods that the group was seen to eat. */
  eats?: readonly string[];
}

export function eatersOf({ groups, species, house }: AppData): ForWhom[] {
  const lengths = new Map(house.groups.map((group) => [group.id, group.lengthCm]));
  const living = groups.flatMap((group): ForWhom[] => {
    const of = species.get(group.speciesKey);
    const lengthCm = lengths.get(group.id);
    if (!of || lengthCm === undefined || group.archived) return [];
    const { id, name, eats } = group;
    const detail = `${of.common}, ${of.guild}`;
    return [{ id, title: name, detail, guild: of.guild, species: of, lengthCm, eats }];
  });
  if (living.length > 0) return living;
  return GUILDS.map((guild) => ({
    id: guild,
    title: `a ${guild}`,
    guild,
    species: null,
    lengthCm: 0,
  }));
}

const FIT_WORDS: Record<Fit, string> = {
  whole: 'whole',
  'the smaller': 'smaller ones',
  'in bites': 'in bites',
  unknown: 'not known',
  'too large': 'too large',
};

/** How a food suits an eater, in words and with what they come from; null where no fish is there. */
export function suits(food: FoodRow, { species, lengthCm, eats }: ForWhom) {
  if (species === null) return null;
  const offer = { ...food, ...prepared({ ...food.inWater, form: food.form }, food.steps) };
  const { fit, gapeMm } = fits(species, lengthCm, offer, wasEaten({ eats }, food.id));
  const { likely, word, capped } = takes(species, offer);
  return {
    fit,
    fits: FIT_WORDS[fit],
    gapeMm,
    taken: capped ? `${word}, little of it` : word,
    likely,
    /** For sorting: what it should have little of comes after what it may have. */
    rank: capped ? likely.value / 2 : likely.value,
  };
}
