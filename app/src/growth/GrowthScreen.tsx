import type { Group, LifeEventRow } from '@open-larder/contract';
import { formatBodyMass, formatGrams } from '@open-larder/core/food';
import {
  curveOn,
  foodConversion,
  survivalOf,
  usualLength,
  type GrowthStatus,
} from '@open-larder/core/growth';
import { addDays, daysBetween } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/core/units';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { GrowthCurve } from '../draw/GrowthCurve';
import { SizeRow } from '../draw/SizeRow';
import { formatCause } from '../group/labels';
import { api, useHouse, useNow, useFormat, type AppData } from '../store';
import { useWide } from '../theme';
import {
  Button,
  Card,
  Empty,
  ListRow,
  NumberField,
  Screen,
  Text,
  lazyComponent,
  Waiting,
} from '../ui';
import { KeptPicture } from './KeptPicture';
import { RecordNote } from '../forecasts/RecordNote';
import { useCalibratedDays } from '../forecasts/useForecastRecord';
import { CheckpointsCard } from './CheckpointsCard';
import { MeasureSheet } from './MeasureSheet';
import { growthOf, measuredOf } from './useGrowth';
import { REFUSALS, formatAgainst, formatPercent, formatReached, formatSorting } from './labels';

const Chart = lazyComponent(async () => (await import('../records/Chart')).default);

/** How a group grows: what was measured, its curve, its kind, and what follows from it. */
export function GrowthScreen({ id }: { id: string }) {
  const loaded = useHouse();
  const life = api.useLifeQuery(id);
  const group = loaded.data?.groups.find((one) => one.id === id);
  return (
    <Screen title="Growth" detail={group?.name} back={group ? `/groups/${id}` : '/tanks'}>
      {!loaded.data || !life.data ? (
        <Waiting of={[loaded, life]} rows={4} height={80} />
      ) : group ? (
        <GrowthOf group={group} data={loaded.data} events={life.data} />
      ) : (
        <Empty title="No such group" text="It may have been ended. Go back to its tank." />
      )}
    </Screen>
  );
}

interface Props {
  group: Group;
  data: AppData;
  events: LifeEventRow[];
}

function GrowthOf({ group, data, events }: Props) {
  const format = useFormat();
  const now = useNow();
  const wide = useWide();
  const router = useRouter();
  const species = data.species.get(group.speciesKey);
  const [targetCm, setTargetCm] = useState<number | null>(
    species ? Math.round(species.adultLengthCm * 5) / 10 : null,
  );
  const [measuring, setMeasuring] = useState(false);
  const status = useMemo(
    () =>
      growthOf(group, events, data, now.day, targetCm !== null && targetCm > 0 ? targetCm : null),
    [group, events, data, now.day, targetCm],
  );
  const asFarApart = useCalibratedDays('lengthDay');
  const reached =
    status !== null && typeof status.reached === 'object' && status.reached !== null
      ? asFarApart(status.reached)
      : (status?.reached ?? null);
  const length = format.scale('length');
  const measure = (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      <Button variant="primary" label="Measure a few" onPress={() => setMeasuring(true)} />
      <Button label="Trials" onPress={() => router.push('/records?tab=trials')} />
      <Button
        variant="bare"
        label="Compare batches"
        onPress={() => router.push('/records/compare')}
      />
    </View>
  );
  const sheet = measuring ? (
    <MeasureSheet group={group} onClose={() => setMeasuring(false)} />
  ) : null;
  if (!status || status.samples.length === 0) {
    return (
      <View style={{ gap: 16 }}>
        <Empty
          title="Not measured yet"
          text="Measure a few, by number or in a photo beside a ruler: how they grow against their kind, when they reach a length, and whether to sort them follows from it."
        />
        {measure}
        {status ? <CheckpointsCard group={group} status={status} /> : null}
        {sheet}
      </View>
    );
  }
  return (
    <View style={{ gap: 16, maxWidth: wide ? 820 : undefined }}>
      <Said status={status} />
      {measure}
      <CurveCard group={group} status={status} data={data} targetCm={targetCm} />
      <NumberField
        label="When do they reach"
        unit={length.unit}
        scale={length}
        decimals={1}
        value={targetCm}
        onChange={setTargetCm}
        hint={
          targetCm !== null && targetCm > 0
            ? (formatReached(reached, targetCm, format) ?? undefined)
            : 'A length at which they move up, breed, or can be sold or given away.'
        }
      />
      <RecordNote kind={reached === null ? 'length' : 'lengthDay'} />
      <CheckpointsCard group={group} status={status} />
      <SizesCard group={group} status={status} data={data} />
      <FiguresCard group={group} status={status} events={events} data={data} />
      <MassChart status={status} />
      <SamplesCard events={events} />
      {sheet}
    </View>
  );
}

