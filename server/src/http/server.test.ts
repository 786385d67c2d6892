import { endsSoon } from './server';

const DAY_MS = 86_400_000;
const now = new Date('2026-03-10T12:00:00Z');
const inDays = (days: number) => new Date(now.getTime() + days * DAY_MS);

it('a certificate is mentioned two weeks before it ends, and after it', () => {
  expect(endsSoon({ ends: null }, now)).toBeNull();
  expect(endsSoon({ ends: inDays(15) }, now)).toBeNull();
  expect(endsSoon({ ends: inDays(13) }, now)).toBe('2026-03-23T12:00:00.000Z');
  expect(endsSoon({ ends: inDays(-1) }, now)).toBe('2026-03-09T12:00:00.000Z');
});
