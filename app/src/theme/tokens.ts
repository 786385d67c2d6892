import type { FoodFamily } from '@open-larder/catalogue';

export interface Colours {
  ground: string;
  paper: string;
  rule: string;
  ink: string;
  ink2: string;
  /** What is due now, the one primary act, out of band; and the text that stands on it. */
  roe: string;
  onRoe: string;
  /** Done. */
  duckweed: string;
  brine: string;
  water: string;
  waterDeep: string;
  sand: string;
  /** Planting soil, wood and stone in a tank. */
  soil: string;
  wood: string;
  stone: string;
  /** The dark and the lit hours of a day. */
  night: string;
  day: string;
  family: Record<FoodFamily, string>;
}

export type ThemeName = 'lit' | 'lamp';

const amber = '#F2A93B';
const dimAmber = '#B57F31';

/** Lit: ink on oat by daylight. Lamp: amber on near-black, for feeding after dark. */
export const COLOURS: Record<ThemeName, Colours> = {
  lit: {
    ground: '#F2EBDD',
    paper: '#FCF9F2',
    rule: '#D9CFBB',
    ink: '#15313A',
    ink2: '#4A5F66',
    roe: '#B4470E',
    onRoe: '#FFFDF8',
    duckweed: '#456A1A',
    brine: '#1C6680',
    water: '#DCE8E6',
    waterDeep: '#C6DAD9',
    sand: '#D8C6A0',
    soil: '#5B4A3A',
    wood: '#A98652',
    stone: '#8B9491',
    night: '#3C5259',
    day: '#EBD9A8',
    family: {
      grain: '#8A5A00',
      cube: '#35628F',
      leaf: '#4F7018',
      wriggle: '#9C3556',
      jelly: '#664778',
      mortar: '#72492F',
    },
  },
  lamp: {
    ground: '#0D0A06',
    paper: '#171109',
    rule: '#4A3617',
    ink: amber,
    ink2: dimAmber,
    roe: amber,
    onRoe: '#0D0A06',
    duckweed: dimAmber,
    brine: dimAmber,
    water: '#1A130A',
    waterDeep: '#20170B',
    sand: '#3A2A12',
    soil: '#2A1D0C',
    wood: '#5A421C',
    stone: '#4A3A20',
    night: '#0D0A06',
    day: '#4A3617',
    family: {
      grain: amber,
      cube: amber,
      leaf: amber,
      wriggle: amber,
      jelly: amber,
      mortar: amber,
    },
  },
};

export const FONTS = {
  title: 'BricolageGrotesque_700Bold',
  subtitle: 'BricolageGrotesque_600SemiBold',
  text: 'AtkinsonHyperlegibleNext_400Regular',
  strong: 'AtkinsonHyperlegibleNext_600SemiBold',
} as const;

/** Sizes in px. A finger needs 48; the serving button is a little larger. */
export const SIZES = { radius: 6, touch: 48, serve: 52, gutter: 16, wide: 900 } as const;
