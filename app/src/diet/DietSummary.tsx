import type { Group } from '@open-larder/contract';
import { sayGrams, sayUnits } from '@open-larder/core/food';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { cycleDays, useNow, useWords, type HouseData } from '../store';
import { Button, Card, Empty, ListRow, Text, WhyLink, lowerFirst } from '../ui';
import { Findings } from './Findings';
import { lookAtDiet } from './look';
import { sayMoment, ZONE_WORDS } from './words';

/** What a group eats, with the computed portions. */
export function DietSummary({ group, data }: { group: Group; data: HouseData }) {
  const router = useRouter();
  const words = useWords();
  const now = useNow();
  const look = lookAtDiet(group, group.diet, data, now.day);
  const edit = () => router.push(`/groups/${group.id}/diet`);
  const food = (id: string) => data.foods.find((one) => one.id === id);
  const nameOf = (servingId: string) =>
    food(group.diet?.servings.find((one) => one.id === servingId)?.foodId ?? '')?.name ?? 'A food';
  if (!group.diet || group.diet.servings.length === 0) {
    return (
      <Empty
        title="No diet yet"
        text="Say which foods they get, at which moments and where. The portions are worked out from their mass, the warmth and the energy of each food."
        action={<Button look="primary" label="Plan their diet" onPress={edit} />}
      />
    );
  }
  const fasts = words.weekdays.filter((day) => group.diet?.fastWeekdays.includes(day.value));
  const dayNames = cycleDays(
    words,
    data.tanks.find((tank) => tank.id === group.tankId)?.plan?.cycle,
  );
  return (
    <View style={{ gap: 12 }}>
      <Text look="subtitle">Diet</Text>
      <Findings findings={look?.findings ?? []} servingName={nameOf} />
      <Card>
        {group.diet.servings.map((serving, index) => {
          const moment = data.moments.find((one) => one.id === serving.momentId);
          const due = look?.portions.get(serving.id);
          const row = food(serving.foodId);
          const days = dayNames.filter((day) => serving.days.includes(day.value));
          return (
            <ListRow
              key={serving.id}
              first={index === 0}
              lead={row ? <FoodSign family={row.family} /> : null}
              title={
                due && row
                  ? `${sayUnits(due.portion.units, due.food.unit)} ${lowerFirst(row.name)}`
                  : (row?.name ?? 'A food that left the shelf')
              }
              detail={[
                moment ? `${moment.name}, ${sayMoment(moment, words)}` : 'a moment that was ended',
                [ZONE_WORDS[serving.zone], serving.place].filter(Boolean).join(', '),
                days.length === dayNames.length ? null : days.map((day) => day.label).join(' '),
                due ? sayGrams(due.portion.massG) : null,
              ]
                .filter(Boolean)
                .join(' · ')}
              trail={
                due && row ? (
                  <WhyLink
                    about={sayUnits(due.portion.units, due.food.unit)}
                    why={due.portion.why}
                  />
                ) : null
              }
            />
          );
        })}
        <ListRow
          title="Days with nothing"
          trail={<Text>{fasts.map((day) => day.spoken).join(', ') || 'none'}</Text>}
        />
      </Card>
      <View style={{ alignItems: 'flex-start' }}>
        <Button label="Change the diet" onPress={edit} />
      </View>
    </View>
  );
}
