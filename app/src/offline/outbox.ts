import type { Problem } from '@open-larder/contract';
import { cancels, isOnlyHere, takesBack, writes, type Act, type NewAct } from './act';
import type { Device } from './device';

/** What the server says to an act: `data`, or a problem whose status is 0 where it was not heard. */
export type Outcome = { data: unknown } | { error: Problem };

/** What an act was answered with; `kept` where it stays on the device for now. */
export type Answered = Outcome | { kept: true };

interface Parts {
  device: Device;
  send: (act: Act) => Promise<Outcome>;
  /**
   * Whether the server is there, and has said what time it is. What never left leaves only then: until it
   * does, it can be taken back here, and its times can be put right.
   */
  isThere: (act: Act) => Promise<boolean>;
  /** Put the times of an act right before it first leaves. */
  retime: (act: Act) => Act;
  /** One page, or the service worker, sends at a time. */
  alone: <T>(work: () => Promise<T>) => Promise<T>;
  /** In ms; called again cancels the wait before. */
  wakeIn: (ms: number) => void;
  random: () => number;
  /** The list has changed. */
  onChange: (acts: readonly Act[]) => void;
  /** The server has taken an act that the screen had gone on without. */
  onTaken: (act: Act, data: unknown) => void;
}

/** The server cannot do it now, whatever it is: nothing else is tried either. */
const LATER = new Set([0, 408, 425, 429, 502, 503, 504, 507]);
const SIGN_IN = 401;
/** An act at which the server fails so often for no known reason is set aside: the rest must go on. */
const MOST_FAILURES = 4;
const FIRST_PAUSE_MS = 1000;
const LONGEST_PAUSE_MS = 60_000;

/**
 * Acts in the order in which they were done. Each is on the device before it is sent, and stays there
 * until the server has taken it, has been taken back before it left, or is given up by the keeper.
 */
export class Outbox {
  private acts: Act[] = [];
  private whose: string | null = null;
  private readonly waiting = new Map<string, ((answered: Answered) => void)[]>();
  private passing: Promise<void> | null = null;
  private again = false;
  private pauses = 0;
  /** How often the list has changed. */
  private changes = 0;
  private stop: Problem | null = null;
  private readonly loaded: Promise<void>;

  constructor(private readonly parts: Parts) {
    this.loaded = this.load();
  }

  /** Why the server takes nothing now, where it says so itself. */
  get held(): Problem | null {
    return this.stop;
  }

  /** All that is kept, in order; first read from the device. */
  async all(): Promise<readonly Act[]> {
    await this.loaded;
    return this.acts;
  }

  /** Who is signed in: only theirs is sent. */
  belongTo(whose: string | null): void {
    this.whose = whose;
    if (whose !== null) void this.pass();
  }

  /**
   * Keep an act. Resolves as it is on the disk; one that is there already is not kept twice. What takes
   * back an act that never left goes with it.
   * @returns false where nothing is left to be sent
   */
  async keep(act: NewAct): Promise<boolean> {
    await this.loaded;
    if (this.acts.some(({ id }) => id === act.id)) return true;
    const undone = this.acts.filter((one) => cancels(one, act) && isOnlyHere(one));
    if (undone.length > 0 && coversAll(undone, act)) {
      // Another page may be sending them just now: then the undo follows them.
      if (await this.parts.device.dropUnsent(undone.map(({ seq }) => seq))) {
        this.forget(undone);
        undone.forEach(({ id }) => this.resolve(id, { kept: true }));
        return false;
      }
    }
    const kept = await this.parts.device.add(act);
    this.acts = [...this.acts.filter(({ seq }) => seq !== kept.seq), kept];
    this.changed();
    return true;
  }

  /** Keep an act, and send it with all that was kept before. Resolves with its answer, or as it stays here. */
  async deliver(act: NewAct): Promise<Answered> {
    if (!(await this.keep(act))) return { kept: true };
    if (this.acts.find(({ id }) => id === act.id)?.released) return { kept: true };
    const answered = new Promise<Answered>((resolve) => {
      this.waiting.set(act.id, [...(this.waiting.get(act.id) ?? []), resolve]);
    });
    void this.pass();
    return answered;
  }

  /** Send what waits: as the network or the page is back. */
  async pass(): Promise<void> {
    this.again = true;
    this.passing ??= this.parts
      .alone(async () => {
        while (this.again) {
          this.again = false;
          await this.sendAll();
        }
      })
      .finally(() => (this.passing = null));
    await this.passing;
    if (this.again) await this.pass();
  }

  /** Try once more what was set aside. */
  async retry(seq: number): Promise<void> {
    await this.update(seq, { problem: null, failures: 0 });
    await this.pass();
  }

  /** Give an act up, and what would take it back. */
  async giveUp(seq: number): Promise<void> {
    await this.loaded;
    const act = this.acts.find((one) => one.seq === seq);
    if (act) await this.remove([act, ...this.acts.filter((one) => cancels(act, one))]);
  }

