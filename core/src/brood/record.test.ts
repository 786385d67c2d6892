import { computeBroodStatus, pairRecord, type ClutchRecord } from '.';
import { broodOf, report } from './brood.testkit';

const TODAY = '2026-03-10';
const recordOf = (events: Parameters<typeof report>[]) =>
  computeBroodStatus(
    broodOf('pterophyllum-scalare', { today: TODAY, events: events.map((one) => report(...one)) }),
  ).record;

describe('the record of a clutch', () => {
  it('holds what was counted at each step, and nothing else', () => {
    expect(
      recordOf([
        ['spawned', '2026-02-01'],
        ['eggsSeen', '2026-02-01', { count: 200 }],
        ['eggsBad', '2026-02-02', { share: 0.25 }],
        ['hatched', '2026-02-03'],
        ['swimming', '2026-02-09'],
        ['counted', '2026-02-10', { count: 120 }],
        ['rehomed', '2026-03-05', { count: 20 }],
      ]),
    ).toEqual({
      laidOn: '2026-02-01',
      laid: 200,
      fertile: 150,
      hatched: null,
      swum: 120,
      alive: 100,
      givenAway: 20,
      kickedOut: false,
      ended: null,
    });
  });

  it('of eggs alone knows the eggs; what comes later than today is not read', () => {
    const seen = recordOf([
      ['spawned', '2026-03-09'],
      ['eggsSeen', '2026-03-09', { count: 80 }],
      ['eggsBad', '2026-03-20', { share: 0.5 }],
    ]);
    expect(seen).toMatchObject({ laid: 80, fertile: null, swum: null, alive: 80 });
  });
});

describe('the record of parents', () => {
  const laid = (laidOn: string | null, over: Partial<ClutchRecord> = {}): ClutchRecord => ({
    laidOn,
    laid: 100,
    fertile: 90,
    hatched: null,
    swum: null,
    alive: null,
    givenAway: 0,
    kickedOut: false,
    ended: null,
    ...over,
  });
  it('knows its rhythm from two clutches on, and how many came in a row', () => {
    expect(pairRecord([laid('2026-01-01')])).toMatchObject({ cadenceDays: null, nextOn: null });
    const pair = pairRecord([
      laid('2026-02-05'),
      laid('2026-01-01'),
      laid('2026-02-17'),
      laid(null),
    ]);
    expect(pair).toMatchObject({ cadenceDays: 35, nextOn: '2026-03-24', inARow: 2 });
    expect(pairRecord([])).toEqual({ cadenceDays: null, nextOn: null, inARow: 0, troubles: [] });
  });

  it('counts what went wrong', () => {
    const { troubles } = pairRecord([
      laid('2026-01-01', { fertile: 10 }),
      laid('2026-01-15', { ended: 'eaten' }),
      laid('2026-01-29', { ended: 'eaten' }),
      laid('2026-02-12', { ended: 'none left', swum: 40 }),
    ]);
    expect(troubles).toEqual([
      { is: 'infertile', clutches: 1 },
      { is: 'eaten', clutches: 2 },
      { is: 'lost', clutches: 1 },
    ]);
  });
});
