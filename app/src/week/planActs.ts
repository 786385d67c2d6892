import type { ServingUnit } from '@open-larder/core/food';
import type { DietServing } from '@open-larder/core/round';
import type { ActReason, Judged, PlanAct } from '@open-larder/core/week';
import { formatServing, formatUnits } from '@open-larder/say';
import { lowerFirst } from '../ui';
import type { Names } from './useNames';

interface Saying {
  before: Judged['servings'];
  acts: readonly PlanAct[];
  foods: readonly { id: string; unit: ServingUnit }[];
  names: Names;
}

/** «Pearl gouramis: 13 pinches fine flake, not 6½, before work.» */
export function formatPlanAct(act: PlanAct, saying: Saying): string {
  const { foods, names } = saying;
  const who = names.group(act.groupId);
  const amount = (line: DietServing) => {
    const unit = foods.find(({ id }) => id === line.foodId)?.unit;
    return line.ownUnits === null || !unit
      ? lowerFirst(names.food(line.foodId))
      : formatServing(formatUnits(line.ownUnits, unit), names.food(line.foodId));
  };
  const days = (list: readonly number[]) => names.days(list.map((day) => day - 1));
  const at = (momentId: string) => `at «${names.moment(momentId)}»`;
  if (act.does === 'add') {
    return `${who} also get ${amount(act.line)} ${at(act.line.momentId)}, ${days(act.line.days)}`;
  }
  const serving = servingOf(act.servingId, saying);
  // An act on a line that another act made may outlive it.
  if (!serving) return who;
  const food = lowerFirst(names.food(serving.foodId));
  const when = at(serving.momentId);
  switch (act.does) {
    case 'amount': {
      const unit = foods.find(({ id }) => id === serving.foodId)?.unit;
      if (!unit) return `${who}: another amount of ${food}`;
      const now = formatServing(formatUnits(act.units, unit), names.food(serving.foodId));
      return `${who} get ${now} ${when}, not ${formatUnits(stepped(act.fromUnits, unit), unit)}`;
    }
    case 'days': {
      const fewer = act.days.length < serving.days.length;
      const gone = serving.days.filter((day) => !act.days.includes(day));
      return fewer && gone.length <= act.days.length
        ? `${who} get no ${food} ${when} on ${days(gone)}`
        : `${who} get ${food} ${when} ${act.days.length === serving.days.length ? '' : fewer ? 'only ' : ''}on ${days(act.days)}`;
    }
    case 'moment':
      return `${who} get ${food} ${at(act.momentId)}, not ${when}`;
    case 'place':
      return `${formatManner(act.to, who, food)} ${when}`;
    case 'food':
      return `${who} get ${amount(act.line)} in place of ${food} ${when}, ${days(act.days)}`;
    case 'drop':
      return `${who} get no ${food} ${when} any more`;
  }
}

/** A serving as it was before the act: of the plan, or one that an act before it made. */
function servingOf(id: string, { before, acts }: Saying): DietServing | null {
  for (const own of before.values()) {
    const found = own.find((one) => one.id === id);
    if (found) return found;
  }
  for (const act of acts) {
    if ((act.does === 'add' || act.does === 'food') && act.line.id === id) return act.line;
  }
  return null;
}

/** An amount that is worked out, to the step that a hand measures. */
const stepped = (units: number, { step }: ServingUnit) =>
  units < step ? units : Math.round(units / step) * step;

function formatManner({ manner }: Pick<DietServing, 'manner'>, who: string, food: string): string {
  if (manner.carried)
    return `Take the ${food} of ${lowerFirst(who)} down to them by pipette or tube`;
  if (manner.afterMin > 0) {
    return `Wait ${manner.afterMin} minutes, until the others are busy, before ${lowerFirst(who)} get their ${food}`;
  }
  return `Spread the ${food} of ${lowerFirst(who)} over ${manner.spots} places`;
}

const REASONS: Record<ActReason, (who: string) => string> = {
  short: (who) => `${who} get too little`,
  over: (who) => `${who}: too much goes in`,
  outEaten: (who) => `${who} are out-eaten`,
  fast: (who) => `A tank-mate fasts, and would eat the food of ${lowerFirst(who)}`,
  plant: (who) => `${who}: plants`,
  protein: (who) => `${who}: protein`,
  fibre: (who) => `${who}: fibre`,
  capped: (who) => `${who}: less often what they should have little of`,
  rule: (who) => `${who}: your own limit`,
  variety: (who) => `${who}: variety`,
  dominant: (who) => `${who}: less of one food alone`,
  meals: (who) => `${who}: more meals`,
  work: () => 'Less work',
  lessWork: () => 'Less work',
};

/** What a change is for. */
export const formatReason = ({ groupId, reason }: PlanAct, names: Names): string =>
  REASONS[reason](names.group(groupId));
