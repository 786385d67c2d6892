import { fireEvent, screen } from '@testing-library/react-native';
import { answers, round } from '../testing/house';
import { push } from '../testing/router';
import { TODAY } from '../testing/clock';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { shelvesOf } from './shelves';
import { WatchScreen } from './WatchScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

describe('shelves', () => {
  const tanks = [120, 60, 60, 80, 40].map((lengthCm) => ({ lengthCm }));

  it('hold the tanks in their order, to one scale, and none too many', () => {
    const shelves = shelvesOf(tanks, 1000, 20);
    expect(shelves.flat().map(({ lengthCm }) => lengthCm)).toEqual([120, 60, 60, 80, 40]);
    const scale = shelves[0]![0]!.widthPx / 120;
    for (const shelf of shelves) {
      const used = shelf.reduce((sum, { widthPx }) => sum + widthPx + 20, -20);
      expect(used).toBeLessThanOrEqual(1000.001);
      for (const { lengthCm, widthPx } of shelf) expect(widthPx / lengthCm).toBeCloseTo(scale, 6);
    }
  });

  it('of a phone hold the longest alone; of no tanks there are none', () => {
    expect(shelvesOf(tanks, 358, 20)[0]).toHaveLength(1);
    expect(shelvesOf([], 1000, 20)).toEqual([]);
    expect(shelvesOf(tanks, 0, 20)).toEqual([]);
  });
});

describe('watching the house', () => {
  it('says what is next, of the house and of each tank', async () => {
    standIn({
      ...answers(),
      [`GET /api/round/${TODAY}`]: round(TODAY),
      'GET /api/vessels': { items: [], next: null },
      'GET /api/culture-kinds': { kinds: [] },
    });
    show(<WatchScreen />);
    expect(await screen.findByText(/^Test room · After work .*: 1 to serve$/)).toBeTruthy();
    fireEvent(screen.getByTestId('room'), 'layout', {
      nativeEvent: { layout: { width: 900, height: 400, x: 0, y: 0 } },
    });
    const tank = await screen.findByLabelText(/^Millpond, \d\d:\d\d 3 pinches fine flake$/);
    fireEvent.press(tank);
    expect(push).toHaveBeenCalledWith('/tanks/t1');
  });
});
