import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { freePort } from './server';

export type Fault = 'kill' | 'launch' | 'fill' | 'free';

export interface FaultyDatabase {
  /** Of a database of its own, with the rights that the product has. */
  url: string;
  /** Whether its disk can be filled: that needs the rights of root. */
  disk: boolean;
  /** @throws where it could not be done */
  now: (fault: Fault) => Promise<void>;
  stop: () => Promise<void>;
}

/** A PostgreSQL of its own, which can be killed and whose disk can run full. */
export async function faultyDatabase(): Promise<FaultyDatabase> {
  const port = await freePort();
  const program = join(__dirname, '..', 'scripts', 'faultyDatabase.mjs');
  const child = spawn(process.execPath, [program, String(port)], {
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  const lines = createInterface({ input: child.stdout })[Symbol.asyncIterator]();
  /** What it says besides is for people. */
  const next = async (isAnswer: (line: string) => boolean): Promise<string> => {
    for (;;) {
      const { value, done } = await lines.next();
      if (done) throw new Error('the database of the faults has ended');
      if (isAnswer(value)) return value;
    }
  };
  const made = JSON.parse(await next((line) => line.startsWith('{'))) as {
    url: string;
    disk: boolean;
  };
  return {
    ...made,
    async now(fault) {
      child.stdin.write(`${fault}\n`);
      const said = await next((line) => /^(done|failed: )/.test(line));
      if (said !== 'done') throw new Error(`${fault} ${said}`);
    },
    stop: () =>
      new Promise((resolve) => {
        child.once('exit', () => resolve());
        child.stdin.end();
      }),
  };
}
