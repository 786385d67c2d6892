import fc from 'fast-check';
import { STAGES } from '../fish';
import { addDays, daysBetween } from '../round';
import { isSize, lifeError, SIZE_KINDS, stateOn, staysOf, type LifeEvent } from '.';

const FIRST = '2026-01-01';
const dayAt = (offset: number) => addDays(FIRST, offset);

/** A life that begins in a tank with some fish, and in which anything may then be written. */
const lives = fc
  .array(
    fc.oneof(
      fc.record({
        kind: fc.constantFrom(...SIZE_KINDS),
        at: fc.nat(30),
        males: fc.nat(4),
        females: fc.nat(4),
        unsexed: fc.nat(4),
      }),
      fc.record({
        kind: fc.constant('moved' as const),
        at: fc.nat(30),
        tankId: fc.constantFrom('a', 'b', 'c'),
      }),
      fc.record({
        kind: fc.constant('measured' as const),
        at: fc.nat(30),
        lengthCm: fc.integer({ min: 1, max: 9 }),
      }),
      fc.record({
        kind: fc.constant('staged' as const),
        at: fc.nat(30),
        stage: fc.constantFrom(...STAGES),
      }),
    ),
    { maxLength: 20 },
  )
  .map((written): LifeEvent[] => [
    { id: 'm', kind: 'moved', day: FIRST, tankId: 'a' },
    { id: 'a', kind: 'arrived', day: FIRST, males: 9, females: 9, unsexed: 9 },
    ...written.map(
      ({ at, ...event }, index) => ({ ...event, id: `e${index}`, day: dayAt(at) }) as LifeEvent,
    ),
  ]);

describe('any life', () => {
  it('is in exactly one tank on each day from the first on', () => {
    fc.assert(
      fc.property(lives, fc.nat(40), (life, at) => {
        const day = dayAt(at);
        const here = staysOf(life).filter(
          (stay) => stay.fromDay <= day && (stay.toDay === null || stay.toDay > day),
        );
        expect(here).toHaveLength(1);
      }),
    );
  });

  it('since it was measured it grew on each day that ended with it as fry or juvenile', () => {
    fc.assert(
      fc.property(lives, fc.nat(40), (written, at) => {
        // How many there are changes nothing of how they grow.
        const life = written.filter((event) => event.id === 'a' || !isSize(event));
        const day = dayAt(at);
        const { grew } = stateOn(life, day)!;
        const days = grew.days + (grew.since === null ? 0 : daysBetween(grew.since, day));
        const measured = life.findLast(
          (event) =>
            event.kind === 'measured' &&
            event.day <= day &&
            !life.some((one) => one.kind === 'measured' && one.day > event.day && one.day <= day),
        );
        const from = measured ? daysBetween(FIRST, measured.day) : at;
        const expected = Array.from({ length: at - from }, (_, offset) => dayAt(from + offset));
        const young = expected.filter((one) => /^(fry|juvenile)$/.test(stateOn(life, one)!.stage));
        expect(days).toBe(young.length);
      }),
    );
  });

  it('its stays follow each other without a gap, and only the last is open', () => {
    fc.assert(
      fc.property(lives, (life) => {
        const stays = staysOf(life);
        stays.slice(1).forEach((stay, at) => {
          expect(stays[at]?.toDay).toBe(stay.fromDay);
          expect(stays[at]?.tankId).not.toBe(stay.tankId);
        });
        expect(stays.at(-1)?.toDay).toBeNull();
      }),
    );
  });

  it('where it is possible, is where its stays say, and never fewer than no fish', () => {
    fc.assert(
      fc.property(lives, fc.nat(40), (life, at) => {
        fc.pre(lifeError(life, null) === null);
        const day = dayAt(at);
        const state = stateOn(life, day);
        const stay = staysOf(life).findLast((one) => one.fromDay <= day);
        expect(state?.tankId).toBe(stay?.tankId);
        for (const number of Object.values(state?.size ?? {}))
          expect(number).toBeGreaterThanOrEqual(0);
      }),
    );
  });

  it('what is written later changes no day before it', () => {
    fc.assert(
      fc.property(lives, fc.integer({ min: 0, max: 29 }), (life, at) => {
        fc.pre(lifeError(life, null) === null);
        const day = dayAt(at);
        const more: LifeEvent = { id: 'z', kind: 'staged', day: dayAt(at + 1), stage: 'old' };
        expect(stateOn([...life, more], day)).toEqual(stateOn(life, day));
      }),
    );
  });

  it('is faulty just where the first impossible loss is, and sound without it', () => {
    fc.assert(
      fc.property(lives, (life) => {
        const error = lifeError(life, null);
        if (error === null) return;
        const broken = life.find((event) => event.id === error.eventId) as LifeEvent;
        const before = life.filter((event) => event.day < broken.day);
        expect(before.length === 0 ? null : lifeError(before, null)).toBeNull();
        expect(error.fault === 'inNoTank' ? error.day : error.event.day).toBe(broken.day);
      }),
    );
  });
});
