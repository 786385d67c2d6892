import type { BodyOf } from '@open-larder/contract';
import { standIn } from '../testing/server';
import { closeHere } from '../offline/here';
import { kept } from '../testing/storage';
import { call, forgetActs } from './call';
import { formIntent, stampFor } from './intent';

let mockLeaving = false;
jest.mock('./leaving', () => ({ isLeaving: () => mockLeaving }));
beforeEach(() => {
  mockLeaving = false;
  forgetActs();
});
afterEach(closeHere);

/** A change of the plan: it is sent there and then, or not at all. */
const change = (share: number) => {
  const said = { kind: 'changed' as const, day: '2026-03-11', share, tempC: null, note: '' };
  const { id, at } = stampFor('water', 't1', said);
  const body = { ...said, id, at, hand: null } as unknown as BodyOf<'addGroupEvent'>;
  return call('addGroupEvent', { params: { id: 't1' }, body });
};
const ids = (asked: ReturnType<typeof standIn>) =>
  asked.map(({ body }) => (body as { id: string }).id);
const PATH = 'POST /api/groups/t1/events';
const ok = { [PATH]: () => ({ status: 201, body: { tankId: 't1' } }) };

describe('an act', () => {
  it('that is tapped twice is sent once, and both taps are answered', async () => {
    const asked = standIn(ok);
    const [one, two] = await Promise.all([change(0.25), change(0.25)]);
    expect(asked).toHaveLength(1);
    expect(one).toEqual({ data: { tankId: 't1' } });
    expect(two).toBe(one);
    // A second tap just after the answer is the same tap still.
    await change(0.25);
    expect(asked).toHaveLength(1);
  });

  it('with a number that could not be read is not sent, and names its field', async () => {
    const asked = standIn(ok);
    const answer = await change(Number.NaN);
    expect(answer).toMatchObject({
      error: {
        status: 422,
        errors: [{ path: 'share', message: 'this cannot be read as a number' }],
      },
    });
    expect(asked).toHaveLength(0);
  });

  it('that is taken back before it was answered is taken back after it', async () => {
    const order: string[] = [];
    let answerFirst: () => void = () => undefined;
    const answered = new Promise<void>((resolve) => (answerFirst = resolve));
    const ok = { ok: true, status: 201, json: async () => ({ tankId: 't1' }) } as Response;
    globalThis.fetch = jest.fn(async (input: unknown) => {
      const undo = String(input).endsWith('/undo');
      if (!undo) await answered;
      order.push(undo ? 'undone' : 'done');
      return ok;
    }) as typeof fetch;
    const said = { kind: 'changed' as const, day: '2026-03-11', share: 0.25, note: '' };
    const at = '2026-03-11T13:00:00Z';
    const body = { ...said, id: 'first', at, tempC: null, hand: null };
    const done = call('addWaterEvent', { params: { id: 't1' }, body });
    const undone = call('undoWaterEvent', { params: { id: 'first' }, body: { id: 'u1', at } });
    answerFirst();
    await Promise.all([done, undone]);
    expect(order).toEqual(['done', 'undone']);
  });

  it('that breaks off while the page is left is not taken for refused', async () => {
    standIn({});
    mockLeaving = true;
    const answered = jest.fn();
    void change(0.25).then(answered);
    await new Promise((resolve) => setImmediate(resolve));
    await new Promise((resolve) => setImmediate(resolve));
    expect(answered).not.toHaveBeenCalled();
    mockLeaving = false;
    forgetActs();
    expect(await change(0.25)).toMatchObject({ error: { status: 0 } });
  });

  it('of another content is another act', async () => {
    const asked = standIn(ok);
    await change(0.25);
    await change(0.3);
    expect(new Set(ids(asked)).size).toBe(2);
  });

  it('whose answer was lost goes out again under its id, over a reload too', async () => {
    const lost = standIn({});
    expect(await change(0.25)).toMatchObject({ error: { status: 0 } });
    expect(await change(0.25)).toMatchObject({ error: { status: 0 } });
    const [first, second] = ids(lost);
    expect(second).toBe(first);
    expect(kept.get('open-larder.intents')).toContain(first);
    const asked = standIn(ok);
    await new Promise<void>((resolve) => {
      jest.isolateModules(() => {
        const again = jest.requireActual<typeof import('./intent')>('./intent');
        const said = { kind: 'changed', day: '2026-03-11', share: 0.25, tempC: null, note: '' };
        expect(again.stampFor('water', 't1', said).id).toBe(first);
        resolve();
      });
    });
    expect(await change(0.25)).toEqual({ data: { tankId: 't1' } });
    expect(ids(asked)).toEqual([first]);
    expect(kept.get('open-larder.intents')).toBe('[]');
  });

  it('that the server refuses was not done: the next one is another', async () => {
    const refuse = { [PATH]: () => ({ status: 422, body: { status: 422, detail: 'no' } }) };
    const asked = standIn(refuse);
    await change(0.25);
    await change(0.25);
    const [first, second] = ids(asked);
    expect(second).not.toBe(first);
  });

  it('that failed in the server may have been done: it keeps its id', async () => {
    const broken = { [PATH]: () => ({ status: 503, body: { status: 503, detail: 'later' } }) };
    const asked = standIn(broken);
    await change(0.25);
    await change(0.25);
    const [first, second] = ids(asked);
    expect(second).toBe(first);
  });

  it('can be done anew as soon as it was taken back', async () => {
    const asked = standIn({
      ...ok,
      [`POST /api/water/x/undo`]: () => ({ status: 201, body: {} }),
    });
    await change(0.25);
    const [id] = ids(asked);
    globalThis.fetch = jest.fn(globalThis.fetch) as typeof fetch;
    asked.length = 0;
    await call('undoWaterEvent', { params: { id: id! }, body: stampFor('undo', id) });
    await change(0.25);
    expect(ids(asked).at(-1)).not.toBe(id);
  });
});

