import type { Consumption } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { BarChart } from 'react-native-chart-kit';
import { FoodSign } from '../draw/FoodSign';
import { useFormat } from '../store';
import { useColours } from '../theme';
import { Picker } from '../ui/Picker';
import { ChartFrame } from './ChartFrame';
import { chartStyle, decimalsFor } from './chartStyle';

/** Grams of one food, day by day: first the one most used. */
export function FoodChart({ data }: { data: Consumption }) {
  const c = useColours();
  const format = useFormat();
  const [chosen, setChosen] = useState<string | null>(null);
  const food =
    data.foods.find((one) => one.foodId === chosen) ??
    [...data.foods].sort((a, b) => b.totalG - a.totalG)[0];
  if (!food) return null;
  return (
    <View style={{ gap: 12 }}>
      <Picker
        label="Food"
        value={food.foodId}
        onChange={setChosen}
        picks={data.foods.map((one) => ({
          value: one.foodId,
          title: one.name,
          detail: formatGrams(one.totalG),
          lead: <FoodSign family={one.family} size={24} />,
        }))}
      />
      <ChartFrame title={`${food.name}: served`} detail="Grams a day, as fed.">
        {(width) => (
          <BarChart
            width={width}
            height={220}
            fromZero
            yAxisLabel=""
            yAxisSuffix=""
            segments={4}
            chartConfig={{
              ...chartStyle(c, decimalsFor(Math.max(...food.gramsPerDay))),
              fillShadowGradientFrom: c.family[food.family],
              fillShadowGradientTo: c.family[food.family],
            }}
            data={{
              labels: data.days.map((day) => format.day(day).slice(0, 3)),
              datasets: [{ data: food.gramsPerDay }],
            }}
          />
        )}
      </ChartFrame>
    </View>
  );
}
