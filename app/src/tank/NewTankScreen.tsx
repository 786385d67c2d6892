import { useRouter } from 'expo-router';
import { v7 as uuidv7 } from 'uuid';
import { useState } from 'react';
import { api } from '../store';
import { Fault, Screen, Skeleton, useSay } from '../ui';
import { blankTank } from './newTank';
import { TankForm } from './TankForm';
import type { Problem } from '@open-larder/contract';

export function NewTankScreen() {
  const router = useRouter();
  const say = useSay();
  const [id] = useState(() => uuidv7());
  const tanks = api.useTanksQuery();
  const [create] = api.useCreateTankMutation();
  return (
    <Screen title="A new tank" back="/tanks">
      {tanks.error ? (
        <Fault problem={tanks.error as Problem} onRetry={() => void tanks.refetch()} />
      ) : tanks.data ? (
        <TankForm
          place="tank.new"
          initial={blankTank(Math.max(0, ...tanks.data.map((tank) => tank.walkOrder)) + 1)}
          act="Make this tank"
          onSave={({ version: _, archived: __, ...fields }) => create({ body: { ...fields, id } })}
          onSaved={(tank) => {
            say(`${tank.name} is made. Put a group of fish in it.`);
            router.replace(`/tanks/${tank.id}`);
          }}
        />
      ) : (
        <Skeleton rows={5} height={48} />
      )}
    </Screen>
  );
}
