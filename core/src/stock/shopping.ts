import { computed, measured, type Known } from '../why';

/** How long what is bought should last once it is there, in days. An assumption. */
const COVER_DAYS = 30;

/** What to buy of one food, and by when. */
export interface Purchase {
  /** The first day on which the plan cannot be fed in full, YYYY-MM-DD. */
  runsOutOn: string;
  /** The last day to order, so that it comes in time; today where that day has passed. */
  orderBy: string;
  /** True where it will not come in time any more. */
  late: boolean;
  /** Grams that the plan uses in the weeks after it has come. */
  massG: Known;
  /** Whole packs of the usual size; null where no pack was ever bought. */
  packs: number | null;
}

interface Wanted {
  /** Days that the shelf lasts; null where it outlasts what is looked ahead, or is not used. */
  days: number | null;
  /** Grams wanted on each coming day, today first. */
  useG: readonly number[];
  /** The local dates of those days. */
  dayOf: readonly string[];
  /** Days from ordering until it is in the house. */
  deliveryDays: number;
  /** Grams in a usual pack; null where none was bought yet. */
  packG: number | null;
  /** Days that it keeps before it is opened; null where that makes no difference. */
  keepsDays: number | null;
}

/**
 * What to buy of a food from the plan's own use, day by day.
 * @returns null where it lasts past the days looked ahead, or is not used
 */
export function purchaseOf({
  days,
  useG,
  dayOf,
  deliveryDays,
  packG,
  keepsDays,
}: Wanted): Purchase | null {
  if (days === null) return null;
  const latest = days - deliveryDays;
  // What keeps for less is bought for as long as it keeps.
  const cover = Math.max(1, Math.min(COVER_DAYS, keepsDays ?? COVER_DAYS));
  const wanted = useG.slice(days, days + cover);
  // Near the end of what is looked ahead the weeks that are in sight stand for the rest.
  const seen = wanted.reduce((sum, grams) => sum + grams, 0);
  const grams = (seen * cover) / wanted.length;
  const massG = computed(grams, {
    label: `Use in the ${cover} days after it has run out`,
    unit: 'g',
    how: 'sum of the plan’s use, day by day',
    source:
      cover < COVER_DAYS ? 'As long as it keeps' : `Assumption: bought to last ${COVER_DAYS} days`,
    from: [measured('Days left', days, 'd'), measured('Days of delivery', deliveryDays, 'd')],
  });
  return {
    runsOutOn: dayOf[days] as string,
    orderBy: dayOf[Math.max(0, latest)] as string,
    late: latest < 0,
    massG,
    packs: packG === null ? null : Math.max(1, Math.ceil(grams / packG - 1e-9)),
  };
}
