import type { BroodCheckpoint, NeedAt, Raisable, RaiseLimit } from '@open-larder/core/brood';
import { isAbsurd, MINUTES_A_CHANGE, MINUTES_A_MEAL, raisable } from '@open-larder/core/brood';
import { waterLitres } from '@open-larder/core/tank';
import { formatGrams } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { useCultures } from '../culture/useCultures';
import { checkpointTitle, VERDICTS } from '../growth/checkpointLabels';
import { api, useFormat, type Format } from '../store';
import { Button, Card, ListRow, Text, lowerFirst } from '../ui';
import { NumberField } from '../ui/NumberField';
import { BroodCheckpointsSheet } from './BroodCheckpointsSheet';
import type { Brood } from './useBroods';

const LIMITS: Record<RaiseLimit, string> = {
  room: 'room',
  food: 'live food',
  minutes: 'time',
  water: 'seasoned water',
};
/** What would lift each. */
const LIFTED: Record<RaiseLimit, string> = {
  room: 'another tub or grow-out',
  food: 'another culture, or dry food once they take it',
  minutes: 'larger tubs with a mature filter',
  water: 'a second barrel, or a mature filter',
};
const CHECKPOINTS: Record<Exclude<BroodCheckpoint['is'], 'own'>, string> = {
  sort: 'Sort by size; look for runts',
  safe: 'Safe beside their parents',
  part: 'Part the fighters',
  target: 'Large enough to go',
};
/** Tanks that young grow up in. */
const FOR_YOUNG: ReadonlySet<string> = new Set(['grow-out', 'fry tub']);

/** What comes at which length, and how many this house can raise until then. */
export function RaiseCard({ brood }: { brood: Brood }) {
  const format = useFormat();
  const lasting = useLasting();
  const tanks = api.useTanksQuery();
  const grown = (tanks.data ?? [])
    .filter(({ kind }) => FOR_YOUNG.has(kind))
    .reduce((sum, tank) => sum + (waterLitres(tank)?.value ?? 0), 0);
  const own = brood.tubs.reduce((sum, { litres }) => sum + litres, 0);
  const [editing, setEditing] = useState(false);
  const [litres, setLitres] = useState<number | null>(null);
  const [minutes, setMinutes] = useState<number | null>(20);
  const [waterL, setWaterL] = useState<number | null>(null);
  const volume = format.scale('volume');
  const { state, checkpoints, needs } = brood.status;
  const room = litres ?? own + grown;
  const valid = room > 0 && minutes !== null && minutes > 0;
  const steps = valid
    ? needs.map((need) => {
        const live = need.live && { lastingG: lasting(need.live.key), oneG: need.live.oneG };
        const house = {
          litres: room,
          minutes,
          minutesPerTub: need.meals * MINUTES_A_MEAL + MINUTES_A_CHANGE,
          litresPerTub: brood.tubs[0]?.litres ?? 10,
          waterL,
        };
        return { need, live, can: raisable(house, { ...need, live }) };
      })
    : [];
  const least = steps.map(({ can }) => can).sort((a, b) => a.count - b.count)[0];
  const absurd = steps.find(({ need, live }) => isAbsurd({ ...need, live }, brood.status.count));
  return (
    <View style={{ gap: 8 }}>
      <Card label="At each length">
        {checkpoints.map((one, index) => (
          <ListRow
            key={`${one.is} ${one.cm} ${index}`}
            first={index === 0}
            {...checkpointWords(one, format)}
          />
        ))}
      </Card>
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          least="keeper"
          label={brood.checkpoints.length === 0 ? 'Add lengths of your own' : 'Change your lengths'}
          onPress={() => setEditing(true)}
        />
      </View>
      {editing ? <BroodCheckpointsSheet brood={brood} onClose={() => setEditing(false)} /> : null}
      {steps.length > 0 ? (
        <>
          <Text variant="strong">This house can raise</Text>
          <Card label="This house can raise">
            {steps.map(({ need, can }, index) => (
              <ListRow
                key={need.lengthCm}
                first={index === 0}
                title={`At ${format.quantity('length', need.lengthCm)}`}
                detail={stepWords(need, can, format)}
                trail={<Text variant="strong">{`${can.count}, for ${LIMITS[can.limit]}`}</Text>}
              />
            ))}
          </Card>
          {least ? (
            <Text
              variant="small"
              tone="quiet"
            >{`What would lift it: ${LIFTED[least.limit]}.`}</Text>
          ) : null}
        </>
      ) : null}
      {absurd?.need.live ? (
        <Text tone="due">
          {`All of them at ${format.quantity('length', absurd.need.lengthCm)} would eat ${formatGrams(absurd.need.live.oneG * brood.status.count)} of ${lowerFirst(absurd.need.live.name)} a day: no household keeps that up. Train them onto dry food before, or raise ${absurd.can.count}.`}
        </Text>
      ) : null}
      {least && (state.count ?? 0) > least.count ? (
        <Text tone="due">
          {`${state.count} are more than that. Find takers early: better to pass them on small than to crowd them.`}
        </Text>
      ) : null}
      <NumberField
        label="Room for them: their tubs, fry tubs and grow-outs"
        unit={volume.unit}
        scale={volume}
        value={room}
        onChange={setLitres}
      />
      <NumberField
        label="Time you have for them a day"
        unit="min"
        value={minutes}
        onChange={setMinutes}
      />
      <NumberField
        label="Seasoned water that can be ready each day; blank sets no limit"
        unit={volume.unit}
        scale={volume}
        value={waterL}
        onChange={setWaterL}
      />
      <Text variant="small" tone="quiet">
        Know who will take them before you encourage a spawn. Put down suffering animals only as
        animal-welfare law allows, follow local rules for selling and shipping, and never release
        any.
      </Text>
    </View>
  );
}

/** A row of the list: what is done at which length, and when they have it. */
function checkpointWords({ is, cm, day, own }: BroodCheckpoint, format: Format) {
  const length = format.quantity('length', cm);
  const when = day === null ? 'later' : `about ${format.day(day)}`;
  if (is !== 'own' || own === null) {
    return {
      title: is === 'own' ? length : CHECKPOINTS[is],
      detail: `at ${length}`,
      trail: <Text>{when}</Text>,
    };
  }
  const { name, ageDays, dueOn, verdict } = own;
  return {
    title: checkpointTitle({ name, lengthCm: cm, ageDays }, format),
    detail: [
      'yours',
      dueOn === null ? null : `due ${format.day(dueOn)}`,
      verdict === null ? null : VERDICTS[verdict],
    ]
      .filter(Boolean)
      .join(' · '),
    trail: <Text>{verdict === 'reached' ? 'there' : when}</Text>,
  };
}

/** «about Mon 4 Jan; room 200, live food 60, time 120» */
function stepWords({ day }: NeedAt, { by }: Raisable, format: Format): string {
  const each = Object.entries(by)
    .filter(([, count]) => count !== null)
    .map(([limit, count]) => `${LIMITS[limit as RaiseLimit]} ${count}`);
  return `about ${format.day(day)}; ${each.join(', ')}`;
}

/** Grams a day that the cultures of a kind give lastingly. */
function useLasting(): (kindKey: string) => number {
  const cultures = useCultures();
  return (kindKey) =>
    (cultures.data?.kept ?? [])
      .filter((one) => one.kindKey === kindKey)
      .reduce((sum, { status }) => sum + Math.max(0, status.lastingG), 0);
}
