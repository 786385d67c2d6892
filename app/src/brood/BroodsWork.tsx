import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button, Card, Text } from '../ui';
import { BroodWorkList } from './BroodWorkList';
import { useBroods } from './useBroods';

/** What the broods ask for today, among the rest of the round. */
export function BroodsWork() {
  const router = useRouter();
  const { data } = useBroods();
  const due = (data?.kept ?? []).flatMap((brood) => {
    // Young that are a group of their own are served in the round already.
    const work = brood.work.filter(({ what }) => what !== 'feed' || brood.youngGroupId === null);
    return work.length > 0 ? [{ brood, work }] : [];
  });
  if (due.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Broods</Text>
      {due.map(({ brood, work }) => (
        <Card key={brood.id} label={brood.name}>
          <View style={{ flexDirection: 'row', alignItems: 'center', padding: 12, gap: 8 }}>
            <View style={{ flex: 1, minWidth: 0 }}>
              <Text variant="strong">{brood.name}</Text>
            </View>
            <Button
              label="Open"
              spoken={`Open ${brood.name}`}
              onPress={() => router.push(`/broods/${brood.id}`)}
            />
          </View>
          <BroodWorkList brood={brood} work={work} />
        </Card>
      ))}
    </View>
  );
}
