import type { UnitChoice } from '@open-larder/core/units';
import {
  formatByFood,
  formatDecision,
  formatGroupYear,
  formatLifeEvent,
  formatMeals,
  formatMeasured,
  formatRating,
  formatServing,
  formatTankYear,
  formatTrial,
} from './summary';

const METRIC: UnitChoice = { units: 'metric', temperature: 'C', hardness: 'dGH' };
const US: UnitChoice = { units: 'us', temperature: 'F', hardness: 'ppm' };
const euro = { units: METRIC, currency: 'EUR' };

const year = {
  began: 12,
  ended: 10,
  died: 2,
  causes: [{ cause: 'illness', count: 2 }],
  over30: { share: 0.98, low: 0.91, high: 1 },
  first: { cm: 3 },
  last: { cm: 5 },
  growthPerDay: 0.25,
  usualCm: 2.5,
  eatenG: 12.4,
  conversion: 2.5,
  costMinor: 410,
};

describe('the lines of a summary', () => {
  it('say what became of a group in a year, in the household’s units', () => {
    expect(formatGroupYear(year, euro)).toEqual([
      '12, then 10 fish',
      '2 lost: 2 illness; 30-day survival 98 % (91 % to 100 %)',
      'grew 2 cm where its kind grows 2.5 cm, 0.25 % of its mass a day',
      'ate 12.4 g for €4.10; 2.5 g dry food to a gram gained',
    ]);
    expect(formatGroupYear(year, { units: US, currency: 'USD' })[2]).toContain('grew 0.79 in');
    expect(
      formatGroupYear(
        { ...year, ended: 12, died: 0, first: null, conversion: null, costMinor: null },
        euro,
      ),
    ).toEqual(['12 fish', 'ate 12.4 g']);
  });

  it('say what became of a tank’s water', () => {
    const water = { changes: 1, litres: 30, tests: 4, nitrate: null, costMinor: null };
    expect(formatTankYear(water, euro)).toEqual(['1 water change, 30 L in all; 4 tests']);
    const tested = { ...water, litres: null, nitrate: { n: 4, mean: 21.3, max: 40 } };
    expect(formatTankYear(tested, euro)[1]).toBe(
      'Nitrate 21 mg/L on average over 4 tests, 40 at the highest',
    );
  });

  it('add a food up over its groups, most first', () => {
    const row = { servings: 2, refusedG: 0, leftG: 0.1 };
    const rows = [
      { ...row, foodName: 'Wafer', offeredG: 1 },
      { ...row, foodName: 'Flake', offeredG: 0.6 },
      { ...row, foodName: 'Flake', offeredG: 0.6 },
    ];
    expect(formatByFood(rows)).toEqual(['Flake: 1 g of 1.2 g eaten', 'Wafer: 0.9 g of 1 g eaten']);
    expect(formatMeals(rows)[0]).toBe('Wafer: 2 times, 0.9 g of 1 g eaten');
  });

  it('name a day with its month as a word, so that it is not taken for the day', () => {
    const life = formatLifeEvent({ units: METRIC, tanks: [{ id: 'reed', name: 'Reed tank' }] });
    const at = { id: 'a', groupId: 'g', day: '2026-03-04', note: '' };
    expect(life({ ...at, kind: 'moved', tankId: 'reed' } as never)).toBe(
      '4 Mar 2026: into Reed tank',
    );
    expect(life({ ...at, kind: 'moved', tankId: 'gone' } as never)).toContain('another tank');
    const died = { ...at, kind: 'died', males: 1, females: 1, unsexed: 2, cause: 'illness' };
    expect(life(died as never)).toBe('4 Mar 2026: 4 fish lost, illness');
    expect(formatMeasured({ day: '2026-03-04', mean: 3, low: 2.5, high: 3.5, n: 5 }, METRIC)).toBe(
      '4 Mar 2026: 3 cm of 5, between 2.5 cm and 3.5 cm',
    );
  });

  it('say what was rated, decided, tried and is served now', () => {
    const rated = { foodName: 'Flake', day: '2026-03-04', note: '' };
    expect(formatRating({ ...rated, colour: 'better', growth: null })).toBe(
      '4 Mar 2026: Flake: brighter',
    );
    const decided = { day: '2026-03-04', change: -0.1, foodName: null, signs: [] };
    expect(
      formatDecision({ ...decided, kind: 'portions', accepted: false, later: true }, METRIC),
    ).toBe('4 Mar 2026: 10 % less, put off');
    const trial = { name: 'Flake or pellet', from: '2026-03-04', weeks: 8 };
    expect(formatTrial({ ...trial, result: null })).toContain('nothing to say yet');
    expect(formatTrial({ ...trial, result: { says: 'more', share: 0.12 } })).toContain(
      'the second grew more (12 %)',
    );
    const unit = { name: 'pinch', plural: 'pinches', massG: 0.1, step: 0.5 };
    expect(
      formatServing({
        momentName: null,
        food: { name: 'Flake', unit },
        ownUnits: 0.5,
        days: [1, 3],
        cycleDays: 7,
        today: 3,
        place: '',
      }),
    ).toBe('Outside the moments: Flake, ½ pinch, on 2 of 7 days, today too');
  });
});
