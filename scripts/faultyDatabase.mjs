import { closeSync, mkdirSync, openSync, readFileSync, rmSync, writeSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createInterface } from 'node:readline';
import { databaseFolder, isRoot } from './places.mjs';
import { startPostgres } from './postgres.mjs';
import { read, run } from './run.mjs';

/**
 * A PostgreSQL to which faults happen, for the tests: started with a port, it prints its address, then does
 * what each line of its input says, and answers «done». It ends with its input.
 */
const NAME = join('faulty', 'db');
/** Room for a house, and soon full. */
const DISK_MB = 320;

const port = Number(process.argv[2]);
const data = databaseFolder(NAME);
const folder = dirname(data);
const filler = join(folder, 'filler');
const disk = isRoot && (await mountDisk());
const postgres = await startPostgres(NAME, port);
const answer = (line) => process.stdout.write(`${line}\n`);

const FAULTS = {
  /** As when the power goes: nothing is put in order first. */
  async kill() {
    const [pid] = readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n');
    process.kill(Number(pid), 'SIGKILL');
    await postgres.ended();
  },
  launch: () => postgres.launch(),
  async fill() {
    const file = openSync(filler, 'w');
    for (let size = 2 ** 20; size >= 2 ** 12;) {
      try {
        writeSync(file, Buffer.alloc(size));
      } catch {
        size /= 2;
      }
    }
    closeSync(file);
  },
  async free() {
    rmSync(filler, { force: true });
  },
};

answer(JSON.stringify({ url: await postgres.ensure('faults', { fresh: true }), disk }));
for await (const line of createInterface({ input: process.stdin })) {
  try {
    await FAULTS[line]();
    answer('done');
  } catch (error) {
    answer(`failed: ${error.message}`);
  }
}
await postgres.stop();
if (disk) await run('umount', [folder], { check: false, quiet: 'umount' });
process.exit(0);

/** A small disk of its own, where this machine lets us have one. */
async function mountDisk() {
  await read('umount', [folder]);
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const size = `size=${DISK_MB}m,mode=700`;
  return (await read('mount', ['-t', 'tmpfs', '-o', size, 'tmpfs', folder])) !== null;
}
