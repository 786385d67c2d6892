import process from 'node:process';
import { join } from 'node:path';
import { giveUp, step } from './say.mjs';
import { run } from './run.mjs';
import { setUp } from './setup.mjs';

/** Known answers against what the core computes; written anew, or only held to what is written. */
export const truth = ({ write }) =>
  step('Known answers', () =>
    run(process.execPath, [
      '--import',
      'tsx',
      join('core', 'truth', 'run.ts'),
      ...(write ? ['--write'] : []),
    ]),
  );

if (process.argv[1]?.endsWith('truth.mjs')) {
  await setUp({ browser: false });
  try {
    await truth({ write: true });
  } catch (error) {
    giveUp(error.message);
  }
}
