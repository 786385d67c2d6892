import type { Tank, WaterEventRow, WaterRow } from '@open-larder/contract';
import { refillFor } from '@open-larder/contract/refill';
import { addDays, daysBetween } from '@open-larder/core/round';
import { formatNumber, formatMgL } from '@open-larder/core/units';
import type { Reading } from '@open-larder/core/water/range';
import type { WaterStatus } from '@open-larder/core/water/status';
import { RecordNote } from '../forecasts/RecordNote';
import { testBand } from '@open-larder/core/water/testError';
import { useState } from 'react';
import { View } from 'react-native';
import { WaterRibbon } from '../draw/WaterRibbon';
import { lazyForm } from '../forms/lazyForm';
import { api, useNow, useFormat } from '../store';
import { useWide } from '../theme';
import {
  Button,
  Card,
  Empty,
  ListRow,
  NumberField,
  Screen,
  Sheet,
  Text,
  type FieldErrors,
  lazyComponent,
  Waiting,
} from '../ui';
import { DownCard } from './DownCard';
import { KeepsCard } from './KeepsCard';
import { FastForWater } from './FastForWater';
import { WaterQuestions } from './WaterQuestions';
import { RhythmSheet } from './RhythmSheet';

import { useWaterEvent, useWaterUndo } from './useWaterEvent';
import { READING_WORDS } from './readings';
import { formatNext, formatReading, formatRefill, formatWarning, formatWaterEvent } from './labels';

const TestSheet = lazyForm((forms) => forms.TestSheet);
const Chart = lazyComponent(async () => (await import('../records/Chart')).default);

/** The water of one tank: what is in it, what is to come, and what to do about it. */
export function WaterScreen({ id }: { id: string }) {
  const tanks = api.useTanksQuery();
  const waters = api.useWatersQuery();
  const events = api.useWaterEventsQuery(id);
  const tank = tanks.data?.find((one) => one.id === id);
  const row = waters.data?.find(({ tankId }) => tankId === id);
  const body =
    !tanks.data || !waters.data || !events.data ? (
      <Waiting of={[tanks, waters, events]} rows={4} height={80} />
    ) : !tank || !row ? (
      <Empty title="No such tank" text="It may have been put away. Go back to the tanks." />
    ) : row.status === null ? (
      <Empty
        title="How much water it holds is not known"
        text="Enter its measures or its litres with «Change tank»: what food does to it follows from them."
      />
    ) : null;
  const whole = body === null && tank && row?.status;
  return (
    <Screen
      title="Water"
      detail={tank?.name}
      back={`/tanks/${id}`}
      aside={
        whole ? (
          <>
            <KeepsCard tank={tank} status={row.status!} />
            <RawCard status={row.status!} />
          </>
        ) : null
      }
    >
      {whole ? <WaterOf tank={tank} row={row} status={row.status!} events={events.data!} /> : body}
    </Screen>
  );
}

interface Props {
  tank: Tank;
  row: WaterRow;
  status: WaterStatus;
  events: WaterEventRow[];
}