function Said({ status }: { status: GrowthStatus }) {
  const format = useFormat();
  const last = status.samples.at(-1)!;
  const sorting = formatSorting(status, format);
  const against = formatAgainst(status, format);
  const interval =
    last.low === null || last.high === null
      ? ', one fish: the others may differ'
      : `, likely ${format.quantity('length', last.low)} to ${format.quantity('length', last.high)}`;
  return (
    <View style={{ gap: 4 }}>
      <Text variant="strong">{`${format.quantity('length', last.mean)}${interval}`}</Text>
      <Text variant="small" tone="quiet">
        {`${last.n} of them, ${format.day(last.day)}${last.again ? '; some were measured more than once' : ''}${last.cv === null ? '' : `; they differ by ${formatPercent(last.cv)}`}. One weighs about ${formatBodyMass(last.massG)}.`}
      </Text>
      {against ? <Text tone={status.against === 'behind' ? 'due' : 'ink'}>{against}</Text> : null}
      {sorting ? <Text tone="due">{sorting}</Text> : null}
      {status.runts > 0 ? (
        <Text tone="due">
          {`${status.runts === 1 ? 'One is a runt' : `${status.runts} are runts`}, under 70 % of the mean: raise ${status.runts === 1 ? 'it' : 'them'} apart, where food reaches ${status.runts === 1 ? 'it' : 'them'}.`}
        </Text>
      ) : null}
      {status.shrank ? (
        <Text tone="due">
          {`Shorter than before: ${format.quantity('length', status.shrank.fromCm)} then, ${format.quantity('length', status.shrank.toCm)} now. Fish do not shrink so: others were measured, or the unit was another.`}
        </Text>
      ) : null}
      {status.condition && status.condition.word !== 'as usual' ? (
        <Text tone="due">
          {`${status.condition.word === 'thin' ? 'Thin' : 'Stout'} for their length: ${formatPercent(status.condition.value)} of the usual mass.`}
        </Text>
      ) : null}
    </View>
  );
}

/** Days that are drawn after today, where a curve or the kind is followed. */
const AHEAD = 42;
const STEPS = 40;

function CurveCard({
  group,
  status,
  data,
  targetCm,
}: {
  group: Group;
  status: GrowthStatus;
  data: AppData;
  targetCm: number | null;
}) {
  const format = useFormat();
  const now = useNow();
  const [width, setWidth] = useState(0);
  const others = useOthers(group, data, status);
  const species = data.species.get(group.speciesKey)!;
  const tempC = data.tanks.find(({ id }) => id === group.tankId)?.tempC ?? species.tempOptC;
  const first = status.samples[0]!;
  const at = (day: string) => daysBetween(first.day, day);
  const today = Math.max(1, at(now.day));
  const end = today + AHEAD;
  const shown = (cm: number) => format.scale('length').fromBase(cm);
  const days = Array.from({ length: STEPS + 1 }, (_, step) => (end * step) / STEPS);
  const curve = status.curve
    ? curveOn(
        status.curve,
        days.filter((day) => day <= end),
      )
    : [];
  const label = format.scale('length').unit;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Against their kind</Text>
      <View
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ minHeight: 230 }}
      >
        {width > 0 ? (
          <GrowthCurve
            label={`${group.name}: ${status.samples.map(({ day, mean }) => `${format.quantity('length', mean)} on ${format.day(day)}`).join(', ')}`}
            width={width}
            samples={status.samples.map(({ day, mean, low, high }) => ({
              day: at(day),
              mean: shown(mean),
              low: low === null ? null : shown(low),
              high: high === null ? null : shown(high),
            }))}
            curve={curve.map(({ day, cm, low, high }) => ({
              day,
              cm: shown(cm),
              low: shown(low),
              high: shown(high),
            }))}
            usual={days.map((day) => ({
              day,
              cm: shown(usualLength(species, tempC, first.mean, day)),
            }))}
            others={others.map((points) => points.map(({ day, cm }) => ({ day, cm: shown(cm) })))}
            target={
              targetCm !== null && targetCm > 0
                ? { at: shown(targetCm), says: format.quantity('length', targetCm) }
                : null
            }
            today={today}
            unit={label}
            dates={[0, today].map((day) => ({
              day,
              says:
                day === today ? 'today' : format.day(addDays(first.day, day)).replace(/^\w+ /, ''),
            }))}
          />
        ) : null}
      </View>
      <Text variant="small" tone="quiet">
        {`${status.curve ? `Solid: ${status.curve.kind === 'gompertz' ? 'a Gompertz' : 'a von Bertalanffy'} curve through what was measured, shaded its 95 % range${status.curve.endKnown ? `; it levels off at about ${format.quantity('length', status.curve.linfCm)}` : '; where it levels off is not known yet'}.` : REFUSALS[status.refused!]} Dashed: their kind, well fed, from the first measurement on.${others.length > 0 ? ' Thin: earlier batches of yours.' : ''}`}
      </Text>
    </View>
  );
}

