import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { usualOf } from '@open-larder/contract/week';
import { WEEK } from '@open-larder/core/round';
import {
  choicesOf,
  relaid,
  FEEDING_STYLE_KEYS,
  FEEDING_STYLES,
  type FeedingStyle,
  type FeedingStyleKey,
} from '@open-larder/core/week';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useNow } from '../store';
import { Button, Card, Choice, NumberField, Sheet, Stepper, Text } from '../ui';
import { startWeek, type WeekWorker } from '../workers/week';
import { useWork } from '../workers/useWork';
import type { Board } from './useBoard';
import type { Names } from './useNames';
import { BECAUSE_WORDS, FEEDING_STYLE_LABELS } from './labels';

type Conversion = Awaited<ReturnType<WeekWorker['convert']>>;

/** How a tank is fed on principle; the length of its cycle; how its water is changed. */
export function ChoicesSheet({
  board,
  names,
  onClose,
}: {
  board: Board;
  names: Names;
  onClose: () => void;
}) {
  const now = useNow();
  const usual = useMemo(() => usualOf(board.rows), [board.rows]);
  const [wanted, setWanted] = useState<FeedingStyle>(board.task.feedingStyle);
  const converting = useWork<Conversion, WeekWorker>(board.task, startWeek);
  const differs = FEEDING_STYLE_KEYS.some((key) => wanted[key] !== board.task.feedingStyle[key]);
  const take = ({ diets }: Conversion) => {
    board.edit((draft) => ({
      ...draft,
      feedingStyle: wanted,
      diets: draft.diets.map((diet) => {
        const after = diets.get(diet.groupId);
        return after
          ? {
              ...diet,
              servings: after.servings as typeof diet.servings,
              fastWeekdays: after.fastWeekdays,
            }
          : diet;
      }),
    }));
    onClose();
  };
  const { draft } = board;
  const water = draft.water ?? USUAL_RHYTHM;
  return (
    <Sheet title="How this tank is fed" open onClose={onClose}>
      <Text tone="quiet">
        Good keepers differ here. What suits your fish is marked; another choice converts the plan.
      </Text>
      {FEEDING_STYLE_KEYS.map((key) => (
        <Way
          key={key}
          of={key}
          value={wanted[key]}
          usual={usual[key]}
          onChange={(way) => setWanted({ ...wanted, [key]: way } as FeedingStyle)}
        />
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label="What suits the fish" onPress={() => setWanted(choicesOf(usual))} />
        <Button
          variant="primary"
          label="See what changes"
          disabled={!differs}
          busy={converting.running !== null}
          onPress={() => converting.run((worker) => worker.convert(board.task, wanted))}
        />
      </View>
      {converting.fault ? <Text>{converting.fault}</Text> : null}
      {converting.result ? (
        <Card>
          <View style={{ padding: 12, gap: 8 }}>
            <Text variant="subtitle">What changes in the plan</Text>
            {saidOf(converting.result, names).map((line) => (
              <Text key={line}>{line}</Text>
            ))}
            <View style={{ alignItems: 'flex-start' }}>
              <Button
                variant="primary"
                label="Convert the plan"
                onPress={() => take(converting.result as Conversion)}
              />
            </View>
          </View>
        </Card>
      ) : null}
      <Text variant="subtitle">Its cycle</Text>
      <Stepper
        label="Days until the plan repeats"
        value={draft.cycle.days}
        step={1}
        min={1}
        max={28}
        format={(days) => (days === 7 ? 'a week' : days === 1 ? 'every day' : `${days} days`)}
        hint="A longer cycle repeats the plan; a shorter one keeps its first days."
        onChange={(days) =>
          board.edit((before) => ({
            ...before,
            cycle:
              days === WEEK.days
                ? WEEK
                : { days, from: before.cycle.days === 7 ? now.day : before.cycle.from },
            diets: before.diets.map((diet) => ({
              ...diet,
              servings: relaid(diet.servings, before.cycle.days, days) as typeof diet.servings,
            })),
          }))
        }
      />
      <Text variant="subtitle">Its water</Text>
      <Text tone="quiet">For the dry run: how much is changed, how often, and with what.</Text>
      <NumberField
        label="Share of the water at a change"
        unit="%"
        value={Math.round(water.share * 100)}
        onChange={(share) =>
          board.edit((before) => ({
            ...before,
            water: { ...water, share: Math.min(1, Math.max(0.01, (share ?? 25) / 100)) },
          }))
        }
        hint={draft.water === null ? 'Not set: a quarter a week is assumed.' : undefined}
      />
      <Stepper
        label="Days between changes"
        value={water.everyDays}
        step={1}
        min={1}
        max={90}
        onChange={(everyDays) =>
          board.edit((before) => ({ ...before, water: { ...water, everyDays } }))
        }
      />
      <NumberField
        label="Nitrate of the new water"
        unit="mg/L"
        value={water.sourceMgL}
        onChange={(sourceMgL) =>
          board.edit((before) => ({
            ...before,
            water: { ...water, sourceMgL: Math.min(200, Math.max(0, sourceMgL ?? 0)) },
          }))
        }
      />
    </Sheet>
  );
}

function Way<K extends FeedingStyleKey>({
  of,
  value,
  usual,
  onChange,
}: {
  of: K;
  value: FeedingStyle[K];
  usual: { choice: FeedingStyle[K]; because: keyof typeof BECAUSE_WORDS };
  onChange: (way: FeedingStyle[K]) => void;
}) {
  const words = FEEDING_STYLE_LABELS[of];
  const ways = words.ways as Record<string, { label: string; means: string }>;
  return (
    <Choice
      label={words.label}
      value={value as string}
      options={(FEEDING_STYLES[of] as readonly string[]).map((way) => ({
        value: way,
        label: `${ways[way]?.label ?? way}${way === usual.choice ? ' · suits' : ''}`,
        spoken: `${ways[way]?.label ?? way}${way === usual.choice ? ', suits the fish' : ''}`,
      }))}
      onChange={(way) => onChange(way as FeedingStyle[K])}
      hint={`${ways[value as string]?.means ?? ''} ${
        value === usual.choice
          ? usual.because === 'usual'
            ? ''
            : `It suits them: ${BECAUSE_WORDS[usual.because]}.`
          : `«${ways[usual.choice as string]?.label ?? ''}» would suit them: ${BECAUSE_WORDS[usual.because]}.`
      }`}
    />
  );
}

/** What a conversion does, group by group; what only changes how the plan is carried out too. */
function saidOf({ said }: Conversion, names: Names): string[] {
  const lines = said
    .filter((one) => one.servings > 0)
    .map(
      ({ key, groupId, servings }) =>
        `${names.group(groupId)}: ${FEEDING_STYLE_LABELS[key].label.toLowerCase()} changes ${servings} ${
          servings === 1 ? 'line' : 'lines'
        }.`,
    );
  const lifts = said.some((one) => one.key === 'lift');
  if (lifts) lines.push('Leftovers: what is lifted when changes; the plan stays as it is.');
  return lines.length > 0 ? lines : ['Nothing has to change: the plan fits already.'];
}
