import { STRATEGIES } from '@open-larder/core/strategies';
import type { Species } from '@open-larder/catalogue';
import type { BreedingStrategy } from '@open-larder/catalogue/breedingStrategies';
import type { BroodFields } from '@open-larder/contract';
import { EGG_CARES, FIRST_FOODS, FIRST_WATERS, RAISINGS } from '@open-larder/core/brood/vocabulary';
import { View } from 'react-native';
import { useFormat, type AppData } from '../store';
import {
  Disclosure,
  Field,
  lowerFirst,
  NumberField,
  Picker,
  Text,
  upperFirst,
  type FieldErrors,
} from '../ui';
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
  draft: BroodDraft;
  fieldErrors: FieldErrors;
  strategies: readonly BreedingStrategy[];
  species: Species | null;
  data: AppData | null;
  onChange: (draft: BroodDraft) => void;
}

/** What is said of a brood: its parents, its way of life, and the practices with what speaks for each. */
export function BroodFieldsInput({
  draft,
  fieldErrors,
  strategies,
  species,
  data,
  onChange,
}: Props) {
  const format = useFormat();
  const length = format.scale('length');
  const set = (part: Partial<BroodDraft>) => onChange({ ...draft, ...part });
  const strategy = strategyOf(strategies, draft.breeding ?? species?.breeding);
  const groups = (data?.groups ?? []).filter(({ archived }) => !archived);
  const of = <K extends string>(keys: readonly K[], says: Record<K, [string, string]>) =>
    keys.map((value) => ({ value, title: says[value][0], detail: says[value][1] }));
  return (
    <>
      <Field
        label="Name"
        value={draft.name}
        onChange={(name) => set({ name })}
        fieldError={fieldErrors.name}
        placeholder="Pearls of the spring"
      />
      <Picker
        label="The parents"
        value={draft.groupId ?? ''}
        picks={[
          { value: '', title: 'None of mine' },
          ...groups.map(({ id, name }) => ({ value: id, title: name })),
        ]}
        onChange={(groupId) => set({ groupId: groupId === '' ? null : groupId })}
        fieldError={fieldErrors.groupId}
      />
      <Picker
        label="Tank of the parents"
        value={draft.tankId ?? ''}
        picks={[
          { value: '', title: 'None of mine' },
          ...(data?.tanks ?? [])
            .filter(({ archived }) => !archived)
            .map(({ id, name }) => ({ value: id, title: name })),
        ]}
        onChange={(tankId) => set({ tankId: tankId === '' ? null : tankId })}
        fieldError={fieldErrors.tankId}
      />
      <Disclosure title="Choices" detail={choicesOf(draft)}>
        <View style={{ gap: 16 }}>
          <Picker
            label="The young, where they are a group already"
            value={draft.youngGroupId ?? ''}
            picks={[
              { value: '', title: 'Not yet' },
              ...groups.map(({ id, name }) => ({ value: id, title: name })),
            ]}
            onChange={(group) => set({ youngGroupId: group === '' ? null : group })}
            fieldError={fieldErrors.youngGroupId}
            hint="Their food is planned as that group’s then, and counted once."
          />
          <Picker
            label="Way of life"
            value={draft.breeding ?? ''}
            picks={[
              {
                value: '',
                title: species ? `As usual: ${species.breeding}` : 'As usual for the species',
              },
              ...strategies.map(({ breeding, parentsRule }) => ({
                value: breeding,
                title: upperFirst(breeding),
                detail: parentsRule,
              })),
            ]}
            onChange={(breeding) =>
              set({ breeding: breeding === '' ? null : (breeding as BreedingStrategy['breeding']) })
            }
            fieldError={fieldErrors.breeding}
          />
          <Picker
            label="Where the young grow up"
            value={draft.raising}
            picks={of(RAISINGS, RAISING_WORDS)}
            onChange={(raising) => set({ raising: raising as BroodDraft['raising'] })}
            hint={RAISING_WORDS[draft.raising][1]}
          />
          <Picker
            label="The eggs"
            value={draft.eggCare}
            picks={of(EGG_CARES, EGG_WORDS)}
            onChange={(eggCare) => set({ eggCare: eggCare as BroodDraft['eggCare'] })}
            hint={EGG_WORDS[draft.eggCare][1]}
          />
          <Picker
            label="The first water"
            value={draft.firstWater}
            picks={of(FIRST_WATERS, WATER_WORDS)}
            onChange={(water) => set({ firstWater: water as BroodDraft['firstWater'] })}
            hint={WATER_WORDS[draft.firstWater][1]}
          />
          <Picker
            label="The first food"
            value={draft.firstFood ?? ''}
            picks={[{ value: '', title: 'What suits their mouth' }, ...of(FIRST_FOODS, FOOD_WORDS)]}
            onChange={(food) =>
              set({ firstFood: food === '' ? null : (food as BroodDraft['firstFood']) })
            }
            hint={draft.firstFood === null ? undefined : FOOD_WORDS[draft.firstFood][1]}
          />
          <NumberField
            label="Length at which they can be sold or given away"
            unit={length.unit}
            scale={length}
            decimals={1}
            value={draft.targetCm}
            onChange={(targetCm) => set({ targetCm })}
            fieldError={fieldErrors.targetCm}
            hint="Blank is half of an adult’s."
          />
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
