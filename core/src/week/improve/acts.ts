import type { DietServing } from '../../round';
import type { AimKind } from '../aims';
import { lineKey, type Line } from '../cells';

/** Why a plan is changed: what was missed before, or what the keeper asked to have less of. */
export type ActReason = Exclude<AimKind, 'energy'> | 'short' | 'over' | 'outEaten' | 'lessWork';

/** A change to a plan, as a keeper would make it. */
export type PlanAct = { groupId: string; reason: ActReason } & (
  | { does: 'amount'; servingId: string; units: number; fromUnits: number }
  | { does: 'days'; servingId: string; days: readonly number[] }
  | { does: 'moment'; servingId: string; momentId: string }
  | { does: 'place'; servingId: string; to: Pick<DietServing, 'zone' | 'manner'> }
  /** Another food in its place on some of its days, or on all of them. */
  | { does: 'food'; servingId: string; days: readonly number[]; line: DietServing }
  | { does: 'add'; line: DietServing }
  | { does: 'drop'; servingId: string }
);

/** What a plan gives, by group. */
export type Servings = ReadonlyMap<string, readonly DietServing[]>;

/** A plan after an act; one about a serving that is no longer there changes nothing. */
export function applied(plan: Servings, act: PlanAct): Servings {
  const own = plan.get(act.groupId) ?? [];
  const next = new Map(plan);
  next.set(act.groupId, merged(changed(own, act)));
  return next;
}

function changed(own: readonly DietServing[], act: PlanAct): DietServing[] {
  if (act.does === 'add') return [...own, act.line];
  return own.flatMap((serving): DietServing[] => {
    if (serving.id !== act.servingId) return [serving];
    switch (act.does) {
      case 'amount':
        return [{ ...serving, ownUnits: act.units }];
      case 'days':
        return act.days.length === 0 ? [] : [{ ...serving, days: act.days }];
      case 'moment':
        return [{ ...serving, momentId: act.momentId }];
      case 'place':
        return [{ ...serving, ...act.to }];
      case 'food': {
        const rest = serving.days.filter((day) => !act.days.includes(day));
        return [...(rest.length === 0 ? [] : [{ ...serving, days: rest }]), act.line];
      }
      case 'drop':
        return [];
    }
  });
}

/** Lines that became alike are one, so that no line stands twice on a board. */
function merged(servings: readonly DietServing[]): DietServing[] {
  const lines = new Map<string, DietServing>();
  for (const serving of servings) {
    const { id: _, days, ...line } = serving;
    const key = lineKey(line satisfies Line);
    const same = lines.get(key);
    lines.set(
      key,
      same
        ? { ...same, days: [...new Set([...same.days, ...days])].sort((a, b) => a - b) }
        : serving,
    );
  }
  return [...lines.values()];
}

export const allApplied = (plan: Servings, acts: readonly PlanAct[]): Servings =>
  acts.reduce(applied, plan);

/**
 * A further act on the same serving takes the place of one that it makes void; one on a line that an act
 * made changes that line, so that a keeper reads one sentence of it.
 */
export function withAct(acts: readonly PlanAct[], act: PlanAct): PlanAct[] {
  if (act.does === 'add') return [...acts, act];
  const maker = acts.find((one) => 'line' in one && one.line.id === act.servingId);
  if (maker && 'line' in maker && act.does !== 'food' && act.does !== 'drop') {
    const [line] = changed([maker.line], act);
    return acts.flatMap((one) => (one === maker ? (line ? [{ ...maker, line }] : []) : [one]));
  }
  const voids = (one: PlanAct): boolean =>
    one.does === act.does &&
    (one.does === 'amount' || one.does === 'days' || one.does === 'moment') &&
    one.servingId === act.servingId;
  const before = acts.find(voids);
  const first =
    act.does === 'amount' && before?.does === 'amount'
      ? { ...act, fromUnits: before.fromUnits }
      : act;
  return [...acts.filter((one) => !voids(one)), first];
}
