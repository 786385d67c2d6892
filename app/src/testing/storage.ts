/** What a browser keeps between visits; emptied before each test of a file that takes it in. */
export const kept = new Map<string, string>();

beforeEach(() => {
  kept.clear();
  globalThis.localStorage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
    removeItem: (key: string) => void kept.delete(key),
  } as unknown as Storage;
});
