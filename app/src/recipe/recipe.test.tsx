import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { FoodRow, RecipeRow } from '@open-larder/contract';
import { answers, food } from '../testing/house';
import { replace } from '../testing/router';
import { created, sent, standIn } from '../testing/server';
import { show } from '../testing/show';
import { BatchSheet } from './BatchSheet';
import { EditRecipeScreen } from './EditRecipeScreen';
import { NewRecipeScreen } from './NewRecipeScreen';
import { RecipeScreen } from './RecipeScreen';
import { RecipesScreen } from './RecipesScreen';

jest.mock('expo-router', () => jest.requireActual('../testing/router'));

const uuid = (last: string) => `01a20b8f-8261-7d0d-87a6-870c81b69e${last}`;
const flake: FoodRow = { ...food, id: uuid('01') };
const peas: FoodRow = {
  ...food,
  id: uuid('02'),
  name: 'Peas',
  kind: 'fresh',
  family: 'leaf',
  composition: { protein: 0.05, fat: 0.004, fibre: 0.05, ash: 0.008, moisture: 0.8 },
  plantShare: 1,
  remainingG: 100,
};
const gel: FoodRow = {
  ...food,
  id: uuid('03'),
  name: 'Evening gel',
  kind: 'gel',
  family: 'jelly',
  lots: [{ ...food.lots[0]!, id: uuid('05'), foodId: uuid('03'), amountG: 60, remainingG: 60 }],
};
const recipe: RecipeRow = {
  id: uuid('04'),
  foodId: gel.id,
  name: 'Evening gel',
  kind: 'gel',
  place: 'freezer',
  keepsDays: 60,
  ingredients: [
    { foodId: flake.id, share: 0.2, binder: false },
    { foodId: peas.id, share: 0.5, binder: false },
    { foodId: null, share: 0.3, binder: false },
  ],
  cooked: 0.2,
  drained: 0,
  tray: { lengthCm: 10, widthCm: 10, depthCm: 1, columns: 10, rows: 5 },
  targets: { protein: null, fat: null, plant: [0.6, 0.7], moisture: null },
  method: 'Stir, pour, cool.',
  version: 1,
  archived: false,
  batches: [{ id: uuid('06'), lotId: uuid('05'), day: '2026-03-02', massG: 60 }],
};
const foods = new Map([flake, peas, gel].map((one) => [one.id, one]));
const kitchen = (rows: readonly RecipeRow[] = [recipe]) => ({
  ...answers(),
  'GET /api/foods': { items: [...foods.values()], next: null },
  'GET /api/recipes': { items: rows, next: null },
});

describe('home recipes', () => {
  it('are listed with what they make, and those put away are not', async () => {
    standIn(kitchen([recipe, { ...recipe, id: uuid('09'), name: 'Old', archived: true }]));
    show(<RecipesScreen />);
    expect(await screen.findByText('Evening gel')).toBeTruthy();
    // 18.6 g of dry flake at 35 % and 10 g of dry peas.
    expect(screen.getByText(/plant 58 % · moisture 64 % · last made Mon 2 Mar/)).toBeTruthy();
    expect(screen.queryByText('Old')).toBeNull();
  });

  it('say what to do first where there is none', async () => {
    standIn(kitchen([]));
    show(<RecipesScreen />);
    expect(await screen.findByText('No recipe yet')).toBeTruthy();
  });

  it('show what goes in, what it makes, and what is left of each batch', async () => {
    standIn(kitchen());
    show(<RecipeScreen id={recipe.id} />);
    expect(await screen.findByText('Peas')).toBeTruthy();
    expect(screen.getByText('20 % steams off: 125 g make 100 g')).toBeTruthy();
    expect(screen.getByText('103 g, 50 pieces of 2.06 g')).toBeTruthy();
    expect(screen.getByText(/29 pieces of 2.06 g · 60 g left/)).toBeTruthy();
    expect(screen.getByText('Stir, pour, cool.')).toBeTruthy();
  });

  it('are put away with a way back', async () => {
    const asked = standIn({
      ...kitchen(),
      [`PUT /api/recipes/${recipe.id}`]: { ...recipe, version: 2, archived: true },
    });
    show(<RecipeScreen id={recipe.id} />);
    fireEvent.press(await screen.findByLabelText('Put away'));
    await waitFor(() => expect(replace).toHaveBeenCalledWith('/larder/recipes'));
    const { id: _, foodId: __, batches: ___, ...fields } = recipe;
    expect(sent(asked, 'PUT')).toEqual([{ ...fields, archived: true }]);
  });

  it('take a batch back while all of it is there', async () => {
    const asked = standIn({
      ...kitchen(),
      [`POST /api/batches/${uuid('06')}/undo`]: { ...recipe, batches: [] },
    });
    show(<RecipeScreen id={recipe.id} />);
    fireEvent.press(await screen.findByLabelText('Take back'));
    await waitFor(() => expect(sent(asked, 'POST')).toMatchObject([{ id: expect.any(String) }]));
  });
});

