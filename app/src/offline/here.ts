import type { EventRoute, RouteName } from '@open-larder/contract/paths';
import { addressOf, sendQuietly, type Answer, type CallParts } from '../store/call';
import { clockDriftMs, clockIsKnown, clockOffMs, deviceNowMs, nowMs } from '../store/clock';
import { forget, recall, remember } from '../store/memory';
import { localNow } from '../store/localNow';
import { PAGE } from '../store/page';
import { reachNow } from '../store/reach';
import type { Act, NewAct } from './act';
import { openDevice, type Device, type KeptAnswer } from './device';
import { Outbox, type Answered, type Outcome } from './outbox';
import { withActs, type Asked } from './overlay';
import { provisional } from './provisional';
import { retimed } from './retime';

const LOCK = 'open-larder.outbox';
const CHANNEL = 'open-larder.outbox';
/** How many acts were kept when this page last looked, for where the database that held them was cleared. */
const UNSENT = 'unsent';
/** A phone at the glass goes on after so long without an answer. */
const PATIENCE_MS = 8000;
/** Answers that were not read anew for so long are dropped. */
const KEPT_MS = 9 * 86_400_000;

/** Who uses this device, and by what clock their household lives. */
export interface Owner {
  whose: string;
  timeZone: string;
}

/** What this page keeps on its device and sends from there. */
export class Here {
  private acts: readonly Act[] = [];
  private readonly listeners = new Set<() => void>();
  private readonly takers = new Set<(act: Act, data: unknown) => void>();
  private owner: Owner | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  readonly outbox: Outbox;
  constructor(
    private readonly device: Device,
    private readonly others: BroadcastChannel | null,
    /** So many acts are gone: the browser, or someone, has cleared what was kept. */
    readonly cleared = 0,
  ) {
    this.outbox = new Outbox({
      device,
      send: (act) => this.send(act),
      isThere: (act) => this.isThere(act),
      retime: (act) => {
        const clock = { aheadMs: clockOffMs(), page: PAGE, driftMs: clockDriftMs() };
        return retimed(act, clock, (ms) => this.dayOf(ms));
      },
      alone: (work) => this.alone(work),
      wakeIn: (ms) => {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => void this.outbox.pass(), ms);
      },
      random: Math.random,
      onChange: (acts) => this.changed(acts),
      onTaken: (act, data) => this.takers.forEach((take) => take(act, data)),
    });
    if (others) {
      others.onmessage = ({ data }: MessageEvent<{ id: string; outcome: Outcome }>) => {
        void this.outbox.load();
        this.outbox.heard(data.id, data.outcome);
      };
    }
  }

  /** Whether this browser keeps anything beyond the page. */
  get lasts(): boolean {
    return this.device.lasts;
  }

  kept = (): readonly Act[] => this.acts;

  onChange = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Called with each act that the server took after the screen had gone on. */
  onTaken(take: (act: Act, data: unknown) => void): () => void {
    this.takers.add(take);
    return () => this.takers.delete(take);
  }

  /** Before it is known who is signed in. */
  begin(owner: Owner): void {
    this.owner = owner;
    this.outbox.belongTo(owner.whose);
  }

  /** It is known who is signed in: what another person read here is forgotten, and what they did is sent. */
  async belongTo(owner: Owner): Promise<void> {
    const before = await this.device.note('whose');
    if (before !== undefined && before !== owner.whose) await this.device.forgetAnswers();
    await this.device.setNote('whose', owner.whose);
    await this.device.setNote('timeZone', owner.timeZone);
    this.begin(owner);
  }

  /** Keep an act on the device, without sending it yet. */
  async keep<N extends EventRoute>(route: N, parts: CallParts<N>): Promise<void> {
    await this.outbox.keep(this.actOf(route, parts));
  }

  /** As `call`, for what happened: without an answer it stays here, and the screen goes on. */
  async deliver<N extends EventRoute>(route: N, parts: CallParts<N>): Promise<Answer<unknown>> {
    const act = this.actOf(route, parts);
    const answered: Answered = await this.outbox.deliver(act);
    return 'kept' in answered ? { data: provisional(act) } : answered;
  }

  keepAnswers(answers: readonly KeptAnswer[]): Promise<void> {
    return this.device.keepAnswers(answers).catch(() => undefined);
  }

  async answer(route: RouteName, parts: CallParts<RouteName>): Promise<KeptAnswer | undefined> {
    return this.device.answer(addressOf(route, parts)).catch(() => undefined);
  }

  /** An answer with what is kept here. */
  async withActs<T>(route: RouteName, data: T, asked: Asked): Promise<T> {
    const acts = (await this.outbox.all()).filter(
      ({ whose }) => whose === '' || whose === this.owner?.whose,
    );
    return acts.length === 0 ? data : (withActs(route, structuredClone(data), acts, asked) as T);
  }

  async dropOldAnswers(): Promise<void> {
    await this.device.forgetAnswers(nowMs() - KEPT_MS);
  }

  /** Signing out: what was read here is forgotten, and what was not sent is given up. */
  async forgetAll(): Promise<void> {
    await this.device.drop((await this.device.acts()).map(({ seq }) => seq));
    await this.device.forgetAnswers();
    await this.outbox.load();
  }

  /** Nothing more is sent from here. */
  close(): void {
    clearTimeout(this.timer);
    this.others?.close();
    this.outbox.belongTo(null);
  }

  private actOf<N extends EventRoute>(route: N, parts: CallParts<N>): NewAct {
    const body = parts.body as Act['body'];
    const whose = this.owner?.whose ?? '';
    return {
      id: body.id,
      route,
      params: parts.params as Act['params'],
      body,
      whose,
      deviceMs: deviceNowMs(),
      aheadMs: clockOffMs(),
      clockKnown: clockIsKnown(),
      page: PAGE,
      driftMs: clockDriftMs(),
      sent: false,
      released: false,
      failures: 0,
      problem: null,
    };
  }

  private async send({ id, route, params, body }: Act): Promise<Outcome> {
    const parts = { params, body } as CallParts<EventRoute>;
    const outcome: Outcome = await sendQuietly(route, parts, PATIENCE_MS);
    const heard = !('error' in outcome) || outcome.error.status >= 400;
    if (heard) this.others?.postMessage({ id, outcome });
    return outcome;
  }

  /** Asked only where that is not known from what was answered last. */
  private async isThere({ released }: Act): Promise<boolean> {
    const away = reachNow().lost || globalThis.navigator?.onLine === false;
    if (!away && (clockIsKnown() || !released)) return true;
    const answer = await sendQuietly('getHealth', {}, PATIENCE_MS);
    return !('error' in answer) || answer.error.status !== 0;
  }

  /** One page at a time. */
  private async alone<T>(work: () => Promise<T>): Promise<T> {
    return globalThis.navigator?.locks ? navigator.locks.request(LOCK, work) : work();
  }

  private dayOf(ms: number): string {
    return localNow(new Date(ms), this.owner?.timeZone ?? 'UTC').day;
  }

  private changed(acts: readonly Act[]): void {
    this.acts = acts;
    if (acts.length > 0) remember(UNSENT, acts.length);
    else forget(UNSENT);
    this.listeners.forEach((listener) => listener());
  }
}

