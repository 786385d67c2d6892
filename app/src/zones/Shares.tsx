import { formatNumber } from '@open-larder/say';
import type { Band, GroupReport } from '@open-larder/core/zones';
import { View } from 'react-native';
import { RecordNote } from '../forecasts/RecordNote';
import { themed } from '../theme';
import { Text, WhyLink } from '../ui';

interface Props {
  groups: readonly GroupReport[];
  /** By group, in order: kJ so far. */
  soFarKj: readonly number[];
  bands: readonly Band[] | undefined;
}

/** A bar ends here: more than half as much again is drawn as full. */
const FULL = 150;

/** Shares of the day's need that reach each group, filling as the feeding plays. */
export function Shares({ groups, soFarKj, bands }: Props) {
  const styles = useStyles();
  return (
    <View role="list" aria-label="Shares of the day’s need">
      {groups.map((group, at) => {
        const need = group.ofNeed.value > 0 ? group.gotKj.value / group.ofNeed.value : 0;
        const now = need > 0 ? (soFarKj[at] as number) / need : 0;
        const band = bands?.[at];
        return (
          <View key={group.groupId} role="listitem" style={styles.row}>
            <View style={styles.head}>
              <View style={styles.name}>
                <Text>{group.name}</Text>
              </View>
              <Text variant="strong">{formatPercent(now)}</Text>
              <WhyLink about={`what reaches ${group.name}`} why={group.ofNeed}>
                <RecordNote kind="belly" />
              </WhyLink>
            </View>
            <View style={styles.bar}>
              {band ? (
                <View
                  style={[
                    styles.band,
                    { left: at100(band.low), width: at100(band.high - band.low) },
                  ]}
                />
              ) : null}
              <View style={[styles.got, { width: at100(now) }]} />
              <View style={[styles.need, { left: at100(100) }]} />
            </View>
            <Text variant="small" tone="quiet">
              {`${formatPercent(group.ofNeed.value)} in the end`}
              {band ? `, likely ${formatPercent(band.low)} to ${formatPercent(band.high)}` : ''}
            </Text>
          </View>
        );
      })}
    </View>
  );
}

const formatPercent = (value: number) => `${formatNumber(value, value >= 10 ? 0 : 1)} %`;
const at100 = (percent: number) =>
  `${(Math.min(FULL, Math.max(0, percent)) / FULL) * 100}%` as const;

const useStyles = themed((c) => ({
  row: { paddingHorizontal: 12, paddingVertical: 6, gap: 2 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 8, minHeight: 32 },
  name: { flex: 1, minWidth: 0 },
  bar: { height: 14, backgroundColor: c.ground, borderRadius: 3, overflow: 'hidden' },
  got: { position: 'absolute', left: 0, top: 3, bottom: 3, backgroundColor: c.duckweed },
  band: { position: 'absolute', top: 0, bottom: 0, backgroundColor: c.rule },
  need: { position: 'absolute', top: 0, bottom: 0, width: 2, backgroundColor: c.ink },
}));
