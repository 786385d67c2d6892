import type { RoundServingView, RoundView } from '@open-larder/contract';
import { GIVES_NOTHING } from '@open-larder/core/culture/vocabulary';
import { formatBodyMass, formatServing, formatUnits } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { FoodSign } from '../draw/FoodSign';
import { api } from '../store';
import { Card, ListRow } from '../ui';
import { open } from './moments';

/** A rounding of the hand is no shortage. */
const ENOUGH = 0.9;

/** What to take from the live shelf before the meals of a moment, and from which vessels. */
export function LiveMeals({ current }: { current: RoundView['moments'][number] }) {
  const router = useRouter();
  const { data: vessels = [] } = api.useVesselsQuery();
  const due = new Map<string, RoundServingView[]>();
  for (const serving of open(current)) {
    due.set(serving.foodId, [...(due.get(serving.foodId) ?? []), serving]);
  }
  const rows = [...due].flatMap(([foodId, servings]) => {
    const from = vessels.filter(
      (one) => one.foodId === foodId && !GIVES_NOTHING.has(one.status.state),
    );
    return from.length === 0 ? [] : [{ foodId, servings, from }];
  });
  if (rows.length === 0) return null;
  return (
    <Card label="To harvest">
      {rows.map(({ foodId, servings, from }, index) => {
        const [one] = servings;
        const units = servings.reduce((sum, { units: each }) => sum + each, 0);
        const massG = servings.reduce((sum, each) => sum + each.massG, 0);
        const givesG = from.reduce((sum, { status }) => sum + status.givesG, 0);
        const names = from.map(({ name }) => name).join(', ');
        const short = givesG < massG * ENOUGH;
        return (
          <ListRow
            key={foodId}
            first={index === 0}
            lead={<FoodSign family={one!.family} />}
            title={`Harvest ${formatServing(formatUnits(units, one!.unit), one!.foodName)}`}
            detail={
              short
                ? `from ${names}: only ${formatBodyMass(givesG)} of ${formatBodyMass(massG)} can be taken without harm`
                : `from ${names}; ${formatBodyMass(givesG)} can be taken today`
            }
            onPress={() =>
              router.push(from.length === 1 ? `/larder/live/${from[0]!.id}` : '/larder/live')
            }
          />
        );
      })}
    </Card>
  );
}
