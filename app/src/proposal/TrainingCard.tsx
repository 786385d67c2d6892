import type { Group } from '@open-larder/contract';
import { TRAINING_STEPS } from '@open-larder/core/round';
import { View } from 'react-native';
import type { AppData } from '../store';
import { themed } from '../theme';
import { Button, Card, Text, lowerFirst } from '../ui';
import { useAnswer } from './useAnswer';

/** How far a group is on its way to a new food. */
export function TrainingCard({ group, data }: { group: Group; data: AppData }) {
  const styles = useStyles();
  const answer = useAnswer();
  const { training, diet } = group;
  if (!training || training.ends) return null;
  const nameOf = (id: string | undefined) =>
    lowerFirst(data.foods.find((food) => food.id === id)?.name ?? 'a food');
  const serving = diet?.servings.find(({ id }) => id === training.servingId);
  const { step, share, offers } = training;
  return (
    <Card label={`Training of ${group.name}`}>
      <View style={styles.card}>
        <Text variant="strong">{`Trained onto ${nameOf(training.foodId)}`}</Text>
        <View
          role="img"
          aria-label={`Step ${step} of ${TRAINING_STEPS.length}`}
          style={styles.steps}
        >
          {TRAINING_STEPS.map((of, at) => (
            <View key={of} style={[styles.step, at < step && styles.reached]} />
          ))}
        </View>
        <Text variant="small" tone="quiet">
          {serving
            ? `Step ${step}: ${Math.round(share * 100)} % of the meal, the rest ${nameOf(serving.foodId)}. ${offers === 0 ? 'No meal was logged yet' : `${offers} ${offers === 1 ? 'meal' : 'meals'} so far`}. Two taken in a row: a step on; two refused: one back.`
            : 'The serving that it was mixed into is no longer planned: end it, and begin again with another.'}
        </Text>
        <View style={styles.acts}>
          <Button
            least="keeper"
            label="End the training"
            spoken={`End the training of ${group.name}`}
            onPress={() => answer.stop(group, training)}
          />
          {serving ? (
            <Button
              least="keeper"
              variant="bare"
              label="Into the diet"
              spoken={`Put ${nameOf(training.foodId)} into the diet of ${group.name}`}
              onPress={() => answer.keep(group, training, nameOf(training.foodId))}
            />
          ) : null}
        </View>
      </View>
    </Card>
  );
}

const useStyles = themed((c) => ({
  card: { padding: 12, gap: 8 },
  steps: { flexDirection: 'row', gap: 4 },
  step: { flex: 1, height: 8, borderRadius: 4, borderWidth: 1, borderColor: c.ink2 },
  reached: { backgroundColor: c.duckweed, borderColor: c.duckweed },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
}));
