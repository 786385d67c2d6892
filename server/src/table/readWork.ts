import { parentPort, workerData } from 'node:worker_threads';
import { readText, type ReadTask } from './readText';

/** Runs in a thread of its own: read the table that it is given, and say what it is. */
parentPort?.postMessage(readText((workerData as { task: ReadTask }).task));
