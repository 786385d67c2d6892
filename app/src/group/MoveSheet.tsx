import type { Problem } from '@open-larder/contract';
import { useState } from 'react';
import { api, useNow, type AppData } from '../store';
import { Button, Sheet, Text, useToast } from '../ui';
import { DateField } from '../ui/DateField';
import { Picker } from '../ui/Picker';
import { tankPicks } from './picks';
import { formIntent, stampFor } from '../store/intent';

interface Props {
  groupIds: readonly string[];
  data: AppData;
  onClose: () => void;
  onMoved: () => void;
}

/** Several groups move to one tank, all or none. */
export function MoveSheet({ groupIds, data, onClose, onMoved }: Props) {
  const toast = useToast();
  const now = useNow();
  const intent = formIntent('move', groupIds);
  const moves = groupIds.map((groupId) => ({ id: intent.also(groupId), groupId }));
  const [tankId, setTankId] = useState('');
  const [day, setDay] = useState<string | null>(now.day);
  const [fieldError, setFieldError] = useState<string | null>(null);
  const [move] = api.useMoveGroupsMutation();
  const [withdraw] = api.useWithdrawGroupEventMutation();
  const submit = async () => {
    if (tankId === '' || day === null) {
      setFieldError(tankId === '' ? 'Say where they go' : 'Say on which day');
      return;
    }
    const done = await move({ body: { id: intent.id, tankId, day, moves } });
    if (done.error) {
      setFieldError((done.error as Problem).detail);
      return;
    }
    const tank = data.tanks.find((one) => one.id === tankId);
    toast(
      `${moves.length === 1 ? 'One group is' : `${moves.length} groups are`} in ${tank?.name}.`,
      {
        undo: async () => {
          for (const { id } of moves) {
            const body = { id: stampFor('undo', id).id, replacement: null };
            await withdraw({ params: { id }, body });
          }
        },
      },
    );
    onMoved();
  };
  return (
    <Sheet
      title={moves.length === 1 ? 'Move a group' : `Move ${moves.length} groups`}
      open
      onClose={onClose}
    >
      <Text tone="quiet">
        Groups move whole, and what they eat goes with them. To move part of one, split it.
      </Text>
      <Picker
        label="To tank"
        search
        value={tankId}
        placeholder="Choose a tank"
        picks={tankPicks(data)}
        onChange={(id) => {
          setTankId(id);
          setFieldError(null);
        }}
        fieldError={fieldError ?? undefined}
      />
      <DateField label="Day" value={day} onChange={setDay} />
      <Button variant="primary" label="Move them" onPress={() => submit()} />
    </Sheet>
  );
}
