/** Rounding a ration by more than this is said aloud. Assumption: less is lost in the pinch itself. */
export const QUIET_ROUNDING = 0.05;
