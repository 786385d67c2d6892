import { fireEvent, screen } from '@testing-library/react-native';
import { answers, group, tank } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { WeekScreen } from './WeekScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const tanks = (count: number) =>
  Array.from({ length: count }, (_, at) => ({
    ...tank,
    id: `t${at + 1}`,
    name: `Rack ${at + 1}`,
    walkOrder: at + 1,
  }));

describe('the week of a tank', () => {
  it('is chosen from tabs where there are few', async () => {
    standIn({ ...answers(), 'GET /api/tanks': { items: tanks(3), next: null } });
    show(<WeekScreen />);
    expect(await screen.findByText('Planned for each group')).toBeTruthy();
    fireEvent.press(screen.getByText('2 Rack 2'));
    expect(screen.getByText('Nothing planned for this tank')).toBeTruthy();
  });

  it('is found by its name where there are many', async () => {
    const away = { ...group, tankId: 't20' };
    standIn({
      ...answers(),
      'GET /api/tanks': { items: tanks(20), next: null },
      'GET /api/groups': { items: [away], next: null },
    });
    show(<WeekScreen />);
    fireEvent.press(await screen.findByLabelText('Tank: 1 Rack 1'));
    fireEvent.changeText(screen.getByLabelText('Search'), 'rack 20');
    fireEvent.press(screen.getByLabelText('20 Rack 20'));
    expect(screen.getByText('Planned for each group')).toBeTruthy();
    expect(screen.getByText(/^Rack 20, from/)).toBeTruthy();
  });

  it('says what to do first where there is nothing', async () => {
    standIn({
      ...answers(),
      'GET /api/tanks': { items: [], next: null },
      'GET /api/groups': { items: [], next: null },
    });
    show(<WeekScreen />);
    expect(await screen.findByText('No week to show yet')).toBeTruthy();
    expect(screen.getByLabelText('Make the first tank')).toBeTruthy();
  });
});