function WaterOf({ tank, row, status, events }: Props) {
  const format = useFormat();
  const wide = useWide();
  const logEvent = useWaterEvent();
  const [open, setOpen] = useState<'test' | 'rhythm' | 'changed' | 'filledUp' | null>(null);
  const close = () => setOpen(null);
  const today = status.days[0]!;
  const known = status.latest.nitrate;
  return (
    <View style={{ gap: 16 }}>
      <View style={{ gap: 4 }}>
        <Text variant="strong">
          {`Nitrate about ${formatMgL(today.before)} mg/L, likely ${formatMgL(today.low)} to ${formatMgL(today.high)}`}
        </Text>
        <Text variant="small" tone="quiet">
          {known
            ? `Tested ${format.day(known.day)}: ${formatMgL(known.value)}, give or take ${formatMgL(testBand(known.value))}. Since then worked out from what was served and changed.`
            : 'Never tested: estimated from the food alone. One test makes it far surer.'}
        </Text>
        <Text variant="small" tone="quiet">
          {formatSums(status)}
        </Text>
      </View>
      <Warnings tank={tank} status={status} events={events} />
      <DownCard tank={tank} row={row} status={status} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button variant="primary" label="Log a test" onPress={() => setOpen('test')} />
        <Button label="Water changed" onPress={() => setOpen('changed')} />
        <Button label="Filled up" onPress={() => setOpen('filledUp')} />
        <Button label="How it is changed" onPress={() => setOpen('rhythm')} />
      </View>
      <Ahead status={status} events={events} />
      <NextCard tank={tank} row={row} status={status} />
      {wide ? null : <KeepsCard tank={tank} status={status} />}
      {wide ? null : <RawCard status={status} />}
      <Latest status={status} />
      <History row={row} events={events} />
      {open === 'test' ? (
        <TestSheet
          tank={tank}
          onTest={(test) => logEvent(tank.id, test, `The test of ${tank.name} is noted.`)}
          onClose={close}
        />
      ) : null}
      {open === 'rhythm' ? <RhythmSheet tank={tank} onClose={close} /> : null}
      {open === 'changed' || open === 'filledUp' ? (
        <ChangeSheet
          kind={open}
          tank={tank}
          litres={row.litres!}
          share={open === 'changed' ? (tank.plan?.water?.share ?? 0.25) : 0.05}
          onClose={close}
        />
      ) : null}
    </View>
  );
}

function formatSums({ fit, foodAddsMgL, addsMgL }: WaterStatus): string {
  const food = `The plan’s food adds ${formatMgL(foodAddsMgL * fit.production)} mg/L a day`;
  const learned =
    fit.tests > 0
      ? `, ${formatNumber(fit.production * 100, 0)} % of what its protein says; plants take up ${formatMgL(fit.uptakeMgL)} (from ${fit.tests} test${fit.tests === 1 ? '' : 's'})`
      : ` by its protein; plants are taken to use ${formatMgL(fit.uptakeMgL)}`;
  return `${food}${learned}. Left: ${formatMgL(Math.max(0, addsMgL))} a day.`;
}

function Warnings({ tank, status, events }: Omit<Props, 'row'>) {
  const format = useFormat();
  const logEvent = useWaterEvent();
  const takeBack = useWaterUndo();
  if (status.warnings.length === 0) return null;
  const confirm = async (id: string) => {
    const event = events.find((one) => one.id === id);
    if (!event || !(await takeBack(id))) return;
    const { day, note, tan, nitrite, nitrate, ph, gh, kh, tdsMgL, tempC } = event;
    await logEvent(
      tank.id,
      { kind: 'tested', sure: true, day, note, tan, nitrite, nitrate, ph, gh, kh, tdsMgL, tempC },
      'It is used from now on.',
    );
  };
  const poison = status.warnings.findIndex(({ kind }) => kind === 'ammonia' || kind === 'nitrite');
  return (
    <Card label="What to look at">
      {status.warnings.map((warning, at) => (
        <View key={at} style={{ padding: 12, gap: 8 }}>
          <Text tone="due">{formatWarning(warning, format)}</Text>
          {at === poison ? <FastForWater tank={tank} /> : null}
          {warning.kind === 'odd' ? (
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              <Button label="It is right" onPress={() => confirm(warning.eventId)} />
              <Button label="Take the test back" onPress={() => takeBack(warning.eventId)} />
            </View>
          ) : null}
        </View>
      ))}
    </Card>
  );
}

/** Days back that are drawn; more is in the history. */
const DRAWN_BACK = 42;

