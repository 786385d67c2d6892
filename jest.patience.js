/* global jest */
/** A machine that is busy takes its time: what hangs is still found, only later. */
jest.setTimeout(60_000);
