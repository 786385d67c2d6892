import { join } from 'node:path';
import { checkAdvisories } from './advisories.mjs';
import { setUp } from './setup.mjs';
import { giveUp, step } from './say.mjs';
import { run } from './run.mjs';
import { truth } from './truth.mjs';

const PROJECTS = [
  'catalogue',
  'core',
  'core/tsconfig.test.json',
  'say',
  'contract',
  'server',
  'app',
  'journeys',
];

const CACHE = join('.open-larder', 'check');
const LINT_CACHE = [
  '--cache',
  '--cache-strategy',
  'content',
  '--cache-location',
  join(CACHE, 'eslint.json'),
];

/** Every row of the catalogue, with what is known of it. */
export const checkCatalogue = () =>
  step('Catalogue: every row', () =>
    run(process.execPath, ['--import', 'tsx', join('catalogue', 'src', 'check.ts')]),
  );

/** Types, walls and style, formatting, dead code. Throws at the first that does not hold. */
export async function check() {
  await checkCatalogue();
  await truth({ write: false });
  const types = async () => {
    for (const project of PROJECTS) {
      // What did not change since the last check is not read again.
      const info = join(CACHE, `${project.replace(/\W+/g, '-')}.tsbuildinfo`);
      const cached = ['--incremental', '--tsBuildInfoFile', info];
      await step(`Types of ${project}`, () => run('npx', ['tsc', '-p', project, ...cached]));
    }
    await step('Formatting', () =>
      run('npx', [
        'prettier',
        '--check',
        '--log-level',
        'warn',
        '--cache',
        '--cache-location',
        join(CACHE, 'prettier.json'),
        '.',
      ]),
    );
    await step('Dead code', () => run('npx', ['knip', '--no-progress']));
    await step('Known advisories', checkAdvisories);
  };
  const lint = () =>
    step('Lint and walls', () => run('npx', ['eslint', '.', '--max-warnings', '0', ...LINT_CACHE]));
  // Side by side on two cores: both end before the first that does not hold is thrown.
  const lanes = await Promise.allSettled([types(), lint()]);
  const broken = lanes.find(({ status }) => status === 'rejected');
  if (broken) throw broken.reason;
}

if (process.argv[1]?.endsWith('check.mjs')) {
  await setUp({ browser: false });
  try {
    await check();
  } catch (error) {
    giveUp(error.message);
  }
}
