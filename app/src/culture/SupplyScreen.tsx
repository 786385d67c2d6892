import {
  backupsFor,
  insteadOf,
  SUPPLY_DAYS,
  type FoodSupply,
  type Supplying,
} from '@open-larder/core/culture';
import { formatGrams, formatNumber } from '@open-larder/say';
import { addDays } from '@open-larder/core/round';
import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Chart } from '../records/Chart';
import { api, useHouse, useNow, useFormat, type AppData } from '../store';
import { Button, Card, Choice, Empty, ListRow, Screen, Text, Waiting } from '../ui';
import { startCulture, type CultureWorker } from '../workers/culture';
import { useWork } from '../workers/useWork';
import { Working } from '../workers/Working';
import { count } from './LiveScreen';
import { liveFoods, type Supplied } from './supplyTask';
import { useCultures, type Cultures } from './useCultures';
import { formatSize } from './labels';

const RUNS = 500;
const BACKUP_DAYS = 30;
const SEED = 20_261;
const SURE = [0.9, 0.95, 0.99] as const;

/** Six weeks of live food: what the plan wants of each against what the vessels give. */
export function SupplyScreen() {
  const house = useHouse();
  const cultures = useCultures();
  return (
    <Screen title="Live supply" back="/larder/live" detail="Six weeks from today">
      {house.data && cultures.data ? (
        <Supplies data={house.data} cultures={cultures.data} />
      ) : (
        <Waiting of={[house, cultures]} rows={3} height={160} />
      )}
    </Screen>
  );
}

