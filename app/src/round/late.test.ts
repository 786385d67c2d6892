import type { RoundServingView, RoundView } from '@open-larder/contract';
import { food, group, round, tank } from '../testing/house';
import type { AppData } from '../store';
import { lateOf, mealsOf, formatLate } from './late';

const words = {
  time: (minutes: number) => `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`,
};
const data = { groups: [group], tanks: [tank], foods: [food] } as unknown as AppData;

/** A day with a meal at 10:30 and, unless told otherwise, one at 18:30. */
function day(meals = [630, 1110]): RoundView {
  const view = round('2026-03-04');
  const [moment] = view.moments;
  const stop = moment!.stops[0]!;
  return {
    ...view,
    moments: meals.map((minutes, at) => ({
      ...moment!,
      momentId: `m${at}`,
      stops: [{ ...stop, minutes, servings: [{ ...stop.servings[0]!, servingId: `s${at}` }] }],
    })),
  };
}
const said = (nowMin: number, view = day(), over: Partial<AppData> = {}) => {
  const stop = view.moments[0]!.stops[0]!;
  const found = lateOf(
    mealsOf(view),
    stop,
    stop.servings[0]!,
    { ...data, ...over },
    {
      day: '2026-03-04',
      minutes: nowMin,
    },
  );
  return found && formatLate(found, words);
};

describe('what is said of a late serving', () => {
  it('follows the gap to the next meal of its group', () => {
    expect(said(640)).toBeNull();
    expect(said(700)).toBe('1 h 10 min late: still as planned.');
    expect(said(840)).toBe('3 h 30 min late: half of it, the meal at 18:30 as planned.');
    expect(said(1030)).toBe('6 h 40 min late: leave it out, the meal at 18:30 as planned.');
    expect(said(690, day([630]))).toBe('1 h 0 min late: still as planned.');
  });

  it('minds the light of the tank', () => {
    // Its lights go off at 20:00.
    expect(said(1205, day([630]))).toBe(
      '9 h 35 min late, and the light has changed: leave it out, the next meal as planned.',
    );
  });

  it('hurries where fry wait', () => {
    const fry = { groups: [{ ...group, stage: 'fry' as const }] as AppData['groups'] };
    expect(said(800, day(), fry)).toBe('2 h 50 min late: fry cannot wait, give it now.');
  });

  it('is nothing on the day on which the diet was written', () => {
    const written = { ...group, diet: { ...group.diet!, validFrom: '2026-03-04' } };
    expect(said(1030, day(), { groups: [written] as AppData['groups'] })).toBeNull();
  });

  it('is nothing where it was logged, or its group has left', () => {
    const fed = day();
    fed.moments[0]!.stops[0]!.servings[0]!.fed = {} as RoundServingView['fed'];
    expect(said(900, fed)).toBeNull();
    expect(said(900, day(), { groups: [] })).toBeNull();
  });
});
