/** The keeper's choice of units. Everything is stored and computed in the metric base unit. */
export type UnitSystem = 'metric' | 'us';

export type Measure = 'length' | 'volume' | 'temperature' | 'mass';

interface Scale {
  unit: string;
  /** Decimals that suit the glass: enough to be true, few enough to read. */
  decimals: number;
  fromBase: (base: number) => number;
  toBase: (shown: number) => number;
}

const same = (unit: string, decimals: number): Scale => ({
  unit,
  decimals,
  fromBase: (base) => base,
  toBase: (shown) => shown,
});

const times = (unit: string, decimals: number, basePerUnit: number): Scale => ({
  unit,
  decimals,
  fromBase: (base) => base / basePerUnit,
  toBase: (shown) => shown * basePerUnit,
});

/**
 * Base units: cm, litres, °C, grams.
 * Exact factors: inch 2.54 cm, US liquid gallon 3.785411784 L, avoirdupois ounce 28.349523125 g
 * (NIST Handbook 44, appendix C).
 */
const SCALES: Record<UnitSystem, Record<Measure, Scale>> = {
  metric: {
    length: same('cm', 1),
    volume: same('L', 0),
    temperature: same('°C', 1),
    mass: same('g', 2),
  },
  us: {
    length: times('in', 2, 2.54),
    volume: times('gal', 1, 3.785411784),
    temperature: {
      unit: '°F',
      decimals: 1,
      fromBase: (celsius) => (celsius * 9) / 5 + 32,
      toBase: (fahrenheit) => ((fahrenheit - 32) * 5) / 9,
    },
    mass: times('oz', 3, 28.349523125),
  },
};

export function scaleOf(system: UnitSystem, measure: Measure): Scale {
  return SCALES[system][measure];
}

/** A base value as the keeper reads it, «10.5 cm», with trailing zeros dropped. */
export function say(system: UnitSystem, measure: Measure, base: number): string {
  const scale = scaleOf(system, measure);
  return `${sayNumber(scale.fromBase(base), scale.decimals)} ${scale.unit}`;
}

/** A number with at most `decimals` decimals and no trailing zeros. */
export function sayNumber(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  return text.includes('.') ? text.replace(/\.?0+$/, '') : text;
}

/** Three significant digits, never in exponent form: for masses from micrograms to kilograms. */
export function saySignificant(value: number): string {
  if (value === 0 || !Number.isFinite(value)) return String(value);
  const decimals = Math.max(0, Math.min(9, 2 - Math.floor(Math.log10(Math.abs(value)))));
  return sayNumber(value, decimals);
}
