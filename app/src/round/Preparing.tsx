import { formatServing } from '@open-larder/say';
import type { Preparation, RoundView } from '@open-larder/contract';
import Check from 'lucide-react-native/icons/check';
import { memo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { api, useHand, useHousehold, useRow, useFormat } from '../store';
import { localNow } from '../store/useNow';
import { themed, useColours } from '../theme';
import { Button, Card, Text, upperFirst } from '../ui';
import { useChores } from './useChores';

interface Props extends Pick<RoundView, 'day' | 'done'> {
  /** How many servings of each food were served today, of foods of which none is open any more. */
  served: Readonly<Record<string, number>>;
  /** Minutes of the household's day; null for another day. */
  minutes: number | null;
}

/** Begun so long before its time it is not too early. */
const EARLY_MIN = 90;
const DAY_MIN = 1440;

/** What to soak, thaw and cut: what is due now, and what comes later that day. */
export const Preparing = memo(function Preparing({ day, done: chored, served, minutes }: Props) {
  const styles = useStyles();
  const hand = useHand();
  const { data: found } = api.usePreparationsQuery({ day, hand });
  const chores = useChores({ day });
  const [all, setAll] = useState(false);
  // What was served already needs no preparing, whether or not anyone said that it was done.
  const isOver = ({ foodId, readyMin, meals }: Preparation) =>
    readyMin < DAY_MIN && (served[foodId] ?? 0) >= meals;
  const doneBy = new Map(chored.map((chore) => [chore.about, chore]));
  const tasks = (found?.tasks ?? []).filter((task) => doneBy.has(task.about) || !isOver(task));
  if (tasks.length === 0) return null;
  const isDue = (task: Preparation) => minutes === null || task.startMin <= minutes + EARLY_MIN;
  // What should be ready by now and was never begun is past preparing.
  const shown = tasks.filter(
    (task) => all || (isDue(task) && (minutes === null || task.readyMin > minutes)),
  );
  const open = shown.filter((task) => !doneBy.has(task.about));
  const rows = all ? shown : open;
  const later = tasks.length - shown.length;
  const done = tasks.filter((task) => doneBy.has(task.about)).length;
  // One act in sight: the rest of what is due is a tap away, so that the tanks are in sight too.
  const due = together(rows);
  const acts = all ? rows.map((task) => [task]) : minutes === null ? due : due.slice(0, 1);
  const rest = [
    !all && due.length > acts.length ? `${due.length - acts.length} more now` : '',
    done > 0 ? `${done} done` : '',
    !all && later > 0 ? `${later} at other times` : '',
  ].filter(Boolean);
  return (
    <Card label="To prepare">
      {acts.map((tasks, index) => (
        <Task
          key={tasks[0]!.about}
          tasks={tasks}
          first={index === 0}
          done={doneBy.get(tasks[0]!.about) ?? null}
          onDone={() => {
            for (const task of tasks) void chores.log('prepare', task.about, formatTask(task));
          }}
          onUndo={(chore) => void chores.undo(chore)}
          more={!all && index === acts.length - 1 ? rest.join(' · ') : ''}
          onMore={() => setAll(true)}
        />
      ))}
      {all || acts.length === 0 ? (
        <View style={[styles.rest, rows.length > 0 && styles.ruled]}>
          <View style={styles.words}>
            <Text variant="small" tone="quiet">
              {[rows.length === 0 ? 'Nothing to prepare now' : '', ...rest]
                .filter(Boolean)
                .join(' · ')}
            </Text>
          </View>
          <Button
            variant="bare"
            label={all ? 'Only what is due' : 'All of the day'}
            onPress={() => setAll(!all)}
          />
        </View>
      ) : null}
    </Card>
  );
});

const formatTask = (task: Preparation) =>
  `${formatServing(task.amount, task.foodName)}: ${task.what}`;

/** What is done in the same way for the same time is one act: all the cubes thaw in one cup. */
function together(tasks: readonly Preparation[]): Preparation[][] {
  const acts = new Map<string, Preparation[]>();
  for (const task of [...tasks].sort((a, b) => a.readyMin - b.readyMin)) {
    const key = `${task.what} ${task.readyMin}`;
    acts.set(key, [...(acts.get(key) ?? []), task]);
  }
  return [...acts.values()];
}

interface TaskProps {
  /** Of one way and one time. */
  tasks: readonly Preparation[];
  first: boolean;
  done: RoundView['done'][number] | null;
  onDone: () => void;
  onUndo: (chore: RoundView['done'][number]) => void;
  /** What else there is to prepare, said in the last row and opened by its words. */
  more: string;
  onMore: () => void;
}

function Task({ tasks, first, done, onDone, onUndo, more, onMore }: TaskProps) {
  const styles = useStyles();
  const format = useFormat();
  const row = useRow();
  const colours = useColours();
  const household = useHousehold();
  const [task] = tasks as [Preparation];
  const ready = `${format.time(task.readyMin % DAY_MIN)}${
    task.readyMin < DAY_MIN ? '' : task.readyMin < 2 * DAY_MIN ? ' tomorrow' : ' in two days'
  }`;
  const when = done
    ? [
        `done ${format.time(localNow(new Date(done.at), household?.timeZone ?? 'UTC').minutes)}`,
        done.hand ? `by ${done.hand}` : '',
      ]
        .filter(Boolean)
        .join(' ')
    : `Start ${format.time(task.startMin)}, ready by ${ready}`;
  const spoken = tasks.length === 1 ? formatTask(task) : `${task.what}: ${amounts(tasks)}`;
  return (
    <View style={[styles.row, row, !first && styles.ruled]}>
      {done ? <Check size={22} color={colours.duckweed} /> : <FoodSign family={task.family} />}
      <Pressable
        role={more ? 'button' : undefined}
        aria-label={more ? `${spoken}, ${when}. All of the day: ${more}` : undefined}
        disabled={!more}
        onPress={onMore}
        style={styles.words}
      >
        <Text variant={done ? 'body' : 'strong'}>{upperFirst(task.what)}</Text>
        <Text variant="small">{amounts(tasks)}</Text>
        <Text variant="small" tone="quiet">
          {[when, more].filter(Boolean).join(' · ')}
        </Text>
      </Pressable>
      {done ? (
        <Button
          least="feeder"
          variant="bare"
          label="Undo"
          spoken={`Undo: ${spoken}`}
          onPress={() => onUndo(done)}
        />
      ) : (
        <Button least="feeder" label="Done" spoken={`Done: ${spoken}`} onPress={onDone} />
      )}
    </View>
  );
}

const amounts = (tasks: readonly Preparation[]) =>
  tasks.map(({ amount, foodName }) => formatServing(amount, foodName)).join(', ');

const useStyles = themed((c) => ({
  rest: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingLeft: 12,
    paddingRight: 4,
  },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingLeft: 12,
    paddingRight: 4,
    paddingVertical: 2,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  words: { flex: 1, minWidth: 0 },
}));
