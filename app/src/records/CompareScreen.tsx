import { addDays } from '@open-larder/core/round';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { GrowthCurve } from '../draw/GrowthCurve';
import { useHouse, useNow, useFormat, type AppData, latest } from '../store';
import { ledgerApi } from '../store/ledgerApi';
import { Button, Card, Choice, Empty, Screen, Text, Waiting } from '../ui';
import { Picker } from '../ui/Picker';
import { startGrowth, type GrowthWorker } from '../workers/growth';
import type { Fitted } from '../workers/growthWork';
import { useWork } from '../workers/useWork';
import { Working } from '../workers/Working';
import { figuresOf } from './account';
import { batchOf, batchRows, seasonsTo, TOLD_DAYS, type Measured } from './compare';
import { CompareTable } from './CompareTable';
import { SpanChoice } from './SpanChoice';

type By = 'groups' | 'batches' | 'seasons';

/** So many columns are still read beside each other. */
const MAX = 4;

/** Groups, batches or seasons beside each other. */
export function CompareScreen() {
  const house = useHouse();
  const [by, setBy] = useState<By>('groups');
  return (
    <Screen title="Compare" back="/records">
      {!house.data ? (
        <Waiting of={house} rows={3} height={80} />
      ) : kept(house.data).length === 0 ? (
        <Empty
          title="No fish to compare yet"
          text="Put groups in your tanks: compare here how they grow, what they eat and what they cost."
        />
      ) : (
        <View style={{ gap: 16, maxWidth: 820 }}>
          <Choice
            label="Beside each other"
            value={by}
            onChange={setBy}
            options={[
              { value: 'groups', label: 'groups' },
              { value: 'batches', label: 'batches of one kind' },
              { value: 'seasons', label: 'seasons of one group' },
            ]}
          />
          {by === 'groups' ? (
            <Groups data={house.data} />
          ) : by === 'seasons' ? (
            <Seasons data={house.data} />
          ) : (
            <Batches data={house.data} />
          )}
        </View>
      )}
    </Screen>
  );
}

/** Those that are kept, in walking order. */
const kept = (data: AppData) => {
  const walk = new Map(data.tanks.map(({ id, walkOrder }) => [id, walkOrder]));
  return data.groups
    .filter(({ archived }) => !archived)
    .sort((a, b) => (walk.get(a.tankId) ?? 0) - (walk.get(b.tankId) ?? 0));
};

function Groups({ data }: { data: AppData }) {
  const now = useNow();
  const format = useFormat();
  const [days, setDays] = useState(91);
  const groups = kept(data);
  const [ids, setIds] = useState<string[]>(() => groups.slice(0, 2).map(({ id }) => id));
  const span = { from: addDays(now.day, 1 - days), to: now.day };
  const { data: account, error, refetch } = latest(ledgerApi.useAccountQuery(span));
  const chosen = ids.flatMap((id) => groups.find((group) => group.id === id) ?? []);
  return (
    <View style={{ gap: 16 }}>
      {ids.map((id, at) => (
        <View key={at} style={{ flexDirection: 'row', alignItems: 'flex-end', gap: 8 }}>
          <View style={{ flex: 1 }}>
            <Picker
              label={at === 0 ? 'These' : 'Beside'}
              value={id}
              onChange={(next) => setIds(ids.map((one, index) => (index === at ? next : one)))}
              picks={groups
                .filter((one) => one.id === id || !ids.includes(one.id))
                .map(({ id: value, name }) => ({ value, title: name }))}
            />
          </View>
          {ids.length > 2 ? (
            <Button
              variant="bare"
              label="Leave out"
              spoken={`Leave out ${groups.find((one) => one.id === id)?.name ?? ''}`}
              onPress={() => setIds(ids.filter((one) => one !== id))}
            />
          ) : null}
        </View>
      ))}
      {ids.length < Math.min(MAX, groups.length) ? (
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            variant="bare"
            label="One more"
            onPress={() => setIds([...ids, groups.find(({ id }) => !ids.includes(id))!.id])}
          />
        </View>
      ) : null}
      <SpanChoice value={days} onChange={setDays} />
      {!account ? (
        <Waiting of={{ error, refetch }} rows={3} height={60} />
      ) : chosen.length < 2 ? (
        <Text>Choose at least two.</Text>
      ) : (
        <CompareTable
          label="Groups beside each other"
          columns={chosen.map(({ name }) => name)}
          rows={figuresOf(
            chosen.map(({ id }) => account.groups.find(({ groupId }) => groupId === id)),
            format,
          )}
        />
      )}
    </View>
  );
}

function Seasons({ data }: { data: AppData }) {
  const now = useNow();
  const format = useFormat();
  const groups = kept(data);
  const [id, setId] = useState(groups[0]?.id ?? '');
  const seasons = useMemo(() => seasonsTo(now.day), [now.day]);
  const [a, b, c, d] = seasons as [Span, Span, Span, Span];
  const report = [
    ledgerApi.useAccountQuery(spanOf(a)),
    ledgerApi.useAccountQuery(spanOf(b)),
    ledgerApi.useAccountQuery(spanOf(c)),
    ledgerApi.useAccountQuery(spanOf(d)),
  ];
  return (
    <View style={{ gap: 16 }}>
      <Picker
        label="Which group"
        value={id}
        onChange={setId}
        picks={groups.map(({ id: value, name }) => ({ value, title: name }))}
      />
      {report.some((one) => !one.data) ? (
        <Waiting of={report} rows={3} height={60} />
      ) : (
        <CompareTable
          label="Seasons beside each other"
          columns={seasons.map(({ name }) => name)}
          rows={figuresOf(
            report.map((one) => one.data!.groups.find(({ groupId }) => groupId === id)),
            format,
          )}
        />
      )}
    </View>
  );
}

