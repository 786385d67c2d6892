import { cultures } from './culture';
import { compileDay } from './compileDay';
import { daysLeftOfAll } from './daysLeft';
import { zones } from './zones';
import { searchSpecies } from './searchSpecies';
import { largeLists, reads } from './reads';
import { waterAndGrowth } from './waterAndGrowth';
import { week } from './week';
import { writes } from './writes';
import { openBench } from './bench';

/** Each figure against the same work without the product, in one run: quote the ratios. */
async function main(): Promise<void> {
  const large = process.argv.includes('--large');
  if (!large) {
    compileDay();
    daysLeftOfAll();
    searchSpecies();
    zones();
    await week();
    cultures();
    waterAndGrowth();
  }
  const bench = await openBench();
  try {
    if (large) {
      await largeLists(bench);
    } else {
      await reads(bench);
      await writes(bench);
    }
  } finally {
    await bench.close();
  }
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
