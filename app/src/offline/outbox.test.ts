import fc from 'fast-check';
import type { Act, NewAct } from './act';
import { fed, OURS } from './act.testkit';
import { inMemory, type Device } from './device';
import { Outbox, type Outcome } from './outbox';

/** A server with a log: what it writes it writes once, by its id. */
class Server {
  readonly log = new Map<string, boolean>();
  /** Every act as it came into force, in order. */
  readonly order: string[] = [];
  readonly refuses = new Set<string>();
  up = true;
  /** Whether it says that it is there: a network that is gone says no, a lost answer comes after a yes. */
  there = true;
  /** So many answers are lost on the way back. */
  loses = 0;
  signedIn = true;
  answer = async (act: Act): Promise<Outcome> => {
    await Promise.resolve();
    if (!this.up) return failed(0);
    if (!this.signedIn) return failed(401);
    const outcome = this.write(act);
    if (this.loses === 0) return outcome;
    this.loses -= 1;
    return failed(0);
  };

  private write({ id, route, params }: Act): Outcome {
    if (this.refuses.has(id)) return failed(409);
    const undone = route.startsWith('undo') ? params!.id : null;
    if (undone !== null && !this.log.has(undone)) return failed(404);
    if (!this.order.includes(id)) this.order.push(id);
    if (undone !== null) this.log.set(undone, false);
    else if (!this.log.has(id)) this.log.set(id, true);
    return { data: { id } };
  }
}

const failed = (status: number): Outcome => ({
  error: { type: 'urn:test', title: 'No', status, detail: 'No.' },
});

const undo = (id: string, undone: string): NewAct => ({
  ...fed(id),
  route: 'undoFeeding',
  params: { id: undone },
});

function outboxOver(device: Device, server: Server, alone = <T>(work: () => Promise<T>) => work()) {
  const wakes: number[] = [];
  const taken: string[] = [];
  let acts: readonly Act[] = [];
  const outbox = new Outbox({
    device,
    send: (act) => server.answer(act),
    isThere: async () => server.there,
    retime: (act) => act,
    alone,
    wakeIn: (ms) => wakes.push(ms),
    random: () => 0.5,
    onChange: (now) => (acts = now),
    onTaken: ({ id }) => taken.push(id),
  });
  outbox.belongTo(OURS);
  return { outbox, wakes, taken, acts: () => acts };
}

