import type { PlanEdit } from '@open-larder/contract';
import { takes } from '@open-larder/core/mouth';
import { useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import type { AppData } from '../store';
import { Card, Choice, Sheet, Text } from '../ui';
import type { Board } from './useBoard';

type Rule = PlanEdit['diets'][number]['rules'][number];

const TAKEN = [
  { value: 'kind', label: 'as its kind', taken: null },
  { value: 'eager', label: 'eagerly', taken: 1 },
  { value: 'some', label: 'some', taken: 0.5 },
  { value: 'hardly', label: 'hardly', taken: 0.15 },
  { value: 'never', label: 'refuses it', taken: 0 },
] as const;
const MAX = [
  { value: 'free', label: 'no limit', max: null },
  { value: '3', label: '3 a week', max: 3 },
  { value: '2', label: '2 a week', max: 2 },
  { value: '1', label: '1 a week', max: 1 },
  { value: '0', label: 'never', max: 0 },
] as const;

/** How readily a group takes each food, and how often it may have it. */
export function RulesSheet({
  board,
  data,
  onClose,
}: {
  board: Board;
  data: AppData;
  onClose: () => void;
}) {
  const { groups, foods } = board.task;
  const [groupId, setGroup] = useState(groups[0]?.id ?? '');
  const group = groups.find((one) => one.id === groupId);
  const diet = board.draft.diets.find((one) => one.groupId === groupId);
  const ruleOf = (foodId: string): Rule =>
    diet?.rules.find((rule) => rule.foodId === foodId) ?? {
      foodId,
      taken: null,
      mostPerWeek: null,
    };
  const change = (foodId: string, news: Partial<Rule>) =>
    board.edit((draft) => ({
      ...draft,
      diets: draft.diets.map((one) => {
        if (one.groupId !== groupId) return one;
        const next = { ...ruleOf(foodId), ...news };
        const others = one.rules.filter((rule) => rule.foodId !== foodId);
        const says = next.taken !== null || next.mostPerWeek !== null;
        return { ...one, rules: says ? [...others, next] : others };
      }),
    }));
  return (
    <Sheet title="What they take" open onClose={onClose}>
      <Text tone="quiet">
        The simulation and the balance follow what you say here over what their kind usually takes.
      </Text>
      {groups.length > 1 ? (
        <Choice
          label="Group"
          value={groupId}
          options={groups.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setGroup}
        />
      ) : null}
      {group
        ? foods.map((food) => {
            const rule = ruleOf(food.id);
            const { word, capped } = takes(group.species, { ...food, ...food.inWater });
            const row = data.foods.find((one) => one.id === food.id);
            return (
              <Card key={food.id}>
                <View style={{ padding: 12, gap: 8 }}>
                  <View style={{ flexDirection: 'row', gap: 10, alignItems: 'center' }}>
                    <FoodSign family={row?.family ?? 'grain'} size={24} />
                    <View style={{ flex: 1 }}>
                      <Text variant="strong">{food.name}</Text>
                      <Text variant="small" tone="quiet">
                        {`Its kind takes it ${word}${capped ? `; ${capped} should be rare` : ''}.`}
                      </Text>
                    </View>
                  </View>
                  <Choice
                    label={`${food.name}: taken`}
                    value={TAKEN.find((one) => one.taken === rule.taken)?.value ?? 'some'}
                    options={TAKEN.map(({ value, label }) => ({ value, label }))}
                    onChange={(value) =>
                      change(food.id, {
                        taken: TAKEN.find((one) => one.value === value)?.taken ?? null,
                      })
                    }
                  />
                  <Choice
                    label={`${food.name}: at most`}
                    value={MAX.find((one) => one.max === rule.mostPerWeek)?.value ?? 'free'}
                    options={MAX.map(({ value, label }) => ({ value, label }))}
                    onChange={(value) =>
                      change(food.id, {
                        mostPerWeek: MAX.find((one) => one.value === value)?.max ?? null,
                      })
                    }
                  />
                </View>
              </Card>
            );
          })
        : null}
    </Sheet>
  );
}
