/**
 * Animation frames end with their test file. The store asks for a frame to gather its notices, and
 * one that fires after Jest has torn a file down fails the whole run though every test passed.
 */
const asked = new Set<ReturnType<typeof setTimeout>>();
let over = false;

globalThis.requestAnimationFrame = (callback) => {
  const timer = setTimeout(() => {
    asked.delete(timer);
    callback(Date.now());
  }, 0);
  if (over) clearTimeout(timer);
  else asked.add(timer);
  return timer as unknown as number;
};

afterAll(() => {
  over = true;
  for (const timer of asked) clearTimeout(timer);
});
