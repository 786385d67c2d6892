import { View } from 'react-native';
import { useFormat } from '../store';
import { Button, Card, ListRow, Text, Waiting } from '../ui';
import { peopleApi } from './peopleApi';

/** Where you are signed in; each can be signed out from here, where a phone was lost. */
export function Devices() {
  const format = useFormat();
  const { data: devices, error, refetch } = peopleApi.useDevicesQuery();
  const [signOut] = peopleApi.useSignOutDeviceMutation();
  const dayOf = (instant: string) => format.day(instant.slice(0, 10));
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">Where you are signed in</Text>
      {devices ? (
        <Card label="Devices">
          {devices.map((one, at) => (
            <ListRow
              key={one.id}
              first={at === 0}
              title={one.here ? `${one.name} (this one)` : one.name}
              detail={`Since ${dayOf(one.since)} · last used ${dayOf(one.seen)}`}
              trail={
                one.here ? undefined : (
                  <Button
                    label="Sign out"
                    spoken={`Sign out: ${one.name}, since ${dayOf(one.since)}`}
                    onPress={() => signOut({ params: { id: one.id } })}
                  />
                )
              }
            />
          ))}
        </Card>
      ) : (
        <Waiting of={{ error, refetch }} rows={2} height={56} />
      )}
    </View>
  );
}
