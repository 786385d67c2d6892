import type { Feeding, RoundServingView } from '@open-larder/contract';
import { formatUnits } from '@open-larder/say';
import { View } from 'react-native';
import { useFormat, type AppData } from '../store';
import { localNow } from '../store/useNow';
import { Button, Sheet, Text, lowerFirst } from '../ui';

interface Props {
  serving: RoundServingView;
  fed: Feeding;
  household: AppData['household'];
  onClose: () => void;
  onAgain: () => void;
}

/** What was fed already, by whom and when: feeding it again is asked once. */
export function AgainSheet({ serving, fed, household, onClose, onAgain }: Props) {
  const format = useFormat();
  const at = format.time(localNow(new Date(fed.at), household.timeZone).minutes);
  const food = lowerFirst(serving.foodName);
  return (
    <Sheet title="Fed already" open onClose={onClose}>
      <Text>
        {fed.outcome === 'skipped'
          ? `${serving.groupName}: ${food} was skipped at ${at}${by(fed)}.`
          : `${serving.groupName} got ${formatUnits(fed.units, serving.unit)} ${food} at ${at}${by(fed)}.`}
      </Text>
      <Text tone="quiet">
        A second meal fouls the water sooner than it feeds. If it was logged by mistake, undo it.
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button variant="primary" label="Leave it at that" onPress={onClose} />
        <Button label={`Feed ${serving.portion} once more`} onPress={onAgain} />
      </View>
    </Sheet>
  );
}

const by = ({ hand }: Feeding) => (hand ? ` by ${hand}` : '');