let here: Promise<Here> | null = null;
let opened: Here | null = null;

/** What this page keeps, where it is open already. */
export const hereNow = (): Here | null => opened;

/** How much was kept when this was last open: said until it is. */
export const unsentBefore = (): number => recall<number>(UNSENT) ?? 0;

/** What this page keeps; opened once. */
export const openHere = (): Promise<Here> => (here ??= open());

async function open(): Promise<Here> {
  const device = await openDevice();
  const [whose, timeZone] = [await device.note('whose'), await device.note('timeZone')];
  // Where it is still known who used it, nothing was cleared: what is gone was sent in the background.
  const cleared = whose === undefined ? unsentBefore() : 0;
  if (cleared > 0) forget(UNSENT);
  // Pages that share no database have nothing to say to each other.
  const others = device.lasts && globalThis.BroadcastChannel ? new BroadcastChannel(CHANNEL) : null;
  const own = new Here(device, others, cleared);
  // Who used it last, until it is known who is signed in.
  own.begin({ whose: whose ?? '', timeZone: timeZone ?? 'UTC' });
  opened = own;
  const pass = () => void own.outbox.pass();
  globalThis.window?.addEventListener?.('online', pass);
  globalThis.window?.addEventListener?.('pageshow', pass);
  globalThis.document?.addEventListener?.('visibilitychange', () => {
    if (document.visibilityState === 'visible') pass();
  });
  return own;
}

/** Another page: between two tests. */
export function closeHere(): void {
  const closed = here;
  here = null;
  opened = null;
  void closed?.then((one) => one.close());
}
