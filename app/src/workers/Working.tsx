import { View } from 'react-native';
import { Button, Text } from '../ui';
import type { Work } from './useWork';

interface Props {
  work: Pick<Work<unknown, { stop: () => void }, never>, 'running' | 'fault' | 'forget'>;
  /** What is counted: «ways tried». */
  says: string;
  label: string;
  onStart: () => void;
}

/** A button that starts work; while it runs, how far it is, and a way to stop it. */
export function Working({ work: { running, fault, forget }, says, label, onStart }: Props) {
  return (
    <>
      {running ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
          <Text role="status">
            {running.of === 0 ? 'Starting' : `${running.done} of ${running.of} ${says}`}
          </Text>
          <Button label="Cancel" onPress={forget} />
        </View>
      ) : (
        <View style={{ alignItems: 'flex-start' }}>
          <Button label={label} onPress={onStart} />
        </View>
      )}
      {fault ? <Text>{fault}</Text> : null}
    </>
  );
}
