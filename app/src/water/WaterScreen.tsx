import type { Tank, WaterEventRow, WaterRow } from '@open-larder/contract';
import { formatNumber, formatMgL } from '@open-larder/say';
import type { WaterStatus } from '@open-larder/core/water/status';
import { testBand } from '@open-larder/core/water/testError';
import { useState } from 'react';
import { View } from 'react-native';
import { KeptHere } from '../offline/KeptHere';
import { api, useFormat } from '../store';
import { useWide } from '../theme';
import { Button, Card, Empty, Screen, Text, Waiting } from '../ui';
import { DownCard } from './DownCard';
import { KeepsCard } from './KeepsCard';
import { FastForWater } from './FastForWater';
import { useWaterEvent, useWaterUndo } from './useWaterEvent';
import { formatWarning } from './labels';
import { AheadCard } from './AheadCard';
import { NextCard, ChangeSheet } from './NextChange';
import { WaterHistory } from './WaterHistory';
import { LatestCard, RawCard } from './LatestCard';
import { RhythmSheet } from './RhythmSheet';
import { TestSheet } from './TestSheet';

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
        <KeptHere about={tank.id} />
      </View>
      <Warnings tank={tank} status={status} events={events} />
      <DownCard tank={tank} row={row} status={status} />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          least="feeder"
          variant="primary"
          label="Log a test"
          onPress={() => setOpen('test')}
        />
        <Button least="feeder" label="Water changed" onPress={() => setOpen('changed')} />
        <Button least="feeder" label="Filled up" onPress={() => setOpen('filledUp')} />
        <Button least="keeper" label="Change schedule" onPress={() => setOpen('rhythm')} />
      </View>
      <AheadCard status={status} events={events} />
      <NextCard tank={tank} row={row} status={status} />
      {wide ? null : <KeepsCard tank={tank} status={status} />}
      {wide ? null : <RawCard status={status} />}
      <LatestCard status={status} />
      <WaterHistory row={row} events={events} />
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
              <Button least="feeder" label="It is right" onPress={() => confirm(warning.eventId)} />
              <Button
                least="feeder"
                label="Take the test back"
                onPress={() => takeBack(warning.eventId)}
              />
            </View>
          ) : null}
        </View>
      ))}
    </Card>
  );
}
