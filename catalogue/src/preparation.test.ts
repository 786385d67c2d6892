import { preparationStep, writtenStep } from './preparation';

describe('a step as the catalogue writes it', () => {
  it.each([
    ['soak 120/1', { kind: 'soak', leadMin: 120, workMin: 1, toMm: null }],
    ['crush and sieve 3/3/0.2', { kind: 'crush and sieve', leadMin: 3, workMin: 3, toMm: 0.2 }],
    ['open-freeze 240/5', { kind: 'open-freeze', leadMin: 240, workMin: 5, toMm: null }],
  ])('%s', (text, step) => {
    expect(writtenStep.parse(text)).toEqual(step);
  });

  it.each(['soak', 'soak 120', 'marinate 10/1', 'soak 5/90', 'crumble 1/1/900', ''])(
    'is refused with an example: «%s»',
    (text) => {
      expect(writtenStep.safeParse(text).error?.issues[0]?.message).toMatch(/such as soak 120\/1/);
    },
  );

  it('may take a minute of work though it needs no time ahead', () => {
    const step = { kind: 'rinse', leadMin: 0, workMin: 1, toMm: null };
    expect(preparationStep.safeParse(step).success).toBe(true);
  });
});
