import type { Group } from '@open-larder/contract';
import { curveOn, usualLength, type GrowthStatus } from '@open-larder/core/growth';
import { addDays, daysBetween } from '@open-larder/core/round';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { GrowthCurve } from '../draw/GrowthCurve';
import { api, useNow, useFormat, type AppData } from '../store';
import { Text } from '../ui';
import { measuredOf } from './useGrowth';
import { REFUSALS } from './labels';

/** Days that are drawn after today, where a curve or the kind is followed. */
const AHEAD = 42;

const STEPS = 40;

export function CurveCard({
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
      <Text variant="subtitle">Compared with their species</Text>
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
        {`${status.curve ? `Solid: ${status.curve.kind === 'gompertz' ? 'a Gompertz' : 'a von Bertalanffy'} curve through what was measured, shaded its 95 % range${status.curve.endKnown ? `; it levels off at about ${format.quantity('length', status.curve.linfCm)}` : '; where it levels off is not known yet'}.` : REFUSALS[status.refused!]} Dashed: usual for the species when well fed.${others.length > 0 ? ' Thin: earlier batches of yours.' : ''}`}
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
