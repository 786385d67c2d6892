import { usualOf } from '@open-larder/contract/week';
import {
  choicesOf,
  FEEDING_STYLE_KEYS,
  FEEDING_STYLES,
  type FeedingStyle,
  type FeedingStyleKey,
} from '@open-larder/core/week';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Button, Choice, Text, useToast } from '../ui';
import { startWeek, type WeekWorker } from '../workers/week';
import { useWork } from '../workers/useWork';
import type { Board } from './useBoard';
import type { Names } from './useNames';
import { BECAUSE_WORDS, FEEDING_STYLE_LABELS } from './labels';

type Conversion = Awaited<ReturnType<WeekWorker['convert']>>;

/** How a tank is fed on principle: what is in force, why, and another way at one tap, with its undo. */
export function StyleWays({ board, names }: { board: Board; names: Names }) {
  const toast = useToast();
  const usual = useMemo(() => usualOf(board.rows), [board.rows]);
  const converting = useWork<Conversion, WeekWorker, Board['task']>(board.task, startWeek, {
    edits: true,
  });
  const inForce = board.task.feedingStyle;
  const suits = FEEDING_STYLE_KEYS.every((key) => inForce[key] === usual[key].choice);
  const adopt = (wanted: FeedingStyle) => {
    if (converting.running !== null) return;
    converting.run(async (worker, task) => {
      const converted = await worker.convert(task, wanted);
      board.edit((draft) => ({
        ...draft,
        feedingStyle: wanted,
        diets: draft.diets.map((diet) => {
          const after = converted.diets.get(diet.groupId);
          return after
            ? {
                ...diet,
                servings: after.servings as typeof diet.servings,
                fastWeekdays: after.fastWeekdays,
              }
            : diet;
        }),
      }));
      toast(formatConversion(converted, names).join(' '), { undo: board.undoLast });
      return converted;
    });
  };
  return (
    <>
      {FEEDING_STYLE_KEYS.map((key) => (
        <Way
          key={key}
          of={key}
          inForce={inForce[key]}
          usual={usual[key]}
          onAdopt={(way) => adopt({ ...inForce, [key]: way } as FeedingStyle)}
        />
      ))}
      {suits ? null : (
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            least="keeper"
            label="Take what suits the fish"
            busy={converting.running !== null}
            onPress={() => adopt(choicesOf(usual))}
          />
        </View>
      )}
      {converting.fault ? <Text>{converting.fault}</Text> : null}
    </>
  );
}

function Way<K extends FeedingStyleKey>({
  of,
  inForce,
  usual,
  onAdopt,
}: {
  of: K;
  inForce: FeedingStyle[K];
  usual: { choice: FeedingStyle[K]; because: keyof typeof BECAUSE_WORDS };
  onAdopt: (way: FeedingStyle[K]) => void;
}) {
  const words = FEEDING_STYLE_LABELS[of];
  const ways = words.ways as Record<string, { label: string; means: string }>;
  const labelOf = (way: string) => ways[way]?.label ?? way;
  return (
    <Choice
      label={words.label}
      value={inForce as string}
      options={(FEEDING_STYLES[of] as readonly string[]).map((way) => ({
        value: way,
        label: `${labelOf(way)}${way === usual.choice && way !== inForce ? ' · suits' : ''}`,
        spoken: `${labelOf(way)}${way === usual.choice ? ', suits the fish' : ''}`,
      }))}
      onChange={(way) => {
        if (way !== inForce) onAdopt(way as FeedingStyle[K]);
      }}
      hint={[
        `In force: ${ways[inForce as string]?.means ?? ''}`,
        inForce !== usual.choice
          ? `«${labelOf(usual.choice as string)}» would suit them: ${BECAUSE_WORDS[usual.because]}.`
          : usual.because === 'usual'
            ? ''
            : `It suits them: ${BECAUSE_WORDS[usual.because]}.`,
      ]
        .filter(Boolean)
        .join(' ')}
    />
  );
}

/** What a conversion did, group by group; what only changes how the plan is carried out too. */
function formatConversion({ said }: Conversion, names: Names): string[] {
  const lines = said
    .filter((one) => one.servings > 0)
    .map(
      ({ key, groupId, servings }) =>
        `${names.group(groupId)}: ${FEEDING_STYLE_LABELS[key].label.toLowerCase()} changes ${servings} ${
          servings === 1 ? 'line' : 'lines'
        }.`,
    );
  const lifts = said.some((one) => one.key === 'lift');
  if (lifts)
    lines.push('Leftovers: only when they are lifted out changes; the plan stays the same.');
  return lines.length > 0 ? lines : ['Adopted: no serving had to change.'];
}
