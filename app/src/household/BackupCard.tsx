import { useState } from 'react';
import { View } from 'react-native';
import { ALL_TAGS, api } from '../store/api';
import { useAppDispatch } from '../store';
import { call } from '../store/call';
import { fromBase64, toBase64 } from '../table/base64';
import { FileButton } from '../table/FileButton';
import { saveFile } from '../table/saveFile';
import { Button, Fault, Text, useToast } from '../ui';
import type { Problem } from '@open-larder/contract';

/** All records in one file, to keep elsewhere; and back, into a household that holds nothing yet. */
export function BackupCard() {
  const toast = useToast();
  const dispatch = useAppDispatch();
  const [problem, setProblem] = useState<Problem | null>(null);
  const save = async () => {
    const answer = await call('getBackup');
    if ('error' in answer) {
      setProblem(answer.error);
      return;
    }
    setProblem(null);
    saveFile(answer.data.fileName, fromBase64(answer.data.base64), 'application/zip');
  };
  const restore = async (bytes: Uint8Array) => {
    const answer = await call('restoreBackup', { body: { base64: toBase64(bytes) } });
    if ('error' in answer) {
      setProblem(answer.error);
      return;
    }
    setProblem(null);
    const rows = Object.values(answer.data.rows).reduce((sum, count) => sum + count, 0);
    dispatch(api.util.invalidateTags([...ALL_TAGS]));
    toast(`The backup is restored: ${rows} entries.`);
  };
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">Backup</Text>
      <Text tone="quiet">
        One file holds everything: tanks, groups, foods, diets, all that was logged and undone, and
        photos. Keep a copy on another machine. It can be restored into a household that is still
        empty.
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Button label="Save a backup" onPress={save} />
        <FileButton label="Restore a backup" accept=".zip,application/zip" onFile={restore} />
      </View>
      {problem ? <Fault problem={problem} /> : null}
    </View>
  );
}
