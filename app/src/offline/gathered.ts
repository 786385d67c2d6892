/**
 * What comes one after the other, each once, taken together when no more comes.
 * @param restMs so long after the last
 * @param latestMs and at the latest so long after the first
 */
export function gathered<T>(
  take: (all: readonly T[]) => void,
  { restMs, latestMs }: { restMs: number; latestMs: number },
) {
  const waiting = new Set<T>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let latest = Infinity;
  const end = () => {
    const all = [...waiting];
    waiting.clear();
    latest = Infinity;
    take(all);
  };
  return {
    later(some: readonly T[]) {
      if (some.length === 0) return;
      some.forEach((one) => waiting.add(one));
      latest = Math.min(latest, performance.now() + latestMs);
      clearTimeout(timer);
      timer = setTimeout(end, Math.min(restMs, latest - performance.now()));
    },
    stop: () => clearTimeout(timer),
  };
}
