import type { ForecastRecords } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { HowRightView } from './HowRightView';

const one = (actual: number, day = '2026-03-06') => ({
  about: 'Tarn',
  madeOn: '2026-03-05',
  day,
  low: 10,
  middle: 20,
  high: 30,
  actual,
});
const kind = (
  over: Partial<ForecastRecords['kinds'][number]> = {},
): ForecastRecords['kinds'][number] => ({
  kind: 'nitrate',
  count: 3,
  medianError: 4,
  inside: 2,
  calibration: null,
  change: null,
  newest: [one(40, '2026-03-09'), one(24), one(18)],
  ...over,
});
const open = (answer: unknown) => {
  standIn({ ...answers(), 'GET /api/records/forecasts': answer });
  show(<HowRightView />);
};

describe('how right the forecasts were', () => {
  it('is said plainly where none came true yet', async () => {
    open({ kinds: [], pending: 0 });
    expect(await screen.findByText('No forecast has come due yet')).toBeOnTheScreen();
  });

  it('says how many, how far off, how many inside, and lists each', async () => {
    open({ kinds: [kind()], pending: 0 });
    expect(
      await screen.findByText('2 of 3 within the range shown; typically off by 4 mg/L.'),
    ).toBeOnTheScreen();
    expect(
      screen.getByText('Ranges adjust to your tanks once 20 have come due; 3 so far.'),
    ).toBeOnTheScreen();
    fireEvent.press(screen.getByText('See each'));
    expect(
      screen.getByText('Mon 9 Mar: 20 mg/L expected (10 to 30), 40 mg/L seen'),
    ).toBeOnTheScreen();
  });

  it('says what learning changed, and how wide ranges are now', async () => {
    const half = { count: 12, inside: 7 };
    open({
      kinds: [
        kind({
          kind: 'hatch',
          count: 24,
          inside: 19,
          medianError: 1,
          calibration: 1.6,
          change: {
            first: { ...half, medianError: 2 },
            last: { ...half, inside: 12, medianError: 1 },
          },
        }),
        kind({ kind: 'left', calibration: 0.5, count: 30 }),
      ],
      pending: 0,
    });
    expect(
      await screen.findByText(
        'First half: off by 2 days, 7 of 12 within range. Since then: 1 day, 12 of 12 within range.',
      ),
    ).toBeOnTheScreen();
    expect(screen.getByText(/^Ranges are shown 1.6 times as wide/)).toBeOnTheScreen();
    expect(screen.getByText(/^Ranges are shown at 50 % of their width/)).toBeOnTheScreen();
  });

  it('asks again until all are scored', async () => {
    let asked = 0;
    open(() => {
      asked += 1;
      return {
        status: 200,
        body: asked < 3 ? { kinds: [], pending: 3 - asked } : { kinds: [kind()], pending: 0 },
      };
    });
    expect(await screen.findByText('2 more are being scored.')).toBeOnTheScreen();
    await waitFor(() => expect(asked).toBe(3), { timeout: 20_000 });
    expect(await screen.findByText('Nitrate at the next test')).toBeOnTheScreen();
  });
});