describe('an act', () => {
  it('is answered by the server, and then kept no longer', async () => {
    const server = new Server();
    const { outbox, acts } = outboxOver(inMemory(), server);
    expect(await outbox.deliver(fed('a'))).toEqual({ data: { id: 'a' } });
    expect([acts(), server.order]).toEqual([[], ['a']]);
  });

  it('stays without a connection, and goes in order as that is back, over a reload', async () => {
    const [device, server] = [inMemory(), new Server()];
    server.up = false;
    const before = outboxOver(device, server);
    for (const id of ['a', 'b', 'c']) {
      expect(await before.outbox.deliver(fed(id))).toEqual({ kept: true });
    }
    server.up = true;
    const after = outboxOver(device, server);
    await after.outbox.pass();
    expect([server.order, after.taken, after.acts()]).toEqual([
      ['a', 'b', 'c'],
      ['a', 'b', 'c'],
      [],
    ]);
  });

  it('whose answer was lost is sent again and written once', async () => {
    const server = new Server();
    server.loses = 1;
    const { outbox } = outboxOver(inMemory(), server);
    expect(await outbox.deliver(fed('a'))).toEqual({ kept: true });
    await outbox.pass();
    expect(server.order).toEqual(['a']);
  });

  it('is never overtaken by what takes it back, and goes with that where it never left', async () => {
    const server = new Server();
    const { outbox, acts } = outboxOver(inMemory(), server);
    server.up = false;
    await outbox.deliver(fed('a'));
    // It has left, and whether it came is not known: the undo follows it.
    await outbox.deliver(undo('b', 'a'));
    expect(acts()).toHaveLength(2);
    outbox.belongTo(null);
    await outbox.deliver(fed('c'));
    await outbox.deliver(undo('d', 'c'));
    expect(acts().map(({ id }) => id)).toEqual(['a', 'b']);
    server.up = true;
    outbox.belongTo(OURS);
    await outbox.pass();
    expect([server.order, server.log.get('a')]).toEqual([['a', 'b'], false]);
  });

  it('does not leave without a server: it is taken back here, and its time can be put right', async () => {
    const server = new Server();
    server.there = false;
    server.up = false;
    const { outbox, acts, wakes } = outboxOver(inMemory(), server);
    expect(await outbox.deliver(fed('a'))).toEqual({ kept: true });
    expect(acts()).toMatchObject([{ sent: false }]);
    expect(wakes).toHaveLength(1);
    await outbox.deliver(undo('b', 'a'));
    expect(acts()).toEqual([]);
    await outbox.deliver(fed('c'));
    server.there = true;
    server.up = true;
    await outbox.pass();
    expect(server.order).toEqual(['c']);
  });

  it('that is kept while the device is read is not lost from sight', async () => {
    const [device, server] = [inMemory(), new Server()];
    let held: Promise<void> | null = null;
    const slow: Device = {
      ...device,
      async acts() {
        const before = await device.acts();
        if (held) await held;
        return before;
      },
    };
    const { outbox, acts } = outboxOver(slow, server);
    await outbox.pass();
    outbox.belongTo(null);
    let letGo: () => void = () => undefined;
    held = new Promise((resolve) => (letGo = resolve));
    const loading = outbox.load();
    await new Promise((resolve) => setTimeout(resolve));
    held = null;
    await outbox.keep(fed('a'));
    letGo();
    await loading;
    expect(acts().map(({ id }) => id)).toEqual(['a']);
  });

  it('waits as long as the server’s disk is full, and that is said', async () => {
    const server = new Server();
    const answer = server.answer;
    server.answer = async () => failed(507);
    const { outbox, acts } = outboxOver(inMemory(), server);
    for (let time = 0; time < 9; time += 1) await outbox.deliver(fed('a'));
    expect(acts()).toMatchObject([{ id: 'a', problem: null }]);
    expect(outbox.held?.status).toBe(507);
    server.answer = answer;
    await outbox.pass();
    expect([server.order, outbox.held]).toEqual([['a'], null]);
  });

  it('that is refused while it is waited for is answered so; later it is set aside, and blocks nothing', async () => {
    const server = new Server();
    server.refuses.add('a').add('b');
    const { outbox, acts } = outboxOver(inMemory(), server);
    expect(await outbox.deliver(fed('a'))).toMatchObject({ error: { status: 409 } });
    expect(acts()).toEqual([]);
    server.up = false;
    await outbox.deliver(fed('b'));
    await outbox.deliver(fed('c'));
    server.up = true;
    await outbox.pass();
    expect(server.order).toEqual(['c']);
    expect(acts()).toMatchObject([{ id: 'b', problem: { status: 409 } }]);
    // Taken back: nothing is left to be said.
    await outbox.deliver(undo('d', 'b'));
    expect(acts()).toEqual([]);
  });

  it('at which the server fails again and again is set aside too', async () => {
    const server = new Server();
    const answer = server.answer;
    server.answer = async (act) => (act.id === 'a' ? failed(500) : answer(act));
    const poisoned = outboxOver(inMemory(), server);
    await poisoned.outbox.deliver(fed('a'));
    await poisoned.outbox.deliver(fed('b'));
    for (let time = 0; time < 3; time += 1) await poisoned.outbox.pass();
    expect(server.order).toEqual(['b']);
    expect(poisoned.acts()).toMatchObject([{ id: 'a', problem: { status: 500 } }]);
    expect(poisoned.wakes).toHaveLength(3);
  });

  it('of another person waits until they sign in', async () => {
    const [device, server] = [inMemory(), new Server()];
    const { outbox, acts } = outboxOver(device, server);
    await outbox.deliver(fed('theirs', 'household other'));
    await outbox.deliver(fed('ours'));
    expect(server.order).toEqual(['ours']);
    expect(acts().map(({ id }) => id)).toEqual(['theirs']);
    outbox.belongTo('household other');
    await outbox.pass();
    expect(server.order).toEqual(['ours', 'theirs']);
  });

  it('waits longer each time, up to a minute, and never all phones at once', async () => {
    const server = new Server();
    server.up = false;
    const { outbox, wakes } = outboxOver(inMemory(), server);
    await outbox.deliver(fed('a'));
    for (let time = 0; time < 9; time += 1) await outbox.pass();
    expect(wakes[0]).toBe(750);
    expect(wakes.at(-1)).toBe(45_000);
    expect([...wakes].sort((a, b) => a - b)).toEqual(wakes);
  });
});

