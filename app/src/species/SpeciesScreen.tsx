import { OWN, type Species } from '@open-larder/catalogue';
import type { Problem } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import Copy from 'lucide-react-native/icons/copy';
import Pencil from 'lucide-react-native/icons/pencil';
import Printer from 'lucide-react-native/icons/printer';
import { useState } from 'react';
import { View } from 'react-native';
import { Outline } from '../draw/Outline';
import { api, useHouse, useFormat, type AppData } from '../store';
import { useColours, useWide } from '../theme';
import { Button, Card, Empty, ListRow, Screen, Text, upperFirst, useToast, Waiting } from '../ui';
import { SpeciesLife } from './SpeciesLife';
import { SpeciesTable } from './SpeciesTable';
import { formatBoldness } from './labels';

/** All that is known of a species, as a keeper would print it. */
export function SpeciesScreen({ speciesKey }: { speciesKey: string }) {
  const wide = useWide();
  const loaded = useHouse();
  const species = loaded.data?.species.get(speciesKey);
  return (
    <Screen
      title={species?.common ?? 'Species'}
      detail={species ? [species.scientific, ...species.otherNames].join(' · ') : undefined}
      back="/species"
      aside={species ? <SpeciesLife species={species} /> : null}
    >
      {!loaded.data ? (
        <Waiting of={loaded} rows={5} height={80} />
      ) : species ? (
        <>
          <SpeciesHead species={species} />
          <SpeciesTable species={species} />
          {wide ? null : <SpeciesLife species={species} />}
          <SpeciesActs species={species} data={loaded.data} />
        </>
      ) : (
        <Empty
          title="No such species"
          text="It may have been put away, or left the catalogue. Search the list for another name."
        />
      )}
    </Screen>
  );
}

/** Round lengths for a rule beside an outline. */
const ROUND_CM = [0.5, 1, 2, 5, 10, 20, 50];

function SpeciesHead({ species }: { species: Species }) {
  const format = useFormat();
  const [room, setRoom] = useState(0);
  const cm = [...ROUND_CM].reverse().find((one) => one <= species.adultLengthCm / 2) ?? 0.5;
  const length = format.quantity('length', species.adultLengthCm);
  const width = Math.min(room, species.shape === 'snail' ? 140 : 420);
  return (
    <View style={{ gap: 12 }} onLayout={(event) => setRoom(event.nativeEvent.layout.width)}>
      {room > 0 ? (
        <Outline
          shape={species.shape}
          lengthCm={species.adultLengthCm}
          width={width}
          rule={{ cm, says: format.quantity('length', cm) }}
          label={`${species.common}: ${species.shape}, ${length} when grown`}
        />
      ) : null}
      <Text>
        {species.family}. {length} when grown; {species.guild}, {formatBoldness(species.boldness)}.
      </Text>
      {species.cautions.length > 0 ? (
        <Card label="Cautions">
          {species.cautions.map((caution, index) => (
            <ListRow key={caution} first={index === 0} title={upperFirst(caution)} />
          ))}
        </Card>
      ) : null}
    </View>
  );
}

function SpeciesActs({ species, data }: { species: Species; data: AppData }) {
  const router = useRouter();
  const toast = useToast();
  const colours = useColours();
  const [edit] = api.useEditSpeciesMutation();
  const own = data.ownSpecies.find((one) => OWN + one.id === species.key);
  const kept = data.groups.some((group) => !group.archived && group.speciesKey === species.key);
  const putAway = async () => {
    if (!own) return;
    const { id, entry, version } = own;
    const done = await edit({ params: { id }, body: { entry, version, archived: true } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    toast(`${species.common} is put away.`, {
      undo: () =>
        void edit({
          params: { id },
          body: { entry, version: done.data.version, archived: false },
        }),
    });
    router.replace('/species');
  };
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      {own ? (
        <Button
          least="keeper"
          label="Change it"
          icon={<Pencil size={18} color={colours.ink} />}
          onPress={() => router.push(`/species/${species.key}/edit`)}
        />
      ) : null}
      <Button
        least="keeper"
        label="Copy as my own"
        icon={<Copy size={18} color={colours.ink} />}
        onPress={() => router.push(`/species/${species.key}/copy`)}
      />
      <Button
        label="Print"
        icon={<Printer size={18} color={colours.ink} />}
        onPress={() => window.print()}
      />
      {own && !kept ? <Button least="keeper" label="Put away" onPress={() => putAway()} /> : null}
    </View>
  );
}
