import { View } from 'react-native';
import { useFormat } from '../store';
import { Button, Sheet, Text } from '../ui';

interface Props {
  day: string;
  onClose: () => void;
  onLog: () => void;
}

/** A day that has not come: what is logged of it is asked about once. */
export function AheadSheet({ day, onClose, onLog }: Props) {
  const format = useFormat();
  return (
    <Sheet title="Not yet" open onClose={onClose}>
      <Text>{`${format.day(day)} has not come yet. Was this really served?`}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button variant="primary" label="Leave it" onPress={onClose} />
        <Button label={`Log it for ${format.day(day)}`} onPress={onLog} />
      </View>
    </Sheet>
  );
}
