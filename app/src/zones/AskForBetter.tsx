import type { DietRow, Problem, Tank } from '@open-larder/contract';
import { wallMinutes } from '@open-larder/core/round';
import { inDiet, type Advice, type Advised, type Feeding } from '@open-larder/core/zones';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { api, type AppData } from '../store';
import { themed } from '../theme';
import { Button, Card, Choice, Text, useToast } from '../ui';
import { formatChanges, formatOutcome } from './sayAdvice';
import { startZones, type ZonesWorker } from '../workers/zones';
import { useWork } from '../workers/useWork';
import { Working } from '../workers/Working';

interface Props {
  tank: Tank;
  data: AppData;
  /** The whole day: what helps at one meal may harm at the next. */
  day: Feeding;
}

/** «How could the loaches get theirs?» Every way is simulated, ranked, and can be put into the plan. */
export function AskForBetter({ tank, data, day }: Props) {
  const styles = useStyles();
  const fed = day.groups.filter((group) => day.drops.some((drop) => drop.groupId === group.id));
  const [groupId, setGroupId] = useState(fed[0]?.id ?? '');
  const asking = useWork<Advised, ZonesWorker, typeof day>(day, startZones);
  const group = fed.find((one) => one.id === groupId) ?? fed[0];
  const putIn = usePutIn(data);
  if (!group) return null;
  const { result: advised } = asking;
  const ask = () =>
    asking.run((zones, of, onRun) => zones.advise(of, group.id, momentsAt(tank, data), onRun));
  const names = {
    feeding: day,
    moments: new Map(data.moments.map(({ id, name }) => [id, name])),
  };
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">Ask for better</Text>
      {fed.length > 1 ? (
        <Choice
          label="For which group"
          value={group.id}
          options={fed.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) => {
            setGroupId(id);
            asking.forget();
          }}
        />
      ) : null}
      <Working
        work={asking}
        says="ways tried"
        label={`How could ${group.name} get more?`}
        onStart={ask}
      />
      {advised && advised.better.length === 0 ? (
        <Text>
          {`None of ${advised.tried} ways does better for ${group.name} without costing more elsewhere. They get ${Math.round(advised.now.ofNeed[day.groups.indexOf(group)]!)} % of their need.`}
        </Text>
      ) : null}
      {advised?.better.map((advice, at) => (
        <Card key={at} label={formatChanges(advice.changes, names)}>
          <View style={styles.advice}>
            <Text variant="strong">{formatChanges(advice.changes, names)}</Text>
            <Text variant="small">{formatOutcome(advice, advised.now, group.id, day)}</Text>
            <View style={{ alignItems: 'flex-start' }}>
              <Button
                least="keeper"
                variant={at === 0 ? 'primary' : 'plain'}
                label="Put it into the plan"
                spoken={`Put it into the plan: ${formatChanges(advice.changes, names)}`}
                onPress={() => {
                  void putIn(group.id, advice).then((done) => done && asking.forget());
                }}
              />
            </View>
          </View>
        </Card>
      ))}
    </View>
  );
}

/** Every moment of the house, as it falls at this tank. */
function momentsAt(tank: Tank, data: AppData) {
  const light = { onMin: tank.lightOnMin, offMin: tank.lightOffMin };
  return data.moments
    .filter((moment) => !moment.archived)
    .map((moment) => ({ id: moment.id, atMin: wallMinutes(moment, light) }));
}

/** Write the changes into the group's diet, with a way back. */
function usePutIn(data: AppData) {
  const toast = useToast();
  const [send] = api.useEditDietMutation();
  return async (groupId: string, advice: Advice): Promise<boolean> => {
    const group = data.groups.find((one) => one.id === groupId);
    const diet = group?.diet;
    if (!group || !diet) return false;
    const bodyOf = (row: DietRow, version: number) => ({
      version,
      fastWeekdays: row.fastWeekdays,
      goalFactor: row.goalFactor,
      rules: row.rules,
      servings: row.servings,
    });
    const servings = advice.changes.reduce(
      (before, change) => inDiet(before, change, uuidv7),
      diet.servings as Parameters<typeof inDiet>[0],
    );
    const body = { ...bodyOf(diet, diet.version), servings: [...servings] } as DietRow;
    const done = await send({ params: { id: groupId }, body });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return false;
    }
    const saved = done.data as DietRow;
    toast(`It is in the plan of ${group.name}, from today.`, {
      undo: () =>
        void send({ params: { id: groupId }, body: bodyOf(diet, saved.version) as DietRow }),
    });
    return true;
  };
}

const useStyles = themed(() => ({
  advice: { padding: 12, gap: 8 },
}));