function Ahead({ status, events }: { status: WaterStatus; events: WaterEventRow[] }) {
  const now = useNow();
  const format = useFormat();
  const [width, setWidth] = useState(0);
  const at = (day: string) => daysBetween(now.day, day);
  const begins = status.past.length > 0 ? at(status.past[0]!.day) : 0;
  const odd = new Set(status.warnings.flatMap((one) => (one.kind === 'odd' ? [one.eventId] : [])));
  const tests = events.flatMap((event) =>
    event.kind === 'tested' && event.nitrate !== null && at(event.day) >= -DRAWN_BACK
      ? [{ day: at(event.day), mgL: event.nitrate, odd: odd.has(event.id) }]
      : [],
  );
  const planned = status.days.flatMap(({ before, after }, day) =>
    after < before - 1e-9 ? [day] : [],
  );
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Nitrate, eight weeks on</Text>
      <View
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ minHeight: 216 }}
      >
        {width > 0 ? (
          <WaterRibbon
            label={`Nitrate today about ${formatMgL(status.days[0]!.before)} mg/L; in eight weeks ${formatMgL(status.days.at(-1)!.low)} to ${formatMgL(status.days.at(-1)!.high)}.`}
            width={width}
            past={status.past
              .filter(({ day }) => at(day) >= -DRAWN_BACK)
              .map(({ day, mgL }) => ({ day: at(day), mgL }))}
            ahead={status.days.map(({ before, after, low, high }, day) => ({
              day,
              mgL: before,
              after,
              low,
              high,
            }))}
            tests={tests}
            changes={[
              ...status.changes
                .map(({ day }) => at(day))
                .filter((day) => day >= -DRAWN_BACK && day < 0),
              ...planned,
            ]}
            capMgL={status.cap?.mgL ?? null}
            capSays={status.cap ? `what ${status.cap.groupName} tolerate` : ''}
            dates={[-28, 0, 28, 55]
              .filter((day) => day >= Math.min(0, begins))
              .map((day) => ({
                day,
                says: day === 0 ? 'today' : format.day(addDays(now.day, day)).replace(/^\w+ /, ''),
              }))}
          />
        ) : null}
      </View>
      <Text variant="small" tone="quiet">
        Dots are tests, nine times in ten it lies in the shaded part, notches are changes: broken
        ones are done.
      </Text>
      <RecordNote kind="nitrate" />
    </View>
  );
}

function NextCard({ tank, row, status }: Omit<Props, 'events'>) {
  const format = useFormat();
  const now = useNow();
  const logEvent = useWaterEvent();
  const { next } = status;
  if (!tank.plan?.water) return <WaterQuestions tank={tank} />;
  if (next === null) return null;
  const lines = formatRefill(refillFor(tank, next.litres, row.litres!), format);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Next change</Text>
      <Card label="Next change">
        <View style={{ padding: 12, gap: 8 }}>
          <Text variant="strong" tone={next.late > 0 ? 'due' : 'ink'}>
            {`${format.quantity('volume', next.litres)}, ${formatNumber(next.share * 100, 0)} %: ${formatNext(next, now.day, format)}`}
          </Text>
          {lines.map((line) => (
            <Text key={line}>{line}</Text>
          ))}
          <View style={{ alignItems: 'flex-start' }}>
            <Button
              label="Done, as planned"
              onPress={() =>
                void logEvent(
                  tank.id,
                  { kind: 'changed', share: next.share },
                  `Water of ${tank.name} is changed.`,
                )
              }
            />
          </View>
          <Text variant="small" tone="quiet">
            Unplug heater and pump before hands go in; siphon by hand or bulb, never by mouth.
          </Text>
        </View>
      </Card>
    </View>
  );
}

function Latest({ status }: { status: WaterStatus }) {
  const format = useFormat();
  const report = Object.entries(status.latest) as [Reading, { value: number; day: string }][];
  if (report.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Last tested</Text>
      <Card label="Last tested">
        {(Object.keys(READING_WORDS) as Reading[])
          .filter((of) => status.latest[of])
          .map((of, index) => (
            <ListRow
              key={of}
              first={index === 0}
              title={READING_WORDS[of]}
              detail={format.day(status.latest[of]!.day)}
              trail={
                <Text variant="strong">{formatReading(of, status.latest[of]!.value, format)}</Text>
              }
            />
          ))}
      </Card>
    </View>
  );
}

