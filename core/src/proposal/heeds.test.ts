import { bellySigns, heedsOf, mealSign, propose, type GroupLook, type Sign } from '.';
import type { Belly } from '../ration';
import { addDays } from '../round';

const TODAY = '2026-03-10';
const ago = (days: number) => addDays(TODAY, -days);
const looks = (over: Partial<GroupLook>, days: readonly number[] = [1, 3, 5]): GroupLook[] =>
  days.map((of) => ({ day: ago(of), belly: null, hungBack: false, ...over }));
const group = {
  stage: 'adult' as const,
  tempC: 25,
  tempMinC: 22,
  looks: [] as GroupLook[],
  signs: [] as Sign[],
};
const SILENT = { portions: false, water: false };
const heeds = (over: object, answered = SILENT) =>
  heedsOf({ ...group, ...over }, TODAY, answered).map(({ is }) => is);

describe('what no portion answers', () => {
  it('is nothing of a group that is well', () => {
    expect(heeds({})).toEqual([]);
    expect(heeds({ looks: looks({ belly: 3 }) })).toEqual([]);
  });

  it('is a group that hangs back on three days; once or twice is chance', () => {
    expect(heeds({ looks: looks({ hungBack: true }) })).toEqual(['hangsBack']);
    expect(heeds({ looks: looks({ hungBack: true }, [1, 3]) })).toEqual([]);
    expect(heeds({ looks: looks({ hungBack: true }, [1, 1, 1]) })).toEqual([]);
    expect(heeds({ looks: looks({ hungBack: true }, [20, 21, 22]) })).toEqual([]);
  });

  it('is water under what their kind digests in', () => {
    expect(heeds({ tempC: 21 })).toEqual(['tooCold']);
    expect(heeds({ tempC: 22 })).toEqual([]);
    expect(heeds({ tempC: 10, stage: 'yolk-sac larva' })).toEqual([]);
  });

  it('is what was tested, unless other portions or changes of water answer it', () => {
    const over: Sign = {
      seen: { kind: 'nitrate', now: true, mgL: 60, capMgL: 40, groupName: 'x', grows: false },
      day: TODAY,
      pull: -1,
      weight: 1,
    };
    expect(heeds({ signs: [over] })).toEqual(['overLimit']);
    expect(heeds({ signs: [over] }, { portions: true, water: false })).toEqual([]);
    expect(heeds({ signs: [over] }, { portions: false, water: true })).toEqual([]);
    const poison: Sign = { ...over, seen: { kind: 'poison', which: 'nitrite' } };
    expect(heeds({ signs: [poison] }, { portions: true, water: true })).toEqual(['poison']);
  });
});

describe('three equal looks', () => {
  const meal = (over: Partial<Parameters<typeof mealSign>[0]>) =>
    [1, 3, 5].flatMap(
      (days) =>
        mealSign({
          day: ago(days),
          clearedMin: null,
          left: null,
          staysMin: 16,
          part: 1,
          came: null,
          ...over,
        }) ?? [],
    );
  const bellies = (score: Belly, days: readonly number[] = [6, 3, 1]) => ({
    signs: bellySigns(days.map((of) => ({ day: ago(of), score }))),
    looks: looks({ belly: score }, days),
  });
  const CASES: [string, { signs?: Sign[]; looks?: GroupLook[]; tempC?: number }][] = [
    ['sunken', bellies(1)],
    ['thin', bellies(2)],
    ['round', bellies(4)],
    ['bloated', bellies(5)],
    ['half left', { signs: meal({ left: 0.5 }) }],
    ['all left', { signs: meal({ left: 1 }) }],
    ['long in the water', { signs: meal({ clearedMin: 40 }) }],
    ['gone at once', { signs: meal({ clearedMin: 0.2 }) }],
    ['hung back', { looks: looks({ hungBack: true }) }],
    ['too cold', { tempC: 15 }],
  ];

  it.each(CASES)('%s are never answered by silence, adults', (_, { signs = [], ...seen }) => {
    const proposed = propose('adult', signs, TODAY) !== null;
    const heeded = heeds({ ...seen, signs: [] }, { portions: proposed, water: false });
    expect(proposed || heeded.length > 0).toBe(true);
  });

  it.each(CASES)('%s are never answered by silence, fry', (_, { signs = [], ...seen }) => {
    const proposed = propose('fry', signs, TODAY) !== null;
    const heeded = heeds({ ...seen, stage: 'fry', signs }, { portions: proposed, water: false });
    expect(proposed || heeded.length > 0).toBe(true);
  });
});
