import { peakOf } from '../water/sawTooth';
import { keepsUnder } from '../water/keeps';
import type { WaterStatus } from '../water/status';
import type { WaterRhythm } from '../water/rhythm';
import { computed, type Known } from '../why';
import { passesCap } from './measured';

/** No more than this is proposed to be changed at once: more is a shock to many fish. Assumption. */
const MAX_SHARE = 0.5;
/** Shares are proposed in steps of a twentieth. */
const STEP = 0.05;

/** Another rhythm of changes, that keeps a tank under its cap. */
export interface WaterProposal {
  share: number;
  everyDays: number;
  /** Where it peaks in the long run, as it is and as it would be, mg/L. */
  peakMgL: number;
  toPeakMgL: number;
  cap: NonNullable<WaterStatus['cap']>;
  why: Known;
}

/**
 * The least change of the rhythm that keeps a tank under the cap of its strictest group: more at once
 * up to a half, else more often, else both.
 * @param rhythm as it is in the plan
 * @returns null where it stays under its cap, or no rhythm is enough
 */
export function waterProposal(
  status: WaterStatus,
  { share, everyDays, sourceMgL }: WaterRhythm,
): WaterProposal | null {
  const { cap, keeps, peakMgL, worst, foodAddsMgL } = status;
  if (cap === null || keeps === null || !passesCap(status) || peakMgL <= cap.mgL) return null;
  const adds = Math.max(0, worst.production * foodAddsMgL - worst.uptakeMgL);
  const stepped = (of: number) => Math.round(Math.ceil(of / STEP - 1e-9) * STEP * 100) / 100;
  const under = (days: number) => {
    const min = keepsUnder(cap.mgL, worst, foodAddsMgL, {
      share,
      everyDays: days,
      sourceMgL,
    }).share;
    return min === null ? null : stepped(min);
  };
  const atOnce = under(everyDays);
  const { everyDays: often } = keeps;
  const to =
    atOnce !== null && atOnce <= MAX_SHARE
      ? { share: atOnce, everyDays }
      : often !== null && often < everyDays
        ? { share, everyDays: often }
        : both(everyDays, under);
  // At the cap to the last digit, what is changed already is enough: that is no proposal.
  if (to === null || to.share / to.everyDays <= share / everyDays) return null;
  const toPeakMgL = peakOf(adds, { ...to, sourceMgL });
  const addsOf = computed(adds, {
    label: 'Nitrate that a day adds, at its worst',
    unit: 'mg/L',
    how: 'what the plan’s food adds, less what plants take up: nine of ten ways that fit the tests add less',
    source: 'Mass balance; fitted to the tests of this tank',
    from: [],
  });
  return {
    ...to,
    peakMgL,
    toPeakMgL,
    cap,
    why: computed(toPeakMgL, {
      label: 'Where it would peak',
      unit: 'mg/L',
      how: 'new water, and what one interval adds divided by the share',
      source: 'Mass balance of changes of water',
      from: [addsOf],
    }),
  };
}

/** The longest interval at which half of the water is enough; null where not even every day. */
function both(
  everyDays: number,
  under: (days: number) => number | null,
): { share: number; everyDays: number } | null {
  for (let days = everyDays - 1; days >= 1; days -= 1) {
    const share = under(days);
    if (share !== null && share <= MAX_SHARE) return { share, everyDays: days };
  }
  return null;
}
