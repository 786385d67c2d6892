import type { GenericFood } from '@open-larder/catalogue';
import type { FoodFields } from './food';

/** A generic food as the fields of a food of one's own, to be corrected from its label. */
export function fieldsOfGeneric(food: GenericFood): FoodFields {
  const { protein, fat, fibre, ash, moisture } = food;
  return {
    name: food.name,
    family: food.family,
    kind: food.kind,
    form: food.form,
    composition: { protein, fat, fibre, ash, moisture },
    plantShare: food.plantShare,
    unit: {
      name: food.unitName,
      plural: food.unitPlural,
      massG: food.unitMassG,
      step: food.unitStep,
    },
    inWater: {
      floatMinutes: food.floatMinutes,
      sinkCmPerS: food.sinkCmPerS,
      particleMinMm: food.particleMinMm,
      particleMaxMm: food.particleMaxMm,
      pieceForm: food.pieceForm,
      widthMinMm: food.widthMinMm,
      widthMaxMm: food.widthMaxMm,
    },
    steps: food.steps,
    keeps: {
      sealedDays: food.keepsSealedDays,
      openedDays: food.keepsOpenedDays,
      preparedHours: food.keepsPreparedHours,
    },
    liftAfterMin: food.liftAfterMin,
    cautions: { people: food.cautionsPeople, fish: food.cautionsFish },
    copiedFrom: food.key,
  };
}

/** A food of which nothing is known but its serving unit: no guess that looks like a fact. */
export const blankFood = {
  name: '',
  kind: 'dry',
  family: 'grain',
  form: 'floats',
  unit: { name: 'pinch', plural: 'pinches', step: 0.5 },
  inWater: { floatMinutes: null, sinkCmPerS: null, particleMinMm: null, particleMaxMm: null },
  steps: [],
  keeps: { sealedDays: null, openedDays: null, preparedHours: null },
  liftAfterMin: null,
  cautions: { people: [], fish: [] },
  copiedFrom: null,
} satisfies Partial<Omit<FoodFields, 'unit'>> & { unit: Partial<FoodFields['unit']> };
