import { computed, measured, type Known } from '../why';

/** Share of the new food in the mixed meal, step by step. Assumption. */
export const TRAINING_STEPS = [0.1, 0.25, 0.5, 0.75, 1] as const;
/** Meals in a row that must be taken before the next step; refused before the one below. Assumptions. */
const TAKEN_IN_ROW = 2;
const REFUSED_IN_ROW = 2;
/** After so many meals on the first step, all refused, another food is the better way. Assumption. */
const HOPELESS_AFTER = 6;

/** What became of a mixed meal: of the new food in it. */
export type Tasting = 'taken' | 'some' | 'refused';

/** How far a training is. */
export interface Training {
  /** From 1. */
  step: number;
  /** Share of the new food in the meal, 0..1, of its energy. */
  share: number;
  offers: number;
  /** taken: the new food alone, meal after meal. hopeless: refused from the first day on. */
  ends: 'taken' | 'hopeless' | null;
}

/**
 * Train fish onto a food that they refuse: a little of it among one that they take, more when that
 * was taken twice in a row, less when it was refused twice. The rest of their day stays as it is, so
 * that nobody starves for it.
 * @param offers what became of the mixed meals, the oldest first
 * @param from   the step that it begins with, from 1
 */
export function trainingOn(offers: readonly Tasting[], from = 1): Training {
  const last = TRAINING_STEPS.length;
  let step = Math.min(last, Math.max(1, from));
  let row = 0;
  let refusedLow = 0;
  let alone = false;
  for (const offer of offers) {
    row = offer === 'some' ? 0 : offer === 'taken' ? Math.max(0, row) + 1 : Math.min(0, row) - 1;
    refusedLow = offer === 'refused' && step === 1 ? refusedLow + 1 : 0;
    if (row === TAKEN_IN_ROW) {
      alone ||= step === last;
      step = Math.min(last, step + 1);
      row = 0;
    } else if (row === -REFUSED_IN_ROW) {
      step = Math.max(1, step - 1);
      alone = false;
      row = 0;
    }
  }
  const ends = alone ? 'taken' : refusedLow >= HOPELESS_AFTER ? 'hopeless' : null;
  return { step, share: TRAINING_STEPS[step - 1] as number, offers: offers.length, ends };
}

/** The shares of a mixed meal, with what they are known from. */
export function sharesOf({ step, share, offers }: Training): { known: Known; fresh: Known } {
  const fresh = computed(share, {
    label: 'Share of the new food in this meal',
    unit: '',
    how: 'a step more when it was taken twice in a row, a step back when it was refused twice',
    source: 'Steps of 10, 25, 50, 75 and 100 %: an assumption',
    from: [
      measured('Step of the training', step, `of ${TRAINING_STEPS.length}`, 'meals logged'),
      measured('Mixed meals so far', offers, '', 'meals logged'),
    ],
  });
  const known = computed(1 - share, {
    label: 'Share of the known food in this meal',
    unit: '',
    how: 'what the new food leaves',
    from: [fresh],
  });
  return { known, fresh };
}
