import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { loadCatalogue } from '@open-larder/catalogue/load';
import type { InventoryCreate } from '@open-larder/contract';
import { entriesOf, makingOf, namesFrom, NO_CORRECTIONS, questionIn } from './entries';
import { InventoryScreen } from './InventoryScreen';
import { answers } from '../testing/house';
import { replace } from '../testing/router';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const catalogue = loadCatalogue();
const METRIC = { units: 'metric', temperature: 'C', hardness: 'dGH' } as const;
const species = new Map(catalogue.species.map((one) => [one.key, one]));
const names = namesFrom({ species, tanks: [], foods: catalogue.foods });
const read = (text: string, corrections = NO_CORRECTIONS, picked: string[] = []) =>
  entriesOf(text, names, METRIC, corrections, picked, null);
const make = (entries: ReturnType<typeof read>, tanks: { name: string }[] = []) =>
  makingOf(entries, {
    data: { species, tanks: tanks as never, foods: [] },
    generic: catalogue.foods,
    today: '2026-03-10',
    id: 'inventory',
    idOf: (name) => `id of ${name}`,
    formatSize: (litres) => `${litres} L`,
  });

describe('what was typed', () => {
  it('becomes what is sent, with all that was assumed named', () => {
    const { body, assumed } = make(read('90 l planted\n24 harlequins, 8 panda corys 4 cm\nflake'));
    expect(body.tanks).toMatchObject([{ name: '90 L tank', litres: 90, plants: 'many' }]);
    // Between 25 for the one and 22 for the other.
    expect(body.tanks[0]!.tempC).toBe(23.5);
    expect(body.groups).toMatchObject([
      { name: 'Harlequin rasbora', unsexed: 24, lengthCm: null, tankId: body.tanks[0]!.id },
      { name: 'Panda corydoras', unsexed: 8, lengthCm: 4 },
    ]);
    expect(body.foods).toMatchObject([{ name: 'Fine flake', lot: { amountG: 40 } }]);
    expect(assumed.map(({ is }) => is)).toEqual(['warmth', 'lights', 'length', 'pack']);
  });

  it('without a heater is as warm as a room, and never bears a name that is taken', () => {
    const { body, assumed } = make(read('90 l unheated, 6 medaka'), [{ name: '90 L tank' }]);
    expect(body.tanks[0]).toMatchObject({ name: '90 L tank 2', tempC: 20 });
    expect(assumed[0]).toMatchObject({ is: 'warmth', because: 'room' });
  });

  it('asks for what it cannot do without, one after the other', () => {
    expect(questionIn(read('24 harlequins'))).toEqual({ is: 'size', tank: 0 });
    expect(questionIn(read('90 l, harlequins'))).toMatchObject({ is: 'count' });
    expect(questionIn(read('90 l, 24 harlequins'))).toBeNull();
    expect(questionIn(read('flake'))).toBeNull();
  });

  it('is corrected without being typed anew, left out, or told to be something', () => {
    const text = '90 l, 24 harlequins, blorp 7, flake';
    const corrected = read(text, {
      tanks: { 0: { litres: 60 } },
      groups: { '24 harlequins': { count: 12 } },
      foods: { flake: 'plant-flake' },
      meant: { 'blorp 7': { speciesKey: 'corydoras-panda' } },
    });
    expect(corrected.unread).toEqual([]);
    expect(corrected.tanks[0]!.facts.litres).toBe(60);
    expect(corrected.tanks[0]!.groups).toMatchObject([
      { count: 12 },
      { speciesKey: 'corydoras-panda', count: 7 },
    ]);
    expect(corrected.foods).toMatchObject([{ foodKey: 'plant-flake' }]);
    const without = read(text, { ...NO_CORRECTIONS, groups: { '24 harlequins': null }, foods: { flake: null } }); // prettier-ignore
    expect(without.tanks[0]!.groups).toEqual([]);
    expect(without.foods).toEqual([]);
  });

  it('and what was tapped are one shelf', () => {
    const { foods } = read('flake', NO_CORRECTIONS, ['fine-flake', 'frozen-cyclops']);
    expect(foods.map(({ foodKey }) => foodKey)).toEqual(['fine-flake', 'frozen-cyclops']);
  });
});

describe('the place to begin', () => {
  function open() {
    const bodies: InventoryCreate[] = [];
    const asked = standIn({
      ...answers(),
      'GET /api/tanks': { items: [], next: null },
      'GET /api/groups': { items: [], next: null },
      'POST /api/inventory': ({ body }: { body: unknown }) => {
        bodies.push(body as InventoryCreate);
        const { groups } = body as InventoryCreate;
        return {
          status: 201,
          body: {
            tanks: [
              { tankId: groups[0]!.tankId, groupIds: groups.map(({ id }) => id), unfedIds: [] },
            ],
            moments: [
              {
                id: 'moment',
                name: 'Before lights-out',
                anchor: 'lightsOff',
                minutes: -60,
                spareMin: null,
                version: 1,
                archived: false,
              },
            ],
          },
        };
      },
    });
    show(
      <>
        <InventoryScreen />
        <Toast />
      </>,
    );
    return { asked, bodies };
  }

  it('shows how a line was understood, and asks before it guesses', async () => {
    const { asked } = open();
    expect(await screen.findByText('What is in your first tank?')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText(/^Type, paste/), 'zebrafish');
    expect(await screen.findByLabelText(/^How many Zebrafish\?/)).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText(/^Type, paste/), '12 zebrafish');
    expect(await screen.findByText(/^How big is the tank\?/)).toBeTruthy();
    expect(screen.queryByText('Show the first day')).toBeNull();
    fireEvent.press(screen.getByText('Say how big it is'));
    fireEvent.changeText(await screen.findByLabelText(/^Water in it/), '54');
    fireEvent.press(screen.getByText('Done'));
    expect(await screen.findByText('54 L tank')).toBeTruthy();
    expect(screen.getByText('Show the first day')).toBeTruthy();
    expect(sent(asked, 'POST')).toEqual([]);
  });

  it('sends all of it at once, and leads to the Round', async () => {
    const { bodies } = open();
    fireEvent.changeText(await screen.findByLabelText(/^Type, paste/), '54 l, 12 zebrafish');
    fireEvent.press(await screen.findByText('Show the first day'));
    expect(await screen.findByText('Your first day')).toBeTruthy();
    expect(bodies).toHaveLength(1);
    expect(bodies[0]).toMatchObject({ tanks: [{ litres: 54 }], groups: [{ unsexed: 12 }] });
    expect(await screen.findByText('What was assumed')).toBeTruthy();
    expect(screen.getByText('60 min before lights-out')).toBeTruthy();
    fireEvent.press(screen.getByText('Open the Round'));
    await waitFor(() => expect(replace).toHaveBeenCalledWith('/round'));
  });
});
