import { loadCatalogue } from '@open-larder/catalogue/load';
import { fits, formOf, massOfPieceG } from '.';

const { species, foods } = loadCatalogue();
const offerOf = (key: string) => {
  const food = foods.find((one) => one.key === key);
  if (!food) throw new Error(`${key} is not in the catalogue`);
  const { protein, fat, fibre, ash, moisture } = food;
  return { ...food, composition: { protein, fat, fibre, ash, moisture } };
};

/**
 * What is usually fed to a species at a length, in cm: common practice of its keepers and breeders.
 * None of it may be called too large.
 */
const USUAL: readonly [species: string, lengthCm: number, foods: string][] = [
  [
    'danio-rerio',
    3.5,
    'fine-flake large-flake frozen-midge-larvae live-tubifex grindal-worms-live live-water-fleas frozen-brine-shrimp fine-granule',
  ],
  [
    'paracheirodon-innesi',
    3,
    'fine-flake fine-granule frozen-midge-larvae frozen-cyclops live-tubifex grindal-worms-live live-water-fleas frozen-brine-shrimp',
  ],
  [
    'paracheirodon-axelrodi',
    3.5,
    'fine-flake frozen-midge-larvae live-black-mosquito-larvae live-white-worms hatched-brine-shrimp',
  ],
  [
    'trigonostigma-heteromorpha',
    2.8,
    'fine-flake frozen-midge-larvae grindal-worms-live live-water-fleas fine-granule',
  ],
  [
    'boraras-brigittae',
    1.6,
    'fine-flake frozen-cyclops hatched-brine-shrimp moina-live live-microworms grindal-worms-live',
  ],
  [
    'poecilia-reticulata',
    4,
    'fine-flake plant-flake spirulina-powder frozen-midge-larvae blanched-lettuce shelled-peas-cooked',
  ],
  [
    'xiphophorus-hellerii',
    8,
    'large-flake plant-flake floating-pellet-small frozen-midge-larvae blanched-cucumber',
  ],
  [
    'betta-splendens',
    5,
    'floating-pellet-small frozen-midge-larvae live-tubifex frozen-mysis live-black-mosquito-larvae live-white-worms',
  ],
  [
    'trichogaster-lalius',
    5,
    'fine-flake floating-pellet-small frozen-midge-larvae live-tubifex green-gel',
  ],
  ['trichopodus-leerii', 9, 'large-flake frozen-midge-larvae live-tubifex medium-granule'],
  [
    'corydoras-panda',
    3.5,
    'worm-tablet sinking-pellet-small frozen-midge-larvae live-tubifex live-blackworms grindal-worms-live live-white-worms frozen-tubifex',
  ],
  [
    'corydoras-aeneus',
    5.5,
    'worm-tablet sinking-pellet-small sinking-pellet-medium nettle-wafer-small frozen-midge-larvae live-tubifex live-blackworms',
  ],
  [
    'corydoras-pygmaeus',
    2.2,
    'worm-tablet fine-granule frozen-cyclops live-microworms grindal-worms-live live-tubifex',
  ],
  [
    'otocinclus-vestitus',
    3.2,
    'nettle-wafer-small nettle-wafer-large courgette-slice blanched-cucumber spinach-leaf green-stone plant-tablet',
  ],
  [
    'ancistrus-cirrhosus',
    10,
    'nettle-wafer-small nettle-wafer-large wood-and-bark-wafer courgette-slice sweet-potato-cooked blanched-green-beans plant-tablet oak-leaf-autumn',
  ],
  [
    'hypancistrus-zebra',
    7,
    'worm-tablet sinking-pellet-small frozen-midge-larvae frozen-mussel-meat shrimp-gel frozen-mysis',
  ],
  ['panaqolus-maccus', 8, 'wood-and-bark-wafer courgette-slice nettle-wafer-large'],
  [
    'pterophyllum-scalare',
    10,
    'large-flake medium-granule floating-pellet-small frozen-midge-larvae frozen-mysis live-black-mosquito-larvae live-white-worms freeze-dried-tubifex-cube',
  ],
  [
    'symphysodon-aequifasciatus',
    14,
    'medium-granule frozen-midge-larvae frozen-mysis frozen-brine-shrimp shrimp-gel live-blackworms',
  ],
  [
    'astronotus-ocellatus',
    25,
    'sinking-pellet-large floating-stick frozen-prawn-whole frozen-white-fish-strips live-earthworm-chopped frozen-mussel-meat freeze-dried-krill',
  ],
  [
    'apistogramma-cacatuoides',
    6,
    'fine-granule frozen-midge-larvae hatched-brine-shrimp live-water-fleas live-black-mosquito-larvae frozen-cyclops',
  ],
  [
    'mikrogeophagus-ramirezi',
    4.5,
    'fine-granule frozen-midge-larvae frozen-cyclops grindal-worms-live',
  ],
  [
    'amatitlania-nigrofasciata',
    10,
    'medium-granule sinking-pellet-medium large-flake frozen-mysis nettle-wafer-small',
  ],
  ['labidochromis-caeruleus', 9, 'medium-granule frozen-cyclops frozen-mysis large-flake'],
  ['tropheus-duboisi', 10, 'plant-flake plant-granule nettle-wafer-small nori-sheet'],
  [
    'chromobotia-macracanthus',
    15,
    'worm-tablet sinking-pellet-medium live-bladder-snails frozen-midge-larvae live-blackworms courgette-slice',
  ],
  [
    'yasuhikotakia-sidthimunki',
    5,
    'worm-tablet live-bladder-snails frozen-midge-larvae live-tubifex',
  ],
  [
    'pangio-kuhlii',
    8,
    'worm-tablet sinking-pellet-small frozen-midge-larvae live-tubifex live-blackworms grindal-worms-live',
  ],
  [
    'carinotetraodon-travancoricus',
    2.3,
    'live-bladder-snails frozen-midge-larvae live-tubifex live-water-fleas',
  ],
  [
    'carassius-auratus',
    12,
    'sinking-pellet-medium floating-stick large-flake shelled-peas-cooked green-gel duckweed-fresh frozen-midge-larvae spinach-leaf',
  ],
  [
    'puntigrus-tetrazona',
    5,
    'large-flake medium-granule frozen-midge-larvae live-tubifex plant-flake',
  ],
  [
    'melanotaenia-boesemani',
    9,
    'large-flake medium-granule frozen-midge-larvae plant-flake live-black-mosquito-larvae',
  ],
  ['tanichthys-albonubes', 3, 'fine-flake frozen-midge-larvae grindal-worms-live moina-live'],
  ['gymnocorymbus-ternetzi', 4.5, 'large-flake frozen-midge-larvae medium-granule'],
  [
    'carnegiella-strigata',
    3.2,
    'fine-flake flightless-fruit-flies live-black-mosquito-larvae frozen-midge-larvae',
  ],
  [
    'aphyosemion-australe',
    4.5,
    'frozen-midge-larvae live-tubifex live-black-mosquito-larvae flightless-fruit-flies grindal-worms-live',
  ],
  [
    'nothobranchius-guentheri',
    4,
    'frozen-midge-larvae live-tubifex live-water-fleas live-white-worms',
  ],
  ['gasterosteus-aculeatus', 5, 'live-tubifex frozen-midge-larvae live-water-fleas live-gammarus'],
  [
    'synodontis-eupterus',
    15,
    'sinking-pellet-medium worm-tablet frozen-midge-larvae shelled-peas-cooked',
  ],
  [
    'neocaridina-davidi',
    2.3,
    'plant-tablet nettle-wafer-small spinach-leaf blanched-nettle oak-leaf-autumn fine-flake sinking-pellet-small',
  ],
  ['caridina-multidentata', 4, 'nettle-wafer-small courgette-slice fine-flake frozen-midge-larvae'],
  [
    'polypterus-senegalus',
    25,
    'frozen-prawn-whole frozen-mussel-meat live-blackworms sinking-pellet-large',
  ],
  [
    'channa-gachua',
    15,
    'live-earthworm-chopped frozen-prawn-whole frozen-mysis sinking-pellet-medium',
  ],
  [
    'pseudomugil-gertrudae',
    2.6,
    'fine-flake hatched-brine-shrimp grindal-worms-live frozen-cyclops live-microworms',
  ],
  ['anentome-helena', 2.5, 'live-bladder-snails frozen-mussel-meat worm-tablet'],
];
const PAIRS = USUAL.flatMap(([key, lengthCm, names]) =>
  names.split(' ').map((food) => [key, lengthCm, food] as const),
);

