import type { Tank } from '@open-larder/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { addDays } from '@open-larder/core/round';
import { useHouse } from '../store';
import { TODAY } from '../testing/clock';
import { answers, tank as plain } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { TankLife } from './TankLife';

function Shown({ tank }: { tank: Tank }) {
  const { data } = useHouse();
  return data ? <TankLife tank={tank} groups={data.groups} data={data} /> : null;
}
const open = (over: Partial<Tank> = {}, extra: object = {}) => {
  const asked = standIn({ ...answers(), ...extra });
  show(
    <>
      <Shown tank={{ ...plain, ...over }} />
      <Toast />
    </>,
  );
  return asked;
};

describe('what of a tank has to be seen', () => {
  it('is its film: nothing until it was seen, food for a week after', async () => {
    open();
    expect(await screen.findByText(/^Not seen yet/)).toBeTruthy();
    open({ film: 'furred', filmOn: addDays(TODAY, -2) });
    expect(await screen.findByText(/^Grazers find part of their food there/)).toBeTruthy();
    open({ film: 'furred', filmOn: addDays(TODAY, -9) });
    expect(await screen.findByText(/^Last seen on .*: it counts as food for a week/)).toBeTruthy();
  });

  it('is noted as seen today with one tap, with a way back', async () => {
    const path = `PUT /api/tanks/${plain.id}`;
    const asked = open(
      { film: 'thin', filmOn: addDays(TODAY, -3), version: 1 },
      { [path]: { ...plain, version: 2 } },
    );
    fireEvent.press(await screen.findByText('Furred'));
    expect(await screen.findByText('Film: furred. Seen today.')).toBeTruthy();
    fireEvent.press(screen.getByText('Undo'));
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(2));
    expect(sent(asked, 'PUT')).toMatchObject([
      { film: 'furred', filmOn: TODAY, version: 1 },
      { film: 'thin', filmOn: addDays(TODAY, -3), version: 2 },
    ]);
  });

  it('is its temperature: the one last measured, asked about when it is old', async () => {
    open({ lastTemp: { tempC: 22, day: addDays(TODAY, -5) } });
    expect(await screen.findByText('22 °C')).toBeTruthy();
    expect(screen.getByText(/^Measured on .*\.$/)).toBeTruthy();
    open({ lastTemp: { tempC: 21, day: addDays(TODAY, -80) } });
    expect(await screen.findByText(/That is a while ago: what is it now/)).toBeTruthy();
  });

  it('outdoors says from when on its fish are not fed', async () => {
    open({ kind: 'outdoor tub', runsSince: addDays(TODAY, -730) });
    expect(await screen.findByText(/^Not fed below/)).toBeTruthy();
    expect(screen.getByText(/^As entered\. Outdoors it follows the weather/)).toBeTruthy();
    expect(screen.getByText('2 years')).toBeTruthy();
  });
});
