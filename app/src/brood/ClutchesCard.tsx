import { daysBetween } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/say';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { useNow, useFormat } from '../store';
import { Card, ListRow, Text } from '../ui';
import type { Brood, Broods } from './useBroods';
import { ENDED_WORDS } from './labels';

/** A pair rests for so many days between two spawns, at the least. Assumption. */
const REST_DAYS = 14;

/** Clutches of the same parents, or else of the species, beside each other. */
export function ClutchesCard({ brood, broods }: { brood: Brood; broods: Broods }) {
  const format = useFormat();
  const router = useRouter();
  const now = useNow();
  const alike = broods.all.filter(
    (one) =>
      one.speciesKey === brood.speciesKey &&
      (brood.groupId === null || one.groupId === brood.groupId),
  );
  const laid = alike
    .map(({ status }) => status.state.spawnedOn)
    .filter((day): day is string => day !== null)
    .sort();
  const since = laid.length > 0 ? daysBetween(laid.at(-1)!, now.day) : null;
  if (alike.length < 2) return null;
  const age = brood.status.ageDays;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Clutches of these parents</Text>
      <Card label="Clutches of these parents">
        {alike.map((one, index) => (
          <ListRow
            key={one.id}
            first={index === 0}
            selected={one.id === brood.id}
            title={one.name}
            detail={saysOf(one, age, format.day)}
            onPress={one.id === brood.id ? undefined : () => router.push(`/broods/${one.id}`)}
            trail={one.id === brood.id ? <Text tone="quiet">this one</Text> : undefined}
          />
        ))}
      </Card>
      {since === null ? null : (
        <Text variant="small" tone="quiet">
          {since < REST_DAYS
            ? `They spawned ${since} days ago: let them rest about ${REST_DAYS} days between two.`
            : `${since} days since they last spawned.`}
        </Text>
      )}
    </View>
  );
}

function saysOf({ status }: Brood, age: number | null, say: (day: string) => string): string {
  const { state, tubs, swim } = status;
  const max = tubs.reduce((sum, tub) => sum + (tub.max ?? 0), 0);
  const left = (state.count ?? 0) + state.rehomed;
  const days = state.spawnedOn && swim ? daysBetween(state.spawnedOn, swim.day) : null;
  const length = age !== null && age >= 0 ? status.lengthsCm[age] : undefined;
  return [
    state.spawnedOn ? `laid ${say(state.spawnedOn)}` : null,
    days === null ? null : `${days} days until they swam`,
    max > 0 ? `${left} of ${max} came through` : null,
    length === undefined ? null : `${formatNumber(length * 10, 1)} mm at day ${age}`,
    state.rehomed > 0 ? `${state.rehomed} given away` : null,
    state.ended === null ? null : ENDED_WORDS[state.ended],
  ]
    .filter(Boolean)
    .join(' · ');
}