function Supplies({ data, cultures }: { data: AppData; cultures: Cultures }) {
  const now = useNow();
  const [sure, setSure] = useState<number>(0.95);
  const { data: broods } = api.useBroodsQuery();
  const foods = useMemo(() => liveFoods(data, cultures, broods), [data, cultures, broods]);
  const about = useMemo(
    () => ({ house: data.house, foods, sure, day: now.day }),
    [data, foods, sure, now.day],
  );
  const work = useWork<FoodSupply[], CultureWorker, typeof about>(about, startCulture);
  const start = () =>
    work.run((worker, { foods: of, ...task }, onFood) =>
      worker.supply(
        {
          ...task,
          foods: of.map(({ name: _, cultures: __, wantedBy: ___, ...food }) => food),
          runs: RUNS,
          seed: SEED,
        },
        onFood,
      ),
    );
  // Worked out when it is opened, and anew for what changed.
  useEffect(() => {
    if (foods.length > 0) start();
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [about]);
  if (foods.length === 0) {
    return (
      <Empty
        title="No live food on the shelf"
        text="Start a culture, or put a live food on the shelf and plan it for a group: then you see here whether your cultures give enough."
      />
    );
  }
  return (
    <>
      <Choice
        label="Enough food on"
        value={sure}
        options={SURE.map((value) => ({ value, label: `${value * 100} % of days` }))}
        onChange={setSure}
      />
      <Working
        work={work}
        says="foods"
        label={work.result ? 'Work it out again' : 'Work it out'}
        onStart={start}
      />
      {work.result?.map((supply) => {
        const food = foods.find(({ foodId }) => foodId === supply.foodId);
        return food ? (
          <FoodSupplyCard
            key={supply.foodId}
            supplied={food}
            supply={supply}
            data={data}
            sure={sure}
          />
        ) : null;
      })}
    </>
  );
}

interface CardProps {
  supplied: Supplied;
  supply: FoodSupply;
  data: AppData;
  sure: number;
}

function FoodSupplyCard({ supplied, supply, data, sure }: CardProps) {
  const now = useNow();
  const format = useFormat();
  const router = useRouter();
  const { name, kind, cultures, wantedBy } = supplied;
  const { demandG, plan, jars, surplusG, availableG } = supply;
  const dayOf = (ahead: number) => format.day(addDays(now.day, ahead));
  const mean = demandG.reduce((sum, grams) => sum + grams, 0) / SUPPLY_DAYS;
  const short = plan?.short ?? (kind === null && mean > 0 ? demandG.flatMap((grams, at) => (grams > 0 ? [at] : [])) : []); // prettier-ignore
  const instead = kind
    ? insteadOf(
        kind,
        data.foods
          .filter(({ archived }) => !archived)
          .map(({ inWater, remainingG, ...rest }) => ({ ...rest, ...inWater, leftG: remainingG })),
      )
    : [];
  return (
    <View style={{ gap: 8 }}>
      <Card label={name}>
        <View style={{ padding: 12, gap: 6 }}>
          <Text variant="subtitle">{name}</Text>
          <Text tone="quiet">
            {mean > 0 ? `${formatGrams(mean)} a day wanted` : 'Not in any plan'}
            {wantedBy.length > 0 ? `, for ${wantedBy.join(', ')} too` : ''}
            {cultures.length > 0 ? ` · ${count(cultures.length, 'vessel')}` : ' · no vessel'}
          </Text>
          {saysOf()}
        </View>
        {jars ? (
          <ListRow
            title={`${count(jars.jars, 'jar')}, in turn`}
            detail={`each day at ${format.time(jars.startMin)} set one up: ${formatGrams(jars.cystsG)} of eggs, ${format.quantity('volume', jars.litres)}, ${formatNumber(jars.saltG, 1)} g of salt; it is ready after ${Math.round(jars.hours)} h${jars.waitsH >= 1 ? ` and waits ${Math.round(jars.waitsH)} h for its meal` : ''}`}
            trail={<View />}
          />
        ) : null}
        {startsOf(plan?.starts ?? []).map(({ start, times }) => (
          <ListRow
            key={start.id}
            title={`Start ${times === 1 ? 'one' : times} ${start.startsOn === 0 ? 'today' : `on ${dayOf(start.startsOn)}`}`}
            detail={`${kind!.name}, ${formatSize(kind!, start.measure, format)}; it gives from ${dayOf(start.startsOn + (plan?.leadDays ?? 0))} on`}
            trail={
              start.startsOn === 0 ? (
                <Button
                  least="keeper"
                  label="Start"
                  spoken={`Start ${kind!.name} today`}
                  onPress={() =>
                    router.push(
                      cultures[0]
                        ? { pathname: '/larder/live/new', params: { from: cultures[0].id } }
                        : '/larder/live/new',
                    )
                  }
                />
              ) : (
                <View />
              )
            }
          />
        ))}
        {short.length > 0 ? (
          <ListRow
            title={`Short on ${count(short.length, 'day')}, first ${dayOf(short[0]!)}`}
            detail={
              instead.length > 0
                ? `of similar size, instead: ${instead
                    .slice(0, 3)
                    .map(({ name, fits }) => (fits ? name : `${name} (size not known)`))
                    .join(', ')}`
                : 'nothing of its size is on the shelf'
            }
            trail={<View />}
          />
        ) : null}
      </Card>
      {mean > 0 && kind !== null && !jars ? (
        <Chart
          view="lines"
          title={`${name}: wanted and given`}
          detail="grams a day: with the cultures to start, faint without them; the broken line is what you need"
          labels={demandG.map((_, at) => (at % 14 === 0 ? dayOf(at).replace(/^\w+ /, '') : ''))}
          lines={[
            { values: plan?.outlook.givesG ?? availableG, variant: 'main' },
            { values: demandG, variant: 'dashed' },
            { values: availableG, variant: 'faint' },
          ]}
        />
      ) : null}
    </View>
  );

  function saysOf() {
    if (mean === 0) {
      return surplusG > 0 ? (
        <Text>{`${formatGrams(surplusG)} a day are left over: feed them, split the culture, or give some away.`}</Text>
      ) : null;
    }
    if (kind === null) {
      return <Text tone="due">No culture that is known here gives it. It has to be bought.</Text>;
    }
    if (jars) return null;
    const worst = Math.min(1, ...(plan?.outlook.metOn ?? supply.metOn));
    return (
      <>
        {cultures.length > 0 && supplied.vessels.length === 0 ? (
          <Text tone="due">
            None of its vessels lives. Start anew, apart from what ruined them.
          </Text>
        ) : null}
        <Text tone={short.length > 0 ? 'due' : 'ink'}>
          {plan && plan.starts.length > 0
            ? `With ${count(plan.starts.length, 'more vessel')} there is a ${Math.round(worst * 100)} % chance of enough on the worst day.`
            : `There is a ${Math.round(worst * 100)} % chance of enough on the worst day.`}
          {plan && plan.starts.length > 0 && surplusG > 0
            ? ' They are backups: the cultures you have are enough, as long as none crashes.'
            : ''}
          {worst < sure ? ' What you start today comes too late for the shortage now.' : ''}
        </Text>
        <Text variant="small" tone="quiet">
          {`Keep ${count(backupsFor(BACKUP_DAYS, sure), 'vessel')} of it, apart from each other: then there is a ${Math.round(sure * 100)} % chance that one is left after a month.`}
        </Text>
        {surplusG > 0 ? (
          <Text>{`${formatGrams(surplusG)} a day are left over: feed more of it, split it, or give some away.`}</Text>
        ) : null}
      </>
    );
  }
}

/** Those that are started on the same day, together. */
function startsOf(starts: readonly Supplying[]) {
  const byDay = new Map<number, { start: Supplying; times: number }>();
  for (const start of starts) {
    const known = byDay.get(start.startsOn);
    if (known) known.times += 1;
    else byDay.set(start.startsOn, { start, times: 1 });
  }
  return [...byDay.values()];
}
