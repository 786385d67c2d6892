import type { Consumption } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { LineChart } from 'react-native-chart-kit';
import { useFormat } from '../store';
import { useColours } from '../theme';
import { Picker } from '../ui/Picker';
import { ChartFrame } from './ChartFrame';
import { chartStyle, decimalsFor } from './chartStyle';

type Group = Consumption['groups'][number];

/** Offered against needed, day by day, for one group: first the one furthest from its need. */
export function GroupChart({ data }: { data: Consumption }) {
  const c = useColours();
  const format = useFormat();
  const [chosen, setChosen] = useState<string | null>(null);
  const group =
    data.groups.find((one) => one.groupId === chosen) ??
    [...data.groups].sort((a, b) => farness(b) - farness(a))[0];
  if (!group) return null;
  const highest = Math.max(...group.neededPerDay, ...group.offeredPerDay);
  return (
    <View style={{ gap: 12 }}>
      <Picker
        label="Group"
        search={data.groups.length > 16}
        value={group.groupId}
        onChange={setChosen}
        picks={data.groups.map((one) => ({
          value: one.groupId,
          title: one.name,
          detail: one.tankName,
        }))}
      />
      <ChartFrame
        title={`${group.name}: offered against needed`}
        detail="Digestible energy a day, kJ. Solid: offered. Dashed: needed; planned fasting days need none."
      >
        {(width) => (
          <LineChart
            width={width}
            height={220}
            fromZero
            withShadow={false}
            withVerticalLines={false}
            segments={4}
            chartConfig={chartStyle(c, decimalsFor(highest))}
            data={{
              labels: data.days.map((day) => format.day(day).slice(0, 3)),
              datasets: [
                {
                  data: group.neededPerDay,
                  color: () => c.ink2,
                  strokeWidth: 2,
                  strokeDashArray: [5, 5],
                  withDots: false,
                },
                { data: group.offeredPerDay, color: () => c.roe, strokeWidth: 3 },
              ],
            }}
          />
        )}
      </ChartFrame>
    </View>
  );
}

/** How far a group was from its need, as a share of it. */
const farness = ({ offeredKj, neededKj }: Group) =>
  neededKj === 0 ? 0 : Math.abs(offeredKj / neededKj - 1);