/** Other groups of its species, each from where it had the length that this one began with. */
function useOthers(group: Group, data: AppData, status: GrowthStatus) {
  const ids = data.groups
    .filter(({ id, speciesKey }) => id !== group.id && speciesKey === group.speciesKey)
    .slice(0, 2)
    .map(({ id }) => id);
  const one = api.useLifeQuery(ids[0] ?? '', { skip: ids.length < 1 });
  const two = api.useLifeQuery(ids[1] ?? '', { skip: ids.length < 2 });
  return useMemo(() => {
    const start = status.samples[0]?.mean ?? 0;
    return [one.data, two.data].flatMap((events) => {
      const points = measuredOf(events ?? []);
      const from = points.findIndex(({ lengthCm }) => lengthCm >= start * 0.9);
      const kept = from < 0 ? [] : points.slice(from);
      return kept.length < 2
        ? []
        : [
            kept.map(({ day, lengthCm }) => ({
              day: daysBetween(kept[0]!.day, day),
              cm: lengthCm,
            })),
          ];
    });
  }, [one.data, two.data, status]);
}

function SizesCard({ group, status, data }: { group: Group; status: GrowthStatus; data: AppData }) {
  const format = useFormat();
  const [width, setWidth] = useState(0);
  const last = status.samples.at(-1)!;
  const species = data.species.get(group.speciesKey);
  if (last.values.length < 2 || !species) return null;
  const { unit, fromBase } = format.scale('length');
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Each of them</Text>
      <View
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ minHeight: 60 }}
      >
        {width > 0 ? (
          <SizeRow
            label={`Lengths: ${last.values.map((one) => format.quantity('length', one)).join(', ')}`}
            width={Math.min(width, 520)}
            shape={species.shape}
            lengths={last.values.map(fromBase)}
            cut={status.sorting ? fromBase(status.sorting.atCm) : null}
            unit={unit}
          />
        ) : null}
      </View>
    </View>
  );
}

