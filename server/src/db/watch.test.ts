import { createConnection, createServer, type Server, type Socket } from 'node:net';
import { watchDatabase, type DatabaseWatch } from './watch';

/** Between the watch and PostgreSQL: lets everything through, or nothing, as one that hangs. */
class Between {
  private hangs = false;
  private readonly sockets = new Set<Socket>();
  private constructor(
    private readonly server: Server,
    readonly port: number,
  ) {}

  static open(target: URL): Promise<Between> {
    return new Promise((resolve) => {
      const server = createServer((near) => {
        const far = createConnection(Number(target.port), target.hostname);
        for (const [from, to] of [
          [near, far],
          [far, near],
        ] as const) {
          from.on('data', (data) => between.hangs || to.write(data));
          from.on('error', () => undefined);
          from.on('close', () => to.destroy());
          between.sockets.add(from);
        }
      });
      let between: Between;
      server.listen(0, '127.0.0.1', () => {
        between = new Between(server, (server.address() as { port: number }).port);
        resolve(between);
      });
    });
  }

  hang(now: boolean): void {
    this.hangs = now;
  }

  close(): void {
    for (const socket of this.sockets) socket.destroy();
    this.server.close();
  }
}

describe('a database that hangs', () => {
  let between: Between;
  let watch: DatabaseWatch;
  let changes: boolean[];
  let changed: () => void;
  const change = () => new Promise<void>((resolve) => (changed = resolve));

  beforeEach(async () => {
    const url = new URL(process.env.OPEN_LARDER_TEST_DB_URL ?? '');
    between = await Between.open(new URL(url));
    url.port = String(between.port);
    changes = [];
    watch = watchDatabase(url.href, (up) => {
      changes.push(up);
      changed();
    });
  });
  afterEach(async () => {
    between.hang(false);
    await watch.stop();
    between.close();
  });

  it('ends what waits for it, turns away what comes, and is used again when it is back', async () => {
    expect(await watch.guard(async () => 'done')).toBe('done');
    const down = change();
    between.hang(true);
    const waiting = watch.guard(() => new Promise(() => undefined));
    await expect(waiting).rejects.toMatchObject({
      // Whether that was done is not known, and is not said to be.
      problem: { status: 503, detail: expect.stringMatching(/before this was confirmed/) },
    });
    await down;
    let asked = false;
    const late = watch.guard(async () => (asked = true));
    await expect(late).rejects.toMatchObject({
      problem: { status: 503, detail: expect.stringMatching(/Nothing was changed/) },
    });
    expect(asked).toBe(false);
    const up = change();
    between.hang(false);
    await up;
    expect(await watch.guard(async () => 'again')).toBe('again');
    expect(changes).toEqual([false, true]);
  });
});
