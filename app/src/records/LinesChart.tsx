import { LineChart } from 'react-native-chart-kit';
import { useColours } from '../theme';
import { ChartFrame } from './ChartFrame';
import { chartStyle, decimalsFor } from './chartStyle';

export interface Lines {
  title: string;
  detail: string;
  /** Under the axis; empty ones are left out. */
  labels: string[];
  /** The first is the one that matters; others are dashed or faint. */
  lines: { values: number[]; variant: 'main' | 'dashed' | 'faint' }[];
  fromZero?: boolean;
}

/** A few series over one axis. */
export function LinesChart({ title, detail, labels, lines, fromZero = true }: Lines) {
  const c = useColours();
  const highest = Math.max(...lines.flatMap(({ values }) => values), 0);
  const looks = {
    main: { color: () => c.roe, strokeWidth: 3, withDots: false },
    dashed: { color: () => c.ink2, strokeWidth: 2, strokeDashArray: [5, 5], withDots: false },
    faint: { color: () => c.ink2, strokeWidth: 1, withDots: false },
  };
  return (
    <ChartFrame title={title} detail={detail}>
      {(width) => (
        <LineChart
          width={width}
          height={220}
          fromZero={fromZero}
          withShadow={false}
          withVerticalLines={false}
          segments={4}
          chartConfig={chartStyle(c, decimalsFor(highest))}
          data={{
            labels,
            datasets: lines.map(({ values, variant }) => ({ data: values, ...looks[variant] })),
          }}
        />
      )}
    </ChartFrame>
  );
}