describe('making a batch', () => {
  it('says in trays and pieces what it gives, and what is missing', async () => {
    const close = jest.fn();
    const asked = standIn({
      ...kitchen(),
      [`POST /api/recipes/${recipe.id}/batches`]: { recipe, short: [] },
    });
    show(<BatchSheet recipe={recipe} foods={foods} onClose={close} />);
    fireEvent.changeText(await screen.findByLabelText(/it weighs/), '2 trays');
    expect(screen.getByText(/100 pieces of 2.06 g · 2 trays · use by/)).toBeTruthy();
    // 206 g need 257.5 g raw, half of it peas; a hundred are there.
    expect(screen.getByText('129 g')).toBeTruthy();
    expect(screen.getByText('only 100 g on the shelf')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('It is made'));
    await waitFor(() => expect(close).toHaveBeenCalled());
    expect(sent(asked, 'POST')[0]?.massG).toBeCloseTo(206, 6);
  });
});

describe('writing a recipe', () => {
  const pick = async (label: string, title: string) => {
    fireEvent.press(screen.getByLabelText(new RegExp(`^${label}`)));
    fireEvent.press(await screen.findByLabelText(new RegExp(`^${title}`)));
  };

  it('shows what it makes while one types, and refuses what does not add up', async () => {
    const asked = standIn({ ...kitchen([]), 'POST /api/recipes': created });
    show(<NewRecipeScreen />);
    fireEvent.changeText(await screen.findByLabelText('Name'), 'Pea gel');
    fireEvent.press(screen.getByLabelText('Add an ingredient'));
    await pick('Ingredient 1', 'Peas');
    fireEvent.changeText(screen.getByLabelText('Share, %'), '60');
    expect(screen.getByText('adds up to 60 %')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Write it down'));
    expect(await screen.findByText(/add up to 60.0 %; they must make 100 %/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Add water'));
    expect(await screen.findByText('adds up to 100 %')).toBeTruthy();
    expect(screen.getByText(/protein 25 % · fat 2 %/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Write it down'));
    await waitFor(() => expect(sent(asked, 'POST')).toHaveLength(1));
    expect(sent(asked, 'POST')[0]).toMatchObject({
      name: 'Pea gel',
      ingredients: [
        { foodId: peas.id, share: 0.6, binder: false },
        { foodId: null, share: 0.4, binder: false },
      ],
    });
  });

  it('balances the shares to its targets, and says what cannot be', async () => {
    standIn(kitchen());
    show(<EditRecipeScreen id={recipe.id} />);
    fireEvent.press(await screen.findByLabelText(/^Balance it/));
    fireEvent.press(screen.getByLabelText('any amount'));
    fireEvent.press(screen.getByLabelText('Balance the shares'));
    expect(await screen.findByText('Every target is reached.')).toBeTruthy();
    expect(screen.getByText(/plant (60|61) %/)).toBeTruthy();
    await act(async () => {
      fireEvent.changeText(screen.getByLabelText('Protein, least, %'), '60');
    });
    fireEvent.press(screen.getByLabelText('Balance the shares'));
    expect(
      await screen.findByText(/protein in the dry matter; 60 % to 100 % was wanted/),
    ).toBeTruthy();
  });

  it('says when the shelf holds no more', async () => {
    foods.set(peas.id, { ...peas, remainingG: 20 });
    standIn(kitchen());
    foods.set(peas.id, peas);
    show(<EditRecipeScreen id={recipe.id} />);
    fireEvent.press(await screen.findByLabelText(/^Balance it/));
    fireEvent.press(screen.getByLabelText('Balance the shares'));
    expect(await screen.findByText('The shelf has no more Peas.')).toBeTruthy();
  });
});
