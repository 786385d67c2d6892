import { formatServing, formatUnits } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat, useNow } from '../store';
import { themed } from '../theme';
import { Button, Card, Text } from '../ui';
import { dueMeal, formatMeal, toServe, type FryServingRow } from './fryMeals';
import { TubMealSheet } from './TubMealSheet';
import type { Brood } from './useBroods';
import { useFeedYoung } from './useFeedYoung';

/** The day of the young, meal by meal: what was given, what is due, and each tub on its own. */
export function MealsCard({ brood }: { brood: Brood }) {
  const styles = useStyles();
  const format = useFormat();
  const now = useNow();
  const young = useFeedYoung();
  const [open, setOpen] = useState<number | null>(null);
  const [other, setOther] = useState<FryServingRow | null>(null);
  const due = dueMeal(brood.meals, now.minutes);
  if (brood.meals.length === 0) return null;
  return (
    <Card label="Meals of today">
      {brood.meals.map((meal, index) => {
        const rest = toServe(meal);
        const given = meal.servings.filter(({ fed }) => fed !== null);
        const missed = rest.length > 0 && meal !== due && meal.minutes < now.minutes;
        const shelve = meal.servings.some(({ foodId }) => foodId === null);
        return (
          <View key={meal.minutes} style={[styles.meal, index > 0 && styles.ruled]}>
            <View style={styles.line}>
              <View style={styles.words}>
                <Text
                  variant="strong"
                  tone={meal === due ? 'due' : given.length > 0 ? 'done' : 'ink'}
                >
                  {format.time(meal.minutes)}
                </Text>
                <Text variant="small" tone="quiet">
                  {[
                    formatMeal(meal),
                    given.length > 0 && rest.length === 0 ? 'given' : null,
                    missed ? 'not given; it is not made up for' : null,
                    shelve ? 'put this food on the shelf to log it' : null,
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </Text>
              </View>
              {rest.length > 0 && !missed ? (
                <Button
                  least="feeder"
                  variant={meal === due ? 'primary' : undefined}
                  label={rest.length > 1 ? 'Give all' : 'Given'}
                  spoken={`Given at ${format.time(meal.minutes)}: ${formatMeal(meal)}`}
                  onPress={() => young.feed(brood.id, rest, `${formatMeal(meal)}: given.`)}
                />
              ) : null}
              <Button
                variant="bare"
                label={open === meal.minutes ? 'Less' : 'By tub'}
                spoken={`Each tub at ${format.time(meal.minutes)}`}
                onPress={() => setOpen(open === meal.minutes ? null : meal.minutes)}
              />
            </View>
            {open === meal.minutes
              ? meal.servings.map((serving) => (
                  <View key={serving.servingId} style={styles.line}>
                    <View style={styles.words}>
                      <Text variant="small">
                        {`${serving.tubName}: ${formatServing(formatUnits(serving.units, serving.unit), serving.name)}`}
                      </Text>
                    </View>
                    {serving.fed ? (
                      <Button
                        least="feeder"
                        variant="bare"
                        label={`${OUTCOMES[serving.fed.outcome]} · undo`}
                        spoken={`Undo ${serving.name} in ${serving.tubName}`}
                        onPress={() => young.takeBack([serving.fed!])}
                      />
                    ) : serving.foodId === null ? null : (
                      <Button
                        least="feeder"
                        variant="bare"
                        label="Otherwise"
                        spoken={`Otherwise: ${serving.name} in ${serving.tubName}`}
                        onPress={() => setOther(serving)}
                      />
                    )}
                  </View>
                ))
              : null}
          </View>
        );
      })}
      {other?.foodId ? (
        <TubMealSheet
          serving={{ ...other, foodId: other.foodId }}
          onGive={(given, says) => {
            setOther(null);
            void young.feed(brood.id, [{ ...other, foodId: other.foodId! }], says, given);
          }}
          onClose={() => setOther(null)}
        />
      ) : null}
    </Card>
  );
}

const OUTCOMES = {
  served: 'given',
  less: 'less given',
  more: 'more given',
  refused: 'not taken',
  skipped: 'left out',
} as const;

const useStyles = themed((c) => ({
  meal: { paddingHorizontal: 12, paddingVertical: 6 },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1, minWidth: 0 },
}));
