import {
  allApplied,
  workMin,
  type Improved,
  type ImproveWay,
  type Judged,
  type PlanAct,
} from '@open-larder/core/week';
import { formatNumber } from '@open-larder/say';
import { groups as grouped, mean, sum } from 'd3-array';
import Square from 'lucide-react-native/icons/square';
import SquareCheck from 'lucide-react-native/icons/square-check';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { useFormat, type Format } from '../store';
import { SIZES, themed, useColours } from '../theme';
import { Button, Card, Disclosure, Text } from '../ui';
import { AimsCard } from './AimsCard';
import { formatPlanAct, formatReason } from './planActs';
import type { Board } from './useBoard';
import type { Names } from './useNames';

const WAYS: Record<ImproveWay, string> = {
  leastChange: 'Least change',
  leastWork: 'Least work',
  shy: 'Best for the shy',
};

interface Props {
  board: Board;
  names: Names;
  before: Judged;
  found: Improved;
  /** Shown opened: it is the first. */
  open: boolean;
  onTaken: () => void;
}

/** One way to a better plan: what it does for each group, its changes by reason, what it costs, what stays missed. */
export function PlanWay({ board, names, before, found, open, onTaken }: Props) {
  const styles = useStyles();
  const format = useFormat();
  const { ways, acts, after } = found;
  const [left, setLeft] = useState<ReadonlySet<PlanAct>>(new Set());
  const foods = board.task.house.foods;
  const summary = summaryOf(before, found, format);
  const reasons = grouped(acts, ({ groupId, reason }) => `${groupId} ${reason}`);
  const take = () => {
    const servings = allApplied(
      before.servings,
      acts.filter((act) => !left.has(act)),
    );
    board.edit((draft) => ({
      ...draft,
      diets: draft.diets.map((diet) => ({
        ...diet,
        servings: (servings.get(diet.groupId) ?? diet.servings) as typeof diet.servings,
      })),
    }));
    onTaken();
  };
  const toggle = (act: PlanAct) => {
    const next = new Set(left);
    if (!next.delete(act)) next.add(act);
    setLeft(next);
  };
  return (
    <Disclosure
      title={
        ways.length === Object.keys(WAYS).length
          ? 'The best way'
          : ways.map((way) => WAYS[way]).join(' · ')
      }
      detail={summary}
      opened={open}
    >
      <View style={{ gap: 12 }}>
        {/* Closed, it stands beside the title. */}
        <Text variant="small" tone="quiet">
          {summary}
        </Text>
        <Card label="What reaches each group">
          <View style={{ padding: 12, gap: 6 }}>
            {board.task.groups.map((group, index) => {
              const was = shareOf(before, index);
              const is = shareOf(after, index);
              return was === null || is === null ? null : (
                <View key={group.id} style={styles.line}>
                  <View style={{ flex: 1 }}>
                    <Text>{group.name}</Text>
                  </View>
                  <Text tone="quiet">{`${Math.round(was)} → `}</Text>
                  <Text variant="strong">{`${Math.round(is)} %`}</Text>
                </View>
              );
            })}
          </View>
        </Card>
        {reasons.map(([key, same]) => (
          <View key={key} style={{ gap: 4 }}>
            <Text variant="small" tone="quiet">
              {`${formatReason(same[0]!, names)}${same.length === 1 ? '' : `: ${same.length} changes`}`}
            </Text>
            <Card>
              {same.map((act, index) => (
                <ActRow
                  key={acts.indexOf(act)}
                  first={index === 0}
                  says={formatPlanAct(act, { before: before.servings, acts, foods, names })}
                  on={!left.has(act)}
                  onToggle={() => toggle(act)}
                />
              ))}
            </Card>
          </View>
        ))}
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            variant="primary"
            label={
              left.size === 0 ? 'Take it' : `Take ${acts.length - left.size} of ${acts.length}`
            }
            spoken={
              left.size === 0
                ? `Take it: ${ways.map((way) => WAYS[way]).join(', ')}`
                : `Take ${acts.length - left.size} of ${acts.length} changes`
            }
            disabled={left.size === acts.length}
            onPress={take}
          />
        </View>
        <Disclosure
          title="What it still misses"
          detail={`${after.aims.filter(({ met }) => !met).length} of ${after.aims.length} aims`}
        >
          <AimsCard aims={after.aims} names={names} />
        </Disclosure>
      </View>
    </Disclosure>
  );
}

/** «3 changes · 51 → 56 min a week · waste 12 → 8 % · €1.20 → €1.30» */
function summaryOf(before: Judged, { acts, after }: Improved, format: Format): string {
  const weeks = before.outcome.days.length / 7;
  const per = (plan: Judged) => Math.round(workMin(plan) / weeks);
  const waste = ({ outcome }: Judged) => {
    const servedG = sum(outcome.days, (day) => day.servedG);
    return servedG > 0 ? Math.round((100 * sum(outcome.days, (day) => day.wasteG)) / servedG) : 0;
  };
  const cost = ({ outcome }: Judged) => sum(outcome.days, (day) => day.costMinor) / weeks;
  const change = (was: string, is: string) => (was === is ? is : `${was} → ${is}`);
  return [
    acts.length === 1 ? 'one change' : `${acts.length} changes`,
    `${change(formatNumber(per(before), 0), formatNumber(per(after), 0))} min of work`,
    `${change(String(waste(before)), String(waste(after)))} % wasted`,
    `${change(format.money(cost(before)), format.money(cost(after)))} a week`,
  ].join(' · ');
}

/** Mean share of the need on feeding days, %. */
function shareOf({ outcome }: Judged, index: number): number | null {
  const fed = outcome.days.map(({ groups }) => groups[index]!).filter(({ needKj }) => needKj > 0);
  return mean(fed, ({ gotKj, needKj }) => (100 * gotKj) / needKj) ?? null;
}

function ActRow({
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
