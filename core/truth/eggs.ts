import { broodTraits, hatching } from '../src/brood';
import { catalogue, species } from './rows';
import type { Truth } from './truth';

/** Days from laying at a temperature that breeders of the kind use: to hatching, and to swimming free. */
const USUAL: readonly [
  key: string,
  tempC: number,
  hatch: readonly [low: number, high: number],
  swim: readonly [low: number, high: number],
  source?: string,
][] = [
  ['danio-rerio', 28.5, [2, 3], [4, 6], 'Kimmel et al. 1995, Dev. Dyn. 203:253'],
  ['trigonostigma-heteromorpha', 26, [1, 1.5], [4, 5]],
  ['trigonostigma-espei', 26, [1, 1.5], [4, 5]],
  ['boraras-brigittae', 26, [1, 2], [3.5, 5]],
  ['nannostomus-marginatus', 26, [1, 2], [5, 6]],
  ['nannostomus-beckfordi', 26, [1, 2], [5, 6]],
  ['carnegiella-strigata', 26, [1, 2], [5, 6]],
  ['otocinclus-macrospilus', 25, [2, 3], [4, 6]],
  ['corydoras-panda', 25, [3, 5], [6, 8]],
  ['corydoras-pygmaeus', 25, [3, 5], [6, 8]],
  ['corydoras-paleatus', 22, [4, 6], [6, 9]],
  ['hypancistrus-inspector', 29, [5, 7], [14, 21]],
  ['panaqolus-maccus', 27, [5, 7], [14, 21]],
  ['ancistrus-cirrhosus', 26, [4, 7], [10, 15]],
  ['rineloricaria-lanceolata', 26, [6, 10], [8, 12]],
  ['nematobrycon-palmeri', 26, [1, 1.5], [4.5, 6]],
  ['hemigrammus-bleheri', 26, [1, 1.5], [4, 6]],
  ['hyphessobrycon-amandae', 26, [1, 1.5], [4, 6]],
  ['paracheirodon-innesi', 24, [0.9, 1.5], [4.5, 6]],
  ['polypterus-senegalus', 27, [3, 4], [6, 9]],
  ['betta-splendens', 27, [1, 2], [3.5, 5]],
  ['trichopodus-leerii', 26, [1, 2], [3.5, 5]],
  ['pterophyllum-scalare', 27, [2, 3], [7, 9]],
  ['symphysodon-aequifasciatus', 29, [2, 3], [5, 7]],
  ['apistogramma-cacatuoides', 26, [2.5, 4], [7, 9.5]],
  ['apistogramma-borellii', 26, [2.5, 4], [7.5, 10]],
  ['tropheus-duboisi', 26, [5, 9], [26, 35]],
  ['melanotaenia-lacustris', 25, [5, 10], [5, 11]],
  ['oryzias-latipes', 25, [8.5, 11], [8.5, 12]],
  ['fundulopanchax-gardneri', 24, [14, 21], [14, 21]],
];

export const eggs: Truth[] = USUAL.flatMap(([key, tempC, hatch, swim, source = 'Practice']) => {
  const row = species(key);
  const strategy = catalogue.strategies.find(({ breeding }) => breeding === row.breeding)!;
  const report = hatching(broodTraits(row, strategy).eggs!, () => tempC);
  const of = (topic: string, [low, high]: readonly [number, number], computed: number): Truth => ({
    topic,
    what: `${row.common}, ${tempC} °C`,
    source,
    unit: 'days',
    low,
    high,
    computed,
  });
  return [of('Eggs hatch', hatch, report.hatch.day), of('Larvae swim', swim, report.swim.day)];
});
