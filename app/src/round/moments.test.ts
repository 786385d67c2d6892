import type { RoundView } from '@open-larder/contract';
import { isNear, missed, momentNow, servedFoods } from './moments';

const moment = (name: string, minutes: number, fed: boolean): RoundView['moments'][number] => ({
  momentId: name,
  name,
  stops: [{ tankId: 't', at: '', minutes, servings: [{ fed: fed ? {} : null } as never] }],
});
const round = (...moments: RoundView['moments']): RoundView => ({
  day: '2026-03-01',
  moments,
  resting: [],
  parents: [],
  unplanned: [],
  inWater: [],
  done: [],
});

it('foods that are served are those of which nothing is open any more', () => {
  const of = (foodId: string, fed: boolean) => ({ foodId, fed: fed ? {} : null }) as never;
  const day = round(moment('morning', 450, true), moment('evening', 1110, true));
  day.moments[0]!.stops[0]!.servings = [of('flake', true), of('worms', true)];
  day.moments[1]!.stops[0]!.servings = [of('flake', false), of('worms', true)];
  expect(servedFoods(day)).toEqual({ worms: 2 });
});

describe('the moment a keeper stands in', () => {
  const day = (morning: boolean, evening: boolean) =>
    round(
      moment('morning', 450, morning),
      moment('evening', 1110, evening),
      moment('night', 1280, false),
    );

  it('is the latest that is due or near', () => {
    expect(momentNow(day(false, false), 460)?.name).toBe('morning');
    expect(momentNow(day(false, false), 1040)?.name).toBe('evening');
    expect(momentNow(day(false, false), 1300)?.name).toBe('night');
  });

  it('before the first is the first; when done, the next', () => {
    expect(momentNow(day(false, false), 10)?.name).toBe('morning');
    expect(momentNow(day(true, false), 500)?.name).toBe('evening');
  });

  it('on another day is the first that is open', () => {
    expect(momentNow(day(true, false), null)?.name).toBe('evening');
    expect(momentNow(round(), null)).toBeNull();
  });

  it('is near from an hour and a half before: only then is all of it served in one tap', () => {
    const evening = moment('evening', 1110, false);
    expect(isNear(evening, 1019)).toBe(false);
    expect(isNear(evening, 1020)).toBe(true);
    expect(isNear(evening, 1400)).toBe(true);
    expect(isNear(evening, null)).toBe(true);
  });

  it('does not hide what was missed before', () => {
    const today = day(false, false);
    expect(missed(today, today.moments[1]!, 1100).map((one) => one.name)).toEqual(['morning']);
    expect(missed(today, today.moments[1]!, 300)).toEqual([]);
  });
});
