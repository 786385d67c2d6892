import { act, renderHook } from '@testing-library/react-native';
import { useWork, type Work } from './useWork';

/** Work that goes as far as the test lets it. */
function setUp(about: object = {}) {
  const stopped: number[] = [];
  let started = 0;
  const hook = renderHook<Work<string, { stop: () => void }>, { of: object }>(
    ({ of }) =>
      useWork(of, () => {
        const id = (started += 1);
        return { stop: () => void stopped.push(id) };
      }),
    { initialProps: { of: about } },
  );
  const work = {
    onRun: (_done: number, _of: number) => {},
    end: (_result: string) => {},
    break: (_error: Error) => {},
  };
  const run = () =>
    act(() =>
      hook.result.current.run(
        (_worker, onRun) =>
          new Promise<string>((resolve, reject) => {
            Object.assign(work, { onRun, end: resolve, break: reject });
          }),
      ),
    );
  return { hook, run, work, stopped };
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
    const hook = renderHook<Work<string, { stop: () => void }>, undefined>(() => {
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

  it('ends and forgets when it is about something else', async () => {
    const { hook, run, work, stopped } = setUp();
    run();
    hook.rerender({ of: {} });
    expect(stopped).toEqual([1]);
    await act(async () => work.end('of the other'));
    expect(hook.result.current.result).toBeNull();
    // Two at once: only the last one counts.
    run();
    run();
    expect(stopped).toEqual([1, 1, 2]);
  });

  it('never draws what came of other work for the new', async () => {
    const drawn: [object, string | null][] = [];
    const [first, second] = [{}, {}];
    let end = (_result: string) => {};
    const hook = renderHook<Work<string, { stop: () => void }>, { of: object }>(
      ({ of }) => {
        const work = useWork<string, { stop: () => void }>(of, () => ({ stop: () => {} }));
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
