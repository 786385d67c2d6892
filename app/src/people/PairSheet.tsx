import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { api } from '../store';
import { Button, Fault, Sheet, Skeleton, Text } from '../ui';
import { linkOf } from './linkCode';
import { peopleApi } from './peopleApi';
import { QrCode } from './QrCode';
import { useSend } from './useSend';

/** «Open on my phone»: a code for its camera, which signs it in once. */
export function PairSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet title="Open on my phone" open={open} onClose={onClose}>
      <Pairing />
    </Sheet>
  );
}

function Pairing() {
  const { data: me } = api.useMeQuery();
  const [code, setCode] = useState<string | null>(null);
  const [make] = peopleApi.useMakePairingMutation();
  const { send, problem } = useSend();
  const reached = me?.address ?? null;
  const refresh = () => send(make({})).then((made) => made && setCode(made.code));
  useEffect(() => {
    if (reached !== null && me?.person) void refresh();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- one code for each time that it is opened
  }, [reached]);
  if (reached === null || !me?.person) {
    return (
      <View style={{ gap: 12 }}>
        <Text>This server answers on this machine only, so no phone can reach it.</Text>
        <Text>
          Stop it, then start it with «npm run serve -- --lan». It prints an address and a code for
          the phone’s camera, and says how the phone comes to trust it.
        </Text>
      </View>
    );
  }
  if (problem) return <Fault problem={problem} onRetry={() => void refresh()} />;
  if (!code) return <Skeleton rows={1} height={240} />;
  const link = linkOf(reached, 'pair', code);
  return (
    <View style={{ gap: 16, alignItems: 'flex-start' }}>
      <Text>
        Point the camera of your phone at this. It signs the phone in as {me.person.name}, once,
        within two minutes.
      </Text>
      <QrCode text={link} label={`Code that opens ${reached} on a phone`} />
      <Text variant="small" tone="quiet">
        The phone must be in the same network. Anyone who takes a picture of this can sign in with
        it: close it when you are done.
      </Text>
      <Button label="Make a new code" onPress={refresh} />
    </View>
  );
}
