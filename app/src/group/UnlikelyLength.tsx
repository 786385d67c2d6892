import { View } from 'react-native';
import { Button, Text } from '../ui';

/** A length beyond what the species grows to: asked about, and kept when the keeper says so. */
export function UnlikelyLength({ asks, onKeep }: { asks?: string; onKeep: () => void }) {
  if (!asks) return null;
  return (
    <View style={{ gap: 8, alignItems: 'flex-start' }} role="alert">
      <Text tone="due">{asks}</Text>
      <Button least="keeper" label="It is right: keep it" onPress={onKeep} />
    </View>
  );
}
