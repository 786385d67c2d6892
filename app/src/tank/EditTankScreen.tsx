import type { Tank } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { api, useHouse } from '../store';
import { Empty, Screen, useToast, Waiting } from '../ui';
import { TankForm } from './TankForm';

export function EditTankScreen({ id }: { id: string }) {
  const router = useRouter();
  const toast = useToast();
  const loaded = useHouse();
  const [edit] = api.useEditTankMutation();
  const tank = loaded.data?.tanks.find((one) => one.id === id);
  return (
    <Screen title={tank ? `Change ${tank.name}` : 'Change tank'} back={`/tanks/${id}`}>
      {!loaded.data ? (
        <Waiting of={loaded} rows={5} height={48} />
      ) : tank ? (
        <TankForm
          place={`tank.${id}`}
          initial={valuesOf(tank)}
          act="Save"
          onSave={(body) => edit({ params: { id }, body })}
          onSaved={(saved) => {
            toast(`${saved.name} is saved.`);
            router.replace(`/tanks/${id}`);
          }}
        />
      ) : (
        <Empty title="No such tank" text="It may have been put away. Go back to the list." />
      )}
    </Screen>
  );
}

function valuesOf({ id: _, ...values }: Tank) {
  return values;
}
