import { assumed, computed, measured, type Known } from '../why';
import { dailyNeed, warmthFactor } from '../ration';
import { NITRATE_PER_N, nitrogenOfProtein, STANDS_MG_L } from '../water/nitrogen';
import type { Together, Weighed } from './mate';

export interface TankConditions {
  tempC: number;
  ph: number | null;
  /** General hardness in dGH; null if not tested. */
  gh: number | null;
  litres: number | null;
}

interface Axis {
  tank: 'tankTemperature' | 'tankPh' | 'tankHardness';
  pair: 'noCommonTemperature' | 'noCommonPh' | 'noCommonHardness';
  label: string;
  unit: string;
  of: (conditions: TankConditions) => number | null;
  range: (mate: Weighed) => [number, number];
  /** Distance outside a range at which it is as bad as it gets. Assumptions. */
  worst: number;
}

const AXES: Axis[] = [
  {
    tank: 'tankTemperature',
    pair: 'noCommonTemperature',
    label: 'Water temperature',
    unit: '°C',
    of: (tank) => tank.tempC,
    range: ({ species }) => [species.tempMinC, species.tempMaxC],
    worst: 5,
  },
  {
    tank: 'tankPh',
    pair: 'noCommonPh',
    label: 'pH',
    unit: '',
    of: (tank) => tank.ph,
    range: ({ species }) => [species.phMin, species.phMax],
    worst: 1.5,
  },
  {
    tank: 'tankHardness',
    pair: 'noCommonHardness',
    label: 'General hardness',
    unit: 'dGH',
    of: (tank) => tank.gh,
    range: ({ species }) => [species.ghMin, species.ghMax],
    worst: 15,
  },
];

const outside = (value: number, [low, high]: [number, number]) =>
  value < low ? low - value : value > high ? value - high : 0;

/** Each group against the water it is in. */
export function againstTheWater(mates: readonly Weighed[], tank: TankConditions): Together[] {
  return AXES.flatMap((axis) => {
    const value = axis.of(tank);
    if (value === null) return [];
    return mates.flatMap((mate): Together[] => {
      const [low, high] = axis.range(mate);
      const off = outside(value, [low, high]);
      if (off === 0) return [];
      const is = measured(axis.label, value, axis.unit, 'the tank');
      const severity = Math.min(1, 0.45 + (0.55 * off) / axis.worst);
      return [{ kind: axis.tank, groupId: mate.id, severity, is, low, high }];
    });
  });
}

/** Pairs whose ranges do not meet at all: no water suits both. */
export function noCommonWater(mates: readonly Weighed[]): Together[] {
  return AXES.flatMap((axis) =>
    pairs(mates).flatMap(([one, other]): Together[] => {
      const [low, high] = axis.range(one);
      const [otherLow, otherHigh] = axis.range(other);
      const apart = Math.max(low, otherLow) - Math.min(high, otherHigh);
      if (apart <= 0) return [];
      const [warm, cool] = low > otherHigh ? [one, other] : [other, one];
      const source = (mate: Weighed) => mate.species.sourceWater;
      const from = axis.range(warm)[0];
      const upTo = axis.range(cool)[1];
      return [
        {
          kind: axis.pair,
          groupId: warm.id,
          otherId: cool.id,
          severity: Math.min(0.95, 0.4 + (0.5 * apart) / axis.worst),
          low: from,
          high: upTo,
          gap: computed(apart, {
            label: `Gap between the ranges: ${axis.label.toLowerCase()}`,
            // A difference of temperatures, which no other scale may shift.
            unit: axis.unit === '°C' ? 'K' : axis.unit,
            how: 'lowest of the one − highest of the other',
            from: [
              assumed(`Lowest for ${warm.species.common}`, from, axis.unit, source(warm)),
              assumed(`Highest for ${cool.species.common}`, upTo, axis.unit, source(cool)),
            ],
          }),
        },
      ];
    }),
  );
}

