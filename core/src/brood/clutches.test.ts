import { addDays } from '../round';
import { afterClutches, clutchOf, type EggTraits } from '.';
import type { BroodEvent } from './line';

const eggs: EggTraits = { hatchDegreeDays: 75, swimDegreeDays: 175, tempOptC: 25, unsure: 1.5 };
const LAID = '2026-03-01';
const event = (kind: BroodEvent['kind'], days: number): BroodEvent =>
  ({
    id: `${kind}${days}`,
    kind,
    day: addDays(LAID, days),
    at: '',
    tubId: 't',
  }) as unknown as BroodEvent;
const clutch = (hatched: number, swam: number, usualC = 25) =>
  clutchOf(
    [event('spawned', 0), event('hatched', hatched), event('swimming', swam)],
    eggs,
    usualC,
    '2026-04-01',
  );

describe('an earlier clutch', () => {
  it('is told against what was expected at its temperature', () => {
    expect(clutch(3, 7)).toEqual({ hatch: 1, swim: 1 });
    expect(clutch(4, 9)!.hatch).toBeCloseTo(4 / 3, 9);
    // Ten degrees colder they were to take 2.5 times as long.
    expect(clutch(8, 18, 15)!.hatch).toBeCloseTo(8 / 7.5, 9);
  });

  it('is nothing where it was not seen laid, or is off beyond belief', () => {
    expect(clutchOf([event('hatched', 3)], eggs, 25, '2026-04-01')).toBeNull();
    expect(clutch(20, 40)).toBeNull();
  });
});

describe('what eggs are timed by after clutches', () => {
  it('is as before without any', () => {
    expect(afterClutches(eggs, [])).toEqual(eggs);
  });

  it('moves towards what was seen, and the window narrows with each', () => {
    const seen = (count: number) =>
      afterClutches(
        eggs,
        Array.from({ length: count }, () => ({ hatch: 1.3, swim: 1.2 })),
      );
    const widths = [0, 1, 2, 4, 8].map((count) => seen(count).unsure);
    expect(widths).toEqual([...widths].sort((a, b) => b - a));
    expect(widths[1]).toBeLessThan(1.4);
    const days = [0, 1, 4, 20].map((count) => seen(count).hatchDegreeDays);
    expect(days).toEqual([...days].sort((a, b) => a - b));
    expect(seen(20).hatchDegreeDays / (1.3 * 75)).toBeCloseTo(1, 1);
    expect(seen(20).swimDegreeDays).toBeGreaterThan(seen(20).hatchDegreeDays);
  });

  it('never makes a window wider than it was, nor certain', () => {
    const sure = { ...eggs, unsure: 1.2 };
    const many = Array.from({ length: 50 }, () => ({ hatch: 1, swim: 1 }));
    expect(afterClutches(sure, many).unsure).toBeGreaterThan(1.1);
    expect(afterClutches(sure, many).unsure).toBeLessThanOrEqual(1.2);
  });
});
