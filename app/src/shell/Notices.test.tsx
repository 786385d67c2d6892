import { act, screen } from '@testing-library/react-native';
import { compareWithServer, setDeviceClock } from '../store/clock';
import { answers, tank } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { api } from '../store';
import { testNowMs } from '../testing/clock';
import { Notices, formatCertificate, formatOff } from './Notices';

afterEach(() => setDeviceClock(testNowMs));

const HOUR = 3_600_000;
const well = { status: 'ok', diskFreeMb: 50_000, diskLow: false, certificateEnds: null };

describe('what is the matter', () => {
  it('is nothing where all is well', async () => {
    standIn({ ...answers(), 'GET /api/health': well });
    const { toJSON } = show(<Notices />);
    expect(toJSON()).toBeNull();
  });

  it('is a clock that is off, and a disk that fills up', async () => {
    standIn({ ...answers(), 'GET /api/health': { ...well, diskFreeMb: 300, diskLow: true } });
    show(<Notices />);
    expect(await screen.findByText(/nearly full: 300 MB are left/)).toBeTruthy();
    act(() => compareWithServer(new Date(testNowMs() + HOUR).toISOString(), testNowMs()));
    expect(screen.getByText(/is 60 minutes slow. Until you set it/)).toBeTruthy();
  });

  it('is a row that cannot be read, while the rest of its list is there', async () => {
    standIn({
      ...answers(),
      'GET /api/health': well,
      'GET /api/tanks': { items: [tank], next: null, unreadable: [{ id: 'x', detail: 'no' }] },
    });
    const { store } = show(<Notices />);
    await act(async () => {
      const { data } = await store.dispatch(api.endpoints.tanks.initiate());
      expect(data).toHaveLength(1);
    });
    expect(screen.getByText(/^One entry cannot be shown/)).toBeTruthy();
  });

  it('is a certificate that ends soon, with what to do', async () => {
    const ends = new Date(testNowMs() + 72 * HOUR + 60_000).toISOString();
    standIn({ ...answers(), 'GET /api/health': { ...well, certificateEnds: ends } });
    show(<Notices />);
    expect(
      await screen.findByText(/ends in 3 days\. At home, start the server again/),
    ).toBeTruthy();
    const at = (hours: number) => formatCertificate(ends, testNowMs() + hours * HOUR);
    expect(at(30)).toContain('ends tomorrow');
    expect(at(60)).toContain('ends today');
    expect(at(80)).toContain('has ended, and browsers refuse it');
  });

  it.each([
    [12 * 60_000, '12 minutes slow'],
    [-5 * HOUR, '5 hours fast'],
    [-365 * 24 * HOUR, '365 days fast'],
  ])('says by how much the clock is off: %s ms', (off, words) => {
    expect(formatOff(off)).toContain(words);
  });
});
