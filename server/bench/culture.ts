import { loadCatalogue } from '@open-larder/catalogue/load';
import { outlook, SUPPLY_DAYS, type Supplying } from '@open-larder/core/culture';
import { fastestOf, row } from './bench';

const kinds = loadCatalogue().cultures;
const RUNS = 500;

/** Vessels of kinds of every way to grow, of all ages. */
const vesselsOf = (count: number): Supplying[] =>
  Array.from({ length: count }, (_, at) => {
    const kind = kinds[at % kinds.length]!;
    return {
      id: `v${at}`,
      kind,
      measure: 5,
      ageDays: (at * 13) % 40,
      startsOn: 0,
      estimate: { count: kind.capacity ?? 0, sd: 0.3 },
      keptG: 20,
      tempOn: [22],
    };
  });

/** Six weeks of many vessels with crashes, against a quarter of them four times. */
export function cultures(): void {
  const demand = Array<number>(SUPPLY_DAYS).fill(5);
  const [forty, ten] = [vesselsOf(40), vesselsOf(10)];
  const all = fastestOf(() => outlook(forty, demand, RUNS, 1), 3);
  const four = 4 * fastestOf(() => outlook(ten, demand, RUNS, 1), 3);
  row(
    '40 cultures, 6 weeks, 500 runs, against 4 × 10',
    `${Math.round(all)} ms`,
    `${Math.round(four)} ms`,
    all / four,
    'about 1; under 3000 ms',
  );
}
