import type { FoodForm, PieceForm, Preparation, PreparationStep } from '@open-larder/catalogue';

/** How a food behaves in the water. */
export interface InWater {
  /** Minutes that it floats before it sinks, and cm/s once it is wet; null if unknown. */
  floatMinutes: number | null;
  sinkCmPerS: number | null;
  /** Longest side of its pieces, mm; null where it is not known. */
  particleMinMm: number | null;
  particleMaxMm: number | null;
  /** Form and width of its pieces: thickness of flakes, discs and leaves; by its kind where not said. */
  pieceForm?: PieceForm | null;
  widthMinMm?: number | null;
  widthMaxMm?: number | null;
}

/** A food as it goes into the water, and what it took to get there. */
export interface Prepared extends InWater {
  form: FoodForm;
  /** Minutes before the meal at which what is done for each meal begins, and of hands in it. */
  leadMin: number;
  workMin: number;
}

/** Wet through or weighed down, a food no longer floats. */
const SINKS: ReadonlySet<Preparation> = new Set(['soak', 'blanch', 'weigh-down']);
/** With these a batch is put by: what comes after them is done for each meal. */
const PUTS_BY: ReadonlySet<Preparation> = new Set(['open-freeze', 'set']);
/** Sinking speed of a soaked food that floated, cm/s: an assumption for dry pellets and leaves. */
const SOAKED_CM_S = 2;

/**
 * What its preparation makes of a food: it sinks at once, it is in smaller pieces, and it took time.
 * @param steps in order
 */
export function prepared(
  food: InWater & { form: FoodForm },
  steps: readonly PreparationStep[],
): Prepared {
  const sinks = steps.some((step) => SINKS.has(step.kind));
  const sizes = steps.flatMap((step) => step.toMm ?? []);
  const largest = Math.min(food.particleMaxMm ?? Infinity, ...sizes);
  const particleMaxMm = Number.isFinite(largest) ? largest : null;
  const smallest = food.particleMinMm ?? (sizes.length > 0 ? particleMaxMm : null);
  const meal = mealSteps(steps);
  const { pieceForm = null, widthMinMm = null, widthMaxMm = null } = food;
  return {
    // Of what was cut or crushed, a piece is no wider than it is long.
    ...(pieceForm && { pieceForm }),
    ...(widthMinMm !== null && { widthMinMm: Math.min(widthMinMm, largest) }),
    ...(widthMaxMm !== null && { widthMaxMm: Math.min(widthMaxMm, largest) }),
    form: sinks ? 'sinks' : food.form,
    floatMinutes: sinks ? 0 : food.floatMinutes,
    sinkCmPerS: sinks ? Math.max(SOAKED_CM_S, food.sinkCmPerS ?? 0) : food.sinkCmPerS,
    particleMinMm:
      smallest === null || particleMaxMm === null ? smallest : Math.min(smallest, particleMaxMm),
    particleMaxMm,
    leadMin: meal.reduce((sum, step) => sum + step.leadMin, 0),
    workMin: meal.reduce((sum, step) => sum + step.workMin, 0),
  };
}

/** What is done for each meal, once the batch is put by. */
export function mealSteps(steps: readonly PreparationStep[]): PreparationStep[] {
  return steps.slice(steps.findLastIndex((step) => PUTS_BY.has(step.kind)) + 1);
}
