import type { PlanEdit } from '@open-larder/contract';
import { View } from 'react-native';
import type { AppData } from '../store';
import { Choices } from '../ui';
import { NO_PINS, pinsAs } from './draft';
import type { Board } from './useBoard';

type Pins = NonNullable<PlanEdit['pins']>;

interface Props {
  pins: Pins | null;
  board: Board;
  data: AppData;
  onChange: (pins: Pins | null) => void;
}

/** What stays as the keeper has it, whatever the search finds: groups, foods and moments of this plan. */
export function PinsInput({ pins, board, data, onChange }: Props) {
  const now = pins ?? NO_PINS;
  const servings = board.draft.diets.flatMap((diet) => diet.servings);
  const set = (part: Partial<Pins>) => onChange(pinsAs({ ...now, ...part }) ?? null);
  const named = (rows: readonly { id: string; name: string }[], used: readonly string[]) =>
    rows.filter(({ id }) => used.includes(id)).map(({ id, name }) => ({ value: id, label: name }));
  const foods = named(
    data.foods,
    servings.map(({ foodId }) => foodId),
  );
  const moments = named(
    data.moments,
    servings.map(({ momentId }) => momentId),
  );
  return (
    <View style={{ gap: 16 }}>
      <Choices
        label="Groups whose plan stays"
        value={now.groups}
        options={board.task.groups.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(groups) => set({ groups })}
      />
      {foods.length > 0 ? (
        <Choices
          label="Foods that stay, treats among them"
          value={now.foods}
          options={foods}
          onChange={(ids) => set({ foods: ids })}
        />
      ) : null}
      {moments.length > 0 ? (
        <Choices
          label="Moments at which nothing changes"
          value={now.moments}
          options={moments}
          onChange={(ids) => set({ moments: ids })}
        />
      ) : null}
    </View>
  );
}
