import type { Group, Tank } from '@open-larder/contract';
import { dryFoodsOf, dryTankOf, type WeekRows } from '@open-larder/contract/week';
import type { DryRun, DryTank, DryTankResult } from '@open-larder/core/week';
import { formatNumber, formatMgL } from '@open-larder/say';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { ScreenTools } from '../shell';
import {
  api,
  useAppSelector,
  useHouse,
  useNow,
  useFormat,
  type AppData,
  type Format,
} from '../store';
import { Button, Card, Choice, ListRow, Screen, Text, Waiting } from '../ui';
import { Picker } from '../ui/Picker';
import { startWeek, type WeekWorker } from '../workers/week';
import { useWork } from '../workers/useWork';
import { drafted, draftOf, fitted } from './draft';
import type { Draft } from './slice';
import { nameOf } from './labels';
import { TankResult } from './TankResult';

const WEEKS = 8;

const DAYS = WEEKS * 7;

const HOUSE = 'house';

/** Eight weeks forward with the plan as it is, and beside it the plan that is on the board. */
export function DryRunScreen({ tankId }: { tankId?: string }) {
  const loaded = useHouse();
  return loaded.data ? (
    <DryRunOf data={loaded.data} tankId={tankId} />
  ) : (
    <Screen title="Dry run" back="/week">
      {<Waiting of={loaded} rows={4} height={80} />}
    </Screen>
  );
}

interface Pair {
  saved: DryRun;
  /** With what is on the board and not saved; null where nothing is. */
  board: DryRun | null;
}

function DryRunOf({ data, tankId }: { data: AppData; tankId: string | undefined }) {
  const format = useFormat();
  const now = useNow();
  const drafts = useAppSelector((state) => state.planDrafts);
  const [chosen, setChosen] = useState(tankId ?? HOUSE);
  const tanks = data.tanks.filter((tank) => !tank.archived && data.groupsIn.has(tank.id));
  const looked = useMemo(
    () => tanks.filter((tank) => chosen === HOUSE || tank.id === chosen),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [data, chosen],
  );
  const edited = looked.some((tank) => drafts[tank.id] !== undefined);
  const about = useMemo(
    () => ({ data, looked, drafts, day: now.day }),
    [data, looked, drafts, now.day],
  );
  const waters = api.useWatersQuery();
  const waterStatus = (id: string) =>
    waters.data?.find(({ tankId }) => tankId === id)?.status ?? null;
  const running = useWork<Pair, WeekWorker, typeof about>(about, startWeek, { keepsUp: true });
  const start = () =>
    running.run(async (worker, { data: rows, looked: ran, drafts: on, day }, onTank) => {
      const foods = dryFoodsOf(rows.foods);
      const edits = ran.some((tank) => on[tank.id] !== undefined);
      const of = edits ? 2 * ran.length : ran.length;
      const dry = (draft: boolean) =>
        ran.map((tank): DryTank =>
          dryTankOf(rowsOf(tank, rows, draft ? on : {}, day), day, waterStatus(tank.id)),
        );
      const saved = await worker.dryRun(dry(false), foods, DAYS, (done) => onTank(done, of));
      const board = edits
        ? await worker.dryRun(dry(true), foods, DAYS, (done) => onTank(ran.length + done, of))
        : null;
      return { saved, board };
    });
  const { result } = running;
  return (
    <Screen
      title="Dry run"
      detail={`${WEEKS} weeks from ${format.day(now.day)}, with the plan as it is`}
      back="/week"
      tools={<ScreenTools />}
    >
      <Picker
        label="Of"
        search={tanks.length > 8}
        value={chosen}
        onChange={setChosen}
        picks={[
          { value: HOUSE, title: 'The whole house', detail: `${tanks.length} tanks` },
          ...tanks.map((tank) => ({ value: tank.id, title: tank.name })),
        ]}
      />
      {edited ? (
        <Text tone="quiet">
          There are changes on the board that are not saved: both plans are run, side by side.
        </Text>
      ) : null}
      {running.running ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
          <Text role="status">
            {running.running.of === 0
              ? 'Starting'
              : `${running.running.done} of ${running.running.of} tanks`}
          </Text>
          <Button label="Cancel" onPress={running.forget} />
        </View>
      ) : (
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            variant="primary"
            label={result ? 'Run it again' : 'Run it'}
            disabled={looked.length === 0}
            onPress={start}
          />
        </View>
      )}
      {running.fault ? <Text tone="due">{running.fault}</Text> : null}
      {result ? <Results pair={result} data={data} format={format} /> : null}
      <Text variant="small" tone="quiet">
        Growth, water and appetite are estimates from the figures in the app: watch the fish, test
        the water, and take the band rather than the line.
      </Text>
    </Screen>
  );
}

