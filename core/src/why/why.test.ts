import { assumed, computed, leaves, measured, worded } from '.';

describe('a derivation', () => {
  const length = measured('Length', 5, 'cm');
  const shape = worded('Shape', 'deep', 'assumed', 'a paper');
  const mass = computed(3, {
    label: 'Mass',
    unit: 'g',
    how: 'a × length^b',
    from: [length, shape],
  });
  const whole = computed(30, {
    label: 'All',
    unit: 'g',
    how: 'mass × number',
    source: 'arithmetic',
    from: [mass, measured('Number', 10, ''), mass],
  });

  it('ends in its inputs, each once, in order of use', () => {
    expect(leaves(whole).map((leaf) => leaf.label)).toEqual(['Length', 'Shape', 'Number']);
  });

  it('keeps basis and source', () => {
    expect(whole).toMatchObject({ basis: 'computed', source: 'arithmetic', value: 30 });
    expect(shape).toMatchObject({ basis: 'assumed', source: 'a paper' });
    expect(assumed('Q10', 2, '', 'an assumption').basis).toBe('assumed');
  });

  it('of an input is itself', () => {
    expect(leaves(length)).toEqual([length]);
  });

  it('crosses a wire unchanged', () => {
    expect(JSON.parse(JSON.stringify(whole))).toEqual(whole);
  });
});
