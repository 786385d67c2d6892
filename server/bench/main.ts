import { compileDay } from './compileDay';
import { reads } from './reads';
import { writes } from './writes';
import { openBench } from './bench';

/** Each figure against the same work without the product, in one run: quote the ratios. */
async function main(): Promise<void> {
  compileDay();
  const bench = await openBench();
  try {
    await reads(bench);
    await writes(bench);
  } finally {
    await bench.close();
  }
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.stack : String(error)}\n`);
  process.exit(1);
});
