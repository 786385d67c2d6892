import { compileRound, type FeedingModel } from '@open-larder/core';
import { fastestOf, row } from './bench';
import { houseOf } from './largeHouse';

const fastest = (house: FeedingModel) => fastestOf(() => compileRound(house, '2026-11-24'));

/** 300 tanks against ten times 30: growth must stay linear, and the day under 100 ms. */
export function compileDay(): void {
  const large = fastest(houseOf(300));
  const small = fastest(houseOf(30));
  row(
    'compile a day: 300 tanks against 10 × 30',
    `${large.toFixed(1)} ms`,
    `${(small * 10).toFixed(1)} ms`,
    large / (small * 10),
    'about 1; under 100 ms',
  );
}
