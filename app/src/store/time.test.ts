import { readTime, formatTime } from './time';
import { localNow } from './useNow';

describe('a time of day', () => {
  it.each([
    ['7:30', 450],
    ['07.30', 450],
    ['0730', 450],
    ['19', 1140],
    ['7:30 pm', 1170],
    ['12:05 am', 5],
    ['12 pm', 720],
  ])('«%s» is %d minutes', (text, minutes) => {
    expect(readTime(text)).toBe(minutes);
  });

  it.each(['', '25:00', '7:61', 'noonish', '13 pm'])('«%s» is no time', (text) => {
    expect(readTime(text)).toBeNaN();
  });

  it('reads as the household likes, and past midnight as the next morning', () => {
    expect(formatTime(1170)).toBe('19:30');
    expect(formatTime(1170, '12')).toBe('7:30 pm');
    expect(formatTime(1470)).toBe('00:30');
  });

  it('has the day of the household, not of the phone', () => {
    const instant = new Date('2026-03-29T22:30:00Z');
    expect(localNow(instant, 'Europe/Berlin')).toEqual({ day: '2026-03-30', minutes: 30 });
    expect(localNow(instant, 'America/New_York')).toEqual({ day: '2026-03-29', minutes: 1110 });
  });
});
