import { backupsFor, COLD_MOST_H, energyLeft, isFromEggs, wayOf } from '@open-larder/core/culture';
import { formatGrams, formatNumber } from '@open-larder/say';
import { View } from 'react-native';
import { KeptHere } from '../offline/KeptHere';
import { api, useHousehold, useFormat } from '../store';
import { localNow } from '../store/useNow';
import { Card, ListRow, Text, WhyLink } from '../ui';
import { VesselStrip } from './VesselCard';
import { FamilyCard } from './FamilyCard';
import { HistoryCard } from './HistoryCard';
import { KindCard } from './KindCard';
import type { Culture, Cultures } from './useCultures';
import { VesselActs } from './VesselActs';
import { STATE_WORDS, formatSize, formatStatus } from './labels';
import { WorkList } from './WorkList';
import { RecordNote } from '../forecasts/RecordNote';
import { whyCrash, whyContent } from './why';
import { nowMs } from '../store/clock';

/** A month and the certainty that backups are reported for. */
const BACKUP_DAYS = 30;
const BACKUP_SURE = 0.95;

/** Everything about one vessel: how it stands and goes on, what to do, its family and its history. */
export function VesselDetail({
  culture,
  cultures,
  titled,
}: {
  culture: Culture;
  cultures: Cultures;
  /** Beside the shelf, where the screen's title is not its own. */
  titled: boolean;
}) {
  const format = useFormat();
  const foods = api.useFoodsQuery();
  const { kind, status } = culture;
  const food = foods.data?.find(({ id }) => id === culture.foodId);
  const also = culture.alsoKindKey === null ? null : cultures.kinds.get(culture.alsoKindKey);
  const alike = cultures.kept.filter(
    (one) => one.kindKey === culture.kindKey && one.status.state !== 'crashed',
  ).length;
  const wanted = backupsFor(BACKUP_DAYS, BACKUP_SURE);
  const living = !['crashed', 'ended', 'over'].includes(status.state);
  return (
    <View style={{ gap: 16 }}>
      <Card label={culture.name}>
        <View style={{ padding: 12, gap: 6 }}>
          {titled ? <Text variant="subtitle">{culture.name}</Text> : null}
          <Text variant="small" tone="quiet">
            {[kind.name, culture.strain, formatSize(kind, culture.measure, format), culture.place]
              .filter(Boolean)
              .join(' · ')}
          </Text>
          <VesselStrip
            culture={culture}
            label={`${culture.name}: ${formatStatus(culture)}`}
            height={128}
          />
          <KeptHere about={culture.id} />
          {living ? (
            <Text variant="small" tone="quiet">
              Now and the next three weeks if you leave it alone; a mark a week.
              {wayOf(kind).crowdingIn(kind, culture.measure, status.tempC)
                ? ' You can harvest what is above the dashed line.'
                : ''}
            </Text>
          ) : null}
        </View>
        <WorkList culture={culture} />
      </Card>
      <VesselActs culture={culture} />
      {also ? (
        <Text tone="due">
          {also.name} live in it too. Two kinds in one vessel seldom last: the faster takes the food
          of the other. Each is given half of it; split them while both are there.
        </Text>
      ) : null}
      {status.surprised ? (
        <Text tone="due">
          You took more than the estimate allowed for. Check how dense it is, and the figures
          follow.
        </Text>
      ) : null}
      <RecordNote kind={isFromEggs(culture.kind) ? 'hatchShare' : 'culture'} />
      <Card label="Now">
        <ListRow
          first
          title={upper(STATE_WORDS[status.state])}
          detail={`${status.ageDays} days old, ${format.quantity('temperature', status.tempC)}`}
          trail={
            living ? (
              <WhyLink about={`${formatGrams(status.contentG)} in it`} why={whyContent(culture)}>
                <RecordNote kind={isFromEggs(kind) ? 'hatchShare' : 'culture'} />
              </WhyLink>
            ) : (
              <View />
            )
          }
        />
        {living ? (
          <>
            <ListRow title="In it" trail={<Text>{formatGrams(status.contentG)}</Text>} />
            <ListRow
              title="Can be harvested today"
              detail={
                status.lastingG > 0
                  ? `${formatGrams(status.lastingG)} a day at its best, without running it down`
                  : undefined
              }
              trail={<Text>{formatGrams(status.givesG)}</Text>}
            />
            <ListRow
              title="Chance of a crash within a week"
              detail={status.crash.causes.map(({ cause }) => CAUSES[cause]).join(', ') || undefined}
              trail={
                <View style={{ flexDirection: 'row', alignItems: 'center' }}>
                  <Text>{`${formatNumber((1 - (1 - status.crash.perDay) ** 7) * 100, 0)} %`}</Text>
                  <WhyLink about="this chance of a crash" why={whyCrash(culture)} />
                </View>
              }
            />
            <ListRow
              title="How many to keep"
              detail={`for a 95 % chance that one survives the month; you keep ${alike}`}
              trail={<Text tone={alike < wanted ? 'due' : 'ink'}>{String(wanted)}</Text>}
            />
          </>
        ) : null}
        {status.hatchesAtMs !== null && living ? <HatchRows atMs={status.hatchesAtMs} /> : null}
        {culture.hatch ? (
          <ListRow
            title="Hatches"
            detail={
              culture.hatch.jars === 0
                ? 'assumed: count a drop at the next harvest'
                : `from ${culture.hatch.jars} of your own jars`
            }
            trail={<Text>{`${formatNumber(culture.hatch.share * 100, 0)} %`}</Text>}
          />
        ) : null}
        <ListRow
          title="Gives"
          detail={food ? undefined : 'choose the food on the shelf under «Correct»'}
          trail={<Text>{food?.name ?? 'not on the shelf'}</Text>}
        />
      </Card>
      <FamilyCard culture={culture} cultures={cultures} />
      <HistoryCard vesselId={culture.id} />
      <KindCard kind={kind} />
    </View>
  );
}

/** When a jar can be harvested, and what waiting costs. */
function HatchRows({ atMs }: { atMs: number }) {
  const format = useFormat();
  const household = useHousehold();
  const ready = localNow(new Date(atMs), household?.timeZone ?? 'UTC');
  const hours = (nowMs() - atMs) / 3_600_000;
  const over = hours > 24 * MAX_SHOWN_DAYS;
  return (
    <>
      <ListRow
        title={hours < 0 ? 'Ready' : 'Hatched'}
        detail={over ? 'long ago: rinse the jar, and set it up again' : undefined}
        trail={<Text>{`${format.day(ready.day)}, ${format.time(ready.minutes)}`}</Text>}
      />
      {hours < 0 || over ? null : (
        <ListRow
          title="Energy that is left"
          detail={`in the cold, in fresh salt water, ${percent(energyLeft(24, true))} after a day, for ${COLD_MOST_H} h at most`}
          trail={<Text>{percent(energyLeft(hours, false))}</Text>}
        />
      )}
    </>
  );
}

const MAX_SHOWN_DAYS = 5;
const percent = (share: number) => `${formatNumber(share * 100, 0)} %`;

const CAUSES = {
  crowded: 'crowded',
  warm: 'too warm',
  overfed: 'its water is not clear',
  old: 'old',
} as const;

const upper = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
