import { View } from 'react-native';
import { useWords } from '../store';
import { Button, Sheet, Text } from '../ui';

interface Props {
  day: string;
  onClose: () => void;
  onLog: () => void;
}

/** A day that has not come: what is logged of it is asked about once. */
export function AheadSheet({ day, onClose, onLog }: Props) {
  const words = useWords();
  return (
    <Sheet title="Not yet" open onClose={onClose}>
      <Text>{`${words.day(day)} has not come yet. Was this really served?`}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button look="primary" label="Leave it" onPress={onClose} />
        <Button label={`Log it for ${words.day(day)}`} onPress={onLog} />
      </View>
    </Sheet>
  );
}
