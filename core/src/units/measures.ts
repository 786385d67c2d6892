/** The keeper's choice of units. Everything is stored and computed in the metric base unit. */
export interface UnitChoice {
  /** Lengths, volumes and masses. */
  units: 'metric' | 'us';
  temperature: 'C' | 'F';
  hardness: 'dGH' | 'ppm';
}

export type Measure = 'length' | 'area' | 'volume' | 'temperature' | 'mass' | 'hardness' | 'flow';

export interface Scale {
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

/** US liquid gallon in litres, exact (NIST Handbook 44, appendix C). */
const GALLON_L = 3.785411784;
/** mg/L calcium carbonate in one degree of general hardness: 10 mg/L CaO × 100.087 ÷ 56.077. */
const PPM_PER_DGH = 17.848;

/**
 * Base units: cm, dm², litres, °C, grams, dGH, litres an hour.
 * Exact factors: inch 2.54 cm, US liquid gallon, avoirdupois ounce 28.349523125 g
 * (NIST Handbook 44, appendix C).
 */
const SCALES = {
  length: { metric: same('cm', 1), us: times('in', 2, 2.54) },
  area: { metric: same('dm²', 1), us: times('in²', 0, 0.064516) },
  volume: { metric: same('L', 0), us: times('gal', 1, GALLON_L) },
  mass: { metric: same('g', 2), us: times('oz', 3, 28.349523125) },
  flow: { metric: same('L/h', 0), us: times('gal/h', 0, GALLON_L) },
  temperature: {
    C: same('°C', 1),
    F: {
      unit: '°F',
      decimals: 1,
      fromBase: (celsius: number) => (celsius * 9) / 5 + 32,
      toBase: (fahrenheit: number) => ((fahrenheit - 32) * 5) / 9,
    },
  },
  hardness: { dGH: same('dGH', 1), ppm: times('ppm', 0, 1 / PPM_PER_DGH) },
};

export function scaleOf(choice: UnitChoice, measure: Measure): Scale {
  if (measure === 'temperature') return SCALES.temperature[choice.temperature];
  if (measure === 'hardness') return SCALES.hardness[choice.hardness];
  return SCALES[measure][choice.units];
}

/** What a household that chose nothing reads. */
export const METRIC: UnitChoice = { units: 'metric', temperature: 'C', hardness: 'dGH' };

/** The scale that a base value is shown on: small ones on a finer scale than they are typed in. */
export function shownScale(choice: UnitChoice, measure: Measure, base: number): Scale {
  if (measure === 'volume') return volumeScale(choice, base);
  return measure === 'length' && isYoung(base) ? MILLIMETRES : scaleOf(choice, measure);
}

/** Young fish are shown in millimetres, whatever the household's units: a tenth of a cm is too coarse. */
const MILLIMETRES = times('mm', 1, 0.1);
const isYoung = (cm: number) => cm > 0 && cm < 1;

/** Up to a quart is measured in fluid ounces. */
const QUART_L = GALLON_L / 4;

/** A jar or a change of water of a tub is shown to more than a whole litre or a tenth of a gallon. */
function volumeScale(choice: UnitChoice, litres: number): Scale {
  const size = Math.abs(litres);
  if (choice.units === 'us' && size > 0 && size < QUART_L) return times('fl oz', 1, GALLON_L / 128);
  const scale = scaleOf(choice, 'volume');
  return choice.units === 'us' || size >= 10 ? scale : { ...scale, decimals: size < 0.3 ? 2 : 1 };
}

const GALLON_IMPERIAL_L = 4.54609;

/** Units that are understood when typed, as factors to the base unit; temperatures are apart. */
export const UNITS_READ: Record<Exclude<Measure, 'temperature'>, Record<string, number>> = {
  length: {
    cm: 1,
    mm: 0.1,
    m: 100,
    in: 2.54,
    inch: 2.54,
    inches: 2.54,
    '"': 2.54,
    '″': 2.54,
    ft: 30.48,
    foot: 30.48,
    feet: 30.48,
    "'": 30.48,
    '′': 30.48,
  },
  volume: {
    l: 1,
    litre: 1,
    litres: 1,
    liter: 1,
    liters: 1,
    ml: 0.001,
    gal: GALLON_L,
    gallon: GALLON_L,
    gallons: GALLON_L,
    'fl oz': GALLON_L / 128,
    'us gal': GALLON_L,
    'imp gal': GALLON_IMPERIAL_L,
    'uk gal': GALLON_IMPERIAL_L,
  },
  area: {
    'dm²': 1,
    dm2: 1,
    'cm²': 0.01,
    cm2: 0.01,
    'in²': 0.064516,
    in2: 0.064516,
    'sq in': 0.064516,
  },
  mass: { g: 1, mg: 0.001, kg: 1000, oz: 28.349523125, lb: 453.59237, lbs: 453.59237 },
  // Degrees of other countries: °fH is 10 mg/L CaCO3, °e 14.254 mg/L.
  hardness: {
    dgh: 1,
    dh: 1,
    '°dh': 1,
    gh: 1,
    ppm: 1 / PPM_PER_DGH,
    'mg/l': 1 / PPM_PER_DGH,
    '°gh': 1,
    dkh: 1,
    '°kh': 1,
    '°dkh': 1,
    kh: 1,
    '°fh': 10 / PPM_PER_DGH,
    '°e': 14.254 / PPM_PER_DGH,
  },
  flow: {
    'l/h': 1,
    lph: 1,
    'l/min': 60,
    'gal/h': GALLON_L,
    gph: GALLON_L,
  },
};
