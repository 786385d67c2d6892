/** On sibling tubs side by side, or in one tank before and after its diet was changed. */
export const TRIAL_KINDS = ['siblings', 'tank'] as const;
export type TrialKind = (typeof TRIAL_KINDS)[number];
