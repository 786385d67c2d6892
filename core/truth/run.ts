import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { cultures } from './cultures';
import { eggs } from './eggs';
import { growth } from './growth';
import { fish } from './fish';
import { foods } from './food';
import { holds, type Truth } from './truth';
import { water } from './water';

/**
 * Known answers against what the core computes. Writes docs/truth.md with `--write`; fails where one
 * leaves its tolerance, or where the file no longer says what is computed.
 */
const all: Truth[] = [...fish, ...eggs, ...growth, ...cultures, ...foods, ...water];
/** Three digits, without an exponent. */
const digits = (value: number) => String(Number(value.toPrecision(3)));
const wrong = all.filter((truth) => !holds(truth));
const line = (truth: Truth) =>
  [
    truth.topic,
    truth.what,
    truth.source,
    `${digits(truth.low)} to ${digits(truth.high)} ${truth.unit}`.trim(),
    digits(truth.computed),
    holds(truth) ? 'holds' : '**off**',
  ].join(' | ');
const text = `# Known answers

What is known from publications or practice, and what Open Larder computes. Written by
\`npm run truth\`, which fails when a figure leaves its tolerance.

${all.length} cases, ${all.length - wrong.length} hold.

| topic | case | source | expected | computed | |
| --- | --- | --- | --- | --- | --- |
${all.map((truth) => `| ${line(truth)} |`).join('\n')}
`;
const file = join(__dirname, '..', '..', 'docs', 'truth.md');
if (process.argv.includes('--write')) writeFileSync(file, text);
wrong.forEach((truth) => process.stdout.write(`${line(truth)}\n`));
const stale = readFileSync(file, 'utf8') !== text;
if (stale) process.stdout.write('docs/truth.md is not what is computed: run npm run truth\n');
process.stdout.write(`${all.length} known answers, ${wrong.length} off.\n`);
process.exitCode = wrong.length > 0 || stale ? 1 : 0;