/** A tank without a grown filter: ammonia and nitrite in time. */
function RawCard({ status }: { status: WaterStatus }) {
  const format = useFormat();
  const now = useNow();
  const { raw } = status;
  if (raw === null) return null;
  const hours = raw.hoursUntilConcern;
  const days = raw.days.filter((_, day) => day % 2 === 0);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Its filter</Text>
      <Text tone={hours < 48 ? 'due' : 'ink'}>
        {raw.ripeOn
          ? `It grows in: ammonia and nitrite stay low from about ${format.day(raw.ripeOn)}, if it is fed as planned.`
          : 'Nothing takes ammonia up here, or not within eight weeks.'}
        {Number.isFinite(hours)
          ? ` With nothing to take it up, ammonia builds up within ${hours > 240 ? 'more than ten days' : `${formatNumber(hours, 0)} h`}; ${
              raw.changeShare === null
                ? 'no daily change is enough: feed less'
                : `${formatNumber(Math.ceil(raw.changeShare * 100), 0)} % a day keeps it under`
            }.`
          : ''}
      </Text>
      <Text variant="small" tone="quiet">
        {`Of all ammonia ${formatNumber(raw.unionisedShare * 100, 2)} % is the poisonous form at its pH and temperature. Test every other day while it grows in.`}
      </Text>
      <Chart
        view="lines"
        title="Ammonia and nitrite to come"
        detail="mg/L of nitrogen. Solid: ammonia. Dashed: nitrite."
        labels={days.map((_, at) =>
          at % 7 === 0 ? format.day(addDays(now.day, at * 2)).replace(/^\w+ /, '') : '',
        )}
        lines={[
          { values: days.map(({ tan }) => tan), variant: 'main' },
          { values: days.map(({ nitrite }) => nitrite), variant: 'dashed' },
        ]}
      />
    </View>
  );
}

function ChangeSheet({
  kind,
  tank,
  litres,
  share: first,
  onClose,
}: {
  kind: 'changed' | 'filledUp';
  tank: Tank;
  litres: number;
  share: number;
  onClose: () => void;
}) {
  const format = useFormat();
  const logEvent = useWaterEvent();
  const [amount, setAmount] = useState<number | null>(first * litres);
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const volume = format.scale('volume');
  const save = async () => {
    const wrong = await logEvent(
      tank.id,
      { kind, share: amount === null ? Number.NaN : amount / litres },
      kind === 'changed' ? `Water of ${tank.name} is changed.` : `${tank.name} is filled up.`,
    );
    if (wrong === null) onClose();
    else setFieldErrors(wrong);
  };
  return (
    <Sheet title={kind === 'changed' ? 'Water changed' : 'Filled up'} open onClose={onClose}>
      <Text tone="quiet">
        {kind === 'changed'
          ? 'How much was taken out and put in anew.'
          : 'What evaporated and was filled up: salts stay behind, so that soft water or rain is better for it than tap.'}
      </Text>
      <NumberField
        label="How much"
        unit={volume.unit}
        scale={volume}
        decimals={1}
        value={amount}
        onChange={setAmount}
        fieldError={fieldErrors.share}
        hint={`The tank holds ${format.quantity('volume', litres)}.`}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Note it" onPress={() => save()} />
      </View>
    </Sheet>
  );
}

/** Events shown at once; the rest wait for a tap. */
const FIRST = 6;

function History({ row, events }: { row: WaterRow; events: WaterEventRow[] }) {
  const format = useFormat();
  const takeBack = useWaterUndo();
  const [all, setAll] = useState(false);
  if (events.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">What happened</Text>
      <Card label="What happened">
        {(all ? events : events.slice(0, FIRST)).map((event, index) => {
          const title = formatWaterEvent(event, format, row.litres);
          return (
            <ListRow
              key={event.id}
              first={index === 0}
              title={title}
              detail={[format.day(event.day), event.hand, event.note].filter(Boolean).join(' · ')}
              trail={
                <Button
                  variant="bare"
                  label="Undo"
                  spoken={`Undo: ${title}, ${format.day(event.day)}`}
                  onPress={() => takeBack(event.id)}
                />
              }
            />
          );
        })}
      </Card>
      {events.length > FIRST ? (
        <Button
          variant="bare"
          label={all ? 'Only the newest' : `All ${events.length}`}
          onPress={() => setAll(!all)}
        />
      ) : null}
    </View>
  );
}
