import { addDays, compileRound, larderOf, type Stocked } from '@open-larder/core';
import { fastestOf, row } from './bench';
import { houseOf } from './largeHouse';

const TODAY = '2026-11-24';
const HORIZON = 120;
const LOTS = 400;

/** Days left of a whole larder: 400 lots against the plan of 300 tanks, under 150 ms. */
export function daysLeftOfAll(): void {
  const house = houseOf(300);
  const { foods } = house;
  const stock = foods.map((food, at): Stocked => {
    const own = Array.from({ length: Math.ceil((LOTS - at) / foods.length) }, (_, lot) => ({
      id: `${food.id}-${lot}`,
      amountG: 200,
      remainingG: 150 - lot * 20,
      costMinor: 900,
      boughtOn: addDays(TODAY, -30 * lot),
      openedOn: lot % 2 === 0 ? addDays(TODAY, -10) : null,
      bestBefore: addDays(TODAY, 20 + ((at * 7 + lot * 13) % 300)),
    }));
    return {
      id: food.id,
      lots: own,
      openedDays: 30 + (at % 90),
      leadDays: 4,
      sealedDays: null,
      loose: false,
    };
  });
  const all = fastestOf(() => larderOf(house, stock, { today: TODAY, horizon: HORIZON }));
  // The same plan compiled once for each weekday, and nothing of the shelf.
  const week = fastestOf(() => {
    for (let day = 0; day < 7; day += 1) compileRound(house, addDays(TODAY, day));
  });
  const lots = stock.reduce((sum, food) => sum + food.lots.length, 0);
  row(
    `days left: ${lots} lots, 300 tanks, ${HORIZON} days, against compiling seven days`,
    `${all.toFixed(1)} ms`,
    `${week.toFixed(1)} ms`,
    all / week,
    'under 150 ms',
  );
}
