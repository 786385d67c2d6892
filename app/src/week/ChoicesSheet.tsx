import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { WEEK } from '@open-larder/core/round';
import { relaid } from '@open-larder/core/week';
import { useNow } from '../store';
import { Sheet, Stepper, Text } from '../ui';
import { NumberField } from '../ui/NumberField';
import { StyleWays } from './StyleWays';
import type { Board } from './useBoard';
import type { Names } from './useNames';

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
  const { draft } = board;
  const water = draft.water ?? USUAL_RHYTHM;
  return (
    <Sheet title="How this tank is fed" open onClose={onClose}>
      <Text tone="quiet">
        Good keepers differ here. Adopt another way with a tap, and the plan follows.
      </Text>
      <StyleWays board={board} names={names} />
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
