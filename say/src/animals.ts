const THOUSAND = 1000;
const MILLION = 1e6;

/** Animals, too many to be counted one by one: «85», «6800», «11 million». */
export function formatAnimals(count: number): string {
  if (count < 100) return String(Math.round(count));
  const step = 10 ** (Math.floor(Math.log10(count)) - 1);
  const round = Math.round(count / step) * step;
  if (round >= MILLION) return `${Number((round / MILLION).toPrecision(2))} million`;
  return round >= 10 * THOUSAND ? `${Math.round(round / THOUSAND)} thousand` : String(round);
}
