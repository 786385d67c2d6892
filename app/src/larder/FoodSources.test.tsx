import type { GenericFood } from '@open-larder/catalogue';
import type { FoodRow } from '@open-larder/contract';
import { fieldsOfGeneric } from '@open-larder/contract/genericFood';
import { screen, within } from '@testing-library/react-native';
import { answers, food, species } from '../testing/house';
import { standIn } from '../testing/server';
import { show } from '../testing/show';
import { FoodSources } from './FoodSources';

const generic = {
  key: 'fine-flake',
  name: 'Fine flake',
  protein: 0.46,
  fat: 0.08,
  fibre: 0.03,
  ash: 0.1,
  moisture: 0.07,
  unitName: 'pinch',
  unitPlural: 'pinches',
  unitMassG: 0.05,
  unitStep: 0.5,
  keepsSealedDays: 720,
  keepsOpenedDays: 120,
  sourceComposition: 'Proximate analyses, Author 1999',
  sourceKeeping: 'General keeping practice: starting value',
} as unknown as GenericFood;
const asBought: FoodRow = { ...food, ...fieldsOfGeneric(generic), weighings: [] };

const shown = async (over: Partial<FoodRow>) => {
  standIn({ ...answers(), 'GET /api/catalogue': { species: [species], foods: [generic] } });
  show(<FoodSources food={{ ...asBought, ...over }} />);
  const card = within(await screen.findByLabelText('Sources'));
  await card.findByText(/^Mass of one/);
  return card;
};

describe('what the figures of a food rest on', () => {
  it('is what its kind names, where nothing was changed', async () => {
    const card = await shown({});
    expect(await card.findAllByText('Proximate analyses, Author 1999')).toHaveLength(2);
    expect(card.getAllByText('published')).toHaveLength(2);
    expect(card.getAllByText('common practice')).toHaveLength(2);
  });

  it('is the keeper, where a figure was entered or weighed', async () => {
    const card = await shown({
      composition: { ...asBought.composition, protein: 0.5 },
      weighings: [{ id: 'w', day: '2026-03-01', hand: 'Ada', units: 20, massG: 1.2 }],
    });
    await card.findAllByText('common practice');
    expect(card.getAllByText('entered by you')).toHaveLength(2);
    expect(card.queryByText('Proximate analyses, Author 1999')).toBeNull();
  });

  it('is the keeper for all of a food of no kind', async () => {
    const card = await shown({ copiedFrom: null });
    expect(card.getAllByText('entered by you')).toHaveLength(4);
  });
});
