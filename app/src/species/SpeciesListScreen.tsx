import { OWN, type Species } from '@open-larder/catalogue';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { Outline } from '../draw/Outline';
import { ScreenTools } from '../shell';
import { useHouse, useFormat } from '../store';
import { TanksTabs } from '../tank/TanksTabs';
import { Choice, Empty, Field, FramedRow, ListRow, Screen, Waiting } from '../ui';
import { useSpeciesSearch } from './useSpeciesSearch';
import { formatRange } from './labels';

const GROUPS = [
  { value: 'all', label: 'all' },
  { value: 'own', label: 'my own' },
  { value: 'here', label: 'kept here' },
  { value: 'shrimp', label: 'shrimps' },
  { value: 'snail', label: 'snails' },
] as const;
type Wanted = (typeof GROUPS)[number]['value'];

/** The catalogue of species, with the keeper's own among them: found by any of their names. */
export function SpeciesListScreen() {
  const router = useRouter();
  const format = useFormat();
  const loaded = useHouse();
  const [typed, setTyped] = useState('');
  const [wanted, setWanted] = useState<Wanted>('all');
  const species = loaded.data?.species;
  const kept = useMemo(
    () =>
      new Set(loaded.data?.groups.filter((group) => !group.archived).map((one) => one.speciesKey)),
    [loaded.data?.groups],
  );
  const putAway = useMemo(
    () => new Set(loaded.data?.ownSpecies.filter((one) => one.archived).map((one) => OWN + one.id)),
    [loaded.data?.ownSpecies],
  );
  const search = useSpeciesSearch(species);
  const found = search(typed).flatMap((key): Species[] => {
    const row = species?.get(key);
    const fits =
      row &&
      !putAway.has(key) &&
      (wanted === 'all' ||
        row.shape === wanted ||
        (wanted === 'own' && key.startsWith(OWN)) ||
        (wanted === 'here' && kept.has(key)));
    return fits ? [row] : [];
  });
  return (
    <Screen
      title="Species"
      detail={species ? `${found.length} of ${species.size - putAway.size}` : undefined}
      tools={<ScreenTools />}
      rows={
        species && {
          items: found,
          keyOf: (row: Species) => row.key,
          extra: format,
          render: (row: Species, index) => (
            <SpeciesRow
              row={row}
              first={index === 0}
              onPress={() => router.push(`/species/${row.key}`)}
            />
          ),
        }
      }
    >
      <TanksTabs here="species" />
      {!species ? (
        <Waiting of={loaded} rows={6} height={56} />
      ) : (
        <>
          <Field
            label="Search by any name, or by family"
            value={typed}
            onChange={setTyped}
            placeholder="kuhli, Danio, shark catfish …"
          />
          <Choice label="Show" value={wanted} options={GROUPS} onChange={setWanted} />
          {found.length === 0 ? (
            <Empty
              title="None by that name"
              text="Spelling is forgiven; try one word of it, or the family. A species that is missing can be made from the one most like it: open that one and copy it."
            />
          ) : null}
        </>
      )}
    </Screen>
  );
}

function SpeciesRow({
  row,
  first,
  onPress,
}: {
  row: Species;
  first: boolean;
  onPress: () => void;
}) {
  const format = useFormat();
  const warmth = formatRange(format, 'temperature', row.tempMinC, row.tempMaxC);
  return (
    <FramedRow first={first}>
      <ListRow
        first
        title={row.common}
        detail={[
          row.scientific,
          row.guild,
          format.quantity('length', row.adultLengthCm),
          warmth,
          row.key.startsWith(OWN) ? 'your own' : null,
        ]
          .filter(Boolean)
          .join(' · ')}
        lead={
          <View style={{ width: 56, alignItems: 'center' }}>
            <Outline
              shape={row.shape}
              lengthCm={row.adultLengthCm}
              width={row.shape === 'snail' ? 32 : 52}
            />
          </View>
        }
        onPress={onPress}
      />
    </FramedRow>
  );
}
