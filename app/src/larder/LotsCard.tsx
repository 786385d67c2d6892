import type { FoodRow, LotRow, Problem } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { goodUntil, inOrderOfUse } from '@open-larder/core/stock';
import { View } from 'react-native';
import { api, useNow, useFormat } from '../store';
import { Button, Card, ListRow, Text, lowerFirst, useToast } from '../ui';
import type { FoodSupply } from './shelves';
import { stampFor } from '../store/intent';

interface Props {
  food: FoodRow;
  waste: FoodSupply['waste'];
  onCount: (lot: LotRow) => void;
  onEdit: (lot: LotRow) => void;
}

/** A food's lots in the order in which they will be used; what is eaten up stands apart. */
export function LotsCard({ food, waste, onCount, onEdit }: Props) {
  const format = useFormat();
  const now = useNow();
  const { openedDays } = food.keeps;
  const held = inOrderOfUse(
    food.lots.filter((lot) => lot.remainingG > 0),
    { day: now.day, openedDays },
  );
  const done = food.lots.filter((lot) => lot.remainingG <= 0);
  const wasteOf = new Map(waste.map((one) => [one.lotId, one]));
  const throwAway = useThrowAway(food);
  const isPast = (lot: LotRow) => (goodUntil(lot, openedDays) ?? now.day) < now.day;
  const says = (lot: LotRow) => {
    const until = goodUntil(lot, openedDays);
    const wasted = wasteOf.get(lot.id);
    const parts = [
      lot.place,
      lot.openedOn ? `opened ${format.day(lot.openedOn)}` : 'sealed',
      until === null ? null : `${isPast(lot) ? 'past' : 'good until'} ${format.day(until)}`,
      lot.costMinor === null ? null : format.money(lot.costMinor),
      wasted && wasted.massG > 0.005
        ? `${formatGrams(wasted.massG)} will not be used by then`
        : null,
    ];
    return parts.filter(Boolean).join(' · ');
  };
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Lots</Text>
      {held.length === 0 ? (
        <Text tone="quiet">Nothing on the shelf. Enter what you bought.</Text>
      ) : (
        <Card label="Lots, the next to be used first">
          {held.map((lot, index) => (
            <ListRow
              key={lot.id}
              first={index === 0}
              title={`${formatGrams(lot.remainingG)} of ${formatGrams(lot.amountG)}`}
              detail={says(lot)}
              trail={
                <View style={{ flexDirection: 'row' }}>
                  <Button
                    least="feeder"
                    variant="bare"
                    label="Count"
                    onPress={() => onCount(lot)}
                  />
                  {isPast(lot) ? (
                    <Button
                      least="keeper"
                      variant="bare"
                      label="Throw away"
                      onPress={() => throwAway(lot)}
                    />
                  ) : (
                    <Button
                      least="keeper"
                      variant="bare"
                      label="Edit"
                      onPress={() => onEdit(lot)}
                    />
                  )}
                </View>
              }
            />
          ))}
        </Card>
      )}
      {done.length > 0 ? (
        <Text variant="small" tone="quiet">
          {done.length} used up; the last was bought{' '}
          {format.day(
            done
              .map((lot) => lot.boughtOn)
              .sort()
              .at(-1) as string,
          )}
          .
        </Text>
      ) : null}
    </View>
  );
}

/** Counting a lot down to nothing, with a way back: the count before it. */
function useThrowAway(food: FoodRow) {
  const toast = useToast();
  const now = useNow();
  const [count] = api.useCountLotMutation();
  const counted = (lot: LotRow, remainingG: number) =>
    count({
      params: { id: lot.id },
      body: {
        ...stampFor('count', lot.id, lot.remainingG, remainingG),
        day: now.day,
        remainingG,
      },
    });
  return async (lot: LotRow) => {
    const done = await counted(lot, 0);
    if (done.error) toast((done.error as Problem).detail, { tone: 'error' });
    else {
      toast(`${formatGrams(lot.remainingG)} of ${lowerFirst(food.name)} are thrown away.`, {
        undo: () => void counted(lot, lot.remainingG),
      });
    }
  };
}
