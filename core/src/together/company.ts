import { groups } from 'd3-array';
import { ZONES } from './zones';
import { assumed, computed, measured, type Known } from '../why';
import { BODY_DEPTH, type Together, type Weighed } from './mate';

/** Guilds by how far they go for a fish: what fits × this share of the mouth is taken. Assumptions. */
const HUNTS: Partial<Record<Weighed['species']['guild'], number>> = {
  predator: 1,
  omnivore: 0.75,
  'invertebrate picker': 0.75,
};
/** Prey a little too large is still at risk: the deeper part of a group, a mouth that stretches. */
const NEARLY_FITS = 1.3;

/** Mouths against the size of tank-mates. */
export function mouths(mates: readonly Weighed[]): Together[] {
  return mates.flatMap((hunter) => {
    const reach = HUNTS[hunter.species.guild];
    if (reach === undefined) return [];
    const gapeCm = hunter.species.gapeShare * hunter.lengthCm * reach;
    return mates.flatMap((prey): Together[] => {
      if (prey.id === hunter.id || prey.species.shape === 'snail') return [];
      const depthCm = BODY_DEPTH[prey.species.shape] * prey.lengthCm;
      if (depthCm >= gapeCm * NEARLY_FITS) return [];
      const ratio = computed(depthCm / gapeCm, {
        label: 'Body of the smaller against the mouth of the larger',
        unit: '×',
        how: '(length × depth of body) ÷ (length × width of mouth × how far it hunts)',
        source: 'Gape-limited predation; shares by body shape and guild are assumptions',
        from: [
          length(prey),
          assumed(
            'Depth of its body',
            BODY_DEPTH[prey.species.shape] * 100,
            '% of length',
            'Assumption by body shape',
          ),
          length(hunter),
          assumed(
            'Width of its mouth',
            hunter.species.gapeShare * 100,
            '% of length',
            gapeSource(hunter),
          ),
          assumed(
            'Hunts what fits',
            reach * 100,
            '% of the mouth',
            `Assumption for a ${hunter.species.guild}`,
          ),
        ],
      });
      const severity = ratio.value < 1 ? 1 - 0.2 * ratio.value : 0.55;
      return [{ kind: 'fitsMouth', groupId: prey.id, otherId: hunter.id, severity, ratio }];
    });
  });
}

const length = (mate: Weighed): Known =>
  mate.lengthMeasured
    ? measured(`Length of ${mate.name}`, mate.lengthCm, 'cm')
    : assumed(`Length of ${mate.name}`, mate.lengthCm, 'cm', 'guessed from species and stage');

const gapeSource = ({ species }: Weighed) =>
  species.defaulted.includes('gapeShare') ? 'Default for the body shape' : species.sourceDiet;

/** From this number on, fish of a kind are company to each other. An assumption. */
const SHOALS_FROM = 5;
const GROWN: readonly string[] = [
  'adult',
  'conditioning',
  'spawning',
  'brooding',
  'resting',
  'old',
];

/** Number and sexes of a group against what its species is used to; kinds are counted over the tank. */
export function numbers(mates: readonly Weighed[]): Together[] {
  return groups(mates, ({ species }) => species.key).flatMap(([, kind]): Together[] => {
    const first = kind[0] as Weighed;
    const { usualGroup, femalesPerMale } = first.species;
    const grown = kind.filter((mate) => GROWN.includes(mate.stage));
    const sum = (of: (mate: Weighed) => number, some = kind) =>
      some.reduce((total, mate) => total + of(mate), 0);
    const is = sum((mate) => mate.count);
    const males = sum((mate) => mate.counts.males, grown);
    const females = sum((mate) => mate.counts.females, grown);
    const found: Together[] = [];
    if (usualGroup >= SHOALS_FROM && is > 0 && is < usualGroup) {
      const severity = 0.2 + 0.35 * (1 - is / usualGroup);
      found.push({ kind: 'fewOfAKind', groupId: first.id, severity, is, usual: usualGroup });
    }
    if (usualGroup === 1 && sum((mate) => mate.count, grown) > 1 && males !== 1) {
      found.push({ kind: 'keepsAlone', groupId: first.id, severity: 0.6, is });
    } else if (femalesPerMale > 1 && males > 0 && females < males * femalesPerMale * 0.75) {
      const severity = 0.3 + 0.2 * Math.min(1, 1 - females / (males * femalesPerMale));
      found.push({
        kind: 'tooManyMales',
        groupId: first.id,
        severity,
        males,
        females,
        perMale: femalesPerMale,
      });
    }
    return found;
  });
}

/** Boldness up to which a fish cannot keep out of a nipper's way. An assumption. */
const SLOW_OR_SHY = 0.45;

