import type { RoundView } from '@open-larder/contract';
import Check from 'lucide-react-native/icons/check';
import Circle from 'lucide-react-native/icons/circle';
import { View } from 'react-native';
import { useFormat, type AppData } from '../store';
import { useColours } from '../theme';
import { Card, ListRow, Text, lowerFirst } from '../ui';
import { TankPicture } from '../tank/TankPicture';
import { open } from './moments';

interface Props {
  data: AppData;
  round: RoundView;
  current: RoundView['moments'][number] | null;
}

/** Beside the round when wide: the tank that is next, large, and the whole day at a glance. */
export function RoundAside({ data, round, current }: Props) {
  const format = useFormat();
  const colours = useColours();
  const next = current?.stops.find((one) => one.servings.some((serving) => serving.fed === null));
  const stop = next ?? current?.stops[0];
  const tank = data.tanks.find((one) => one.id === stop?.tankId);
  const groups = data.groups.filter((group) => group.tankId === tank?.id && !group.archived);
  return (
    <>
      {tank ? (
        <View style={{ gap: 8 }}>
          <Text variant="subtitle">{next ? `Next: ${tank.name}` : tank.name}</Text>
          <TankPicture tank={tank} data={data} />
          <Text tone="quiet">
            {format.quantity('temperature', tank.tempC)} ·{' '}
            {groups.map((group) => `${group.size.total} ${lowerFirst(group.name)}`).join(', ')}
          </Text>
        </View>
      ) : null}
      <View style={{ gap: 8 }}>
        <Text variant="subtitle">The whole day</Text>
        <Card>
          {round.moments.map((moment, index) => {
            const left = open(moment).length;
            const first = Math.min(...moment.stops.map((one) => one.minutes));
            return (
              <ListRow
                key={moment.momentId}
                first={index === 0}
                lead={
                  left === 0 ? (
                    <Check size={20} color={colours.duckweed} />
                  ) : (
                    <Circle size={20} color={colours.roe} />
                  )
                }
                title={`${format.time(first)} ${moment.name}`}
                detail={moment.stops.length === 1 ? '1 tank' : `${moment.stops.length} tanks`}
                trail={
                  <Text tone={left === 0 ? 'done' : 'due'}>
                    {left === 0 ? 'done' : `${left} to serve`}
                  </Text>
                }
              />
            );
          })}
        </Card>
      </View>
    </>
  );
}
