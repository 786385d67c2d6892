import type { Guild } from '@open-larder/catalogue';
import { digestibleEnergy, ofDryMatter, type Composition } from './energy';

/** What is compared about a food, as fed and in its dry matter. */
export interface Compared {
  /** kJ digestible energy per gram as fed. */
  energyKj: number;
  /** Shares of the dry matter, 0..1. */
  dryProtein: number;
  dryFat: number;
  dryFibre: number;
  plantShare: number;
  /** Share of mass that is dry matter. */
  dryShare: number;
  /** Minor units for 100 kJ, and for 10 g of protein; null without a price. */
  costPer100Kj: number | null;
  costPer10GProtein: number | null;
}

interface ComparedFood {
  name: string;
  composition: Composition;
  plantShare: number;
}

/**
 * A food in figures that can be held against those of any other, however wet it is.
 * @param guild who digests it
 * @param pricePerG minor units for a gram as fed; null where no lot has a price
 * @throws RangeError where the composition adds up to more than 100 %
 */
export function compared(food: ComparedFood, guild: Guild, pricePerG: number | null): Compared {
  const dry = ofDryMatter(food.composition);
  const energyKj = digestibleEnergy(food.name, food.composition, guild).value;
  const per = (amount: number, inAGram: number) =>
    pricePerG === null || inAGram <= 0 ? null : (amount * pricePerG) / inAGram;
  return {
    energyKj,
    dryProtein: dry.protein,
    dryFat: dry.fat,
    dryFibre: dry.fibre,
    plantShare: food.plantShare,
    dryShare: 1 - food.composition.moisture,
    costPer100Kj: per(100, energyKj),
    costPer10GProtein: per(10, food.composition.protein),
  };
}