/** Fin-nippers among slow or shy tank-mates; worst where the nippers themselves are too few. */
export function nippers(mates: readonly Weighed[]): Together[] {
  return mates
    .filter((mate) => mate.species.nipsFins)
    .flatMap((nipper) =>
      mates
        .filter(
          (mate) => mate.species.key !== nipper.species.key && mate.species.boldness <= SLOW_OR_SHY,
        )
        .map((victim): Together => {
          const few = nipper.count < nipper.species.usualGroup;
          return {
            kind: 'nipsFins',
            groupId: victim.id,
            otherId: nipper.id,
            severity: few ? 0.7 : 0.5,
            boldness: assumed(
              `Boldness of ${victim.species.common}`,
              victim.species.boldness,
              'of 1',
              victim.species.sourceBehaviour,
            ),
          };
        }),
    );
}

/** Pressure at table past which a group is likely to go short. An assumption until it is simulated. */
const GOES_SHORT = 0.12;

/**
 * Who will be out-eaten: how much of its feeding time a group shares with bolder ones, weighed by
 * how much bolder and how much hungrier they are. A forecast from figures, not a simulation.
 */
export function outEaten(mates: readonly Weighed[]): Together[] {
  return mates.flatMap((mate): Together[] => {
    const pressures = mates
      .filter((other) => other.species.key !== mate.species.key)
      .map((other) => ({ other, pressure: pressureOn(mate, other) }))
      .filter(({ pressure }) => pressure.value > GOES_SHORT / 3)
      .sort((a, b) => b.pressure.value - a.pressure.value);
    const sum = pressures.reduce((total, { pressure }) => total + pressure.value, 0);
    if (sum < GOES_SHORT) return [];
    return [
      {
        kind: 'outEaten',
        groupId: mate.id,
        otherIds: pressures.map(({ other }) => other.id),
        severity: Math.min(0.75, 0.3 + sum),
        pressure: computed(sum, {
          label: `Pressure on ${mate.name} at table`,
          unit: 'of 1',
          how: 'sum over bolder tank-mates of shared feeding time × difference in boldness × their part of the appetite',
          source: 'A forecast by ratio; weights are assumptions until feedings are simulated',
          from: pressures.map(({ pressure }) => pressure),
        }),
      },
    ];
  });
}

function pressureOn(mate: Weighed, other: Weighed): Known {
  const bolder = Math.max(0, other.species.boldness - mate.species.boldness);
  const shared = sharedTime(mate, other);
  const appetite = other.needKj.value / (other.needKj.value + mate.needKj.value || 1);
  return computed(shared * bolder * appetite, {
    label: `Pressure of ${other.name}`,
    unit: 'of 1',
    how: 'shared feeding time × difference in boldness × their part of the appetite',
    from: [
      computed(shared * 100, {
        label: 'Shared feeding time',
        unit: '%',
        how: 'overlap over zones by day and by night, weighed by when each feeds',
        source: mate.species.sourceBehaviour,
        from: [],
      }),
      assumed('Bolder by', bolder, 'of 1', other.species.sourceBehaviour),
      computed(appetite * 100, {
        label: 'Their part of the appetite',
        unit: '%',
        how: 'their need ÷ need of both',
        from: [other.needKj, mate.needKj],
      }),
    ],
  });
}

/** Share of a group's feeding time that it spends where and when the other feeds too. */
function sharedTime(mate: Weighed, other: Weighed): number {
  let shared = 0;
  let own = 0;
  for (const light of ['day', 'night'] as const) {
    const mine = light === 'day' ? mate.species.presenceDay : mate.species.presenceNight;
    const theirs = light === 'day' ? other.species.presenceDay : other.species.presenceNight;
    const ready = mate.species.activityByLight[light];
    const theyAre = other.species.activityByLight[light];
    for (const zone of ZONES) {
      own += ready * mine[zone];
      shared += Math.min(ready * mine[zone], theyAre * theirs[zone]);
    }
  }
  return own === 0 ? 0 : shared / own;
}

/** Night feeders among day feeders: what is served by light is not for them. */
export function byNight(mates: readonly Weighed[]): Together[] {
  const day = mates.filter((mate) => mate.species.activity === 'day').length;
  if (day === 0) return [];
  return mates
    .filter((mate) => mate.species.activity === 'night')
    .map((mate) => ({
      kind: 'feedsByNight',
      groupId: mate.id,
      severity: 0.3,
      dayGroups: day,
      night: assumed(
        `Readiness of ${mate.species.common} by day`,
        mate.species.activityByLight.day * 100,
        '% of that by night',
        mate.species.sourceBehaviour,
      ),
    }));
}
