import { formatCultureWork } from '@open-larder/say/culture';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useVesselEvent } from '../culture/useVesselEvent';
import { api } from '../store';
import { themed } from '../theme';
import { Button, Text } from '../ui';

/** What the cultures ask for today, after the fish are fed. */
export function CultureWork() {
  const styles = useStyles();
  const router = useRouter();
  const logEvent = useVesselEvent();
  const { data: vessels = [] } = api.useVesselsQuery();
  const works = vessels.flatMap(({ id, name, work }) =>
    work.map((one) => ({ id, name, ...one, ...formatCultureWork(one.because) })),
  );
  if (works.length === 0) return null;
  const urgent = works.filter((one) => one.urgent);
  const sorted = [...urgent, ...works.filter((one) => !one.urgent)];
  return (
    <View role="group" aria-label="Live shelf">
      {sorted.map(({ id, name, what, says, why, urgent: now }, index) => (
        <View key={id + what} style={[styles.row, index > 0 && styles.ruled]}>
          <View style={styles.words}>
            <Text variant="strong">{name}</Text>
            <Text tone={now ? 'due' : 'ink'}>{says}</Text>
            <Text variant="small" tone="quiet">
              {why}
            </Text>
          </View>
          {what === 'feed' ? (
            <Button
              least="feeder"
              label="Fed"
              spoken={`Fed: ${name}`}
              onPress={() => logEvent(id, { kind: 'fed' }, `${name} is fed.`)}
            />
          ) : what === 'change' || what === 'clear' ? (
            <Button
              least="feeder"
              label="Changed"
              spoken={`Changed: ${name}`}
              onPress={() =>
                void logEvent(
                  id,
                  { kind: 'changed', share: what === 'clear' ? 0.33 : 0.25 },
                  `Water of ${name} is changed.`,
                )
              }
            />
          ) : (
            <Button
              label="Open"
              spoken={`Open ${name}`}
              onPress={() => router.push(`/larder/live/${id}`)}
            />
          )}
        </View>
      ))}
    </View>
  );
}

const useStyles = themed((c) => ({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 12,
    paddingVertical: 8,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  words: { flex: 1, minWidth: 0 },
}));
