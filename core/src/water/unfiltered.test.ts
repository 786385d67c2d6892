import { changeFor, CONCERN_MG_L, hoursUntilConcern, unionisedShare } from '.';

describe('water without a filter', () => {
  const tub = { litres: 10, ph: 7.5, tempC: 26, foodGPerDay: 0.5, protein: 0.5, tanMgL: 0 };
  it('has its ammonia by the book', () => {
    // Emerson et al. 1975, their table: 25 °C, pH 8.0: 5.38 %.
    expect(unionisedShare(8, 25)).toBeCloseTo(0.0538, 3);
    expect(() => unionisedShare(3, 25)).toThrow(RangeError);
  });
  it('must be changed after the hours that the food takes to foul it, worked by hand', () => {
    const perHour = (0.5 * 0.5 * 0.092 * 1000) / 10 / 24;
    const maxMgL = CONCERN_MG_L / unionisedShare(7.5, 26);
    expect(hoursUntilConcern(tub)).toBeCloseTo(maxMgL / perHour, 9);
    expect(hoursUntilConcern({ ...tub, tanMgL: 50 })).toBe(0);
    expect(hoursUntilConcern({ ...tub, foodGPerDay: 0 })).toBe(Infinity);
    expect(() => hoursUntilConcern({ ...tub, litres: 0 })).toThrow(RangeError);
  });
  it('stays under it with the share that is reported, in a steady rhythm', () => {
    const share = changeFor(tub, 6)!;
    const adds = ((0.5 * 0.5 * 0.092 * 1000) / 10 / 24) * 6;
    let tan = 0;
    for (let turn = 0; turn < 400; turn += 1) tan = (tan + adds) * (1 - share);
    expect((tan + adds) * unionisedShare(7.5, 26)).toBeCloseTo(CONCERN_MG_L, 6);
    expect(changeFor({ ...tub, foodGPerDay: 50 }, 24)).toBeNull();
    expect(changeFor(tub, 12, 100)).toBeNull();
  });
});
