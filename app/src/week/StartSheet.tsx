import type { StartingPlanRow, Tank } from '@open-larder/contract';
import { weekTaskOf } from '@open-larder/contract/week';
import type { DietServing } from '@open-larder/core/round';
import { relaid, usualServings, withServings, type WeekTask } from '@open-larder/core/week';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { api, useAppDispatch, useNow, type AppData } from '../store';
import {
  Button,
  Card,
  Choice,
  Choices,
  Field,
  ListRow,
  Sheet,
  Text,
  lowerFirst,
  useToast,
} from '../ui';
import { startWeek } from '../workers/week';
import { draftOf } from './draft';
import { planEdited } from './slice';
import type { Board } from './useBoard';
import type { Names } from './useNames';
import { formIntent } from '../store/intent';

interface Props {
  board: Board;
  data: AppData;
  names: Names;
  onClose: () => void;
}

type Laid = Map<string, DietServing[]>;

/** A plan to begin with, for this tank or for many at once, looked at before it is taken. */
export function StartSheet({ board, data, names, onClose }: Props) {
  const dispatch = useAppDispatch();
  const toast = useToast();
  const now = useNow();
  const own = api.useStartingPlansQuery().data?.filter((plan) => !plan.archived) ?? [];
  const [planId, setPlan] = useState(KIND);
  const here = board.rows.tank.id;
  const [tankIds, setTanks] = useState<string[]>([here]);
  const tanks = data.tanks.filter((tank) => !tank.archived && data.groupsIn.has(tank.id));
  const plan = own.find((one) => one.id === planId) ?? null;
  const laid = useMemo(
    () =>
      tanks
        .filter((tank) => tankIds.includes(tank.id))
        .map((tank) => ({ tank, ...layIn(tank, data, plan, now.day) })),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [tankIds, plan, data, now.day],
  );
  const nothing = laid.flatMap(({ servings }) =>
    [...servings].filter(([, list]) => list.length === 0).map(([groupId]) => groupId),
  );
  const take = async () => {
    const worker = startWeek();
    const fittedPlans = [];
    for (const { tank, task, servings } of laid) {
      const some = new Map([...servings].filter(([, list]) => list.length > 0));
      // A plan of one's own is laid out as it was kept.
      const reaches = plan ? some : await worker.fit(withServings(task, some), laid.length > 1);
      fittedPlans.push({
        tank,
        servings: new Map([...some.keys()].map((id) => [id, reaches.get(id)])),
      });
    }
    worker.stop();
    for (const { tank, servings } of fittedPlans) {
      const saved = draftOf(tank, data.groupsIn.get(tank.id) ?? []);
      const from = tank.id === here ? board.draft : saved;
      const to = {
        ...from,
        diets: from.diets.map((diet) => ({
          ...diet,
          servings: (servings.get(diet.groupId) ?? diet.servings) as typeof diet.servings,
        })),
      };
      dispatch(planEdited({ tankId: tank.id, from, to }));
    }
    toast(
      laid.length > 1
        ? `Laid out and balanced in ${laid.length} tanks. Look at each and save it.`
        : 'Laid out and balanced. Look at it and save it.',
    );
    onClose();
  };
  return (
    <Sheet title="A plan to begin with" open onClose={onClose}>
      <Choice
        label="From"
        value={planId}
        options={[
          { value: KIND, label: 'what suits each kind' },
          ...own.map((one) => ({ value: one.id, label: one.name })),
        ]}
        onChange={setPlan}
        hint={
          plan
            ? 'Its foods, moments and days; the amounts are worked out for each group.'
            : 'Foods from your shelf that fit their mouths, by guild, stage and how the tank is fed.'
        }
      />
      {tanks.length > 1 ? (
        <Choices
          label="In"
          value={tankIds}
          options={tanks.map((tank) => ({ value: tank.id, label: tank.name }))}
          onChange={setTanks}
        />
      ) : null}
      <Text variant="subtitle">What it would be</Text>
      {laid.map(({ tank, servings }) => (
        <Card key={tank.id} label={tank.name}>
          {[...servings].map(([groupId, list], index) => (
            <ListRow
              key={groupId}
              first={index === 0}
              title={`${names.group(groupId)} · ${tank.name}`}
              detail={
                list.length === 0
                  ? 'Nothing on the shelf suits them: the plan is kept.'
                  : list
                      .map(
                        (one) =>
                          `${lowerFirst(names.food(one.foodId))}, ${names.moment(one.momentId)}, ${
                            one.days.length >= 7 ? 'every day' : `${one.days.length} days`
                          }`,
                      )
                      .join(' · ')
              }
            />
          ))}
        </Card>
      ))}
      {nothing.length > 0 ? (
        <Text tone="due">
          {`${nothing.map((id) => names.group(id)).join(', ')}: put a food on the shelf that they can eat.`}
        </Text>
      ) : null}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label={laid.length > 1 ? `Lay it out in ${laid.length} tanks` : 'Lay it out'}
          disabled={!laid.some(({ servings }) => [...servings.values()].some(fitting))}
          onPress={take}
        />
      </View>
      <KeepOwn board={board} own={own} />
    </Sheet>
  );
}

