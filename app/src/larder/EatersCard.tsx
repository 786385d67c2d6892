import type { FoodRow } from '@open-larder/contract';
import { formatSignificant } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useHouse } from '../store';
import { Button, Card, ListRow, Text, WhyLink } from '../ui';
import { eatersOf, suits } from './eaters';

/** A food against the mouth and the taste of every group in the house. */
export function EatersCard({ food }: { food: FoodRow }) {
  const { data } = useHouse();
  const router = useRouter();
  const rows = (data ? eatersOf(data) : [])
    .flatMap((eater) => {
      const suited = suits(food, eater);
      return suited ? [{ eater, suited }] : [];
    })
    .sort((a, b) => b.suited.rank - a.suited.rank);
  if (rows.length === 0) return null;
  const eats = (id: string) =>
    data?.groups.some(
      (group) => group.id === id && group.diet?.servings.some(({ foodId }) => foodId === food.id),
    ) ?? false;
  // Just put on the shelf, and in no plan yet.
  const unplanned = !food.archived && !rows.some(({ eater }) => eats(eater.id));
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">{unplanned ? 'Who should get it?' : 'Who can eat it'}</Text>
      <Card label="Who can eat it, by how readily it is taken">
        {rows.map(({ eater, suited }, index) => (
          <ListRow
            key={eater.id}
            first={index === 0}
            title={eater.title}
            detail={`taken ${suited.taken} · ${suited.fits}, mouth ${formatSignificant(suited.gapeMm.value)} mm wide`}
            trail={
              unplanned ? (
                <Button
                  least="keeper"
                  label="Plan it"
                  spoken={`Plan it for ${eater.title}`}
                  onPress={() => router.push(`/groups/${eater.id}/diet?food=${food.id}`)}
                />
              ) : (
                <WhyLink about={`how readily ${eater.title} take it`} why={suited.likely} />
              )
            }
          />
        ))}
      </Card>
    </View>
  );
}
