import type { RoundView } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { AppData } from '../store';
import { Button, Empty, Text } from '../ui';
import { missed, open, servedFoods } from './moments';
import { MomentStrip } from './MomentStrip';
import { Preparing } from './Preparing';
import { Resting } from './Resting';
import { StillInWater } from './StillInWater';
import { useSame } from './useSame';

interface Props {
  data: AppData;
  round: RoundView;
  current: RoundView['moments'][number] | null;
  minutes: number | null;
  onChoose: (momentId: string) => void;
}

/** The day as a ribbon, its moments, and what of it was missed. */
export function RoundHead({ data, round, current, minutes, onChoose }: Props) {
  const served = useSame(servedFoods(round));
  if (!current) return <NothingPlanned data={data} round={round} />;
  const late = minutes === null ? [] : missed(round, current, minutes);
  return (
    <>
      <MomentStrip
        data={data}
        round={round}
        current={current}
        minutes={minutes}
        onChoose={onChoose}
      />
      <Preparing day={round.day} done={round.done} served={served} minutes={minutes} />
      <StillInWater data={data} round={round} momentId={current.momentId} />
      {late.map((moment) => (
        <View
          key={moment.momentId}
          style={{ flexDirection: 'row', alignItems: 'center', gap: 8, flexWrap: 'wrap' }}
        >
          <Text tone="due">
            {moment.name}: {open(moment).length} not logged.
          </Text>
          <Button
            variant="bare"
            label="Look"
            onPress={() => onChoose(moment.momentId)}
            spoken={`Look at ${moment.name}`}
          />
        </View>
      ))}
    </>
  );
}

function NothingPlanned({ data, round }: { data: AppData; round: RoundView }) {
  const router = useRouter();
  const tanks = data.tanks.filter((tank) => !tank.archived);
  const groups = data.groups.filter((group) => !group.archived);
  const [title, text, act, href] =
    tanks.length === 0
      ? ([
          'No tanks yet',
          'Say in a few lines what you have: a tank, its fish, your foods. The first day follows from that.',
          'Say what you have',
          '/begin',
        ] as const)
      : groups.length === 0
        ? ([
            'No fish yet',
            'Add the fish that live in it; their portions are worked out for you.',
            'Say which fish',
            `/begin?tank=${tanks[0]!.id}`,
          ] as const)
        : data.foods.every((food) => food.archived)
          ? ([
              'The shelf is empty',
              'Put a food on the shelf, then plan who gets it.',
              'Put a food on the shelf',
              '/begin',
            ] as const)
          : ([
              'Nothing to serve',
              'No group has a serving on this day. Plan a diet, and it appears here at its moment.',
              'Plan a diet',
              groups[0] ? `/groups/${groups[0].id}/diet` : '/tanks',
            ] as const);
  return (
    <>
      <Empty
        title={title}
        text={text}
        action={
          <Button
            least="keeper"
            variant="primary"
            label={act}
            onPress={() => router.push(href as '/tanks')}
          />
        }
      />
      <Resting resting={round.resting} data={data} />
    </>
  );
}
