import type { Act } from './act';
import { retimed, type Clock } from './retime';

const HOUR_MS = 3_600_000;
const dayOf = (ms: number) => new Date(ms).toISOString().slice(0, 10);
const at = (iso: string) => Date.parse(iso);

const by = (aheadMs: number, page = 'page', driftMs = 0): Clock => ({ aheadMs, page, driftMs });

/** Fed at 23:40 by a clock that was never compared. */
const act = (body: object, more: Partial<Act> = {}): Act =>
  ({
    seq: 1,
    id: 'a',
    route: 'logFeeding',
    params: undefined,
    body: { id: 'a', day: '2026-03-10', at: '2026-03-10T23:40:00.000Z', ...body },
    deviceMs: at('2026-03-10T23:40:00.000Z'),
    aheadMs: 0,
    clockKnown: false,
    page: 'page',
    driftMs: 0,
    ...more,
  }) as Act;

describe('the time of what was done', () => {
  it('stays as it is where the clock is right, to two minutes', () => {
    const done = act({});
    expect(retimed(done, by(0), dayOf)).toBe(done);
    expect(retimed(done, by(119_000), dayOf)).toBe(done);
  });

  it('by a clock that is an hour slow is put right, over midnight too', () => {
    expect(retimed(act({}), by(HOUR_MS), dayOf).body).toMatchObject({
      day: '2026-03-11',
      at: '2026-03-11T00:40:00.000Z',
    });
  });

  it('by a clock that is a year ahead is put right', () => {
    const year = act(
      { day: '2027-03-10', at: '2027-03-10T23:40:00.000Z' },
      { deviceMs: at('2027-03-10T23:40:00.000Z') },
    );
    expect(retimed(year, by(-365 * 24 * HOUR_MS), dayOf).body).toMatchObject({
      day: '2026-03-10',
      at: '2026-03-10T23:40:00.000Z',
    });
  });

  it('is put right once, and a day that was chosen is kept', () => {
    const earlier = act({ day: '2026-03-08' });
    const right = retimed(earlier, by(HOUR_MS), dayOf);
    expect(right.body).toMatchObject({ day: '2026-03-08', at: '2026-03-11T00:40:00.000Z' });
    expect(retimed(right, by(HOUR_MS), dayOf)).toBe(right);
  });

  it('of what was corrected already as it was done is not corrected again', () => {
    const known = act({ at: '2026-03-11T00:40:00.000Z' }, { aheadMs: HOUR_MS });
    expect(retimed(known, by(HOUR_MS), dayOf)).toBe(known);
  });

  it('is kept where the clock was set only after it, on the same page', () => {
    const before = act({});
    expect(retimed(before, by(-HOUR_MS, 'page', HOUR_MS), dayOf)).toBe(before);
    const after = act({}, { driftMs: HOUR_MS });
    expect(retimed(after, by(-HOUR_MS, 'page', HOUR_MS), dayOf).body).toMatchObject({
      at: '2026-03-10T22:40:00.000Z',
    });
    // On another page the clock is believed if it had been compared.
    const known = act({}, { clockKnown: true });
    expect(retimed(known, by(-HOUR_MS, 'another'), dayOf)).toBe(known);
    expect(retimed(before, by(-HOUR_MS, 'another'), dayOf)).not.toBe(before);
  });

  it('is put right within lists', () => {
    const looks = act({ looks: [{ id: 'l', day: '2026-03-10', at: '2026-03-10T23:30:00.000Z' }] });
    expect(retimed(looks, by(HOUR_MS), dayOf).body).toMatchObject({
      looks: [{ id: 'l', day: '2026-03-11', at: '2026-03-11T00:30:00.000Z' }],
    });
  });
});
