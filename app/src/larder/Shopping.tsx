import type { FoodRow } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { RecordNote } from '../forecasts/RecordNote';
import { FoodSign } from '../draw/FoodSign';
import { useNow, useFormat } from '../store';
import { Button, Card, ListRow, Text, WhyLink } from '../ui';
import type { FoodSupply } from './shelves';
import { shoppingList, type Errand } from './errands';

interface Props {
  foods: readonly FoodRow[];
  supply: ReadonlyMap<string, FoodSupply>;
}

/** What to buy, by the day on which it must be ordered; what is due stands out. */
export function Shopping({ foods, supply }: Props) {
  const now = useNow();
  const [all, setAll] = useState(false);
  const errands = shoppingList(foods, supply, now.day);
  const shown = all ? errands : errands.filter((errand) => errand.soon);
  if (errands.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">
        {errands.some((errand) => errand.homemade) ? 'To buy and make' : 'To buy'}
      </Text>
      {shown.length === 0 ? (
        <Text tone="quiet">Nothing within two weeks.</Text>
      ) : (
        <Card label="To buy">
          {shown.map((errand, index) => (
            <ErrandRow key={errand.food.id} errand={errand} first={index === 0} />
          ))}
        </Card>
      )}
      {errands.length > shown.length || all ? (
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            variant="bare"
            label={all ? 'Only the next two weeks' : `${errands.length - shown.length} more, later`}
            onPress={() => setAll(!all)}
          />
        </View>
      ) : null}
    </View>
  );
}

function ErrandRow({ errand, first }: { errand: Errand; first: boolean }) {
  const format = useFormat();
  const { food, buy, amount, due, act } = errand;
  const when = due ? `${act} today` : `${act} by ${format.day(buy.orderBy)}`;
  const until = buy.late
    ? `runs out on ${format.day(buy.runsOutOn)}, before it can come`
    : `runs out on ${format.day(buy.runsOutOn)}`;
  return (
    <ListRow
      first={first}
      lead={<FoodSign family={food.family} size={24} />}
      title={food.name}
      detail={`${amount} · ${until}`}
      trail={
        <View style={{ alignItems: 'flex-end' }}>
          <Text variant="strong" tone={due ? 'due' : 'ink'}>
            {when}
          </Text>
          <WhyLink about={`${formatGrams(buy.massG)} of ${food.name}`} why={buy.why}>
            <RecordNote kind="runsOut" />
          </WhyLink>
        </View>
      }
    />
  );
}
