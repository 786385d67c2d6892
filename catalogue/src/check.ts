import { BASES, basisOf, basisOfSource, FIGURES, type Basis } from './basis';
import { loadCatalogue } from './load';
import { FOOD_FIELDS } from './foods';

/** Read and validate the shipped rows, and say how much of them is known. Fails on the first fault. */
const catalogue = loadCatalogue();

const WORDS = new Set<string>(['name', 'otherNames', 'sourceComposition', 'sourceKeeping']);
const FOOD_FIGURES = FOOD_FIELDS.filter((field) => !WORDS.has(field));
const COMPOSITION = new Set<string>(['protein', 'fat', 'fibre', 'ash', 'moisture', 'plantShare']);

/** How many figures rest on what, the firmest first. */
function counted(bases: readonly Basis[]): string {
  return BASES.map((basis) => `${bases.filter((one) => one === basis).length} ${basis}`).join(', ');
}

const ofSpecies = catalogue.species.flatMap((row) => FIGURES.map((field) => basisOf(row, field)));
const ofFoods = catalogue.foods.flatMap((row) =>
  FOOD_FIGURES.map((field): Basis => {
    if (row.defaulted.includes(field)) return 'default';
    if (row[field] === null) return 'unknown';
    return basisOfSource(COMPOSITION.has(field) ? row.sourceComposition : row.sourceKeeping);
  }),
);
const families = new Set(catalogue.species.map((row) => row.family)).size;
process.stdout.write(
  `${catalogue.species.length} species of ${families} families: ${counted(ofSpecies)}.\n` +
    `${catalogue.foods.length} generic foods: ${counted(ofFoods)}.\n`,
);
