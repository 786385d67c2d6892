import { openDB, type DBSchema } from 'idb';
import { isOnlyHere, type Act, type NewAct } from './act';

/** An answer of the server, as it was last read. */
export interface KeptAnswer {
  address: string;
  /** When it was read, in ms by the corrected clock. */
  readMs: number;
  data: unknown;
}

/** What this device keeps between visits. */
export interface Device {
  /** False in a window that keeps nothing: all is gone as it is closed. */
  readonly lasts: boolean;
  acts: () => Promise<Act[]>;
  /** Resolves as it is on the disk. */
  add: (act: NewAct) => Promise<Act>;
  /** @returns whether it is still here: another page may have sent it, or taken it back */
  change: (act: Act) => Promise<boolean>;
  drop: (seqs: readonly number[]) => Promise<void>;
  /** Drop these where the server has none of them. @returns whether they are gone */
  dropUnsent: (seqs: readonly number[]) => Promise<boolean>;
  answer: (address: string) => Promise<KeptAnswer | undefined>;
  keepAnswers: (answers: readonly KeptAnswer[]) => Promise<void>;
  /** Forget answers that were read before an instant; all of them without one. */
  forgetAnswers: (beforeMs?: number) => Promise<void>;
  note: (name: string) => Promise<string | undefined>;
  setNote: (name: string, value: string) => Promise<void>;
}

interface Schema extends DBSchema {
  acts: { key: number; value: Act };
  answers: { key: string; value: KeptAnswer; indexes: { read: number } };
  notes: { key: string; value: string };
}

const NAME = 'open-larder';

/** The browser’s database; where it has none or refuses, the memory of this page. */
export async function openDevice(): Promise<Device> {
  try {
    if (globalThis.indexedDB === undefined) return inMemory();
    return await inBrowser();
  } catch {
    return inMemory();
  }
}

async function inBrowser(): Promise<Device> {
  const db = await openDB<Schema>(NAME, 1, {
    upgrade(made) {
      made.createObjectStore('acts', { keyPath: 'seq', autoIncrement: true });
      made.createObjectStore('answers', { keyPath: 'address' }).createIndex('read', 'readMs');
      made.createObjectStore('notes');
    },
  });
  const onDisk = { durability: 'strict' } as const;
  return {
    lasts: true,
    acts: () => db.getAll('acts'),
    async add(act) {
      const change = db.transaction('acts', 'readwrite', onDisk);
      const seq = await change.store.add(act as Act);
      await change.done;
      return { ...act, seq };
    },
    async change(act) {
      const change = db.transaction('acts', 'readwrite', onDisk);
      const here = (await change.store.getKey(act.seq)) !== undefined;
      if (here) await change.store.put(act);
      await change.done;
      return here;
    },
    async drop(seqs) {
      const change = db.transaction('acts', 'readwrite', onDisk);
      await Promise.all([...seqs.map((seq) => change.store.delete(seq)), change.done]);
    },
    async dropUnsent(seqs) {
      const change = db.transaction('acts', 'readwrite', onDisk);
      const acts = await Promise.all(seqs.map((seq) => change.store.get(seq)));
      const may = acts.every((act) => act !== undefined && isOnlyHere(act));
      if (may) await Promise.all(seqs.map((seq) => change.store.delete(seq)));
      await change.done;
      return may;
    },
    answer: (address) => db.get('answers', address),
    async keepAnswers(answers) {
      const change = db.transaction('answers', 'readwrite');
      await Promise.all([...answers.map((one) => change.store.put(one)), change.done]);
    },
    async forgetAnswers(beforeMs = Infinity) {
      const change = db.transaction('answers', 'readwrite');
      const old = IDBKeyRange.upperBound(beforeMs, true);
      for await (const one of change.store.index('read').iterate(old)) await one.delete();
      await change.done;
    },
    note: (name) => db.get('notes', name),
    async setNote(name, value) {
      await db.put('notes', value, name);
    },
  };
}

export function inMemory(): Device {
  let last = 0;
  const acts = new Map<number, Act>();
  const answers = new Map<string, KeptAnswer>();
  const notes = new Map<string, string>();
  return {
    lasts: false,
    acts: async () => [...acts.values()],
    async add(act) {
      const kept = { ...act, seq: (last += 1) };
      acts.set(kept.seq, kept);
      return kept;
    },
    async change(act) {
      const here = acts.has(act.seq);
      if (here) acts.set(act.seq, act);
      return here;
    },
    async drop(seqs) {
      for (const seq of seqs) acts.delete(seq);
    },
    async dropUnsent(seqs) {
      const may = seqs.every((seq) => acts.has(seq) && isOnlyHere(acts.get(seq)!));
      if (may) for (const seq of seqs) acts.delete(seq);
      return may;
    },
    answer: async (address) => answers.get(address),
    async keepAnswers(some) {
      for (const one of some) answers.set(one.address, one);
    },
    async forgetAnswers(beforeMs = Infinity) {
      for (const one of answers.values()) {
        if (one.readMs < beforeMs) answers.delete(one.address);
      }
    },
    note: async (name) => notes.get(name),
    async setNote(name, value) {
      notes.set(name, value);
    },
  };
}
