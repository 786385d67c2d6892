import type { RoundView } from '@open-larder/contract';
import { Pressable, ScrollView, View } from 'react-native';
import type { AppData } from '../store';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';
import { open } from './moments';
import { RoundRibbon } from './RoundRibbon';

/** So many share the width of a phone; more scroll sideways. */
const SHARED = 4;

/** The day as a ribbon, and beneath it its moments: what is done, and what is to serve. */
export function MomentStrip({
  data,
  round,
  current,
  minutes,
  onChoose,
}: {
  data: AppData;
  round: RoundView;
  current: RoundView['moments'][number];
  minutes: number | null;
  onChoose: (momentId: string) => void;
}) {
  const styles = useStyles();
  const scrolls = round.moments.length > SHARED;
  const row = round.moments.map((moment) => {
    const left = open(moment).length;
    const on = moment.momentId === current.momentId;
    return (
      <Pressable
        key={moment.momentId}
        role="tab"
        aria-selected={on}
        aria-label={`${moment.name}, ${left === 0 ? 'done' : `${left} to serve`}`}
        onPress={() => onChoose(moment.momentId)}
        style={[styles.tab, scrolls ? styles.own : styles.shared, on && styles.on]}
      >
        <Text variant="small" tone={on ? 'ink' : 'quiet'} align="center" numberOfLines={2}>
          {moment.name}
        </Text>
        <Text variant="small" align="center" tone={left === 0 ? 'done' : 'due'} numberOfLines={1}>
          {left === 0 ? 'done' : `${left} to serve`}
        </Text>
      </Pressable>
    );
  });
  return (
    <View>
      <RoundRibbon data={data} round={round} current={current} minutes={minutes} />
      {scrolls ? (
        <ScrollView
          horizontal
          showsHorizontalScrollIndicator={false}
          role="tablist"
          aria-label="Moments of the day"
          style={styles.strip}
        >
          {row}
        </ScrollView>
      ) : (
        <View role="tablist" aria-label="Moments of the day" style={[styles.strip, styles.row]}>
          {row}
        </View>
      )}
    </View>
  );
}

const useStyles = themed((c) => ({
  strip: { flexGrow: 0, borderBottomWidth: 1, borderColor: c.rule },
  row: { flexDirection: 'row' },
  tab: {
    minHeight: SIZES.touch,
    paddingHorizontal: 2,
    justifyContent: 'flex-end',
    borderBottomWidth: 3,
    borderColor: 'transparent',
  },
  // By the length of their names, so that each has one line where there is room.
  shared: { flexGrow: 1, flexShrink: 1, flexBasis: 'auto', minWidth: 0 },
  own: { minWidth: 92 },
  on: { borderColor: c.roe },
}));
