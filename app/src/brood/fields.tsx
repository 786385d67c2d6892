import { STRATEGIES } from '@open-larder/core/strategies';
import type { Species } from '@open-larder/catalogue';
import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import type { BroodFields } from '@open-larder/contract';
import { EGG_CARES, FIRST_FOODS, FIRST_WATERS, RAISINGS } from '@open-larder/core/brood/vocabulary';
import { useWatch, type Control } from 'react-hook-form';
import { View } from 'react-native';
import { FormFields, type FormField } from '../forms/FormFields';
import { PickerInput, TextInput } from '../forms/inputs';
import type { AppData } from '../store';
import { Disclosure, lowerFirst, Text, upperFirst } from '../ui';
import type { Pick as PickRow } from '../ui/Picker';
import { strategyOf } from './useBroods';
import { EGG_WORDS, FOOD_WORDS, RAISING_WORDS, WATER_WORDS } from './labels';

export type BroodDraft = Omit<BroodFields, 'version'>;

/** What suits a way of life, before anyone chose. */
export function defaultsOf(
  strategy: BreedingStrategy | undefined,
): Pick<BroodDraft, 'raising' | 'eggCare' | 'firstWater' | 'firstFood'> {
  const breeding = strategy?.breeding;
  return {
    raising: strategy?.parents === 'pull' ? 'apart' : 'with',
    eggCare: breeding ? STRATEGIES[breeding].eggCare : 'left',
    firstWater: 'parents',
    firstFood: null,
  };
}

interface Props {
  control: Control<BroodDraft>;
  strategies: readonly BreedingStrategy[];
  species: Species | null;
  data: AppData | null;
  /** The parents are others than before. */
  onParents?: (groupId: string | null) => void;
}

/** What is said of a brood: its parents, its way of life, and the practices with what speaks for each. */
export function BroodFieldsInput({ control, strategies, species, data, onParents }: Props) {
  const draft = useWatch({ control }) as BroodDraft;
  const strategy = strategyOf(strategies, draft.breeding ?? species?.breeding);
  const groups = named(data?.groups ?? []);
  return (
    <>
      <TextInput control={control} name="name" label="Name" placeholder="Pearls of the spring" />
      <PickerInput
        control={control}
        name="groupId"
        label="The parents"
        blank="None of mine"
        picks={groups}
        onPicked={(groupId) => onParents?.(groupId === '' ? null : groupId)}
      />
      <PickerInput
        control={control}
        name="tankId"
        label="Tank of the parents"
        blank="None of mine"
        picks={named(data?.tanks ?? [])}
      />
      <Disclosure title="Choices" detail={choicesOf(draft)}>
        <View style={{ gap: 16 }}>
          <FormFields control={control} fields={choiceFields(draft, groups, strategies, species)} />
          {strategy?.practices.map((practice) => (
            <Text key={practice} variant="small" tone="quiet">
              Keepers differ: {practice}.
            </Text>
          ))}
        </View>
      </Disclosure>
    </>
  );
}

const named = (all: readonly { id: string; name: string; archived: boolean }[]) =>
  all.filter(({ archived }) => !archived).map(({ id, name }) => ({ value: id, title: name }));

const choiceFields = (
  { raising, eggCare, firstWater, firstFood }: BroodDraft,
  groups: readonly PickRow[],
  strategies: readonly BreedingStrategy[],
  species: Species | null,
): FormField<BroodDraft>[] => [
  {
    name: 'youngGroupId',
    label: 'The young, where they are a group already',
    hint: 'Their food is then planned with that group, and counted once.',
    as: 'pick',
    blank: 'Not yet',
    options: groups,
  },
  {
    name: 'breeding',
    label: 'Way of life',
    as: 'pick',
    blank: species ? `As usual: ${species.breeding}` : 'As usual for the species',
    options: strategies.map(({ breeding, parentsRule }) => ({
      value: breeding,
      title: upperFirst(breeding),
      detail: parentsRule,
    })),
  },
  {
    name: 'raising',
    label: 'Where the young grow up',
    hint: RAISING_WORDS[raising][1],
    as: 'pick',
    options: worded(RAISINGS, RAISING_WORDS),
  },
  {
    name: 'eggCare',
    label: 'The eggs',
    hint: EGG_WORDS[eggCare][1],
    as: 'pick',
    options: worded(EGG_CARES, EGG_WORDS),
  },
  {
    name: 'firstWater',
    label: 'The first water',
    hint: WATER_WORDS[firstWater][1],
    as: 'pick',
    options: worded(FIRST_WATERS, WATER_WORDS),
  },
  {
    name: 'firstFood',
    label: 'The first food',
    hint: firstFood === null ? undefined : FOOD_WORDS[firstFood][1],
    as: 'pick',
    blank: 'What suits their mouth',
    options: worded(FIRST_FOODS, FOOD_WORDS),
  },
  {
    name: 'targetCm',
    label: 'Length at which they can be sold or given away',
    hint: 'Blank is half of an adult’s.',
    as: 'measure',
    measure: 'length',
    decimals: 1,
  },
];

const worded = <K extends string>(keys: readonly K[], words: Record<K, [string, string]>) =>
  keys.map((value) => ({ value, title: words[value][0], detail: words[value][1] }));

/** «apart from them, moved to a tub, …» */
const choicesOf = ({ raising, eggCare, firstWater, firstFood }: BroodDraft): string =>
  [
    RAISING_WORDS[raising][0],
    EGG_WORDS[eggCare][0],
    WATER_WORDS[firstWater][0],
    firstFood === null ? 'first food by their mouth' : FOOD_WORDS[firstFood][0],
  ]
    .map(lowerFirst)
    .join(', ');
