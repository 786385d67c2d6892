import { basisOfSource, type GenericFood } from '@open-larder/catalogue';
import type { FoodRow } from '@open-larder/contract';
import { fieldsOfGeneric } from '@open-larder/contract/genericFood';
import { View } from 'react-native';
import { api } from '../store';
import { BasisMark, Card, ListRow, Text } from '../ui';

/** What of a food rests on what: its generic kind where it was left as it is there, else the keeper. */
export function FoodSources({ food }: { food: FoodRow }) {
  const { data: catalogue } = api.useCatalogueQuery();
  const generic = catalogue?.foods.find(({ key }) => key === food.copiedFrom);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Where the figures come from</Text>
      <Card label="Sources">
        {sourcesOf(food, generic).map(({ title, source }, at) => (
          <ListRow
            key={title}
            first={at === 0}
            title={title}
            detail={source ?? undefined}
            trail={<BasisMark basis={source === null ? 'own' : basisOfSource(source)} />}
          />
        ))}
      </Card>
    </View>
  );
}

interface Source {
  title: string;
  /** As its generic kind names it; null for what the keeper entered. */
  source: string | null;
}

/** The label, its pieces, its keeping, and what the hand deals. */
function sourcesOf(food: FoodRow, generic: GenericFood | undefined): Source[] {
  const usual = generic && fieldsOfGeneric(generic);
  const from = (isUsual: boolean, source: string | undefined) =>
    isUsual && source !== undefined ? source : null;
  const { composition, inWater, keeps, unit, weighings } = food;
  const weighed = weighings.some(({ units }) => units > 0);
  const unitUsual = !weighed && usual?.unit.massG === unit.massG && usual.unit.name === unit.name;
  return [
    {
      title: 'Composition',
      source: from(same(composition, usual?.composition), generic?.sourceComposition),
    },
    {
      title: 'Pieces, and how it floats or sinks',
      source: from(same(inWater, usual?.inWater), generic?.sourceKeeping),
    },
    { title: 'How long it keeps', source: from(same(keeps, usual?.keeps), generic?.sourceKeeping) },
    { title: `Mass of one ${unit.name}`, source: from(unitUsual, generic?.sourceComposition) },
  ];
}

/** Every figure is still the usual one. */
const same = <T extends object>(own: T, usual: T | undefined): boolean =>
  usual !== undefined &&
  (Object.keys(usual) as (keyof T)[]).every((key) => own[key] === usual[key]);
