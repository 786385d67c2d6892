import type { PortionsProposed, TrainingProposed } from '@open-larder/contract';
import { View } from 'react-native';
import { api, useWords, type HouseData } from '../store';
import { themed } from '../theme';
import { Button, Card, Text, WhyLink, lowerFirst } from '../ui';
import { TrainingEnd } from './TrainingEnd';
import { useAnswer } from './useAnswer';
import { sayChange, sayRefused, saySigns, sayStep } from './words';

interface Props {
  data: HouseData;
  /** Only those for one group; left out, for all of the house. */
  groupId?: string;
}

/** What was seen leads to other portions and to trainings: asked here, done by the keeper alone. */
export function Proposals({ data, groupId }: Props) {
  const { data: proposed } = api.useProposalsQuery(undefined, { refetchOnMountOrArgChange: true });
  const styles = useStyles();
  const ours = (one: { groupId: string }) => groupId === undefined || one.groupId === groupId;
  const portions = proposed?.portions.filter(ours) ?? [];
  const trainings = proposed?.trainings.filter(ours) ?? [];
  const ended = data.groups.filter(
    ({ id, archived, training }) => training?.ends && !archived && ours({ groupId: id }),
  );
  const all = portions.length + trainings.length + ended.length;
  if (all === 0) return null;
  return (
    <View style={styles.all}>
      <Text look="subtitle">{all === 1 ? 'A proposal' : `${all} proposals`}</Text>
      {portions.map((one) => (
        <PortionsCard key={one.groupId} proposal={one} data={data} />
      ))}
      {trainings.map((one) => (
        <TrainingCard key={`${one.groupId} ${one.foodId}`} proposal={one} data={data} />
      ))}
      {ended.map((group) => (
        <TrainingEnd key={group.id} group={group} data={data} />
      ))}
    </View>
  );
}

const tankName = (data: HouseData, tankId: string) =>
  data.tanks.find(({ id }) => id === tankId)?.name ?? '';

function PortionsCard({ proposal, data }: { proposal: PortionsProposed; data: HouseData }) {
  const styles = useStyles();
  const words = useWords();
  const answer = useAnswer();
  const { groupName, change, changed, why } = proposal;
  return (
    <Card label={`Portions of ${groupName}`}>
      <View style={styles.card}>
        <View style={styles.head}>
          <Text look="strong">{`${groupName}: ${sayChange(change)}`}</Text>
          <WhyLink about={`${sayChange(change)} for ${lowerFirst(groupName)}`} why={why} />
        </View>
        <Text look="small" tone="quiet">
          {`${tankName(data, proposal.tankId)}: ${saySigns(proposal, words)}.`}
        </Text>
        {changed.map((one) => (
          <Text key={one.servingId}>
            {`${one.foodName}, ${lowerFirst(one.momentName)}: ${sayStep(one)}`}
          </Text>
        ))}
        <View style={styles.acts}>
          <Button
            label={`Give ${change < 0 ? 'less' : 'more'}`}
            spoken={`Give ${groupName} ${sayChange(change)}`}
            onPress={() => void answer.portions(proposal, true)}
          />
          <Button
            look="bare"
            label="Leave it"
            spoken={`Leave the portions of ${groupName}`}
            onPress={() => void answer.portions(proposal, false)}
          />
        </View>
      </View>
    </Card>
  );
}

function TrainingCard({ proposal, data }: { proposal: TrainingProposed; data: HouseData }) {
  const styles = useStyles();
  const answer = useAnswer();
  const { groupId, groupName, foodName } = proposal;
  const about = `${groupName} onto ${lowerFirst(foodName)}`;
  const version = data.groups.find(({ id }) => id === groupId)?.diet?.version ?? 1;
  return (
    <Card label={`${groupName} refuse ${lowerFirst(foodName)}`}>
      <View style={styles.card}>
        <Text look="strong">{`${groupName} refuse the ${lowerFirst(foodName)}`}</Text>
        <Text look="small" tone="quiet">
          {`${tankName(data, proposal.tankId)}. ${sayRefused(proposal)}`}
        </Text>
        <View style={styles.acts}>
          <Button
            label="Train them"
            spoken={`Train ${about}`}
            onPress={() => void answer.begin(proposal, about)}
          />
          <Button
            look="bare"
            label="Leave it"
            spoken={`Do not train ${about}`}
            onPress={() => void answer.declineTraining(proposal, version)}
          />
        </View>
      </View>
    </Card>
  );
}

const useStyles = themed(() => ({
  all: { gap: 12, marginTop: 16 },
  card: { padding: 12, gap: 8 },
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: 8,
    marginVertical: -8,
  },
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
}));