/** What can happen to a phone at the glass. */
type Step =
  | { what: 'feed' }
  | { what: 'undo'; which: number }
  | { what: 'network'; up: boolean; there: boolean }
  | { what: 'lose' }
  | { what: 'refuse'; which: number }
  | { what: 'reload' }
  | { what: 'session'; signedIn: boolean }
  | { what: 'pass' };

const step: fc.Arbitrary<Step & { phone: number; waited: boolean }> = fc
  .oneof(
    { weight: 5, arbitrary: fc.constant({ what: 'feed' as const }) },
    { weight: 3, arbitrary: fc.record({ what: fc.constant('undo' as const), which: fc.nat(8) }) },
    {
      weight: 3,
      arbitrary: fc.record({
        what: fc.constant('network' as const),
        up: fc.boolean(),
        there: fc.boolean(),
      }),
    },
    { weight: 2, arbitrary: fc.constant({ what: 'lose' as const }) },
    { weight: 1, arbitrary: fc.record({ what: fc.constant('refuse' as const), which: fc.nat(8) }) },
    { weight: 1, arbitrary: fc.constant({ what: 'reload' as const }) },
    {
      weight: 1,
      arbitrary: fc.record({ what: fc.constant('session' as const), signedIn: fc.boolean() }),
    },
    { weight: 3, arbitrary: fc.constant({ what: 'pass' as const }) },
  )
  .chain((one) =>
    fc
      .record({ phone: fc.nat(2), waited: fc.boolean() })
      .map((where) => ({ ...(one as Step), ...where })),
  );

describe('any number of phones, losses and reloads', () => {
  it('lose nothing, write nothing twice and keep each undo behind its act', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        const server = new Server();
        const devices = [inMemory(), inMemory(), inMemory()];
        let pages = devices.map((device) => outboxOver(device, server));
        const acts: { id: string; phone: number; undo: string | null }[] = [];
        for (const [at, one] of steps.entries()) {
          const page = pages[one.phone]!;
          const done = async (delivered: Promise<unknown>) => {
            if (one.waited) await delivered;
          };
          const act = (which: number) => acts.filter(({ phone }) => phone === one.phone)[which];
          switch (one.what) {
            case 'feed':
              acts.push({ id: `act ${at}`, phone: one.phone, undo: null });
              await done(page.outbox.deliver(fed(`act ${at}`)));
              break;
            case 'undo': {
              const known = act(one.which);
              if (!known) break;
              known.undo ??= `undo ${at}`;
              await done(page.outbox.deliver(undo(known.undo, known.id)));
              break;
            }
            case 'network':
              server.up = one.up;
              server.there = one.there;
              break;
            case 'session':
              server.signedIn = one.signedIn;
              break;
            case 'lose':
              server.loses += 1;
              break;
            case 'refuse': {
              const known = act(one.which);
              if (known && !server.log.has(known.id)) server.refuses.add(known.id);
              break;
            }
            case 'reload':
              pages = pages.map((old, phone) =>
                phone === one.phone ? outboxOver(devices[phone]!, server) : old,
              );
              break;
            case 'pass':
              await done(page.outbox.pass());
          }
        }
        Object.assign(server, { up: true, there: true, signedIn: true, loses: 0 });
        for (const { outbox } of pages) {
          await outbox.pass();
          await outbox.pass();
        }
        // Nothing waits; what is set aside is what the server refuses.
        for (const device of devices) {
          for (const { id, problem } of await device.acts()) {
            expect([problem === null, server.refuses.has(id)]).toEqual([false, true]);
          }
        }
        for (const { id, undo: undoneBy } of acts) {
          const inForce = server.log.get(id);
          if (server.refuses.has(id)) expect(inForce).toBeUndefined();
          else if (undoneBy === null) expect(inForce).toBe(true);
          // Taken back: written and undone, or never sent.
          else expect(inForce ?? false).toBe(false);
          const [first, second] = [server.order.indexOf(id), server.order.indexOf(undoneBy ?? '')];
          if (second >= 0) expect(first).toBeLessThan(second);
        }
        expect(new Set(server.order).size).toBe(server.order.length);
      }),
      { numRuns: 2000 },
    );
  });
});
