import { formatGrams } from '@open-larder/say';
import { View } from 'react-native';
import { api } from '../store';
import { Button, Card, Text } from '../ui';

/** Said once: which serving units were corrected with the catalogue. What the keeper weighed stays. */
export function Corrected() {
  const { data } = api.useFoodCorrectionsQuery();
  const [see] = api.useSeeFoodCorrectionsMutation();
  const foods = data?.foods ?? [];
  if (foods.length === 0) return null;
  return (
    <Card>
      <View style={{ padding: 12, gap: 8 }}>
        <Text variant="strong">Some serving units were wrong and have been corrected</Text>
        <Text variant="small" tone="quiet">
          Portions of these foods are counted anew. What you weighed yourself has not changed; weigh
          a few of the others to be sure.
        </Text>
        {foods.map(({ foodId, name, unit, wasG, isG }) => (
          <Text key={foodId}>
            {`${name}: one ${unit} is ${formatGrams(isG)}, not ${formatGrams(wasG)}`}
          </Text>
        ))}
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            label="I have seen it"
            onPress={async () => {
              await see({ body: { foodIds: foods.map(({ foodId }) => foodId) } });
            }}
          />
        </View>
      </View>
    </Card>
  );
}
