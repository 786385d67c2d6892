import type { FishBody } from './fishBody';

/** What shows a kind at arm’s length, in one tone on its body. */
export type Pattern = 'stripe' | 'stripes' | 'bars' | 'wide bars' | 'spots' | 'mask' | 'wedge';

/** By genus, drawn after what keepers know it by; the rest are plain. */
const BY_GENUS: Readonly<Record<string, Pattern>> = {
  Paracheirodon: 'stripe',
  Hemigrammus: 'stripe',
  Nannostomus: 'stripe',
  Otocinclus: 'stripe',
  Boraras: 'stripe',
  Crossocheilus: 'stripe',
  Sewellia: 'spots',
  Danio: 'stripes',
  Devario: 'stripes',
  Trigonostigma: 'wedge',
  Puntigrus: 'wide bars',
  Pethia: 'mask',
  Chromobotia: 'wide bars',
  Botia: 'bars',
  Yasuhikotakia: 'bars',
  Ambastaia: 'bars',
  Pangio: 'bars',
  Pterophyllum: 'wide bars',
  Symphysodon: 'bars',
  Amatitlania: 'bars',
  Badis: 'bars',
  Dario: 'bars',
  Trichogaster: 'bars',
  Trichopsis: 'stripe',
  Trichopodus: 'spots',
  Synodontis: 'spots',
  Ancistrus: 'spots',
  Hypancistrus: 'spots',
  Corydoras: 'mask',
  Aphyosemion: 'spots',
  Fundulopanchax: 'spots',
  Nothobranchius: 'spots',
  Carnegiella: 'bars',
  Brachygobius: 'wide bars',
  Poecilia: 'spots',
};
/** Of a genus of many looks, those that differ from it. */
const BY_SPECIES: Readonly<Record<string, Pattern>> = {
  'Danio margaritatus': 'spots',
  'Danio erythromicron': 'bars',
  'Danio choprae': 'bars',
};

export const patternOf = (scientific: string): Pattern | null =>
  BY_SPECIES[scientific] ?? BY_GENUS[scientific.split(' ')[0] ?? ''] ?? null;

const f = (value: number) => String(Math.round(value * 1000) / 1000);

/** A pattern as strokes within the body. @returns a path, with the width of its strokes */
export function patternPath(pattern: Pattern, { reach }: FishBody): { d: string; width: number } {
  const bar = (x: number, share = 0.8) => {
    const { up, down } = reach(x);
    return `M${f(x)} ${f(-up * share)} L${f(x)} ${f(down * share)}`;
  };
  switch (pattern) {
    case 'stripe':
      return { d: 'M.1 -.01 L.8 -.005', width: 0.035 };
    case 'stripes':
      return {
        d: [-0.45, 0, 0.45]
          .map((level) => {
            const { up, down } = reach(0.4);
            const y = level * (level < 0 ? up : down);
            return `M.16 ${f(y * 0.9)} L.8 ${f(y * 0.35)}`;
          })
          .join(' '),
        width: 0.024,
      };
    case 'bars':
      return { d: [0.24, 0.34, 0.44, 0.54, 0.64, 0.74].map((x) => bar(x)).join(' '), width: 0.03 };
    case 'wide bars':
      return { d: [0.18, 0.42, 0.68].map((x) => bar(x)).join(' '), width: 0.07 };
    case 'spots':
      return {
        d: [0.22, 0.32, 0.42, 0.52, 0.62, 0.72]
          .flatMap((x, at) => {
            const { up, down } = reach(x);
            return at % 2 === 0
              ? [`M${f(x)} ${f(-up * 0.45)} h.001`, `M${f(x)} ${f(down * 0.4)} h.001`]
              : [`M${f(x)} ${f(-up * 0.05)} h.001`];
          })
          .join(' '),
        width: 0.04,
      };
    case 'mask':
      return { d: `${bar(0.12, 0.9)} ${bar(0.76, 0.8)}`, width: 0.06 };
    case 'wedge':
      return { d: `M.46 0 L.8 0 M.5 ${f(reach(0.5).down * 0.4)} L.7 .01`, width: 0.05 };
  }
}
