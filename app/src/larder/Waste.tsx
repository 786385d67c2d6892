import type { FoodRow } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useFormat } from '../store';
import { Button, Card, ListRow, Text } from '../ui';
import type { FoodSupply } from './shelves';
import { wastedOf } from './wasted';

/** Lines in sight before one asks for the rest. */
const FEW = 2;

interface Props {
  foods: readonly FoodRow[];
  supply: ReadonlyMap<string, FoodSupply>;
}

/** What the plan will not eat in time, so that it can be fed, frozen, or bought smaller next time. */
export function Waste({ foods, supply }: Props) {
  const router = useRouter();
  const format = useFormat();
  const [all, setAll] = useState(false);
  const wasted = wastedOf(foods, supply);
  if (wasted.length === 0) return null;
  const cost = wasted.reduce((sum, one) => sum + (one.costMinor ?? 0), 0);
  const shown = all ? wasted : wasted.slice(0, FEW);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Will not be used in time</Text>
      <Text tone="quiet">
        {cost > 0 ? `About ${format.money(cost)} within four months. ` : ''}Feed more of it, or buy
        smaller.
      </Text>
      <Card label="Will not be used in time">
        {shown.map(({ food, massG, on }, index) => (
          <ListRow
            key={food.id}
            first={index === 0}
            lead={<FoodSign family={food.family} size={24} />}
            title={food.name}
            detail={`${formatGrams(massG)} expires on ${format.day(on)}`}
            onPress={() => router.push(`/larder/${food.id}`)}
          />
        ))}
      </Card>
      {wasted.length > FEW ? (
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            variant="bare"
            label={all ? 'Only the next' : `${wasted.length - FEW} more`}
            onPress={() => setAll(!all)}
          />
        </View>
      ) : null}
    </View>
  );
}
