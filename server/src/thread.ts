import { extname, join } from 'node:path';
import { Worker } from 'node:worker_threads';

/** From its sources the server runs as TypeScript, which a thread does not inherit: it has to be said again. */
const READER = extname(__filename) === '.ts' ? "require('tsx/cjs'); " : '';
const START = `${READER}require(require('node:worker_threads').workerData.work);`;

/**
 * Begin a thread of its own, so that the server goes on answering.
 * @param folder of the file that begins it
 * @param name   of the file that it runs, without its ending
 */
export const threadOf = (folder: string, name: string, data: object): Worker =>
  new Worker(START, {
    eval: true,
    execArgv: [],
    workerData: { ...data, work: join(folder, `${name}${extname(__filename)}`) },
  });
