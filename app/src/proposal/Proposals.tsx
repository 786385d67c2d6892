import type {
  HeedProposed,
  PortionsProposed,
  TrainingProposed,
  WaterProposed,
} from '@open-larder/contract';
import { formatMgL, portionsWhy } from '@open-larder/say';
import { formatHeed } from '@open-larder/say/heed';
import { useRouter, type Href } from 'expo-router';
import { View } from 'react-native';
import { RecordNote } from '../forecasts/RecordNote';
import { api, useFormat, type AppData } from '../store';
import { themed } from '../theme';
import { Button, Card, Disclosure, Text, WhyLink, lowerFirst } from '../ui';
import { TrainingEnd } from './TrainingEnd';
import { useAnswer, type Said } from './useAnswer';
import {
  formatAct,
  formatChange,
  formatLeadsTo,
  formatRefused,
  formatRhythm,
  formatSigns,
  formatStep,
} from './labels';

interface Props {
  data: AppData;
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
  const tankId = data.groups.find(({ id }) => id === groupId)?.tankId;
  const waters =
    proposed?.waters.filter((one) => groupId === undefined || one.tankId === tankId) ?? [];
  const heeds = proposed?.heeds.filter(ours) ?? [];
  const ended = data.groups.filter(
    ({ id, archived, training }) => training?.ends && !archived && ours({ groupId: id }),
  );
  const all = heeds.length + portions.length + waters.length + trainings.length + ended.length;
  if (all === 0) return null;
  const title = all === 1 ? 'A proposal' : `${all} proposals`;
  const cards = (
    <>
      {heeds.map((one) => (
        <HeedCard key={`${one.groupId} ${one.heed.is}`} proposal={one} data={data} />
      ))}
      {portions.map((one) => (
        <PortionsCard key={one.groupId} proposal={one} data={data} />
      ))}
      {waters.map((one) => (
        <WaterCard key={one.tankId} proposal={one} />
      ))}
      {trainings.map((one) => (
        <TrainingCard key={`${one.groupId} ${one.foodId}`} proposal={one} data={data} />
      ))}
      {ended.map((group) => (
        <TrainingEnd key={group.id} group={group} data={data} />
      ))}
    </>
  );
  if (groupId !== undefined) {
    return (
      <View style={styles.all}>
        <Text variant="subtitle">{title}</Text>
        {cards}
      </View>
    );
  }
  const about = [
    ...heeds.map((one) => one.groupName),
    ...portions.map((one) => one.groupName),
    ...waters.map((one) => tankName(data, one.tankId)),
    ...trainings.map((one) => nameOf(data, one.groupId)),
    ...ended.map(({ name }) => name),
  ];
  // Among what is to be done now, what can wait is a line.
  return (
    <Disclosure title={title} detail={[...new Set(about)].join(' · ')}>
      {cards}
    </Disclosure>
  );
}

const nameOf = (data: AppData, groupId: string) =>
  data.groups.find(({ id }) => id === groupId)?.name ?? '';

const tankName = (data: AppData, tankId: string) =>
  data.tanks.find(({ id }) => id === tankId)?.name ?? '';

/** Where another portion is no answer: what to do, and the way to it. */
function HeedCard({ proposal, data }: { proposal: HeedProposed; data: AppData }) {
  const styles = useStyles();
  const format = useFormat();
  const router = useRouter();
  const { groupName, tankId, heed } = proposal;
  const { says, why } = formatHeed(heed, format.units);
  const way = WAYS[heed.is];
  return (
    <Card label={`${groupName}: ${says}`}>
      <View style={styles.card}>
        <Text variant="strong">{`${groupName}: ${lowerFirst(says)}`}</Text>
        <Text variant="small" tone="quiet">
          {`${tankName(data, tankId)}: ${lowerFirst(why)}`}
        </Text>
        <View style={{ alignItems: 'flex-start' }}>
          <Button label={way.label} onPress={() => router.push(way.to(proposal))} />
        </View>
      </View>
    </Card>
  );
}

const WAYS: Record<HeedProposed['heed']['is'], { label: string; to: (of: HeedProposed) => Href }> =
  {
    hangsBack: { label: 'Who gets it', to: ({ tankId }) => `/tanks/${tankId}/play` as Href },
    fullYoung: { label: 'Their diet', to: ({ groupId }) => `/groups/${groupId}/diet` as Href },
    tooCold: { label: 'The week', to: () => '/week' },
    overLimit: { label: 'Its water', to: ({ tankId }) => `/tanks/${tankId}/water` as Href },
    poison: { label: 'Its water', to: ({ tankId }) => `/tanks/${tankId}/water` as Href },
  };

