import { gravityOf, type Aim } from '@open-larder/core/week';
import Check from 'lucide-react-native/icons/check';
import TriangleAlert from 'lucide-react-native/icons/triangle-alert';
import { View } from 'react-native';
import { useColours } from '../theme';
import { Card, Disclosure, Text } from '../ui';
import { formatAim } from './sayAim';
import type { Names } from './useNames';

/** What the plan ought to do: what it misses, the worst first, and what it meets. */
export function AimsCard({ aims, names }: { aims: readonly Aim[]; names: Names }) {
  const missed = aims.filter((aim) => !aim.met).sort((a, b) => gravityOf(b) - gravityOf(a));
  const met = aims.filter((aim) => aim.met);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">What the plan misses</Text>
      <Card>
        <View style={{ padding: 12, gap: 10 }}>
          {missed.length === 0 ? (
            <Text>Nothing: all get what they need, and what their kind should have.</Text>
          ) : (
            missed.map((aim) => <AimLine key={keyOf(aim)} aim={aim} names={names} />)
          )}
        </View>
      </Card>
      {met.length > 0 ? (
        <Disclosure title={`${met.length} aims are met`}>
          {met.map((aim) => (
            <AimLine key={keyOf(aim)} aim={aim} names={names} />
          ))}
        </Disclosure>
      ) : null}
    </View>
  );
}

const keyOf = ({ kind, groupId, about }: Aim) => `${kind} ${groupId} ${about}`;

function AimLine({ aim, names }: { aim: Aim; names: Names }) {
  const colours = useColours();
  const Icon = aim.met ? Check : TriangleAlert;
  return (
    <View style={{ flexDirection: 'row', gap: 8, alignItems: 'flex-start' }}>
      <View style={{ paddingTop: 2 }}>
        <Icon size={18} color={aim.met ? colours.duckweed : colours.roe} />
      </View>
      <View style={{ flex: 1 }}>
        <Text>{formatAim(aim, names)}</Text>
      </View>
    </View>
  );
}