describe('what is usually fed', () => {
  it('is enough to show something', () => expect(PAIRS.length).toBeGreaterThanOrEqual(150));

  it('is never too large', () => {
    const wrong = PAIRS.filter(([key, lengthCm, food]) => {
      const eater = species.find((one) => one.key === key);
      if (!eater) throw new Error(`${key} is not in the catalogue`);
      return fits(eater, lengthCm, offerOf(food)).fit === 'too large';
    });
    expect(wrong).toEqual([]);
  });

  it('does not depend on how long it may lie', () => {
    for (const [key, lengthCm, food] of PAIRS) {
      const eater = species.find((one) => one.key === key)!;
      const [short, long] = [1, 10_000].map(
        (liftAfterMin) =>
          fits(eater, lengthCm, { ...offerOf(food), liftAfterMin } as ReturnType<typeof offerOf>)
            .fit,
      );
      expect(short).toBe(long);
    }
  });
});

describe('pieces', () => {
  const midMm = (key: string) => {
    const { particleMinMm, particleMaxMm } = offerOf(key);
    return Math.sqrt(particleMinMm * particleMaxMm);
  };
  it('that are served one by one weigh what the simulation drops', () => {
    const pieces = foods.filter(({ unitMl, kind }) => unitMl === null && kind !== 'mix');
    expect(pieces.length).toBeGreaterThan(20);
    for (const { key, unitMassG, densityGPerCm3, kind } of pieces) {
      const offer = offerOf(key);
      if (formOf(offer) === 'block' || kind !== 'dry' || densityGPerCm3 < 0.6) continue;
      const ratio = massOfPieceG(offer, midMm(key)) / unitMassG;
      expect(`${key} ${ratio > 0.5 && ratio < 2}`).toBe(`${key} true`);
    }
  });
});
