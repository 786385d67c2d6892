import { finerMeasure, GLASS_ML, type Finer, type ServingUnit } from '@open-larder/core/food';
import { formatNumber, formatSignificant } from './figures';

/** Shares that are common fractions are said as such: «½ cube», not «0.5 cube». */
const FRACTIONS: Record<string, string> = { '0.25': '¼', '0.5': '½', '0.75': '¾' };

/** «3», «½», «1¼» */
export function formatAmount(units: number): string {
  const whole = Math.floor(units + 1e-9);
  const fraction = FRACTIONS[formatNumber(units - whole, 2)];
  if (fraction === undefined) return formatNumber(units, 2);
  return whole === 0 ? fraction : `${whole}${fraction}`;
}

/** More than this of a measure is weighed rather than counted out. Assumption. */
const COUNTED_OUT = 12;
/** Pieces are counted up to here; more of them are weighed, or filled into a spoon that was. */
const COUNTED_PIECES = 30;

/** «3 pinches», «½ cube», «1¼ tablets», «98 pinches (4.9 g)», «96 pellets (1.01 g)»; what is served finer in its own words. */
export function formatUnits(
  units: number,
  unit: Pick<ServingUnit, 'name' | 'plural' | 'step' | 'finer'> &
    Partial<Pick<ServingUnit, 'massG'>>,
): string {
  const less = finerMeasure(units, unit);
  if (!less) {
    const counted = unit.step < 1 ? COUNTED_OUT : COUNTED_PIECES;
    const weighed = units > counted && unit.massG !== undefined;
    const says = `${formatAmount(units)} ${units > 1 ? unit.plural : unit.name}`;
    return weighed ? `${says} (${formatGrams(units * unit.massG!)})` : says;
  }
  return `${formatAmount(less.units)} ${formatFiner(less.finer, unit, less.units > 1)}`;
}

/**
 * An amount with the food that it is of: «2 pinches fine flake». A unit that the food’s name ends with is
 * said once: «¼ plant tablet», «20 sinking pellets».
 */
export function formatServing(amount: string, foodName: string): string {
  const food = inOneBreath(foodName);
  const [, number, unit] = /^(.+) (\S+)$/.exec(amount) ?? [];
  const noun = food.slice(food.lastIndexOf(' ') + 1);
  if (!unit || !isSameNoun(unit, noun)) return `${amount} ${food}`;
  return `${number} ${food.slice(0, food.length - noun.length)}${unit}`;
}

/** «Sinking pellet, small» is a small sinking pellet. */
function inOneBreath(name: string): string {
  const lower = name.charAt(0).toLowerCase() + name.slice(1);
  const [head, kind, ...more] = lower.split(', ');
  return kind === undefined || more.length > 0 ? lower : `${kind} ${head}`;
}

const isSameNoun = (a: string, b: string) => a === b || a === `${b}s` || b === `${a}s`;

/** «mL (½ knife tip, crumbled, in 50 mL)», «knife tips» */
function formatFiner(
  { by, stirs, made }: Finer,
  unit: Pick<ServingUnit, 'name' | 'step'>,
  several: boolean,
): string {
  if (by === 'tip') return `${several ? 'knife tips' : 'knife tip'}${made ? `, ${made}` : ''}`;
  const what = stirs === 'halfTip' ? '½ knife tip' : `${formatAmount(unit.step)} ${unit.name}`;
  const ready = made === 'thawed' ? ' thawed' : made ? `, ${made},` : '';
  return `mL (${what}${ready} in ${GLASS_ML} mL)`;
}

/** «0.16 g»: three significant digits. */
export function formatGrams(massG: number): string {
  return massG < 0.01 && massG > 0
    ? `${formatSignificant(massG * 1000)} mg`
    : `${formatSignificant(massG)} g`;
}

/** Below this a mass that is worked out is shown in milligrams. */
const MILLIGRAMS_BELOW_G = 0.1;

/** «52 mg», «0.24 g»: to the two digits that a mass worked out from a length has. */
export const formatBodyMass = (massG: number): string =>
  massG < MILLIGRAMS_BELOW_G
    ? `${formatSignificant(massG * 1000, 2)} mg`
    : `${formatSignificant(massG, 2)} g`;

/** «0.18 to 0.27 g»: what lies within one factor of a mass. */
export function formatGramBand(massG: number, factor: number): string {
  const low = massG / factor;
  const high = massG * factor;
  return massG < MILLIGRAMS_BELOW_G
    ? `${formatSignificant(low * 1000, 2)} to ${formatSignificant(high * 1000, 2)} mg`
    : `${formatSignificant(low, 2)} to ${formatSignificant(high, 2)} g`;
}
