import { furnishingOf } from '@open-larder/core/tank';
import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { answers, group, tank } from '../testing/house';
import { push, replace } from '../testing/router';
import { created, sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { FURNISHING } from './guesses';
import { NewTankScreen } from './NewTankScreen';
import { TanksScreen } from './TanksScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const many = Array.from({ length: 9 }, (_, at) => ({
  ...tank,
  id: `t${at + 1}`,
  name: `Rack ${at + 1}`,
  kind: at === 8 ? ('quarantine' as const) : ('display' as const),
  walkOrder: at + 1,
}));

describe('the tanks', () => {
  it('are filtered by name, kind and fish where there are many', async () => {
    standIn({ ...answers(), 'GET /api/tanks': { items: many, next: null } });
    show(<TanksScreen />);
    expect(await screen.findByText('9 in walking order')).toBeTruthy();
    const filter = (words: string) =>
      fireEvent.changeText(screen.getByLabelText('Filter by tank, kind or fish'), words);
    filter('quarantine');
    expect(screen.getByText('1 of 9')).toBeTruthy();
    expect(screen.getByLabelText(/^Rack 9, quarantine/)).toBeTruthy();
    filter('zebra');
    expect(screen.getByLabelText(/^Rack 1, \d+ L/)).toBeTruthy();
    expect(screen.queryByLabelText(/^Rack 2, \d+ L/)).toBeNull();
  });

  it('of a few need no filter, and none at all ask for the first', async () => {
    standIn(answers());
    show(<TanksScreen />);
    expect(await screen.findByText('1 in walking order')).toBeTruthy();
    expect(screen.queryByLabelText('Filter by tank, kind or fish')).toBeNull();
    standIn({
      ...answers(),
      'GET /api/tanks': { items: [], next: null },
      'GET /api/groups': { items: [], next: null },
    });
    show(<TanksScreen />);
    fireEvent.press(await screen.findByLabelText('Paste a whole house'));
    expect(push).toHaveBeenCalledWith('/tables');
  });

  it('lead to everything that lives here', async () => {
    standIn(answers());
    show(<TanksScreen />);
    fireEvent.press(await screen.findByText('Species'));
    expect(push).toHaveBeenCalledWith('/species');
  });
});

describe('one tank', () => {
  it('says what is in it, what is guessed, and what living together means', async () => {
    const crowded = { ...group, id: 'g2', name: 'A few more', size: { ...group.size, total: 2 } };
    standIn({
      ...answers(),
      'GET /api/tanks': { items: [{ ...tank, ground: 'sand', gh: 6, tempC: 34 }], next: null },
      'GET /api/groups': { items: [group, crowded], next: null },
    });
    show(<TanksScreen id="t1" />);
    expect(await screen.findByText('6 dGH')).toBeTruthy();
    expect(screen.getByText('sand, 4 cm deep')).toBeTruthy();
    expect(screen.getByText(/some wood and stone; internal filter; gentle flow/)).toBeTruthy();
    expect(screen.getByText('Too warm for Zebrafish')).toBeTruthy();
    expect(
      screen.getAllByText(/The water is 34 °C; zebrafish are at ease from 18 °C to 30 °C/),
    ).toHaveLength(2);
    expect(await screen.findByText(/€\d+\.\d\d a month/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Another like this'));
    expect(push).toHaveBeenCalledWith('/tanks/new?like=t1');
  });

  it('that is gone says so', async () => {
    standIn(answers());
    show(<TanksScreen id="gone" />);
    expect(await screen.findByText('No such tank')).toBeTruthy();
  });
});

describe('another like it', () => {
  it('takes all but name and place, and finds a name that is free', async () => {
    const furnished = { ...tank, name: 'Rack 2', kind: 'breeding', plants: 'dense', gh: 4 };
    const asked = standIn({
      ...answers(),
      'GET /api/tanks': {
        items: [furnished, { ...tank, id: 'x', name: 'Rack 3', walkOrder: 7 }],
        next: null,
      },
      'POST /api/tanks': created,
    });
    show(<NewTankScreen like="t1" />);
    expect(await screen.findByText('Another like Rack 2')).toBeTruthy();
    expect(screen.getByLabelText('Name').props.value).toBe('Rack 4');
    fireEvent.press(screen.getByLabelText('Make this tank'));
    await waitFor(() => expect(replace).toHaveBeenCalled());
    expect(sent(asked, 'POST')[0]).toMatchObject({
      name: 'Rack 4',
      kind: 'breeding',
      plants: 'dense',
      gh: 4,
      walkOrder: 8,
      lengthCm: 100,
    });
  });

  it('shows its guesses, and takes what the keeper says in their place', async () => {
    const asked = standIn({
      ...answers(),
      'POST /api/tanks': created,
    });
    show(<NewTankScreen />);
    fireEvent.changeText(await screen.findByLabelText('Name'), 'Tub');
    fireEvent.press(screen.getByLabelText('fry tub'));
    expect(screen.getByText(/bare floor; no wood and stone; no filter; still water/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Litres only'));
    fireEvent.changeText(screen.getByLabelText('Water, L'), '2 gal');
    fireEvent.press(screen.getByLabelText('Correct these'));
    fireEvent.press(screen.getByLabelText(/^Cover:/));
    fireEvent.press(screen.getByLabelText('tight'));
    fireEvent.press(screen.getByLabelText('Make this tank'));
    await waitFor(() => expect(replace).toHaveBeenCalled());
    const [tub] = sent(asked, 'POST');
    expect(tub).toMatchObject({ kind: 'fry tub', cover: 'tight', ground: null, filter: null });
    expect(tub?.litres).toBeCloseTo(7.5708, 3);
  });
});

describe('the words of a furnishing', () => {
  it('say each option so that it can stand alone', () => {
    for (const { field, options, says } of FURNISHING) {
      const words = options.map((option) =>
        says({ ...furnishingOf({ ...tank }), [field]: option } as never),
      );
      expect(new Set(words).size).toBe(options.length);
      for (const word of words) expect(word.length).toBeGreaterThan(3);
    }
  });
});
