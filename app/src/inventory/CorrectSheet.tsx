import type { CatalogueView } from '@open-larder/contract';
import { View } from 'react-native';
import { useFormat, type AppData } from '../store';
import { Button, Field, Sheet, Text } from '../ui';
import { NumberField } from '../ui/NumberField';
import { Picker } from '../ui/Picker';
import { TimeField } from '../ui/TimeField';
import { useNameSearch } from '../species/useNameSearch';
import { useSpeciesSearch } from '../species/useSpeciesSearch';
import { speciesPicks } from '../group/picks';
import type { Corrections, Entries } from './entries';

/** What is being corrected. */
export type Correcting =
  | { is: 'tank'; at: number }
  | { is: 'group'; text: string }
  | { is: 'food'; text: string }
  | { is: 'unread'; text: string };

interface Props {
  correcting: Correcting;
  entries: Entries;
  corrections: Corrections;
  data: AppData;
  generic: CatalogueView['foods'];
  onChange: (corrections: Corrections) => void;
  onClose: () => void;
}

/** Put right what was read of a line; what was typed stays as it is. */
export function CorrectSheet(props: Props) {
  const { correcting, onClose } = props;
  const title =
    correcting.is === 'tank'
      ? 'The tank'
      : correcting.is === 'unread'
        ? `What is «${correcting.text}»?`
        : `«${correcting.text}»`;
  return (
    <Sheet title={title} open onClose={onClose}>
      <View style={{ gap: 12 }}>
        {correcting.is === 'tank' ? (
          <TankParts {...props} at={correcting.at} />
        ) : correcting.is === 'group' ? (
          <GroupParts {...props} text={correcting.text} />
        ) : correcting.is === 'food' ? (
          <FoodPart {...props} text={correcting.text} />
        ) : (
          <MeantParts {...props} text={correcting.text} />
        )}
        <View style={{ alignItems: 'flex-start' }}>
          <Button variant="primary" label="Done" onPress={onClose} />
        </View>
      </View>
    </Sheet>
  );
}

function TankParts({ entries, corrections, onChange, at }: Props & { at: number }) {
  const format = useFormat();
  const tank = entries.tanks[at];
  if (!tank) return null;
  if (tank.id !== null) return <Text>This tank exists already: what you add goes into it.</Text>;
  const { facts } = tank;
  const set = (part: Corrections['tanks'][number]) =>
    onChange({
      ...corrections,
      tanks: { ...corrections.tanks, [at]: { ...corrections.tanks[at], ...part } },
    });
  const volume = format.scale('volume');
  const warmth = format.scale('temperature');
  return (
    <>
      <Field label="Name" value={tank.name ?? ''} onChange={(name) => set({ name })} />
      <NumberField
        label="Water in it"
        unit={volume.unit}
        scale={volume}
        decimals={1}
        value={facts.litres ?? null}
        onChange={(litres) => set({ litres: litres ?? undefined })}
      />
      <NumberField
        label="Water temperature"
        unit={warmth.unit}
        scale={warmth}
        decimals={1}
        value={facts.tempC ?? null}
        onChange={(tempC) => set({ tempC: tempC ?? undefined })}
        hint="Left empty, what suits its fish is assumed."
      />
      <TimeField
        label="Lights on"
        value={facts.lightOnMin ?? LIGHTS.lightOnMin}
        onChange={(lightOnMin) => set({ lightOffMin: facts.lightOffMin ?? LIGHTS.lightOffMin, lightOnMin })} // prettier-ignore
      />
      <TimeField
        label="Lights off"
        value={facts.lightOffMin ?? LIGHTS.lightOffMin}
        onChange={(lightOffMin) => set({ lightOnMin: facts.lightOnMin ?? LIGHTS.lightOnMin, lightOffMin })} // prettier-ignore
      />
    </>
  );
}

const LIGHTS = { lightOnMin: 600, lightOffMin: 1200 };

function GroupParts({
  entries,
  corrections,
  data,
  onChange,
  onClose,
  text,
}: Props & { text: string }) {
  const format = useFormat();
  const search = useSpeciesSearch(data.species);
  const group = entries.tanks.flatMap(({ groups }) => groups).find((one) => one.text === text);
  if (!group) return null;
  const set = (part: Corrections['groups'][string]) =>
    onChange({
      ...corrections,
      groups: {
        ...corrections.groups,
        [text]: part === null ? null : { ...corrections.groups[text], ...part },
      },
    });
  const length = format.scale('length');
  return (
    <>
      <Picker
        label="Species"
        search={search}
        value={group.speciesKey}
        picks={speciesPicks(data)}
        onChange={(speciesKey) => set({ speciesKey, exact: true })}
      />
      <NumberField
        label="How many"
        decimals={0}
        value={group.count}
        onChange={(count) => set({ count: count === null || Number.isNaN(count) ? null : Math.round(count) })} // prettier-ignore
      />
      <NumberField
        label="How long, nose to tail tip"
        unit={length.unit}
        scale={length}
        decimals={1}
        value={group.lengthCm}
        onChange={(lengthCm) => set({ lengthCm })}
        hint="Left empty, a usual length is assumed."
      />
      <Leave
        onPress={() => {
          set(null);
          onClose();
        }}
      />
    </>
  );
}

function FoodPart({
  entries,
  corrections,
  generic,
  onChange,
  onClose,
  text,
}: Props & { text: string }) {
  const find = useNameSearch(generic);
  const food = entries.foods.find((one) => one.text === text);
  const set = (key: string | null) =>
    onChange({ ...corrections, foods: { ...corrections.foods, [text]: key } });
  return (
    <>
      <Picker
        label="The food it is most like"
        search={find}
        value={food?.foodKey ?? ''}
        picks={generic.map(({ key, name, kind }) => ({ value: key, title: name, detail: kind }))}
        onChange={set}
      />
      <Leave
        onPress={() => {
          set(null);
          onClose();
        }}
      />
    </>
  );
}

function MeantParts({
  corrections,
  data,
  generic,
  onChange,
  onClose,
  text,
}: Props & { text: string }) {
  const search = useSpeciesSearch(data.species);
  const find = useNameSearch(generic);
  const set = (meant: Corrections['meant'][string]) => {
    onChange({ ...corrections, meant: { ...corrections.meant, [text]: meant } });
    onClose();
  };
  return (
    <>
      <Picker
        label="A fish, shrimp or snail"
        search={search}
        value=""
        placeholder="Choose a species"
        picks={speciesPicks(data)}
        onChange={(speciesKey) => set({ speciesKey })}
      />
      <Picker
        label="Or a food"
        search={find}
        value=""
        placeholder="Choose the food it is most like"
        picks={generic.map(({ key, name, kind }) => ({ value: key, title: name, detail: kind }))}
        onChange={(foodKey) => set({ foodKey })}
      />
      <Leave onPress={() => set(null)} />
    </>
  );
}

const Leave = ({ onPress }: { onPress: () => void }) => (
  <View style={{ alignItems: 'flex-start' }}>
    <Button variant="bare" label="Leave it out" onPress={onPress} />
  </View>
);