function PortionsCard({ proposal, data }: { proposal: PortionsProposed; data: AppData }) {
  const styles = useStyles();
  const format = useFormat();
  const answer = useAnswer();
  const { groupName, change, changed, leadsTo } = proposal;
  return (
    <Card label={`Portions of ${groupName}`}>
      <View style={styles.card}>
        <View style={styles.head}>
          <Text variant="strong">{formatAct(proposal, format)}</Text>
          <WhyLink
            about={`${formatChange(change)} for ${lowerFirst(groupName)}`}
            why={portionsWhy(proposal, format.units)}
          />
        </View>
        <Text variant="small" tone="quiet">
          {`${tankName(data, proposal.tankId)}: ${formatSigns(proposal, format)}.`}
        </Text>
        {changed.some(({ days }) => days !== null) ? (
          <Text variant="small">{`In a week that is ${formatChange(change)}.`}</Text>
        ) : null}
        {changed
          .filter(({ days }) => days === null)
          .map((one) => (
            <Text key={one.servingId}>
              {`${one.foodName}, ${lowerFirst(one.momentName)}: ${formatStep(one)}`}
            </Text>
          ))}
        <View>
          {formatLeadsTo(leadsTo, format).map((line) => (
            <Text key={line} variant="small" tone="quiet">
              {line}
            </Text>
          ))}
        </View>
        <Acts
          yes={`Give ${change < 0 ? 'less' : 'more'}`}
          spoken={`Give ${groupName} ${formatChange(change)}`}
          about={`the portions of ${groupName}`}
          onSay={(said) => void answer.portions(proposal, said)}
        />
      </View>
    </Card>
  );
}

function WaterCard({ proposal }: { proposal: WaterProposed }) {
  const styles = useStyles();
  const format = useFormat();
  const answer = useAnswer();
  const { tankName, before, after, peak, capMgL, capGroupName, litresPerWeek, growers, why } =
    proposal;
  return (
    <Card label={`Water of ${tankName}`}>
      <View style={styles.card}>
        <View style={styles.head}>
          <Text variant="strong">{`${tankName}: change ${formatRhythm(after)}`}</Text>
          <WhyLink about={`the water of ${tankName}`} why={why}>
            <RecordNote kind="nitrate" />
          </WhyLink>
        </View>
        <Text variant="small" tone="quiet">
          {`With ${formatRhythm(before)} nitrate peaks at ${formatMgL(peak.before)} mg/L; ${capGroupName} tolerate about ${capMgL} mg/L.`}
        </Text>
        <Text>{`It would peak at ${formatMgL(peak.after)} mg/L.`}</Text>
        <Text variant="small" tone="quiet">
          {`New water a week: ${format.quantity('volume', litresPerWeek.before)} → ${format.quantity('volume', litresPerWeek.after)}`}
        </Text>
        {growers.length > 0 ? (
          <Text variant="small" tone="quiet">
            {`${growers.join(', ')}: still growing, and not to be fed less for the water.`}
          </Text>
        ) : null}
        <Acts
          yes="Change so"
          spoken={`Change ${formatRhythm(after)} in ${tankName}`}
          about={`the water of ${tankName}`}
          onSay={(said) => void answer.water(proposal, said)}
        />
      </View>
    </Card>
  );
}

/** Done, put off for a week, or left. */
function Acts({
  yes,
  spoken,
  about,
  onSay,
}: {
  yes: string;
  spoken: string;
  about: string;
  onSay: (said: Said) => void;
}) {
  const styles = useStyles();
  return (
    <View style={styles.acts}>
      <Button least="keeper" label={yes} spoken={spoken} onPress={() => onSay('yes')} />
      <Button
        least="keeper"
        variant="bare"
        label="In a week"
        spoken={`Ask about ${about} in a week`}
        onPress={() => onSay('later')}
      />
      <Button
        least="keeper"
        variant="bare"
        label="Leave it"
        spoken={`Leave ${about}`}
        onPress={() => onSay('no')}
      />
    </View>
  );
}

function TrainingCard({ proposal, data }: { proposal: TrainingProposed; data: AppData }) {
  const styles = useStyles();
  const answer = useAnswer();
  const { groupId, groupName, foodName } = proposal;
  const about = `${groupName} onto ${lowerFirst(foodName)}`;
  const version = data.groups.find(({ id }) => id === groupId)?.diet?.version ?? 1;
  return (
    <Card label={`${groupName} refuse ${lowerFirst(foodName)}`}>
      <View style={styles.card}>
        <Text variant="strong">{`${groupName} refuse the ${lowerFirst(foodName)}`}</Text>
        <Text variant="small" tone="quiet">
          {`${tankName(data, proposal.tankId)}. ${formatRefused(proposal)}`}
        </Text>
        <Acts
          yes="Train them"
          spoken={`Train ${about}`}
          about={`the training of ${about}`}
          onSay={(said) =>
            void (said === 'yes'
              ? answer.begin(proposal, about)
              : answer.declineTraining(proposal, version, said))
          }
        />
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
