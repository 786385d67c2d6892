import type { Preparation, RoundView } from '@open-larder/contract';
import Check from 'lucide-react-native/icons/check';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { api, useHand, useRow, useFormat, type AppData } from '../store';
import { localNow } from '../store/useNow';
import { themed, useColours } from '../theme';
import { Button, Card, Text, lowerFirst } from '../ui';
import { useChores } from './useChores';

interface Props extends Pick<RoundView, 'day' | 'done'> {
  data: AppData;
  /** How many servings of each food were served today, of foods of which none is open any more. */
  served: Readonly<Record<string, number>>;
  /** Minutes of the household's day; null for another day. */
  minutes: number | null;
}

/** Begun so long before its time it is not too early. */
const EARLY_MIN = 90;
const DAY_MIN = 1440;

/** What to soak, thaw and cut: what is due now, and what comes later that day. */
export const Preparing = memo(function Preparing({
  data,
  day,
  done: chored,
  served,
  minutes,
}: Props) {
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
  return (
    <Card label="To prepare">
      <View style={styles.head}>
        <View style={styles.title}>
          <Text variant="strong">To prepare</Text>
          <Text variant="small" tone="quiet">
            {[
              open.length === 0 ? 'nothing now' : '',
              done > 0 ? `${done} done` : '',
              !all && later > 0 ? `${later} at other times` : '',
            ]
              .filter(Boolean)
              .join(' · ')}
          </Text>
        </View>
        {all || later > 0 || done > 0 ? (
          <Button
            variant="bare"
            label={all ? 'Only what is due' : 'All of the day'}
            onPress={() => setAll(!all)}
          />
        ) : null}
      </View>
      {rows.map((task) => (
        <Task
          key={task.about}
          task={task}
          data={data}
          done={doneBy.get(task.about) ?? null}
          onDone={() => void chores.log('prepare', task.about, formatTask(task))}
          onUndo={(chore) => void chores.undo(chore)}
        />
      ))}
    </Card>
  );
});

const formatTask = (task: Preparation) =>
  `${task.amount} ${lowerFirst(task.foodName)}: ${task.what}`;

interface TaskProps {
  task: Preparation;
  data: AppData;
  done: RoundView['done'][number] | null;
  onDone: () => void;
  onUndo: (chore: RoundView['done'][number]) => void;
}

function Task({ task, data, done, onDone, onUndo }: TaskProps) {
  const styles = useStyles();
  const format = useFormat();
  const row = useRow();
  const colours = useColours();
  const tanks = data.tanks.filter((tank) => task.tankIds.includes(tank.id));
  const where = tanks.length === 1 ? tanks[0]!.name : `${tanks.length} tanks`;
  const ready = `${format.time(task.readyMin % DAY_MIN)}${
    task.readyMin < DAY_MIN ? '' : task.readyMin < 2 * DAY_MIN ? ' tomorrow' : ' in two days'
  }`;
  const by = done
    ? [
        `done ${format.time(localNow(new Date(done.at), data.household.timeZone).minutes)}`,
        done.hand ? `by ${done.hand}` : '',
      ]
        .filter(Boolean)
        .join(' ')
    : `${format.time(task.startMin)} · ready by ${ready} for ${where}${
        task.meals > tanks.length ? `, ${task.meals} meals` : ''
      }`;
  return (
    <View style={[styles.row, row]}>
      {done ? <Check size={22} color={colours.duckweed} /> : <FoodSign family={task.family} />}
      <View style={styles.words}>
        <Text variant={done ? 'body' : 'strong'}>{formatTask(task)}</Text>
        <Text variant="small" tone="quiet">
          {by}
        </Text>
      </View>
      {done ? (
        <Button
          variant="bare"
          label="Undo"
          spoken={`Undo: ${formatTask(task)}`}
          onPress={() => onUndo(done)}
        />
      ) : (
        <Button label="Done" spoken={`Done: ${formatTask(task)}`} onPress={onDone} />
      )}
    </View>
  );
}

const useStyles = themed((c) => ({
  head: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingLeft: 12,
    paddingRight: 4,
    minHeight: 48,
  },
  title: { flex: 1, minWidth: 0, paddingVertical: 6 },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingLeft: 12,
    paddingRight: 4,
    paddingVertical: 6,
    borderTopWidth: 1,
    borderColor: c.rule,
  },
  words: { flex: 1, minWidth: 0 },
}));
