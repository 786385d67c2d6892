import { blankTank, type Tank } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { api } from '../store';
import { Screen, useToast, Waiting } from '../ui';
import { TankForm } from './TankForm';
import { formIntent } from '../store/intent';

/** @param like id of a tank to start from: all as it is there, but for its name and place */
export function NewTankScreen({ like }: { like?: string }) {
  const router = useRouter();
  const toast = useToast();
  const { id } = formIntent('tank.new', like);
  const tanks = api.useTanksQuery();
  const [create] = api.useCreateTankMutation();
  const model = tanks.data?.find((tank) => tank.id === like);
  return (
    <Screen title={model ? `Another like ${model.name}` : 'A new tank'} back="/tanks">
      {tanks.data ? (
        <TankForm
          place={like ? `tank.like.${like}` : 'tank.new'}
          initial={startingFrom(model, tanks.data)}
          act="Make this tank"
          onSave={({ version: _, archived: __, ...fields }) => create({ body: { ...fields, id } })}
          onSaved={(tank) => {
            toast(`${tank.name} is made. Put a group of fish in it.`);
            router.replace(`/tanks/${tank.id}`);
          }}
        />
      ) : (
        <Waiting of={tanks} rows={5} height={48} />
      )}
    </Screen>
  );
}

function startingFrom(model: Tank | undefined, tanks: readonly Tank[]) {
  const walkOrder = Math.max(0, ...tanks.map((tank) => tank.walkOrder)) + 1;
  const { id: _, ...fields } = model ?? { ...blankTank, id: '', name: '' };
  return {
    ...fields,
    name: model ? freshName(model.name, tanks) : '',
    walkOrder,
    version: 1,
    archived: false,
  };
}

/** «Fern tub» becomes «Fern tub 2», and that «Fern tub 3». */
function freshName(name: string, tanks: readonly Tank[]): string {
  const [, stem = name] = /^(.*?)(?:\s+\d+)?$/.exec(name) ?? [];
  const taken = new Set(tanks.map((tank) => tank.name));
  for (let number = 2; ; number += 1) {
    const fresh = `${stem.slice(0, 55)} ${number}`;
    if (!taken.has(fresh)) return fresh;
  }
}
