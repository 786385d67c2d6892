import type { Group } from '@open-larder/contract';
import { formatGrams, formatServing, formatUnits } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { cycleDays, useNow, useFormat, type AppData } from '../store';
import { Button, Card, Empty, ListRow, Text, WhyLink } from '../ui';
import { Findings } from './Findings';
import { reviewDiet } from './look';
import { formatMoment, ZONE_WORDS } from './labels';

/** What a group eats, with the computed portions. */
export function DietSummary({ group, data }: { group: Group; data: AppData }) {
  const router = useRouter();
  const format = useFormat();
  const now = useNow();
  const look = reviewDiet(group, group.diet, data, now.day);
  const edit = () => router.push(`/groups/${group.id}/diet`);
  const food = (id: string) => data.foods.find((one) => one.id === id);
  const nameOf = (servingId: string) =>
    food(group.diet?.servings.find((one) => one.id === servingId)?.foodId ?? '')?.name ?? 'A food';
  if (!group.diet || group.diet.servings.length === 0) {
    return (
      <Empty
        title="No diet yet"
        text="Say which foods they get, at which moments and where. The portions are worked out from their mass, the warmth and the energy of each food."
        action={<Button least="keeper" variant="primary" label="Plan their diet" onPress={edit} />}
      />
    );
  }
  const fasts = format.weekdays.filter((day) => group.diet?.fastWeekdays.includes(day.value));
  const dayNames = cycleDays(
    format,
    data.tanks.find((tank) => tank.id === group.tankId)?.plan?.cycle,
  );
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">Diet</Text>
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
                  ? formatServing(formatUnits(due.portion.units, due.food.unit), row.name)
                  : (row?.name ?? 'A food that left the shelf')
              }
              detail={[
                moment
                  ? `${moment.name}, ${formatMoment(moment, format)}`
                  : 'a moment that was ended',
                [ZONE_WORDS[serving.zone], serving.place].filter(Boolean).join(', '),
                days.length === dayNames.length ? null : days.map((day) => day.label).join(' '),
                due ? formatGrams(due.portion.massG) : null,
              ]
                .filter(Boolean)
                .join(' · ')}
              trail={
                due && row ? (
                  <WhyLink
                    about={formatUnits(due.portion.units, due.food.unit)}
                    why={due.portion.why}
                  />
                ) : null
              }
            />
          );
        })}
        <ListRow
          title="Days without food"
          trail={<Text>{fasts.map((day) => day.spoken).join(', ') || 'none'}</Text>}
        />
      </Card>
      <View style={{ alignItems: 'flex-start' }}>
        <Button least="keeper" label="Change the diet" onPress={edit} />
      </View>
    </View>
  );
}