  /** Read the device again: another page has sent or kept something. */
  async load(): Promise<void> {
    for (;;) {
      const before = this.changes;
      const acts = await this.parts.device.acts();
      // Something was kept or sent while it was read: what was read is of before that.
      if (before !== this.changes) continue;
      this.acts = acts.sort((a, b) => a.seq - b.seq);
      return this.changed();
    }
  }

  /** Another page has had an answer for an act of this one. */
  heard(id: string, answered: Answered): void {
    this.resolve(id, answered);
  }

  private async sendAll(): Promise<void> {
    await this.loaded;
    await this.load();
    for (;;) {
      const act = this.acts.find((one) => this.isOurs(one) && one.problem === null);
      if (!act) break;
      if (!(await this.sendOne(act))) return this.release();
      this.pauses = 0;
      this.stop = null;
    }
    // What waits for another person to sign in waits on; the screens do not.
    await this.release();
  }

  /** Of a page that did not know yet who is signed in, it is whose that turns out to be. */
  private isOurs({ whose }: Act): boolean {
    return this.whose !== null && (whose === this.whose || whose === '');
  }

  /** @returns whether to go on with the next */
  private async sendOne(kept: Act): Promise<boolean> {
    if (!kept.sent && !(await this.parts.isThere(kept))) {
      this.pause();
      return false;
    }
    const act = kept.sent ? kept : this.parts.retime(kept);
    // Written down before it leaves; where it is no longer there, it was taken back.
    if (!kept.sent && !(await this.update(act.seq, { ...act, sent: true }))) return true;
    const outcome = await this.parts.send(act);
    if (!('error' in outcome)) {
      const { released } = this.acts.find(({ seq }) => seq === act.seq) ?? act;
      await this.remove([act]);
      this.resolve(act.id, outcome);
      if (released) this.parts.onTaken(act, outcome.data);
      return true;
    }
    const { error } = outcome;
    if (LATER.has(error.status) || error.status === SIGN_IN) {
      this.stop = error.status === 0 || error.status === SIGN_IN ? null : error;
      this.changed();
      if (error.status !== SIGN_IN) this.pause();
      return false;
    }
    if (error.status >= 500 && act.failures + 1 < MOST_FAILURES) {
      await this.update(act.seq, { failures: act.failures + 1 });
      this.pause();
      return false;
    }
    // Who waits for it hears of it there and then, and nothing is left to be decided later.
    if (this.waiting.has(act.id)) await this.remove([act]);
    else await this.setAside(act, error);
    this.resolve(act.id, outcome);
    return true;
  }

  /** What the server does not take: with an undo of it, nothing is left to be said. */
  private async setAside(act: Act, problem: Problem): Promise<void> {
    const undo = this.acts.find((one) => cancels(act, one));
    const undoesNothing = problem.status === 404 && takesBack(act).length > 0;
    if (undo) await this.remove([act, undo]);
    else if (undoesNothing) await this.remove([act]);
    else await this.update(act.seq, { problem });
  }

  /** The screens go on without an answer, and the acts stay here. */
  private async release(): Promise<void> {
    const left = [...this.waiting.keys()];
    for (const act of this.acts.filter(({ id, released }) => !released && left.includes(id))) {
      await this.update(act.seq, { released: true });
    }
    for (const id of left) this.resolve(id, { kept: true });
  }

  private pause(): void {
    const longest = Math.min(FIRST_PAUSE_MS * 2 ** this.pauses, LONGEST_PAUSE_MS);
    this.pauses += 1;
    // Phones that lost the same server do not all come back at once.
    this.parts.wakeIn(longest / 2 + (this.parts.random() * longest) / 2);
  }

  private resolve(id: string, answered: Answered): void {
    const all = this.waiting.get(id) ?? [];
    this.waiting.delete(id);
    all.forEach((each) => each(answered));
  }

  /** @returns whether it is still there */
  private async update(seq: number, part: Partial<Act>): Promise<boolean> {
    this.acts = this.acts.map((act) => (act.seq === seq ? { ...act, ...part } : act));
    const act = this.acts.find((one) => one.seq === seq);
    const here = act !== undefined && (await this.parts.device.change(act));
    if (act && !here) this.forget([act]);
    else this.changed();
    return here;
  }

  private async remove(acts: readonly Act[]): Promise<void> {
    await this.parts.device.drop(acts.map(({ seq }) => seq));
    this.forget(acts);
  }

  private forget(acts: readonly Act[]): void {
    const seqs = new Set(acts.map(({ seq }) => seq));
    this.acts = this.acts.filter(({ seq }) => !seqs.has(seq));
    this.changed();
  }

  private changed(): void {
    this.changes += 1;
    this.parts.onChange(this.acts);
  }
}

/** Whether all that is taken back was written by these. */
const coversAll = (acts: readonly Act[], undo: NewAct): boolean => {
  const written = new Set(acts.flatMap(writes));
  return takesBack(undo).every((id) => written.has(id));
};
