import { clockOffMs, compareWithServer, deviceNowMs, nowMs, setDeviceClock } from './clock';

const MINUTE = 60_000;
const at = Date.parse('2026-03-11T13:00:00Z');
beforeEach(() => setDeviceClock(() => at));
const server = (offMs: number, tookMs = 0) =>
  compareWithServer(new Date(at + offMs).toISOString(), deviceNowMs() - tookMs);

describe('a device’s clock', () => {
  it('is used as it is while it is within two minutes', () => {
    server(110_000);
    expect(clockOffMs()).toBe(0);
    expect(nowMs()).toBe(at);
  });

  it.each([
    ['an hour behind', 60 * MINUTE],
    ['a year ahead', -365 * 24 * 60 * MINUTE],
  ])('that is %s gives way to the server’s', (_, off) => {
    server(off);
    expect(nowMs()).toBe(at + off);
    // Set right, it is used again.
    server(0);
    expect(nowMs()).toBe(at);
  });

  it('is not judged by an answer that was long on its way', () => {
    server(10 * MINUTE, 2 * MINUTE);
    expect(clockOffMs()).toBe(0);
  });

  it('is not judged by an answer on whose way it was set', () => {
    server(30 * MINUTE, -60 * MINUTE);
    expect(clockOffMs()).toBe(0);
  });

  it('does not follow what differs from answer to answer', () => {
    server(10 * MINUTE);
    server(10 * MINUTE + 5000);
    expect(clockOffMs()).toBe(10 * MINUTE);
  });
});
