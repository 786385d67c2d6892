/** Words of the live shelf that cross a wire: on their own, so that a form need not load the rest. */

/** How the water of a vessel looks. */
export const CLARITIES = ['clear', 'cloudy', 'foul'] as const;
export type Clarity = (typeof CLARITIES)[number];

/** What a harvest is measured in at the vessel. */
export const HARVEST_BY = ['net', 'pipette', 'spoon', 'g', 'some'] as const;
export type HarvestBy = (typeof HARVEST_BY)[number];

/** What there may be to do at a vessel. */
export const WORKS = [
  'hatched',
  'restart',
  'clear',
  'feed',
  'look',
  'thin',
  'change',
  'next',
] as const;
export type WorkKind = (typeof WORKS)[number];

/** A vessel that stands so gives nothing. */
export const GIVES_NOTHING: ReadonlySet<string> = new Set(['crashed', 'ended', 'resting', 'over']);
