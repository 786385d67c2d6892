import type { Guild } from '@open-larder/catalogue';
import {
  digestibleEnergy,
  toGrams,
  toServingUnits,
  type Composition,
  type ServingUnit,
} from '../food';
import { assumed, computed, measured, type Known } from '../why';

export interface Food {
  id: string;
  name: string;
  composition: Composition;
  unit: ServingUnit;
  /** Leaves and cones: grazed for weeks beside the ration, which they are no part of. */
  litter?: boolean;
  /** Minutes until what is left is taken out; left out where that is not known. */
  staysMin?: number | null;
}

export interface Portion {
  /** What the hand deals, a multiple of the unit's step. */
  readonly units: number;
  readonly massG: number;
  /** Digestible energy in those grams, kJ. */
  readonly energyKj: number;
  /** Grams that the need asks for, before rounding to serving units, with their derivation. */
  readonly wantedG: Known;
  /** massG ÷ wantedG: how far rounding to serving units, or the keeper, moved the ration. */
  readonly ofWanted: number;
  /** The whole derivation, ending in serving units. */
  readonly why: Known;
}

/**
 * One serving's portion: its part of the day's energy, as grams of a food, as serving units.
 * @param needKj   energy the group needs that day, with its derivation
 * @param part     this serving's part of the day, 0..1
 * @param ownUnits the keeper's own amount in serving units, in place of the computed one
 * @param mixed    this food's share of a meal that is mixed from two
 */
export function portion(
  needKj: Known,
  part: number,
  food: Food,
  guild: Guild,
  ownUnits: number | null = null,
  mixed: Known | null = null,
): Portion {
  const energy = digestibleEnergy(food.name, food.composition, guild);
  const wanted = energy.value > 0 ? (needKj.value * part * (mixed?.value ?? 1)) / energy.value : 0;
  const wantedG = computed(wanted, {
    label: `${food.name} for this serving, as fed`,
    unit: 'g',
    how: `daily need × part of the day ${mixed ? '× share of the meal ' : ''}÷ digestible energy of the food`,
    source: energy.source,
    from: [
      needKj,
      measured('Part of the day given at this serving', round3(part), '', 'the plan'),
      ...(mixed ? [mixed] : []),
      energy,
    ],
  });
  const units = ownUnits ?? toServingUnits(wanted, food.unit);
  const massG = toGrams(units, food.unit);
  return {
    units,
    massG,
    energyKj: massG * energy.value,
    wantedG,
    ofWanted: wanted > 0 ? massG / wanted : 1,
    why: computed(units, {
      label: 'Portion',
      unit: units > 1 ? food.unit.plural : food.unit.name,
      how:
        ownUnits === null
          ? `grams ÷ mass of one ${food.unit.name}, to the nearest step of it`
          : 'set by the keeper in place of the computed portion',
      from: [
        wantedG,
        food.unit.mass ??
          assumed(
            `Mass of one ${food.unit.name}`,
            food.unit.massG,
            'g',
            'food shelf: weigh twenty',
          ),
      ],
    }),
  };
}

/**
 * Leaves and cones as they are put in: grazed for weeks, they carry nothing of a day's energy.
 * @param ownUnits the keeper's own amount in serving units; else one
 */
export function besideRation(food: Food, ownUnits: number | null): Portion {
  const units = ownUnits ?? 1;
  const massG = toGrams(units, food.unit);
  return {
    units,
    massG,
    energyKj: 0,
    wantedG: measured(`${food.name} to graze`, massG, 'g', 'the plan'),
    ofWanted: 1,
    why: computed(units, {
      label: 'Put in to graze',
      unit: units > 1 ? food.unit.plural : food.unit.name,
      how: 'stays in for weeks and is grazed as it softens: no part of the day’s ration',
      from: [],
    }),
  };
}

const round3 = (value: number) => Math.round(value * 1000) / 1000;