const KIND = 'kind';

/** What was laid out for a group; where nothing fits it, what stands is kept. */
const fitting = (servings: readonly DietServing[] | undefined) =>
  servings && servings.length > 0 ? servings : undefined;

/** A starting plan in one tank: servings by group; none of them where nothing fits. */
function layIn(
  tank: Tank,
  data: AppData,
  plan: StartingPlanRow | null,
  day: string,
): { task: WeekTask; servings: Laid } {
  const groups = data.groupsIn.get(tank.id) ?? [];
  const task: WeekTask = weekTaskOf(
    {
      tank,
      groups,
      foods: data.foods,
      species: data.species,
      house: data.house,
      moments: data.moments,
    },
    day,
  );
  const laid: Laid = new Map();
  for (const group of task.groups) {
    if (plan) {
      const days = tank.plan?.cycle.days ?? 7;
      laid.set(
        group.id,
        relaid(
          plan.lines.map((line) => ({ ...line, id: uuidv7(), ownUnits: null })),
          Math.max(7, ...plan.lines.flatMap((line) => line.days)),
          days,
        ),
      );
      continue;
    }
    const servings = usualServings(task, group, tank.plan?.feedingStyle ?? null, () => uuidv7());
    if (servings) laid.set(group.id, servings);
  }
  return { task, servings: laid };
}

/** Keep the plan of one group as a starting plan of one's own. */
function KeepOwn({ board, own }: { board: Board; own: readonly StartingPlanRow[] }) {
  const toast = useToast();
  const [create] = api.useCreateStartingPlanMutation();
  const [edit] = api.useEditStartingPlanMutation();
  const [name, setName] = useState('');
  const [groupId, setGroup] = useState(board.task.groups[0]?.id ?? '');
  const servings = board.draft.diets.find((diet) => diet.groupId === groupId)?.servings ?? [];
  const keep = async () => {
    const lines = servings.map(({ id: _, ownUnits: __, ...line }) => line);
    const made = await create({ body: { id: formIntent('startingPlan.new').id, name, lines } });
    if (made.error) toast((made.error as { detail: string }).detail, { tone: 'error' });
    else {
      toast(`«${name}» is kept as a plan to begin with.`);
      setName('');
    }
  };
  const putAway = async ({ id, ...fields }: StartingPlanRow) => {
    const done = await edit({ params: { id }, body: { ...fields, archived: true } });
    if (done.error) {
      toast((done.error as { detail: string }).detail, { tone: 'error' });
      return;
    }
    const { version } = done.data;
    toast(`«${fields.name}» is put away.`, {
      undo: () => void edit({ params: { id }, body: { ...fields, version, archived: false } }),
    });
  };
  return (
    <View style={{ gap: 10 }}>
      <Text variant="subtitle">Keep one of your own</Text>
      <Choice
        label="From"
        value={groupId}
        options={board.task.groups.map((group) => ({ value: group.id, label: group.name }))}
        onChange={setGroup}
      />
      <Field label="Name" value={name} onChange={setName} placeholder="For small grazers" />
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          label="Keep it"
          disabled={name.trim() === '' || servings.length === 0}
          onPress={() => keep()}
        />
      </View>
      {own.length > 0 ? (
        <Card>
          {own.map((plan, index) => (
            <ListRow
              key={plan.id}
              first={index === 0}
              title={plan.name}
              detail={`${plan.lines.length} ${plan.lines.length === 1 ? 'line' : 'lines'}`}
              trail={
                <Button
                  variant="bare"
                  label="Put away"
                  spoken={`Put away ${plan.name}`}
                  onPress={() => putAway(plan)}
                />
              }
            />
          ))}
        </Card>
      ) : null}
    </View>
  );
}
