import type { Entry } from './entries';

const AT_ONCE = 4;
const PAUSE_MS = 200;
/** What does not come back in so long is not coming back. */
const PATIENCE_MS = 300_000;

/** Phones that log without a pause; what is refused or lost they send again, as it was. */
export class Loaders {
  readonly all: number;
  private readonly left: Entry[];
  private readonly acknowledged: string[] = [];
  private refused = 0;
  private readonly working: Promise<unknown>;

  constructor(
    private readonly url: string,
    acts: readonly Entry[],
  ) {
    this.all = acts.length;
    this.left = [...acts];
    this.working = Promise.all(Array.from({ length: AT_ONCE }, () => this.work()));
  }

  /** Wait until so many are acknowledged. */
  until(many: number): Promise<void> {
    return this.wait(() => this.acknowledged.length >= many);
  }

  /** Wait until something is not taken. */
  async untilRefused(): Promise<void> {
    const before = this.refused;
    await this.wait(() => this.refused > before || this.left.length === 0);
  }

  /** @returns what was acknowledged, by id */
  async end(): Promise<readonly string[]> {
    await this.working;
    return this.acknowledged;
  }

  private async work(): Promise<void> {
    const patience = Date.now() + PATIENCE_MS;
    for (let act = this.left.shift(); act; act = this.left.shift()) {
      while (!(await this.send(act))) {
        this.refused += 1;
        if (Date.now() > patience) throw new Error('the server does not come back');
        await pause();
      }
      this.acknowledged.push(act.id);
    }
  }

  private async send({ body }: Entry): Promise<boolean> {
    try {
      const answer = await fetch(`${this.url}/api/feedings`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
        signal: AbortSignal.timeout(15_000),
      });
      const said = await answer.text();
      if (answer.status >= 400 && answer.status < 500) throw new Error(`refused for good: ${said}`);
      return answer.ok;
    } catch (error) {
      if (error instanceof Error && error.message.startsWith('refused')) throw error;
      return false;
    }
  }

  private async wait(until: () => boolean): Promise<void> {
    const patience = Date.now() + PATIENCE_MS;
    while (!until()) {
      if (Date.now() > patience) throw new Error('that did not come about');
      await pause();
    }
  }
}

const pause = () => new Promise((resolve) => setTimeout(resolve, PAUSE_MS));
