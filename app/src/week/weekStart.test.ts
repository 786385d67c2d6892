import { weekStart } from './weekStart';

describe('the first day of a week', () => {
  it.each([
    ['2026-11-24', 1, '2026-11-23'],
    ['2026-11-24', 7, '2026-11-22'],
    ['2026-11-23', 1, '2026-11-23'],
    ['2026-11-22', 1, '2026-11-16'],
    ['2026-03-01', 7, '2026-03-01'],
  ])('of %s counted from %d is %s', (day, first, start) => {
    expect(weekStart(day, first)).toBe(start);
  });
});
