import type { Group } from '@open-larder/contract';
import { api, useFormat } from '../store';
import { ListRow, Text } from '../ui';

/** What the food of some groups costs, by the plan and the prices of the lots; a day, and a fish a month. */
export function FoodCost({ groups }: { groups: readonly Group[] }) {
  const format = useFormat();
  const { data: supply } = api.useSupplyQuery();
  if (!supply || groups.length === 0) return null;
  const ids = new Set(groups.map((group) => group.id));
  const costs = supply.groups.filter((one) => ids.has(one.groupId));
  const perDay = costs.reduce((sum, one) => sum + one.costPerDayMinor, 0);
  const fish = groups.reduce((sum, group) => sum + group.size.total, 0);
  const inPart = costs.some((one) => one.inPart);
  if (perDay === 0 && !inPart) return null;
  const said = [
    fish > 0 ? `${format.money((perDay * DAYS_A_MONTH) / fish)} a fish a month` : null,
    inPart ? 'some foods have no price' : null,
  ];
  return (
    <ListRow
      title="Food costs"
      detail={said.filter(Boolean).join(' · ')}
      trail={<Text variant="strong">{format.money(perDay * DAYS_A_MONTH)} a month</Text>}
    />
  );
}

const DAYS_A_MONTH = 30;
