import type { BroodTubRow } from '@open-larder/contract';
import type { TubStatus } from '@open-larder/core/brood';
import { formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat, type Format } from '../store';
import { Button, Card, ListRow, Text } from '../ui';
import { SplitSheet } from './SplitSheet';
import { TubSheet } from './TubSheet';
import type { Brood } from './useBroods';

/** The tubs of a brood beside each other: number, survival, length, water. */
export function TubsCard({ brood }: { brood: Brood }) {
  const format = useFormat();
  const [open, setOpen] = useState<BroodTubRow | 'new' | 'split' | null>(null);
  const counted = brood.status.tubs.filter(({ count }) => count !== null);
  const compared = compareWords(counted);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">{brood.tubs.length === 1 ? 'Its tub' : 'Its tubs'}</Text>
      <Card label="Tubs">
        {brood.status.tubs.map((tub, index) => (
          <ListRow
            key={tub.id}
            first={index === 0}
            title={tub.name}
            detail={[
              `${format.quantity('volume', tub.litres)}, ${format.quantity('temperature', tub.tempC)}`,
              tub.lengthCm === null || tub.count === null
                ? null
                : `${formatNumber(tub.lengthCm * 10, 1)} mm`,
              tub.survival === null || tub.survival === 1
                ? null
                : `${formatNumber(tub.survival * 100, 0)} % alive`,
              tub.spread === null
                ? null
                : `lengths spread by ${formatNumber(tub.spread * 100, 0)} %`,
              waterWords(tub, format),
              tub.mixed ? 'two clutches of different ages' : null,
            ]
              .filter(Boolean)
              .join(' · ')}
            trail={
              <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
                <Text variant="strong">{tub.count === null ? '' : String(tub.count)}</Text>
                <Button
                  least="keeper"
                  variant="bare"
                  label="Correct"
                  spoken={`Correct ${tub.name}`}
                  onPress={() => setOpen(brood.tubs.find(({ id }) => id === tub.id) ?? null)}
                />
              </View>
            }
          />
        ))}
      </Card>
      {brood.status.state.recounted ? (
        <Text variant="small" tone="quiet">
          The later count was higher: the first one missed some.
        </Text>
      ) : null}
      {compared === '' ? null : <Text variant="small">{compared}</Text>}
      {brood.tubs.length === 1 ? (
        <Text variant="small" tone="quiet">
          Keepers differ: split over two tubs, so that one failure does not take all; or one tub,
          with one change a day.
        </Text>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button least="keeper" label="Split evenly" onPress={() => setOpen('split')} />
        <Button least="keeper" label="Another tub" onPress={() => setOpen('new')} />
      </View>
      {open === 'split' ? <SplitSheet brood={brood} onClose={() => setOpen(null)} /> : null}
      {open !== null && open !== 'split' ? (
        <TubSheet brood={brood} tub={open === 'new' ? null : open} onClose={() => setOpen(null)} />
      ) : null}
    </View>
  );
}

function waterWords(
  { change, hours, gramsPerDay, litres }: TubStatus,
  format: Format,
): string | null {
  if (gramsPerDay === 0) return null;
  if (hours === null) return 'its filter takes the ammonia up';
  if (change === null) return 'no daily change is enough';
  return `${format.quantity('volume', change * litres)} a day to change`;
}

/** Which of two tubs does better, by what was counted and measured in them; empty where nothing tells them apart. */
function compareWords(tubs: readonly TubStatus[]): string {
  const best = (of: (tub: TubStatus) => number | null): string | null => {
    const known = tubs.filter((tub) => of(tub) !== null);
    const [first, second] = known.sort((a, b) => of(b)! - of(a)!);
    return first && second && of(first)! > of(second)! ? first.name : null;
  };
  // What was lost before they were parted says nothing about the tubs.
  const alive = best(({ count, cohort }) => (count === null || !cohort ? null : count / cohort));
  const long = best(({ measured }) => measured?.lengthMm ?? null);
  return [
    alive === null ? null : `Most survive in ${alive}.`,
    long === null ? null : `The longest were measured in ${long}.`,
  ]
    .filter(Boolean)
    .join(' ');
}
