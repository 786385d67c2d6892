import { gathered } from './gathered';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

function setUp() {
  const taken: string[][] = [];
  return {
    taken,
    ...gathered<string>((all) => taken.push([...all]), { restMs: 3000, latestMs: 15_000 }),
  };
}

describe('what is less urgent', () => {
  it('is taken once, when no more comes', () => {
    const { taken, later } = setUp();
    later(['food', 'brood']);
    jest.advanceTimersByTime(2000);
    later(['food']);
    jest.advanceTimersByTime(2999);
    expect(taken).toEqual([]);
    jest.advanceTimersByTime(1);
    expect(taken).toEqual([['food', 'brood']]);
    jest.advanceTimersByTime(60_000);
    expect(taken).toHaveLength(1);
  });

  it('is taken at the latest, though there is no rest', () => {
    const { taken, later } = setUp();
    for (let second = 0; second < 15; second += 1) {
      later([`food ${second}`]);
      jest.advanceTimersByTime(1000);
    }
    expect(taken).toHaveLength(1);
    expect(taken[0]).toHaveLength(15);
    // And from then on as before.
    later(['brood']);
    jest.advanceTimersByTime(3000);
    expect(taken[1]).toEqual(['brood']);
  });

  it('is not taken when there is nothing, or when it is stopped', () => {
    const { taken, later, stop } = setUp();
    later([]);
    jest.advanceTimersByTime(60_000);
    later(['food']);
    stop();
    jest.advanceTimersByTime(60_000);
    expect(taken).toEqual([]);
  });
});
