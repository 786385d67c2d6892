import type { Tank } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import Eye from 'lucide-react-native/icons/eye';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { ScreenTools } from '../shell';
import { useHouse, type AppData } from '../store';
import { useColours, useWide } from '../theme';
import { Button, Empty, Field, IconButton, Screen, Waiting } from '../ui';
import { matches } from '../ui/Picker';
import { TankDetail } from './TankDetail';
import { TankLine } from './TankLine';
import { TanksTabs } from './TanksTabs';
import { WalkSheet } from './WalkSheet';

/** Its dragging comes with it, when tanks are arranged. */

/** From this number on a list can be filtered. */
const MANY = 8;

/** Every tank; when wide, the chosen one is shown beside the list. */
export function TanksScreen({ id }: { id?: string }) {
  const router = useRouter();
  const wide = useWide();
  const colours = useColours();
  const loaded = useHouse();
  const [words, setWords] = useState('');
  const [walk, setWalk] = useState(false);
  const tanks = loaded.data?.tanks.filter((tank) => !tank.archived) ?? [];
  const chosen = tanks.find((tank) => tank.id === (id ?? tanks[0]?.id));
  const detail =
    loaded.data && chosen ? <TankDetail key={chosen.id} tank={chosen} data={loaded.data} /> : null;
  const missing = (
    <Empty title="No such tank" text="It may have been put away. Go back to the list." />
  );
  if (id !== undefined && !wide) {
    return (
      <Screen title={chosen?.name ?? 'Tank'} back="/tanks">
        {loaded.data ? (detail ?? missing) : <Waiting of={loaded} rows={4} height={110} />}
      </Screen>
    );
  }
  const found = loaded.data ? tanks.filter((tank) => isAbout(tank, loaded.data, words)) : [];
  return (
    <Screen
      title="Tanks"
      detail={tanks.length > 0 ? countOf(found.length, tanks.length) : undefined}
      tools={<ScreenTools />}
      actions={
        tanks.length > 0 ? (
          <>
            <IconButton label="Watch the whole house" onPress={() => router.push('/watch')}>
              <Eye size={22} color={colours.ink} />
            </IconButton>
            {tanks.length > 1 ? (
              <Button least="keeper" label="Arrange" onPress={() => setWalk(true)} />
            ) : null}
            <Button
              least="keeper"
              label="New tank"
              icon={<Plus size={20} color={colours.ink} />}
              onPress={() => router.push('/begin')}
            />
          </>
        ) : null
      }
      aside={detail}
      rows={
        loaded.data && {
          items: found,
          keyOf: (tank: Tank) => tank.id,
          first: 7,
          extra: [loaded.data, chosen?.id, wide],
          render: (tank: Tank) => (
            <TankLine tank={tank} data={loaded.data} selected={wide && tank.id === chosen?.id} />
          ),
        }
      }
    >
      {walk ? <WalkSheet tanks={tanks} onClose={() => setWalk(false)} /> : null}
      {tanks.length > 0 ? <TanksTabs here="tanks" /> : null}
      {!loaded.data ? (
        <Waiting of={loaded} rows={4} height={110} />
      ) : tanks.length === 0 ? (
        <NoTanks />
      ) : tanks.length >= MANY ? (
        <Field label="Filter by tank, kind or fish" value={words} onChange={setWords} />
      ) : null}
    </Screen>
  );
}

function NoTanks() {
  const router = useRouter();
  return (
    <Empty
      title="No tanks yet"
      text="Begin with the tank that you feed first in the morning: a few lines on it, its fish and your foods are enough. A whole house goes in at once as a table."
      action={
        <>
          <Button
            least="keeper"
            variant="primary"
            label="Say what you have"
            onPress={() => router.push('/begin')}
          />
          <Button
            least="owner"
            label="Paste a whole house"
            onPress={() => router.push('/tables')}
          />
        </>
      }
    />
  );
}

const countOf = (found: number, all: number) =>
  found === all ? `${all} in walking order` : `${found} of ${all}`;

/** True where words stand in the name, the kind, or the fish of a tank. */
function isAbout(tank: Tank, data: AppData, words: string): boolean {
  if (words.trim() === '') return true;
  const fish = (data.groupsIn.get(tank.id) ?? []).map((group) => {
    const species = data.species.get(group.speciesKey);
    return `${group.name} ${species?.common ?? ''} ${species?.scientific ?? ''}`;
  });
  return matches(`${tank.name} ${tank.kind} ${fish.join(' ')}`, words);
}
