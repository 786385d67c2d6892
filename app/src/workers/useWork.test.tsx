import { act, renderHook } from '@testing-library/react-native';
import { useWork, type Work } from './useWork';

/** Work that goes as far as the test lets it. */
function setUp(options: { edits?: boolean; keepsUp?: boolean } = {}) {
  const abouts: object[] = [];
  const stopped: number[] = [];
  let started = 0;
  const hook = renderHook<Work<string, { stop: () => void }, object>, { of: object }>(
    ({ of }) =>
      useWork(
        of,
        () => {
          const id = (started += 1);
          return { stop: () => void stopped.push(id) };
        },
        options,
      ),
    { initialProps: { of: {} } },
  );
  const work = {
    onRun: (_done: number, _of: number) => {},
    end: (_result: string) => {},
    break: (_error: Error) => {},
  };
  const run = () =>
    act(() =>
      hook.result.current.run(
        (_worker, about, onRun) =>
          new Promise<string>((resolve, reject) => {
            abouts.push(about);
            Object.assign(work, { onRun, end: resolve, break: reject });
          }),
      ),
    );
  return { hook, run, work, stopped, abouts };
}

describe('work in a worker', () => {
  it('tells how far it is, then what came of it, and ends the worker', async () => {
    const { hook, run, work, stopped } = setUp();
    run();
    expect(hook.result.current.running).toEqual({ done: 0, of: 0 });
    act(() => work.onRun(1, 2));
    expect(hook.result.current.running).toEqual({ done: 1, of: 2 });
    await act(async () => work.end('done'));
    expect(hook.result.current).toMatchObject({ running: null, result: 'done', fault: null });
    expect(stopped).toEqual([1]);
  });

  it('is over once it is over, though word of how far it is comes late', async () => {
    const { hook, run, work } = setUp();
    run();
    await act(async () => work.end('done'));
    act(() => work.onRun(2, 2));
    expect(hook.result.current.running).toBeNull();
  });

  it('about something that is new at each drawing comes to rest all the same', async () => {
    let drawn = 0;
    const hook = renderHook<Work<string, { stop: () => void }, object>, undefined>(() => {
      drawn += 1;
      return useWork({}, () => ({ stop: () => {} }));
    });
    await act(async () => hook.rerender(undefined));
    act(() => hook.result.current.run(() => new Promise<string>(() => {})));
    await act(async () => hook.rerender(undefined));
    expect(drawn).toBeLessThan(12);
    expect(hook.result.current.running).toBeNull();
  });

  it('says what went wrong', async () => {
    const { hook, run, work } = setUp();
    run();
    await act(async () => work.break(new Error('no memory')));
    expect(hook.result.current).toMatchObject({ running: null, result: null, fault: 'no memory' });
  });

  it('forgets what was cancelled, even if it ends after all', async () => {
    const { hook, run, work, stopped } = setUp();
    run();
    act(() => hook.result.current.forget());
    expect(stopped).toEqual([1]);
    await act(async () => work.end('too late'));
    expect(hook.result.current).toMatchObject({ running: null, result: null });
  });

  it('that runs begins again when it is about something newer', async () => {
    const { hook, run, work, stopped, abouts } = setUp();
    run();
    const { end } = work;
    const newer = {};
    hook.rerender({ of: newer });
    expect(stopped).toEqual([1]);
    expect(abouts.at(-1)).toBe(newer);
    await act(async () => end('of the older'));
    expect(hook.result.current).toMatchObject({ result: null, running: { done: 0, of: 0 } });
    await act(async () => work.end('of the newer'));
    expect(hook.result.current).toMatchObject({ result: 'of the newer', running: null });
    // Two at once: only the last one counts.
    run();
    run();
    expect(stopped.at(-1)).toBe(3);
  });

  it('that is over is forgotten when it is about something else, or done again if it keeps up', async () => {
    for (const keepsUp of [false, true]) {
      const { hook, run, work } = setUp({ keepsUp });
      run();
      await act(async () => work.end('first'));
      hook.rerender({ of: {} });
      expect(hook.result.current.result).toBeNull();
      expect(hook.result.current.running !== null).toBe(keepsUp);
    }
  });

  it.each(['was cancelled', 'edits what it is about'])('that %s does not begin again', (how) => {
    const cancelled = how === 'was cancelled';
    const { hook, run, abouts } = setUp(cancelled ? { keepsUp: true } : { edits: true });
    run();
    if (cancelled) act(() => hook.result.current.forget());
    hook.rerender({ of: {} });
    expect(abouts).toHaveLength(1);
    expect(hook.result.current.running).toBeNull();
  });

  it('never draws what came of other work for the new', async () => {
    const drawn: [object, string | null][] = [];
    const [first, second] = [{}, {}];
    let end = (_result: string) => {};
    const hook = renderHook<Work<string, { stop: () => void }, object>, { of: object }>(
      ({ of }) => {
        const work = useWork<string, { stop: () => void }, object>(of, () => ({ stop: () => {} }));
        drawn.push([of, work.result]);
        return work;
      },
      { initialProps: { of: first } },
    );
    act(() => hook.result.current.run(() => new Promise((resolve) => (end = resolve))));
    await act(async () => end('of the first'));
    expect(drawn).toContainEqual([first, 'of the first']);
    hook.rerender({ of: second });
    expect(drawn.filter(([of]) => of === second).map(([, result]) => result)).toEqual(
      expect.not.arrayContaining(['of the first']),
    );
    expect(drawn.some(([of]) => of === second)).toBe(true);
  });
});