/** Growth, food and losses between the last two measurements. */
function FiguresCard({ group, status, events, data }: Props & { status: GrowthStatus }) {
  const format = useFormat();
  const now = useNow();
  const last = status.samples.at(-1)!;
  const before = status.samples.at(-2);
  const span = { from: before?.day ?? addDays(now.day, -28), to: last.day };
  const served = api.useServedQuery(span, { skip: before === undefined || span.from > span.to });
  const dry = useMemo(() => {
    const moist = new Map(data.foods.map((food) => [food.id, food.composition.moisture]));
    return (served.data?.rows ?? [])
      .filter(({ groupId }) => groupId === group.id)
      .reduce(
        (sum, row) =>
          sum +
          Math.max(0, row.offeredG - row.refusedG - row.leftG) * (1 - (moist.get(row.foodId) ?? 0)),
        0,
      );
  }, [served.data, data.foods, group.id]);
  const gained = before ? (last.massG - before.massG) * group.size.total : 0;
  const conversion = before && served.data ? foodConversion(dry, gained) : null;
  const lived = survivalOf(
    events
      .filter(({ withdrawn }) => !withdrawn)
      .map((event) => ({
        ...event,
        males: event.males ?? 0,
        females: event.females ?? 0,
        unsexed: event.unsexed ?? 0,
      }))
      .filter(({ kind }) => !['moved', 'measured', 'staged'].includes(kind))
      .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0)) as never,
    addDays(now.day, -90),
    now.day,
  );
  const spanSays = before ? `${format.day(before.day)} to ${format.day(last.day)}` : '';
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">What it came to</Text>
      <Card label="What it came to">
        <ListRow
          first
          title="Growth"
          detail={before ? spanSays : 'measure once more to know'}
          trail={
            <Text variant="strong">
              {status.growthRate
                ? `${formatNumber(status.growthRate.perDay, 2)} % of its mass a day`
                : 'not known yet'}
            </Text>
          }
        />
        <ListRow
          title="Dry food to a gram gained"
          detail={
            before
              ? `${formatGrams(dry)} of dry food noted, ${formatGrams(gained)} gained by all`
              : ''
          }
          trail={
            <Text variant="strong">
              {conversion === null
                ? before && gained <= 0
                  ? 'nothing gained'
                  : before && served.data
                    ? 'too little food noted'
                    : 'not known yet'
                : `${formatNumber(conversion, 1)} g`}
            </Text>
          }
        />
        <ListRow
          title="Living through a month"
          detail={
            lived.died === 0
              ? 'no loss in ninety days'
              : `${lived.died} lost in ninety days: ${lived.causes.map(({ cause, count }) => `${count} ${formatCause(cause)}`).join(', ')}`
          }
          trail={
            <Text variant="strong">
              {lived.over30
                ? `${formatPercent(lived.over30.share)} (${formatPercent(lived.over30.low)} to ${formatPercent(lived.over30.high)})`
                : 'not known'}
            </Text>
          }
        />
        {status.condition ? (
          <ListRow
            title="Condition"
            detail={`weighed ${format.day(status.condition.day)}, against what is usual at that length`}
            trail={
              <Text variant="strong">{`${formatNumber(status.condition.value, 2)}, ${status.condition.word}`}</Text>
            }
          />
        ) : null}
      </Card>
    </View>
  );
}

function MassChart({ status }: { status: GrowthStatus }) {
  const format = useFormat();
  if (status.samples.length < 3) return null;
  return (
    <Chart
      view="lines"
      title="Mass of one"
      detail="g, from the mean length of each measurement by the shape of its body."
      labels={status.samples.map(({ day }, at) =>
        status.samples.length > 5 && at % 2 === 1 ? '' : format.day(day).replace(/^\w+ /, ''),
      )}
      lines={[{ values: status.samples.map(({ massG }) => massG), variant: 'main' }]}
    />
  );
}

function SamplesCard({ events }: { events: LifeEventRow[] }) {
  const format = useFormat();
  const measured = events.filter(({ kind, withdrawn }) => kind === 'measured' && !withdrawn);
  const [shown, setShown] = useState<LifeEventRow | null>(null);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Measured</Text>
      <Card label="Measured">
        {measured.map((event, index) => (
          <ListRow
            key={event.id}
            first={index === 0}
            title={format.quantity('length', event.lengthCm!)}
            detail={[
              format.day(event.day),
              event.lengthsCm ? `${event.lengthsCm.length} measured` : 'a mean alone',
              event.massG === null ? null : `${formatGrams(event.massG)} each`,
              event.note,
            ]
              .filter(Boolean)
              .join(' · ')}
            trail={
              event.pictured ? (
                <Button
                  label="Picture"
                  spoken={`Picture of ${format.day(event.day)}`}
                  onPress={() => setShown(event)}
                />
              ) : undefined
            }
          />
        ))}
      </Card>
      <Text variant="small" tone="quiet">
        A measurement is corrected or taken back among what happened to the group.
      </Text>
      {shown ? <KeptPicture event={shown} onClose={() => setShown(null)} /> : null}
    </View>
  );
}
