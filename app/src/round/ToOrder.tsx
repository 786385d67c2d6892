import { useRouter } from 'expo-router';
import { memo } from 'react';
import { shoppingList } from '../larder/errands';
import { api, useNow } from '../store';
import { Card, ListRow } from '../ui';

/** A word in the Round before a pack runs out: what must be ordered, or made, today. */
export const ToOrder = memo(function ToOrder() {
  const router = useRouter();
  const now = useNow();
  const { data: foods } = api.useFoodsQuery();
  const { data: supply } = api.useSupplyQuery();
  if (!foods || !supply) return null;
  const byFood = new Map(supply.foods.map((line) => [line.foodId, line]));
  const due = shoppingList(foods, byFood, now.day).filter((errand) => errand.due);
  if (due.length === 0) return null;
  const said = (['order', 'buy', 'make'] as const).flatMap((act) => {
    const names = due.filter((errand) => errand.act === act).map(({ food }) => food.name);
    return names.length === 0 ? [] : [`${act} ${names.join(', ')}`];
  });
  return (
    <Card>
      <ListRow
        first
        title="Before it runs out"
        detail={`Today: ${said.join('; ')}`}
        onPress={() => router.push('/larder')}
      />
    </Card>
  );
});
