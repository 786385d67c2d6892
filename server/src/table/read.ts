import type { Sheet, TableName, Writing } from '@open-larder/contract';
import type { Species } from '@open-larder/catalogue';
import type { UnitChoice } from '@open-larder/core';
import { invalid, unavailable } from '../http/problems';
import { threadOf } from '../thread';
import { readText, type ReadTask } from './readText';

/** Below this many letters a table is read in place: a thread takes longer to begin than to read it. */
const SMALL = 50_000;
/** A table is read within this, or it is given up: the thread is ended. */
const PATIENCE_MS = 15_000;

/** What a thread says: a sheet, or the sentence for which there is none. */
export type Said = { sheet: Sheet } | { error: string };

export interface Reading {
  table: TableName;
  text: string;
  choice: UnitChoice;
  today: string;
  species: ReadonlyMap<string, Species>;
  writing: Writing;
}

/**
 * Read a pasted table; a large one in a thread of its own, so that nobody waits for it.
 * @throws ProblemError 422 for a text that is no table, or too large a one
 */
export async function readTable({ species, ...rest }: Reading): Promise<Sheet> {
  const task: ReadTask = { ...rest, species: [...species.values()] };
  const said = task.text.length < SMALL ? readText(task) : await aside(task);
  if ('error' in said) throw invalid('text', said.error);
  return said.sheet;
}

async function aside(task: ReadTask): Promise<Said> {
  const worker = threadOf(__dirname, 'readWork', { task });
  const patience = setTimeout(() => void worker.terminate(), PATIENCE_MS);
  try {
    return await new Promise<Said>((resolve, reject) => {
      worker.once('message', resolve);
      worker.once('error', reject);
      worker.once('exit', () =>
        reject(unavailable('This table takes too long to read. Divide it, and send the parts.')),
      );
    });
  } finally {
    clearTimeout(patience);
    await worker.terminate();
  }
}
