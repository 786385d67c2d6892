import type { Species } from '@open-larder/catalogue';
import type { BroodFood } from './menu';
import { STRATEGIES } from './strategies';
import type { FirstFood, StandingFood } from './vocabulary';

/** What must not be given at a stage. */
export type NeverFood = 'dryToSkinFeeders' | 'animalsToGrazers' | 'richToGrazers';

/** How young of a kind are fed on principle, by the day from swimming free. */
export type YoungDiet = 'prey' | 'grazers' | 'skinFeeders';

/** A food left standing in the water, on its days; Infinity for one that stays. */
export interface StandingSpan {
  what: StandingFood;
  from: number;
  to: number;
}

export interface Programme {
  diet: YoungDiet;
  standing: StandingSpan[];
  never: NeverFood[];
  /** Whether a food may be dealt on a day, as long as it fits the mouth. */
  allows: (food: BroodFood, day: number) => boolean;
  /** The share of the need that what stands in the water carries on a day. */
  carried: (day: number) => number;
}

/** Live food is offered beside the parents from this day of swimming on. Practice, discus. */
const SKIN_ALONE_DAYS = 5;
/** From this length on young skin-feeders live without their parents' skin. Practice: three to five weeks. */
const OFF_SKIN_CM = 1.5;
/** From this length on they learn to take dry food. Practice. */
export const SKIN_DRY_CM = 2;
/** Skin carries the half once live food stands beside it. Assumption. */
const SKIN_BESIDE = 0.5;
/** Grazers find the most of what they eat in film, leaves and vegetables. Assumption. */
const GRAZED = 0.75;
/** Vegetables are nibbled from this length on; before, it is film alone. Practice. */
const NIBBLES_CM = 1;
/** What is dealt to grazers is plant at least to this share … Assumption. */
const PLANT_SHARE = 0.25;
/** … and has no more protein than this in its dry matter: rich powder bloats them. Practice. */
export const RICH_PROTEIN = 0.45;
/** Film carries the half where it was chosen for fish that go on to live food. Assumption. */
const FILM_BESIDE = 0.5;

/** How the young of a species are fed, before anyone chose. */
export function youngDietOf(species: Pick<Species, 'breeding' | 'guild' | 'mouth'>): YoungDiet {
  if (species.breeding === 'skin feeder') return 'skinFeeders';
  const scrapes = species.guild === 'plant grazer' || species.guild === 'film scraper';
  // A sucker scrapes from its first day; other plant-eaters begin with what swims.
  const grazes = STRATEGIES[species.breeding].youngGraze || (scrapes && species.mouth === 'sucker');
  return grazes ? 'grazers' : 'prey';
}

/**
 * What the young of a species live on, from swimming free to young fish: what stands in the water, what may
 * be dealt beside it, and what must not.
 * @param chosen what the keeper chose; null takes what suits them
 * @param lengthOn total length on a day, cm
 * @param days so many days are looked at
 */
export function programmeOf(
  species: Pick<Species, 'breeding' | 'guild' | 'mouth'>,
  chosen: FirstFood | null,
  lengthOn: (day: number) => number,
  days: number,
): Programme {
  const diet = youngDietOf(species);
  /** The first day on which they have a length; never is Infinity. */
  const dayAt = (cm: number): number => {
    for (let day = 0; day < days; day += 1) if (lengthOn(day) >= cm) return day;
    return Infinity;
  };
  if (diet === 'grazers') {
    return {
      diet,
      standing: [
        { what: 'film', from: 0, to: Infinity },
        { what: 'vegetables', from: dayAt(NIBBLES_CM), to: Infinity },
      ],
      never: ['animalsToGrazers', 'richToGrazers'],
      allows: (food) => !food.live && suitsGrazers(food),
      carried: () => GRAZED,
    };
  }
  // A keeper who chose something else raises them without their parents.
  if (diet === 'skinFeeders' && chosen === null) {
    const off = dayAt(OFF_SKIN_CM);
    const dry = dayAt(SKIN_DRY_CM);
    return {
      diet,
      standing: [{ what: 'skin', from: 0, to: off }],
      never: ['dryToSkinFeeders'],
      allows: (food, day) => (food.live ? day >= SKIN_ALONE_DAYS : day >= dry),
      carried: (day) => (day < SKIN_ALONE_DAYS ? 1 : day < off ? SKIN_BESIDE : 0),
    };
  }
  return {
    diet: 'prey',
    standing: chosen === 'film' ? [{ what: 'film', from: 0, to: Infinity }] : [],
    never: [],
    allows: () => true,
    carried: () => (chosen === 'film' ? FILM_BESIDE : 0),
  };
}

function suitsGrazers({ composition, plantShare }: BroodFood): boolean {
  const dry = 1 - composition.moisture;
  return plantShare >= PLANT_SHARE && dry > 0 && composition.protein / dry <= RICH_PROTEIN;
}
