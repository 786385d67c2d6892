import { needSpread } from '@open-larder/core/ration';
import type { GroupDay } from '@open-larder/core/round';
import { formatSignificant } from '@open-larder/say';
import { View } from 'react-native';
import type { DayName } from '../store';
import { themed } from '../theme';
import { Card, Text } from '../ui';

/** Planned against needed for each day of a week or a longer cycle, as figures and as bars with their band. */
export function WeekSums({
  week,
  names,
}: {
  week: readonly GroupDay[];
  names: readonly DayName[];
}) {
  const styles = useStyles();
  if (week.length === 0) return null;
  return (
    <Card>
      <View style={styles.box}>
        <Text variant="small" tone="quiet">
          {`Planned against needed, day by day; the dashed band is ±10 %. ${formatHowSure(week[0]!)}`}
        </Text>
        {names.map(({ value, spoken }) => {
          const day = week.find((_, index) => index + 1 === value);
          if (!day) return null;
          const share = day.needKj.value > 0 ? day.plannedKj / day.needKj.value : 0;
          const rests = day.rest !== null;
          return (
            <View key={value} style={styles.line}>
              <View style={styles.name}>
                <Text variant="small">{spoken.slice(0, 3)}</Text>
              </View>
              <View style={styles.track}>
                <View
                  style={[
                    styles.bar,
                    { width: `${Math.min(100, share * 66)}%` },
                    Math.abs(share - 1) > 0.1 && styles.off,
                  ]}
                />
                <View style={styles.band} />
              </View>
              <View style={styles.figure}>
                <Text
                  variant="small"
                  align="right"
                  tone={!rests && Math.abs(share - 1) > 0.1 ? 'due' : 'ink'}
                >
                  {rests
                    ? 'rests'
                    : `${formatSignificant(Math.round(day.plannedKj * 100) / 100)} of ${formatSignificant(day.needKj.value)} kJ`}
                </Text>
              </View>
            </View>
          );
        })}
      </View>
    </Card>
  );
}

/** What the estimated mass of the fish leaves open about every figure below it. */
function formatHowSure({ group }: GroupDay): string {
  const percent = Math.round(100 * (needSpread(group) - 1));
  return `Their mass is worked out from their length, so needs and portions may be off by about ${percent} %: watch their bellies.`;
}

const useStyles = themed((c) => ({
  box: { padding: 12, gap: 6 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  name: { width: 34 },
  track: { flex: 1, height: 18, justifyContent: 'center' },
  bar: { height: 10, backgroundColor: c.duckweed },
  off: { backgroundColor: c.roe },
  // The need stands at two thirds of the track, its band a tenth to either side.
  band: {
    position: 'absolute',
    left: '59.4%',
    width: '13.2%',
    top: 1,
    bottom: 1,
    borderWidth: 1,
    borderStyle: 'dashed',
    borderColor: c.ink,
  },
  figure: { width: 132 },
}));
