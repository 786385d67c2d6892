import type { Shape, Species } from '@open-larder/catalogue';
import type { SpeciesTraits } from '../ration';
import type { Stage, BodyMass } from '../fish';
import type { Counts } from '../group';
import type { Known } from '../why';

/** What living together asks of a species, beyond what its ration asks. */
export type CompanyTraits = SpeciesTraits &
  Pick<
    Species,
    | 'key'
    | 'tempOptC'
    | 'phMin'
    | 'phMax'
    | 'ghMin'
    | 'ghMax'
    | 'nitrate'
    | 'gapeShare'
    | 'presenceDay'
    | 'presenceNight'
    | 'activity'
    | 'activityByLight'
    | 'boldness'
    | 'usualGroup'
    | 'femalesPerMale'
    | 'nipsFins'
    | 'proteinMin'
    | 'proteinMax'
    | 'defaulted'
    | 'sourceBehaviour'
    | 'sourceDiet'
  >;

/** One group as its tank-mates meet it. */
export interface Mate {
  id: string;
  name: string;
  species: CompanyTraits;
  stage: Stage;
  counts: Counts;
  count: number;
  lengthCm: number;
  lengthMeasured: boolean;
}

/** A mate with what is computed once about it. */
export interface Weighed extends Mate {
  mass: BodyMass;
  needKj: Known;
}

/** Depth of the body as a share of total length: what a mouth has to open for. Assumptions by shape. */
export const BODY_DEPTH: Record<Shape, number> = {
  'eel-like': 0.09,
  elongated: 0.18,
  fusiform: 0.27,
  deep: 0.48,
  flat: 0.16,
  shrimp: 0.16,
  snail: 0.8,
};

/** One kind of finding for each of a few names, all of one shape. */
type OfKinds<Kinds extends string, Shape> = { [K in Kinds]: { kind: K } & Shape }[Kinds];

/**
 * What a group compares with its tank-mates. `severity` 0 to 1 ranks findings: what kills first,
 * what wears down next, what is worth knowing last.
 */
export type Together = { groupId: string; severity: number } & (
  | OfKinds<'tankTemperature' | 'tankPh' | 'tankHardness', { is: Known; low: number; high: number }>
  | OfKinds<
      'noCommonTemperature' | 'noCommonPh' | 'noCommonHardness',
      { otherId: string; low: number; high: number; gap: Known }
    >
  | { kind: 'fitsMouth'; otherId: string; ratio: Known }
  | { kind: 'fewOfAKind'; is: number; usual: number }
  | { kind: 'keepsAlone'; is: number }
  | { kind: 'tooManyMales'; males: number; females: number; perMale: number }
  | { kind: 'nipsFins'; otherId: string; boldness: Known }
  | { kind: 'outEaten'; otherIds: string[]; pressure: Known }
  | { kind: 'feedsByNight'; night: Known; dayGroups: number }
  | { kind: 'warmthOfMates'; factor: Known; atOptimum: Known }
  | { kind: 'waterLoad'; nitratePerWeek: Known; toleratesMgL: number; litres: number }
);
