import type { FeedingCreate, MealInWater, Problem, Tank } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { LEFT, liftAt, openDrops, stands, type DropInWater } from '../round/inWater';
import { useInWater } from '../round/useInWater';
import { useMealEnd } from '../round/useMealEnd';
import { api, useHand, useNow, useFormat, type AppData } from '../store';
import { nowMs } from '../store/clock';
import { stampFor } from '../store/intent';
import { localNow } from '../store/useNow';
import { Button, Card, ListRow, Text, useToast } from '../ui';

/** Slices, wafers and leaves that stand in a tank: grazed, lifted, replaced. */
export function StandingFood({ tank, data }: { tank: Tank; data: AppData }) {
  const now = useNow();
  const hand = useHand();
  const { data: round } = api.useRoundQuery({ day: now.day, hand });
  const standing = (round?.inWater ?? [])
    .filter((meal) => meal.tankId === tank.id)
    .flatMap((meal) =>
      openDrops(meal)
        .filter((drop) => stands(drop, tank, data.foods))
        .map((drop) => ({ meal, drop })),
    );
  if (standing.length === 0) return null;
  return (
    <>
      <Text variant="subtitle">Standing in the water</Text>
      <Card label="Standing in the water">
        {standing.map(({ meal, drop }, index) => (
          <StandingLine
            key={`${meal.day} ${drop.key}`}
            first={index === 0}
            meal={meal}
            drop={drop}
            tank={tank}
            data={data}
          />
        ))}
      </Card>
    </>
  );
}

interface LineProps {
  first: boolean;
  meal: MealInWater;
  drop: DropInWater;
  tank: Tank;
  data: AppData;
}

function StandingLine({ first, meal, drop, tank, data }: LineProps) {
  const format = useFormat();
  const end = useMealEnd(meal);
  const replace = useReplace(meal, drop, data);
  const [asking, setAsking] = useState(false);
  const food = data.foods.find(({ id }) => id === drop.foodId);
  if (!food) return null;
  const lift = liftAt(drop, tank, data.foods);
  const due = lift !== null && lift <= nowMs();
  const formatTime = (ms: number) => {
    const { day, minutes } = localNow(new Date(ms), data.household.timeZone);
    return `${format.day(day)}, ${format.time(minutes)}`;
  };
  const about = `${food.name} in ${tank.name}`;
  return (
    <View>
      <ListRow
        first={first}
        lead={<FoodSign family={food.family} />}
        title={`${food.name}, ${formatGrams(drop.massG)}`}
        detail={`Put in on ${formatTime(Date.parse(drop.at))}. ${
          due
            ? 'It is time to take out what is left.'
            : lift === null
              ? ''
              : `Take out what is left on ${formatTime(lift)}.`
        }`}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 12, paddingTop: 0 }}>
        <Button
          least="feeder"
          label="Gone"
          spoken={`Gone: ${about}`}
          onPress={() =>
            void end([drop], { clearedMin: null, left: 0, unwatched: false }, `${about}: gone.`)
          }
        />
        <Button
          least="feeder"
          label="Take out"
          spoken={`Take out ${about}`}
          onPress={() => setAsking((before) => !before)}
        />
        <Button
          least="feeder"
          label="Replace"
          spoken={`Replace ${about}`}
          onPress={() => void replace(`${about}: replaced.`)}
        />
      </View>
      {asking ? (
        <View
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 12, paddingTop: 0 }}
          aria-label="How much of it was left?"
        >
          {LEFT.filter(({ value }) => value > 0).map(({ value, label }) => {
            const left = value === 1 ? 'All of it' : label;
            return (
              <Button
                least="feeder"
                key={value}
                label={left}
                spoken={`${left} was left: ${about}`}
                onPress={() =>
                  void end(
                    [drop],
                    { clearedMin: null, left: value, unwatched: false },
                    `${about}: ${left.toLowerCase()} was left.`,
                  )
                }
              />
            );
          })}
        </View>
      ) : null}
    </View>
  );
}

/** The same again in place of what is left, logged as fed now. */
function useReplace(meal: MealInWater, drop: DropInWater, data: AppData) {
  const hand = useHand();
  const toast = useToast();
  const end = useMealEnd(meal);
  const inWater = useInWater();
  const [log] = api.useLogFeedingMutation();
  const [undo] = api.useUndoFeedingMutation();
  const food = data.foods.find(({ id }) => id === drop.foodId);
  return async (text: string) => {
    if (!food) return;
    const at = new Date(nowMs());
    const { day, minutes: atMin } = localNow(at, data.household.timeZone);
    // One stamp for the leaf that goes: a second tap replaces nothing more.
    const { id: servingId } = stampFor('replace', meal.day, drop.key, drop.at);
    const units = drop.massG / food.unit.massG;
    const body: FeedingCreate = {
      ...stampFor('feed', day, servingId, hand),
      servingId,
      day,
      groupId: drop.groupId,
      broodId: null,
      tubId: null,
      foodId: drop.foodId,
      plannedUnits: units,
      units,
      outcome: 'more',
      note: 'replaced',
      hand,
    };
    const answer = await log({ body });
    if (answer.error) {
      toast((answer.error as Problem).detail, { tone: 'error' });
      return;
    }
    const takeBack = await end([drop], { clearedMin: null, left: 0, unwatched: false }, null);
    if (!takeBack) return;
    const { tankId, momentId } = meal;
    inWater.put(
      { tankId, momentId, day },
      { ...drop, key: servingId, at: at.toISOString(), atMin, ended: false },
    );
    toast(text, {
      undo: () => {
        inWater.take(day, servingId);
        takeBack();
        void undo({ params: { id: answer.data.feeding.id }, body: stampFor('undo', servingId) });
      },
    });
  };
}
