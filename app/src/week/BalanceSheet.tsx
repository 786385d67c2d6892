import { formatUnits, formatGrams, formatNumber } from '@open-larder/say';
import {
  accepted,
  changesBetween,
  withServings,
  type CellChange,
  type Help,
  type Judged,
  type Progress,
  type WeekTask,
} from '@open-larder/core/week';
import Square from 'lucide-react-native/icons/square';
import SquareCheck from 'lucide-react-native/icons/square-check';
import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useFormat, type AppData, type Format } from '../store';
import { SIZES, themed, useColours } from '../theme';
import { Button, Card, Sheet, Text, lowerFirst } from '../ui';
import { startWeek, type WeekWorker } from '../workers/week';
import { startWeekAside } from '../workers/weekServer';
import { useWork } from '../workers/useWork';
import type { BalancedPlan } from '../workers/weekWork';
import { AimsCard } from './AimsCard';
import type { Board } from './useBoard';
import type { Names } from './useNames';

interface Props {
  board: Board;
  data: AppData;
  names: Names;
  onClose: () => void;
}

/** Tanks past which a phone is spared the solving. */
const LARGE_HOUSE = 40;

const STEP_WORDS: Record<Progress['step'], string> = {
  looking: 'Looking at what could be given',
  solving: 'Solving',
  simulating: 'Simulating what came of it',
};

/** Balance the plan on what reaches each group; take the result whole or line by line. */
export function BalanceSheet({ board, data, names, onClose }: Props) {
  // The task as it was when the sheet was opened: taking part of a result changes the board.
  const [task] = useState(board.task);
  const [progress, setProgress] = useState<Progress | null>(null);
  const large = data.tanks.filter((tank) => !tank.archived).length > LARGE_HOUSE;
  const balancing = useWork<BalancedPlan, WeekWorker>(task, () =>
    large ? startWeekAside(board.rows.tank.id, board.draft) : startWeek(),
  );
  const start = () => {
    setProgress(null);
    balancing.run((worker) => worker.balance(task, setProgress));
  };
  return (
    <Sheet title="Balance the plan" open onClose={onClose}>
      <Text tone="quiet">
        Finds portions, moments and foods so that every group gets its need from what really reaches
        it, within the shelf, the fasts and your minutes.
      </Text>
      {balancing.running ? (
        <Balancing
          progress={progress}
          onEnough={() => balancing.run((worker) => asFar(worker, task, progress!))}
          onCancel={balancing.forget}
        />
      ) : balancing.result ? null : (
        <View style={{ alignItems: 'flex-start' }}>
          <Button variant="primary" label="Balance" onPress={start} />
        </View>
      )}
      {balancing.fault ? <Text tone="due">{balancing.fault}</Text> : null}
      {balancing.result ? (
        <Result board={board} data={data} names={names} plan={balancing.result} onClose={onClose} />
      ) : null}
      <WhatHelps board={board} names={names} />
    </Sheet>
  );
}

/** What the best plan so far comes to, when nobody wants to wait for a better one. */
async function asFar(
  worker: WeekWorker,
  task: WeekTask,
  { best, round }: Progress,
): Promise<BalancedPlan> {
  const before = await worker.judge(task);
  const found = best ? await worker.judge(withServings(task, best.servings)) : before;
  return {
    before,
    after: found.score < before.score ? found : before,
    rounds: round,
    settled: null,
    drift: 0,
    seconds: null,
  };
}

/** How far it is, with a way out that keeps what was found and one that does not. */
function Balancing({
  progress,
  onEnough,
  onCancel,
}: {
  progress: Progress | null;
  onEnough: () => void;
  onCancel: () => void;
}) {
  const better =
    progress?.best && progress.best.score < progress.before
      ? Math.round((1 - progress.best.score / progress.before) * 100)
      : null;
  return (
    <Card>
      <View style={{ padding: 12, gap: 8 }}>
        <Text role="status">
          {progress
            ? `${STEP_WORDS[progress.step]}${progress.round > 0 ? `, round ${progress.round}` : ''}`
            : 'Starting'}
        </Text>
        {better === null ? null : (
          <Text tone="quiet">{`Best so far: ${better} % less amiss than now.`}</Text>
        )}
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {better === null ? null : (
            <Button label="Enough: show the best so far" onPress={onEnough} />
          )}
          <Button label="Cancel" onPress={onCancel} />
        </View>
      </View>
    </Card>
  );
}

