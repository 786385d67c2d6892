import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, tank } from '../testing/house';
import { replace } from '../testing/router';
import { created, sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { EditTankScreen } from './EditTankScreen';
import { NewTankScreen } from './NewTankScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

describe('a new tank', () => {
  it('is asked for little, and sent with its guesses', async () => {
    const asked = standIn({
      ...answers(),
      'POST /api/tanks': created,
    });
    show(<NewTankScreen />);
    fireEvent.changeText(await screen.findByLabelText('Name'), ' Shelf ');
    fireEvent.changeText(screen.getByLabelText('Inside length, cm'), '60');
    fireEvent.changeText(screen.getByLabelText('Inside width, cm'), '30');
    fireEvent.changeText(screen.getByLabelText('Inside height, cm'), '30');
    expect(screen.getByText('That is 43 L of water.')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Make this tank'));
    await waitFor(() => expect(replace).toHaveBeenCalledTimes(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({
      name: 'Shelf',
      lengthCm: 60,
      waterLevelCm: null,
      tempC: 25,
      walkOrder: 2,
    });
  });

  it('is not sent while something is wrong; each fault stands by its field', async () => {
    const asked = standIn(answers());
    show(<NewTankScreen />);
    fireEvent.changeText(await screen.findByLabelText('Water temperature, °C'), 'warm');
    fireEvent.changeText(screen.getByLabelText('Lights on'), '27:00');
    fireEvent.press(screen.getByLabelText('Make this tank'));
    expect(await screen.findByText('Give it a name')).toBeTruthy();
    expect(screen.getByText(/«warm» is not a number; write one such as 25 °C/)).toBeTruthy();
    expect(screen.getByText('A time of day must lie between 0 and 1439')).toBeTruthy();
    expect(sent(asked, 'POST')).toEqual([]);
  });
});

describe('a changed tank', () => {
  const stale = {
    type: 'urn:open-larder:stale',
    title: 'Changed meanwhile',
    status: 409,
    detail: 'This tank was changed somewhere else.',
  };

  /** Refuses the first save as stale, takes the second. */
  function twice() {
    let tries = 0;
    return standIn({
      ...answers(),
      'PUT /api/tanks/t1': ({ body }: { body: unknown }) => {
        tries += 1;
        const yours = body as typeof tank;
        return tries === 1
          ? { status: 409, body: { ...stale, yours, theirs: { ...tank, tempC: 27, version: 4 } } }
          : { status: 200, body: { ...yours, id: 't1', version: 5 } };
      },
    });
  }

  it('somewhere else too shows both versions; keeping mine saves over theirs knowingly', async () => {
    const asked = twice();
    show(<EditTankScreen id="t1" />);
    fireEvent.changeText(await screen.findByLabelText('Water temperature, °C'), '22');
    fireEvent.press(screen.getByLabelText('Save'));
    expect(await screen.findByText('Temperature: yours 22, theirs 27')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Keep mine'));
    await waitFor(() => expect(replace).toHaveBeenCalledWith('/tanks/t1'));
    expect(sent(asked, 'PUT').map((body) => [body.version, body.tempC])).toEqual([
      [3, 22],
      [4, 22],
    ]);
  });

  it('taking theirs shows their values and sends nothing', async () => {
    const asked = twice();
    show(<EditTankScreen id="t1" />);
    fireEvent.changeText(await screen.findByLabelText('Water temperature, °C'), '22');
    fireEvent.press(screen.getByLabelText('Save'));
    fireEvent.press(await screen.findByLabelText('Take theirs'));
    expect(screen.getByLabelText('Water temperature, °C').props.value).toBe('27');
    expect(sent(asked, 'PUT')).toHaveLength(1);
  });

  it('that is not there says so', async () => {
    standIn(answers());
    show(<EditTankScreen id="nobody" />);
    expect(await screen.findByText('No such tank')).toBeTruthy();
  });
});