export function pairs<T>(items: readonly T[]): [T, T][] {
  return items.flatMap((one, at) => items.slice(at + 1).map((other): [T, T] => [one, other]));
}

/** Degrees from the optimum past which appetite is another than the keeper may think. An assumption. */
const FAR_FROM_OPTIMUM_C = 3;

/** Warmth that suits the others, and what it does to this group's hunger. */
export function warmthAgainstDemand(mates: readonly Weighed[], tank: TankConditions): Together[] {
  if (mates.length < 2) return [];
  return mates.flatMap((mate): Together[] => {
    const away = Math.abs(tank.tempC - mate.species.tempOptC);
    const within = tank.tempC >= mate.species.tempMinC && tank.tempC <= mate.species.tempMaxC;
    if (away < FAR_FROM_OPTIMUM_C || !within) return [];
    return [
      {
        kind: 'warmthOfMates',
        groupId: mate.id,
        severity: Math.min(0.4, 0.15 + 0.04 * away),
        factor: warmthFactor(mate.species, tank.tempC),
        atOptimum: warmthFactor(mate.species, mate.species.tempOptC),
      },
    ];
  });
}

/** kJ digestible energy in a gram of dry matter of a usual diet. An assumption. */
const KJ_PER_G = 15;
/** Nitrate that the water of a usual week's change can take away again. An assumption. */
const CHANGED_PER_WEEK = 0.25;

/**
 * Nitrate that all groups together add to the water in a week, at their need.
 * What grows keeps some of its nitrogen; all the rest is nitrified, 4.43 mg nitrate to a mg of nitrogen.
 */
export function loadOnTheWater(mates: readonly Weighed[], tank: TankConditions): Together[] {
  if (tank.litres === null || mates.length === 0) return [];
  const litres = tank.litres;
  const parts = mates.map((mate) => {
    const protein = (mate.species.proteinMin + mate.species.proteinMax) / 2;
    const foodG = mate.needKj.value / KJ_PER_G;
    return {
      mate,
      protein,
      foodG,
      nitrateMg: foodG * protein * nitrogenOfProtein(mate.stage) * NITRATE_PER_N * 1000,
    };
  });
  const weekly = (7 * parts.reduce((sum, part) => sum + part.nitrateMg, 0)) / litres;
  const strictest = mates.reduce((a, b) =>
    STANDS_MG_L[b.species.nitrate] < STANDS_MG_L[a.species.nitrate] ? b : a,
  );
  const toleratesMgL = STANDS_MG_L[strictest.species.nitrate];
  // In a steady rhythm the peak is what one interval adds, over the share that is changed.
  const peak = weekly / CHANGED_PER_WEEK;
  if (peak <= toleratesMgL) return [];
  const nitratePerWeek = computed(weekly, {
    label: 'Nitrate added in a week',
    unit: 'mg/L',
    how: '7 × sum of (need ÷ energy of food × protein × 0.128, of fish that grow 0.092, × 4.43) ÷ litres',
    source:
      'Timmons & Ebeling, Recirculating Aquaculture: total ammonia from protein; all nitrified',
    from: [
      ...parts.map(({ mate }) => ({ ...mate.needKj, label: `${mate.name}: energy needed` })),
      assumed('Energy of the dry matter', KJ_PER_G, 'kJ/g', 'Assumption: a usual diet'),
      measured('Water', litres, 'L', 'the tank'),
    ],
  });
  const severity = Math.min(0.8, 0.2 + 0.2 * (peak / toleratesMgL));
  return [
    { kind: 'waterLoad', groupId: strictest.id, severity, nitratePerWeek, toleratesMgL, litres },
  ];
}

/** Need of a mate in this water; 0 outside what the computation can answer for. */
export function needIn(mate: Omit<Weighed, 'mass' | 'needKj'>, tempC: number): Known {
  return dailyNeed({ ...mate, tempC });
}