/** The figures by which two plans are compared. */
function figuresOf({ outcome }: Judged, index: number) {
  const shares = outcome.days.flatMap(({ groups }) => {
    const { needKj, gotKj } = groups[index]!;
    return needKj > 0 ? [(100 * gotKj) / needKj] : [];
  });
  if (shares.length === 0) return null;
  return {
    mean: shares.reduce((sum, share) => sum + share, 0) / shares.length,
    min: Math.min(...shares),
    max: Math.max(...shares),
  };
}

function Result({ board, data, names, plan, onClose }: Props & { plan: BalancedPlan }) {
  const styles = useStyles();
  const format = useFormat();
  const changes = useMemo(() => changesBetween(plan.before.servings, plan.after.servings), [plan]);
  const [left, setLeft] = useState<ReadonlySet<CellChange>>(new Set());
  if (changes.length === 0) {
    return <Text>Nothing better was found: the plan stays as it is.</Text>;
  }
  const sumsOf = ({ outcome }: Judged) => {
    const sum = (of: (day: Judged['outcome']['days'][number]) => number) =>
      outcome.days.reduce((all, day) => all + of(day), 0);
    const servedG = sum((day) => day.servedG);
    return {
      waste: servedG > 0 ? (100 * sum((day) => day.wasteG)) / servedG : 0,
      cost: sum((day) => day.costMinor),
    };
  };
  const before = sumsOf(plan.before);
  const after = sumsOf(plan.after);
  const take = () => {
    const chosen = changes.filter((change) => !left.has(change));
    const servings = accepted(plan.before.servings, chosen, uuidv7);
    board.edit((draft) => ({
      ...draft,
      diets: draft.diets.map((diet) => ({
        ...diet,
        servings: (servings.get(diet.groupId) ?? diet.servings) as typeof diet.servings,
      })),
    }));
    onClose();
  };
  return (
    <View style={{ gap: 12 }}>
      <Card>
        <View style={{ padding: 12, gap: 8 }}>
          <Text variant="subtitle">What reaches each group</Text>
          {board.task.groups.map((group, index) => {
            const was = figuresOf(plan.before, index);
            const is = figuresOf(plan.after, index);
            return was && is ? (
              <View key={group.id} style={styles.line}>
                <View style={{ flex: 1 }}>
                  <Text>{group.name}</Text>
                </View>
                <Text>{`${Math.round(was.mean)} → `}</Text>
                <Text variant="strong">{`${Math.round(is.mean)} %`}</Text>
                <Text variant="small" tone="quiet">
                  {`days ${Math.round(is.min)} to ${Math.round(is.max)}`}
                </Text>
              </View>
            ) : null;
          })}
          <Text variant="small" tone="quiet">
            {`Waste ${Math.round(before.waste)} → ${Math.round(after.waste)} % of the food · cost ${format.money(before.cost)} → ${format.money(after.cost)} a cycle${plan.seconds === null ? '' : ` · ${formatNumber(plan.seconds, 1)} s`}`}
          </Text>
          <Text variant="small" tone="quiet">
            {plan.settled === null
              ? `The best that was found by round ${plan.rounds}; it was not searched to the end.`
              : plan.settled
                ? `Solved and simulated in turn ${plan.rounds} times, until both agreed.`
                : `The shares did not quite settle in ${plan.rounds} rounds: the programme and the simulation differ by up to ${Math.round(plan.drift * 100)} % of a day. The figures here are the simulated ones.`}
          </Text>
        </View>
      </Card>
      <AimsCard aims={plan.after.aims} names={names} />
      <Text variant="subtitle">What changes</Text>
      <Card>
        {changes.map((change, index) => (
          <ChangeRow
            key={`${change.groupId} ${change.day} ${change.momentId} ${change.foodId}`}
            first={index === 0}
            says={formatChange(change, data, names, format)}
            on={!left.has(change)}
            onToggle={() => {
              const next = new Set(left);
              if (!next.delete(change)) next.add(change);
              setLeft(next);
            }}
          />
        ))}
      </Card>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          variant="primary"
          label={
            left.size === 0
              ? 'Take all of it'
              : `Take ${changes.length - left.size} of ${changes.length}`
          }
          disabled={left.size === changes.length}
          onPress={take}
        />
        <Button label="Leave the plan as it is" onPress={onClose} />
      </View>
    </View>
  );
}

