import { mealSteps, prepared } from '.';

const step = (kind: 'soak' | 'crumble' | 'thaw' | 'rinse', toMm: number | null = null) => ({
  kind,
  leadMin: 60,
  workMin: 1,
  toMm,
});
const floating = {
  form: 'floats' as const,
  floatMinutes: 10,
  sinkCmPerS: 0.5,
  particleMinMm: 3,
  particleMaxMm: 5,
};

describe('preparation', () => {
  it('of soaking makes it sink at once, and takes its time', () => {
    expect(prepared(floating, [step('soak')])).toEqual({
      ...floating,
      form: 'sinks',
      floatMinutes: 0,
      sinkCmPerS: 2,
      leadMin: 60,
      workMin: 1,
    });
  });

  it('of crumbling makes it smaller, never larger', () => {
    expect(prepared(floating, [step('crumble', 1)])).toMatchObject({
      particleMinMm: 1,
      particleMaxMm: 1,
      form: 'floats',
    });
    expect(prepared(floating, [step('crumble', 9)])).toMatchObject({
      particleMinMm: 3,
      particleMaxMm: 5,
    });
  });

  it('of nothing changes nothing, and unknown sizes stay unknown', () => {
    expect(prepared(floating, [])).toEqual({ ...floating, leadMin: 0, workMin: 0 });
    const unknown = { ...floating, particleMinMm: null, particleMaxMm: null };
    expect(prepared(unknown, [step('thaw')])).toMatchObject({ particleMaxMm: null });
    expect(prepared(unknown, [step('crumble', 2)])).toMatchObject({
      particleMinMm: 2,
      particleMaxMm: 2,
    });
  });

  it('of a batch is put by: only what follows is done for the meal', () => {
    const batch = [
      { kind: 'blanch' as const, leadMin: 15, workMin: 6, toMm: null },
      { kind: 'open-freeze' as const, leadMin: 240, workMin: 4, toMm: null },
      { kind: 'weigh-down' as const, leadMin: 1, workMin: 1, toMm: null },
    ];
    expect(mealSteps(batch).map((one) => one.kind)).toEqual(['weigh-down']);
    expect(prepared(floating, batch)).toMatchObject({ leadMin: 1, workMin: 1, form: 'sinks' });
  });
});