describe('a form', () => {
  const make = (name: string) => {
    const intent = formIntent('tank.new');
    return call('createTank', { body: { name, id: intent.id } as never });
  };

  it('makes one thing until it is saved, however its text changes, and then another', async () => {
    const lost = standIn({});
    await make('Race');
    await make('Mill race');
    const asked = standIn({ 'POST /api/tanks': () => ({ status: 201, body: {} }) });
    await make('Mill race');
    await make('Tarn');
    const [first, second] = ids(lost);
    const [third, fourth] = ids(asked);
    expect([second, third]).toEqual([first, first]);
    expect(fourth).not.toBe(first);
  });

  it('whose id was used already says so, and saves anew under another', async () => {
    const used = { type: 'urn:open-larder:id-used', status: 409, detail: 'saved before' };
    const asked = standIn({ 'POST /api/tanks': () => ({ status: 409, body: used }) });
    expect(await make('Race')).toMatchObject({ error: used });
    await make('Race');
    const [first, second] = ids(asked);
    expect(second).not.toBe(first);
  });

  it('keeps the ids of what it makes along with it', () => {
    const first = formIntent('food.new').also('lot');
    expect(formIntent('food.new').also('lot')).toBe(first);
    expect(formIntent('food.new').also('other')).not.toBe(first);
  });
});

describe('waiting', () => {
  it('ends: a server that never answers is said to', async () => {
    jest.useFakeTimers();
    globalThis.fetch = ((_: unknown, { signal }: RequestInit) =>
      new Promise((_resolve, reject) => {
        signal!.addEventListener('abort', () => reject(new Error('aborted')));
      })) as typeof fetch;
    const answer = call('listTanks');
    await jest.advanceTimersByTimeAsync(16_000);
    expect(await answer).toMatchObject({ error: { type: 'urn:open-larder:unanswered' } });
    jest.useRealTimers();
  });
});

describe('a server that is busy', () => {
  it('is asked again for what is read, and for nothing that changes', async () => {
    let times = 0;
    const busy = { status: 503, body: { status: 503, detail: 'later' } };
    const asked = standIn({
      'GET /api/tanks': () => {
        times += 1;
        return times < 2 ? busy : { status: 200, body: { items: [], next: null } };
      },
      [PATH]: () => busy,
    });
    expect(await call('listTanks')).toEqual({ data: { items: [], next: null } });
    expect(await change(0.25)).toMatchObject({ error: { status: 503 } });
    expect(asked).toHaveLength(3);
  });
});
