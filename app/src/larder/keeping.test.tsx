import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { FoodRow } from '@open-larder/contract';
import { SettingsScreen } from '../household/SettingsScreen';
import { answers, food, group, species } from '../testing/house';
import { sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { Toast } from '../ui';
import { CompareScreen } from './CompareScreen';
import { EatersCard } from './EatersCard';
import { EditFoodScreen } from './EditFoodScreen';
import { KeepingCard } from './KeepingCard';
import { LotsCard } from './LotsCard';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const id = '01a20b8f-8261-7d0d-87a6-870c81b69e82';
const own: FoodRow = { ...food, id };
const catalogue = { species: [species], foods: [] };
const house = (over: Record<string, unknown> = {}) => ({
  ...answers(),
  'GET /api/catalogue': catalogue,
  'GET /api/foods': { items: [own], next: null },
  ...over,
});

describe('what is known of a food of one’s own', () => {
  const save = async (change: () => void | Promise<void>) => {
    const asked = standIn(house({ [`PUT /api/foods/${id}`]: { ...own, version: 2 } }));
    show(<EditFoodScreen id={id} />);
    await screen.findByLabelText('Name');
    await change();
    fireEvent.press(screen.getByLabelText('Save'));
    return asked;
  };

  it('is changed behind its titles: steps, pieces, keeping, cautions', async () => {
    const asked = await save(() => {
      fireEvent.press(screen.getByLabelText(/^Before it is served/));
      expect(screen.getByText('It is served as it is.')).toBeTruthy();
      fireEvent.press(screen.getByLabelText('Add a step'));
      fireEvent.changeText(screen.getByLabelText('Ahead, min'), '90');
      fireEvent.press(screen.getByLabelText(/^How it behaves/));
      fireEvent.changeText(screen.getByLabelText('Largest piece, mm'), '3,5');
      fireEvent.press(screen.getByLabelText(/^How long it keeps/));
      fireEvent.changeText(screen.getByLabelText('Once opened, days'), '30');
      fireEvent.press(screen.getByLabelText(/^What to beware of/));
      fireEvent.changeText(screen.getByLabelText('For people'), 'dust, insect meal');
    });
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    expect(sent(asked, 'PUT')[0]).toMatchObject({
      steps: [{ kind: 'soak', leadMin: 90, workMin: 1, toMm: null }],
      inWater: { particleMinMm: 0.5, particleMaxMm: 3.5 },
      keeps: { sealedDays: 720, openedDays: 30 },
      cautions: { people: ['dust', 'insect meal'], fish: [] },
    });
  });

  it('that is wrong opens its title, and is said there', async () => {
    const asked = await save(() => {
      fireEvent.press(screen.getByLabelText(/^How it behaves/));
      fireEvent.changeText(screen.getByLabelText('Smallest piece, mm'), '9');
      fireEvent.press(screen.getByLabelText(/^How it behaves/));
    });
    expect(await screen.findByText(/largest particle is smaller than the smallest/i)).toBeTruthy();
    expect(sent(asked, 'PUT')).toEqual([]);
  });

  it('steps go as they came', async () => {
    const asked = await save(() => {
      fireEvent.press(screen.getByLabelText(/^Before it is served/));
      fireEvent.press(screen.getByLabelText('Add a step'));
      fireEvent.press(screen.getByLabelText('Add a step'));
      fireEvent.press(screen.getByLabelText('Remove step 1'));
    });
    await waitFor(() => expect(sent(asked, 'PUT')).toHaveLength(1));
    expect(sent(asked, 'PUT')[0]?.steps).toHaveLength(1);
  });

  it('is nothing where nothing is known', () => {
    standIn(house());
    show(
      <KeepingCard
        food={{
          ...own,
          inWater: {
            floatMinutes: null,
            sinkCmPerS: null,
            particleMinMm: null,
            particleMaxMm: null,
          },
          keeps: { sealedDays: null, openedDays: null, preparedHours: null },
          liftAfterMin: null,
        }}
      />,
    );
    expect(screen.queryByText('Preparing and keeping')).toBeNull();
  });
});

describe('a food against the fish of the house', () => {
  it('is held against the mouth and the taste of every group', async () => {
    standIn(house());
    show(<EatersCard food={own} />);
    expect(await screen.findByText('Zebrafish')).toBeTruthy();
    // 3.5 cm and a mouth of 5 % of it, against pieces of 0.5 to 2 mm.
    expect(screen.getByText(/taken readily · smaller ones, mouth 1.75 mm wide/)).toBeTruthy();
  });

  it('is compared for a way of eating where no fish is there', async () => {
    standIn(house({ 'GET /api/groups': { items: [], next: null } }));
    show(<CompareScreen />);
    expect(await screen.findByText('a plant grazer')).toBeTruthy();
    expect(screen.queryByLabelText('Sort by Fits')).toBeNull();
    expect(screen.getByLabelText('Sort by Protein')).toBeTruthy();
  });

  it('says what it is little of, for a fish that should have little of it', async () => {
    const shy = { ...species, capped: ['fatty foods'] };
    const fatty = { ...own, composition: { ...own.composition, fat: 0.2 } };
    standIn(
      house({
        'GET /api/catalogue': { species: [shy], foods: [] },
        'GET /api/groups': { items: [group], next: null },
      }),
    );
    show(<EatersCard food={fatty} />);
    expect(await screen.findByText(/taken readily, little of it/)).toBeTruthy();
  });
});

describe('a lot that is past its day', () => {
  it('is thrown away by a count, and comes back by another', async () => {
    const past = { ...own.lots[0]!, id, bestBefore: '2026-01-02' };
    const asked = standIn(house({ [`POST /api/lots/${id}/counts`]: { ...past, remainingG: 0 } }));
    show(
      <>
        <LotsCard
          food={{ ...own, lots: [past, { ...past, id: 'fresh', bestBefore: '2999-01-01' }] }}
          waste={[]}
          onCount={jest.fn()}
          onEdit={jest.fn()}
        />
        <Toast />
      </>,
    );
    expect(screen.getAllByText('Throw away')).toHaveLength(1);
    fireEvent.press(screen.getByLabelText('Throw away'));
    expect(await screen.findByText('42 g of fine flake are thrown away.')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Undo'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(2));
    expect(sent(asked, 'POST').map((one) => one.remainingG)).toEqual([0, 42]);
  });
});

describe('whose hand feeds', () => {
  const weighed = (hand: string) => ({
    id: `w-${hand}`,
    day: '2026-02-01',
    hand,
    units: 20,
    massG: 1,
  });

  it('is chosen on the device among those that weighed something in', async () => {
    const items = [{ ...own, weighings: [weighed('Ada'), weighed('Bo'), weighed('Ada')] }];
    standIn(
      house({
        'GET /api/foods': { items, next: null },
        'GET /api/moments': { items: [], next: null },
      }),
    );
    show(<SettingsScreen />);
    fireEvent.press(await screen.findByLabelText('Bo'));
    expect(screen.getByLabelText('Bo')).toBeChecked();
    expect(screen.getAllByLabelText('Ada')).toHaveLength(1);
    fireEvent.press(screen.getByLabelText('Anybody’s'));
    expect(screen.getByLabelText('Bo')).not.toBeChecked();
  });

  it('is not asked before anything was weighed', async () => {
    standIn(house());
    show(<SettingsScreen />);
    await screen.findByLabelText('Lamp off');
    expect(screen.queryByText('Whose hand feeds, on this device')).toBeNull();
  });
});
