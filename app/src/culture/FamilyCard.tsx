import { familyOf, sharing } from '@open-larder/core/culture';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useFormat } from '../store';
import { Card, ListRow, Text } from '../ui';
import type { Culture, Cultures } from './useCultures';
import { STATE_WORDS, TIE_WORDS } from './labels';

/** Where a culture came from and what came from it; after a crash, what may go the same way. */
export function FamilyCard({ culture, cultures }: { culture: Culture; cultures: Cultures }) {
  const format = useFormat();
  const router = useRouter();
  const byId = new Map(cultures.all.map((one) => [one.id, one]));
  const family = familyOf(cultures.all, culture.id);
  const shared = sharing(cultures.kept, culture.id).flatMap(({ id, ties }) => {
    const other = byId.get(id);
    return other && other.status.state !== 'ended' ? [{ other, ties }] : [];
  });
  const crashed = culture.status.state === 'crashed';
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Family</Text>
      {crashed && shared.length > 0 ? (
        <Text tone="due">
          {shared.map(({ other }) => other.name).join(', ')} may go the same way: look at them
          today, and use other tools.
        </Text>
      ) : null}
      <Card label="Family">
        {family.map(({ id, depth }, index) => {
          const one = byId.get(id);
          if (!one) return null;
          return (
            <View key={id} style={{ paddingLeft: Math.min(depth, 6) * 18 }}>
              <ListRow
                first={index === 0}
                title={`${depth > 0 ? '└ ' : ''}${one.name}`}
                detail={`${format.day(one.startedOn)}, ${one.startedFrom || 'from an unknown source'} · ${STATE_WORDS[one.status.state]}`}
                selected={id === culture.id}
                onPress={id === culture.id ? undefined : () => router.push(`/larder/live/${id}`)}
              />
            </View>
          );
        })}
        {shared.map(({ other, ties }) => (
          <ListRow
            key={other.id}
            title={`Shares with ${other.name}`}
            detail={ties.map((tie) => TIE_WORDS[tie]).join(', ')}
            onPress={() => router.push(`/larder/live/${other.id}`)}
          />
        ))}
      </Card>
    </View>
  );
}
