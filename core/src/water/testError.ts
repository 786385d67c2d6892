/** A test by eye is off by so much: a share of what it reads, and a step of its colours. Assumption. */
const TEST_OFF = { share: 0.15, mgL: 2.5 };

/** How far a test by eye may be off, mg/L. */
export const testSd = (mgL: number): number => Math.hypot(TEST_OFF.share * mgL, TEST_OFF.mgL);

/** Between these lies what a test by eye reads nine times of ten, mg/L to each side. */
export const testBand = (mgL: number): number => 1.645 * testSd(mgL);
