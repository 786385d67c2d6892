/** One line for each long step, with how long it took. */
const started = Date.now();

const seconds = (since) => `${((Date.now() - since) / 1000).toFixed(1)} s`;

export function say(line) {
  process.stdout.write(`${line}\n`);
}

/** Run a step and say how it went. */
export async function step(title, work) {
  const begin = Date.now();
  process.stdout.write(`· ${title} …\n`);
  const result = await work((detail) => process.stdout.write(`    ${detail}\n`));
  process.stdout.write(`  ${title}: done in ${seconds(begin)}\n`);
  return result;
}

export const sinceStart = () => seconds(started);

/** End with a sentence, not a stack. */
export function giveUp(sentence) {
  process.stderr.write(`\n${sentence}\n`);
  process.exit(1);
}
