import { feedingDay } from '.';
import { testHouse, testTank } from './house.testkit';

const TUESDAY = '2026-03-10';
const at = (hour: number, minute = 0) => ({ day: TUESDAY, minutes: hour * 60 + minute });

describe('the day that is being fed', () => {
  // «After lights-out» is 20 minutes after: here at 02:20.
  const late = testHouse({
    tanks: ['a', 'b'].map((id) => testTank(id, 1, { light: { onMin: 960, offMin: 120 } })),
  });

  it('is the evening before until the night’s last serving is well past', () => {
    expect(feedingDay(late, at(2, 25))).toEqual({ day: '2026-03-09', minutes: 1440 + 145 });
    expect(feedingDay(late, at(4, 30))).toEqual(at(4, 30));
    expect(feedingDay(late, at(16))).toEqual(at(16));
  });

  it('begins with the first serving of the morning at the latest', () => {
    const early = {
      ...late,
      moments: late.moments.map((moment) =>
        moment.id === 'morning' ? { ...moment, minutes: 3 * 60 } : moment,
      ),
    };
    expect(feedingDay(early, at(2, 59)).day).toBe('2026-03-09');
    expect(feedingDay(early, at(3))).toEqual(at(3));
  });

  it('is the calendar’s where nothing is served after midnight', () => {
    for (const hour of [0, 1, 12, 23]) expect(feedingDay(testHouse(), at(hour))).toEqual(at(hour));
    expect(feedingDay(testHouse({ groups: [] }), at(1))).toEqual(at(1));
  });
});