/** A tank's rows, as it is saved or with what is on the board. */
function rowsOf(tank: Tank, data: AppData, drafts: Record<string, Draft>, day: string): WeekRows {
  const groups: readonly Group[] = data.groupsIn.get(tank.id) ?? [];
  const draft = drafts[tank.id];
  const after = draft
    ? drafted(fitted(draft.now, draftOf(tank, groups)), tank, groups, day)
    : { tank, groups };
  const diets = new Map(after.groups.map((group) => [group.id, group.diet]));
  return {
    ...after,
    foods: data.foods,
    species: data.species,
    moments: data.moments,
    house: {
      ...data.house,
      groups: data.house.groups.map((group) =>
        diets.has(group.id) ? { ...group, diet: diets.get(group.id) ?? null } : group,
      ),
    },
  };
}

function Results({ pair, data, format }: { pair: Pair; data: AppData; format: Format }) {
  const [which, setWhich] = useState<'saved' | 'board'>('saved');
  const [tankId, setTank] = useState(pair.saved.tanks[0]?.tankId ?? '');
  const [run, other] =
    which === 'board' && pair.board ? [pair.board, pair.saved] : [pair.saved, pair.board];
  const tank = run.tanks.find((one) => one.tankId === tankId) ?? run.tanks[0];
  const beside = other?.tanks.find((one) => one.tankId === tank?.tankId);
  return (
    <View style={{ gap: 16 }}>
      {pair.board ? (
        <>
          <Compared pair={{ saved: pair.saved, board: pair.board }} data={data} format={format} />
          <Choice
            label="Look at"
            value={which}
            options={[
              { value: 'saved', label: 'the saved plan' },
              { value: 'board', label: 'the one on the board' },
            ]}
            onChange={setWhich}
          />
        </>
      ) : null}
      <RunOuts run={run} data={data} format={format} />
      {run.tanks.length > 1 ? (
        <Picker
          label="Tank"
          value={tank?.tankId ?? ''}
          onChange={setTank}
          picks={run.tanks.map((one) => ({
            value: one.tankId,
            title: nameOf(data.tanks, one.tankId),
            detail: one.over ? 'nitrate too high' : `nitrate up to ${formatMgL(one.peakMgL)} mg/L`,
          }))}
        />
      ) : null}
      {tank ? (
        <TankResult tank={tank} beside={beside} first={run.first} data={data} format={format} />
      ) : null}
    </View>
  );
}

interface Sums {
  cost: number;
  waste: number;
  peak: number;
  hungry: number;
  hours: number;
}

function sumsOf({ tanks }: DryRun): Sums {
  const sum = (of: (tank: DryTankResult) => number) =>
    tanks.reduce((all, tank) => all + of(tank), 0);
  const served = sum((tank) => tank.servedG);
  return {
    cost: sum((tank) => tank.costMinor),
    waste: served > 0 ? (100 * sum((tank) => tank.wasteG)) / served : 0,
    peak: Math.max(0, ...tanks.map((tank) => tank.peakMgL)),
    hungry: sum((tank) => tank.groups.reduce((all, group) => all + group.hungryDays, 0)),
    hours: sum((tank) => tank.workMin) / 60,
  };
}

function Compared({
  pair,
  format,
}: {
  pair: { saved: DryRun; board: DryRun };
  data: AppData;
  format: Format;
}) {
  const a = sumsOf(pair.saved);
  const b = sumsOf(pair.board);
  const rows: [string, string, string][] = [
    ['Cost', format.money(a.cost), format.money(b.cost)],
    ['Waste', `${Math.round(a.waste)} %`, `${Math.round(b.waste)} %`],
    ['Nitrate at most', `${formatMgL(a.peak)} mg/L`, `${formatMgL(b.peak)} mg/L`],
    ['Hungry days of groups', String(a.hungry), String(b.hungry)],
    ['Work', `${formatNumber(a.hours, 1)} h`, `${formatNumber(b.hours, 1)} h`],
  ];
  return (
    <Card label="Two plans side by side">
      <ListRow
        first
        title="Two plans side by side"
        trail={<Text tone="quiet">saved · board</Text>}
      />
      {rows.map(([name, one, other]) => (
        <ListRow
          key={name}
          title={name}
          trail={<Text variant="strong">{`${one} · ${other}`}</Text>}
        />
      ))}
    </Card>
  );
}

function RunOuts({ run, data, format }: { run: DryRun; data: AppData; format: Format }) {
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">What runs out</Text>
      <Card>
        {run.runOuts.length === 0 ? (
          <ListRow first title={`Nothing in ${WEEKS} weeks`} />
        ) : (
          run.runOuts.map(({ foodId, day }, index) => (
            <ListRow
              key={foodId}
              first={index === 0}
              title={nameOf(data.foods, foodId)}
              trail={<Text variant="strong">{format.day(day)}</Text>}
            />
          ))
        )}
      </Card>
    </View>
  );
}
