import { loadCatalogue } from './load';
import { SPECIES_FIELDS } from './species';

/** Read and validate the shipped rows, and say how much of them is known. Fails on the first fault. */
const { species, foods } = loadCatalogue();
const cells = species.length * SPECIES_FIELDS.length;
const defaulted = species.reduce((sum, row) => sum + row.defaulted.length, 0);
const unknown = species.reduce(
  (sum, row) => sum + SPECIES_FIELDS.filter((field) => row[field] === null).length,
  0,
);
process.stdout.write(
  `${species.length} species of ${new Set(species.map((row) => row.family)).size} families, ${foods.length} foods. ` +
    `Cells of species: ${cells - defaulted - unknown} sourced, ${defaulted} defaulted, ${unknown} blank.\n`,
);