/** «Mo, Before work: Loaches get 2 wafers in place of 1.» */
function formatChange(
  { groupId, day, momentId, foodId, before, after }: CellChange,
  data: AppData,
  names: Names,
  _words: Format,
): string {
  const unit = data.house.foods.find((food) => food.id === foodId)?.unit;
  const amount = (serving: NonNullable<typeof before>) =>
    serving.ownUnits === null || !unit
      ? 'the computed amount'
      : formatUnits(serving.ownUnits, unit);
  const food = lowerFirst(names.food(foodId));
  const place = `${names.days([day - 1])}, ${names.moment(momentId)}: ${names.group(groupId)}`;
  return before && after
    ? `${place}, ${food}: ${amount(after)} in place of ${amount(before)}`
    : after
      ? `${place} get ${amount(after)} ${food}`
      : `${place} get no ${food} any more`;
}

function ChangeRow({
  says,
  on,
  first,
  onToggle,
}: {
  says: string;
  on: boolean;
  first: boolean;
  onToggle: () => void;
}) {
  const styles = useStyles();
  const colours = useColours();
  const Box = on ? SquareCheck : Square;
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={says}
      onPress={onToggle}
      style={[styles.change, !first && styles.ruled]}
    >
      <Box size={22} color={on ? colours.ink : colours.ink2} />
      <View style={{ flex: 1 }}>
        <Text tone={on ? 'ink' : 'quiet'}>{says}</Text>
      </View>
    </Pressable>
  );
}

/** What limits the plan, and the cheapest change to the house that would help. */
function WhatHelps({ board, names }: { board: Board; names: Names }) {
  const format = useFormat();
  const { task } = board;
  const helping = useWork<Help[], WeekWorker>(task, startWeek);
  const { running, result, fault } = helping;
  return (
    <View style={{ gap: 8 }}>
      {running ? (
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 12 }}>
          <Text role="status">
            {running.of === 0 ? 'Starting' : `${running.done} of ${running.of} tried`}
          </Text>
          <Button label="Cancel" onPress={helping.forget} />
        </View>
      ) : (
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            label="What would help most?"
            onPress={() => helping.run((worker, onTried) => worker.help(task, onTried))}
          />
        </View>
      )}
      {fault ? <Text tone="due">{fault}</Text> : null}
      {result?.length === 0 ? (
        <Text>
          Nothing that was tried would: neither food, nor minutes, nor another moment limits it.
        </Text>
      ) : null}
      {result?.map((help, index) => (
        <Text key={index}>{`${index + 1}. ${formatHelp(help, names, format)}`}</Text>
      ))}
    </View>
  );
}

function formatHelp(help: Help, names: Names, format: Format): string {
  switch (help.kind) {
    case 'stock':
      return `${formatGrams(help.massG)} more ${lowerFirst(names.food(help.foodId))} a cycle${
        help.costMinor === null ? '' : `, about ${format.money(help.costMinor)}`
      }.`;
    case 'moment': {
      const { anchor, minutes } = help.moment;
      return anchor === 'clock'
        ? `A feed at ${format.time(minutes)}.`
        : `A feed ${minutes} minutes after ${anchor === 'lightsOff' ? 'lights-out' : 'lights-on'}.`;
    }
    case 'meals':
      return 'Many small meals in place of two: choose so under «How it is fed».';
    case 'fast':
      return `${names.group(help.groupId)} fast on ${names.weekdays(help.weekdays)} too: their tank-mates fast then, and would find what they are given.`;
    case 'minutes':
      return `${help.minutes} minutes more at «${names.moment(help.momentId)}».`;
  }
}

const useStyles = themed((c) => ({
  line: { flexDirection: 'row', alignItems: 'baseline', gap: 6, flexWrap: 'wrap' },
  change: {
    minHeight: SIZES.touch,
    paddingHorizontal: 12,
    paddingVertical: 8,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
}));
