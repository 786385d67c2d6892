import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useHouse } from '../store';
import { useColours, useWide } from '../theme';
import { Button, Empty, Fault, Screen, Skeleton } from '../ui';
import { ScreenTools } from '../shell';
import { TankDetail } from './TankDetail';
import { TankList } from './TankList';

/** Every tank; when wide, the chosen one stands beside the list. */
export function TanksScreen({ id }: { id?: string }) {
  const router = useRouter();
  const wide = useWide();
  const colours = useColours();
  const loaded = useHouse();
  const tanks = loaded.data?.tanks.filter((tank) => !tank.archived) ?? [];
  const chosen = tanks.find((tank) => tank.id === (id ?? tanks[0]?.id));
  const shownAlone = id !== undefined && !wide;
  const add = (
    <Button
      label="New tank"
      icon={<Plus size={20} color={colours.ink} />}
      onPress={() => router.push('/tanks/new')}
    />
  );
  const detail =
    loaded.data && chosen ? <TankDetail key={chosen.id} tank={chosen} data={loaded.data} /> : null;
  return (
    <Screen
      title={shownAlone ? (chosen?.name ?? 'Tank') : 'Tanks'}
      back={shownAlone ? '/tanks' : undefined}
      detail={!shownAlone && tanks.length > 0 ? `${tanks.length} in walking order` : undefined}
      tools={shownAlone ? null : <ScreenTools />}
      actions={!shownAlone && tanks.length > 0 ? add : null}
      aside={detail}
    >
      {loaded.problem ? (
        <Fault problem={loaded.problem} onRetry={loaded.retry} />
      ) : !loaded.data ? (
        <Skeleton rows={4} height={110} />
      ) : tanks.length === 0 ? (
        <Empty
          title="No tanks yet"
          text="Begin with the tank you feed first in the morning: its inside measures, temperature and light hours. «Millpond», say: 120 × 45 × 50 cm, 26 °C, lit from 10:00 to 20:00."
          action={
            <Button
              look="primary"
              label="Make the first tank"
              onPress={() => router.push('/tanks/new')}
            />
          }
        />
      ) : shownAlone ? (
        (detail ?? (
          <Empty title="No such tank" text="It may have been put away. Go back to the list." />
        ))
      ) : (
        <TankList data={loaded.data} selected={wide ? chosen?.id : undefined} />
      )}
    </Screen>
  );
}