interface Span {
  from: string;
  to: string;
  name: string;
}
const spanOf = ({ from, to }: Span) => ({ from, to });

/** Species of which there is or was more than one group. */
function severalOf(data: AppData): string[] {
  const count = new Map<string, number>();
  for (const { speciesKey } of data.groups) count.set(speciesKey, (count.get(speciesKey) ?? 0) + 1);
  return [...count].filter(([, groups]) => groups > 1).map(([key]) => key);
}

function Batches({ data }: { data: AppData }) {
  const keys = useMemo(() => severalOf(data), [data]);
  const [key, setKey] = useState(keys[0] ?? '');
  if (keys.length === 0) {
    return (
      <Empty
        title="No kind has two batches yet"
        text="When you keep or kept two groups of one kind, compare their growth here."
      />
    );
  }
  return (
    <View style={{ gap: 16 }}>
      <Picker
        label="Which kind"
        value={key}
        onChange={setKey}
        picks={keys.map((value) => ({ value, title: data.species.get(value)?.common ?? value }))}
      />
      <BatchesOf key={key} speciesKey={key} data={data} />
    </View>
  );
}

function BatchesOf({ speciesKey, data }: { speciesKey: string; data: AppData }) {
  const groups = useMemo(
    () => data.groups.filter((group) => group.speciesKey === speciesKey),
    [data, speciesKey],
  );
  const ids = useMemo(() => groups.map(({ id }) => id), [groups]);
  const { data: lives, error, refetch } = latest(ledgerApi.useLivesQuery(ids));
  const adultCm = data.species.get(speciesKey)?.adultLengthCm ?? 10;
  const batches = useMemo(
    () =>
      lives
        ? groups.flatMap((group) => batchOf(group, lives[group.id] ?? [], adultCm) ?? [])
        : null,
    [lives, groups, adultCm],
  );
  if (!batches) return <Waiting of={{ error, refetch }} rows={3} height={80} />;
  if (batches.length < 2) {
    return (
      <Empty
        title="Fewer than two were measured twice"
        text="Measure a few of each batch now and then, and compare here how they grew."
      />
    );
  }
  return <Curves batches={batches} />;
}

/** Days between points of a drawn curve. */
const STEP = 5;

function Curves({ batches }: { batches: readonly Measured[] }) {
  const format = useFormat();
  const work = useWork<Fitted[], GrowthWorker, typeof batches>(batches, startGrowth);
  const [mainId, setMain] = useState(batches.at(-1)!.id);
  const [width, setWidth] = useState(0);
  const last = Math.max(...batches.map(({ points }) => points.at(-1)!.day), 1);
  const days = useMemo(
    () =>
      [
        ...new Set([
          ...TOLD_DAYS,
          ...Array.from({ length: Math.ceil(last / STEP) + 1 }, (_, at) => at * STEP),
        ]),
      ].sort((a, b) => a - b),
    [last],
  );
  const start = () => work.run((worker, of, onBatch) => worker.fit([...of], days, onBatch));
  // Fitted when it is opened, and anew for what changed.
  useEffect(() => {
    start();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is fitted is all that matters
  }, [batches, days]);
  if (!work.result) {
    return <Working work={work} says="curves fitted" label="Fit the curves" onStart={start} />;
  }
  const { fromBase, unit } = format.scale('length');
  const drawn = (batch: Measured) => {
    const on = work.result!.find(({ id }) => id === batch.id)?.on;
    const upTo = batch.points.at(-1)!.day;
    return (
      on?.filter(({ day }) => day <= upTo) ??
      batch.points.map(({ day, lengthCm }) => ({
        day,
        cm: lengthCm,
        low: lengthCm,
        high: lengthCm,
      }))
    ).map(({ day, cm, low, high }) => ({
      day,
      cm: fromBase(cm),
      low: fromBase(low),
      high: fromBase(high),
    }));
  };
  const main = batches.find(({ id }) => id === mainId) ?? batches[0]!;
  return (
    <View style={{ gap: 16 }}>
      <Choice
        label="In front"
        value={main.id}
        onChange={setMain}
        options={batches.map(({ id, name }) => ({ value: id, label: name }))}
      />
      <Card label="Batches by days since the first measurement">
        <View
          style={{ padding: 12, minHeight: 240 }}
          onLayout={(event) => setWidth(event.nativeEvent.layout.width - 24)}
        >
          {width > 0 ? (
            <GrowthCurve
              label={batches
                .map(
                  ({ name, points }) =>
                    `${name}: ${format.quantity('length', points.at(-1)!.lengthCm)} after ${points.at(-1)!.day} days`,
                )
                .join('; ')}
              width={width}
              samples={main.points.map(({ day, lengthCm }) => ({
                day,
                mean: fromBase(lengthCm),
                low: null,
                high: null,
              }))}
              curve={drawn(main)}
              usual={[]}
              others={batches.filter(({ id }) => id !== main.id).map(drawn)}
              target={null}
              today={last}
              unit={unit}
              dates={[
                { day: 0, says: 'first' },
                { day: last, says: `day ${last}` },
              ]}
            />
          ) : null}
        </View>
      </Card>
      <Text variant="small" tone="quiet">
        {`Solid: ${main.name}, shaded its 95 % range; thin: the others. Days count from the first measurement of each. Where no curve can be fitted yet, lengths are read between measurements.`}
      </Text>
      <CompareTable
        label="Batches beside each other"
        columns={batches.map(({ name }) => name)}
        rows={batchRows(batches, work.result, format)}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="bare" label="Fit them again" onPress={start} />
      </View>
    </View>
  );
}
