import type { FoodFamily } from '@open-larder/catalogue';
import { formatSignificant } from '@open-larder/say';
import type { GotByDay, WeekTask } from '@open-larder/core/week';
import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { SIZES, themed, useColours } from '../theme';
import { Text } from '../ui';

const FAMILY_WORDS: Record<FoodFamily | 'film', string> = {
  grain: 'dry',
  cube: 'frozen',
  leaf: 'plant',
  wriggle: 'live',
  jelly: 'gel',
  mortar: 'powder',
  film: 'off glass and wood',
};

interface Props {
  task: WeekTask;
  got: GotByDay;
  /** Estimated from the plan before the edit, until it is simulated. */
  nearly: boolean;
}

/** What reaches each group over the cycle, by food family, against its need; and its worst day. */
export function WeekShares({ task, got, nearly }: Props) {
  const styles = useStyles();
  if (task.groups.length === 0) return null;
  const sums = task.groups.map((group, index) => ({ group, ...sumOf(task, got, index) }));
  const families = [...new Set(sums.flatMap((sum) => [...sum.byFamily.keys()]))];
  return (
    <View style={styles.box}>
      <Text variant="subtitle">What reaches each group</Text>
      <Text variant="small" tone="quiet" role="status">
        {`Share of what they need this cycle, by food family; the dashed band is 90 to 110 %.${
          nearly ? ' About so: simulating the change.' : ' Simulated.'
        }`}
      </Text>
      <View style={styles.legend}>
        {families.map((family) => (
          <View key={family} style={styles.key}>
            {family === 'film' ? (
              <View style={styles.film} />
            ) : (
              <FoodSign family={family} size={20} />
            )}
            <Text variant="small">{FAMILY_WORDS[family]}</Text>
          </View>
        ))}
      </View>
      {sums.map((sum) => (
        <Share key={sum.group.id} name={sum.group.name} id={sum.group.id} {...sum} />
      ))}
    </View>
  );
}

interface ShareProps {
  id: string;
  name: string;
  byFamily: Map<FoodFamily | 'film', number>;
  needKj: number;
  gotKj: number;
  min: number | null;
  max: number | null;
}

function Share({ id, name, byFamily, needKj, gotKj, min, max }: ShareProps) {
  const styles = useStyles();
  const colours = useColours();
  const router = useRouter();
  const share = needKj > 0 ? gotKj / needKj : 0;
  const off = needKj > 0 && Math.abs(share - 1) > 0.1;
  const figure = needKj === 0 ? 'not fed' : `${Math.round(share * 100)} %`;
  const days =
    min === null || max === null ? '' : `${Math.round(min)} to ${Math.round(max)} % a day`;
  return (
    <Pressable
      role="link"
      aria-label={`${name}: ${figure} of need, ${days}, ${formatSignificant(gotKj)} of ${formatSignificant(needKj)} kilojoules`}
      onPress={() => router.push(`/groups/${id}`)}
      style={styles.line}
    >
      <View style={styles.name}>
        <Text>{name}</Text>
        <Text variant="small" tone="quiet">
          {days}
        </Text>
      </View>
      <View style={styles.track}>
        {[...byFamily].map(([family, kj]) => (
          <View
            key={family}
            style={{
              width: `${Math.min(100, (kj / (needKj || 1)) * FULL)}%`,
              height: 12,
              backgroundColor: family === 'film' ? colours.sand : colours.family[family],
              borderRightWidth: 1,
              borderColor: colours.ground,
            }}
          />
        ))}
        <View style={styles.band} />
      </View>
      <View style={styles.figure}>
        <Text variant="strong" tone={off ? 'due' : 'ink'} align="right" numberOfLines={1}>
          {figure}
        </Text>
      </View>
    </Pressable>
  );
}

/** Per cent of the track's width at which the need stands; the rest is room for too much. */
const FULL = 62;

function sumOf(task: WeekTask, got: GotByDay, index: number) {
  const byFamily = new Map<FoodFamily | 'film', number>();
  let needKj = 0;
  let gotKj = 0;
  let min: number | null = null;
  let max: number | null = null;
  for (const { groups } of got) {
    const day = groups[index];
    if (!day || day.needKj <= 0) continue;
    needKj += day.needKj;
    gotKj += day.gotKj;
    const share = (100 * day.gotKj) / day.needKj;
    min = Math.min(min ?? share, share);
    max = Math.max(max ?? share, share);
    day.kj.forEach((kj, at) => {
      const family = task.foods[at]?.family ?? 'film';
      if (kj > 0) byFamily.set(family, (byFamily.get(family) ?? 0) + kj);
    });
  }
  return { byFamily, needKj, gotKj, min, max };
}

const useStyles = themed((c) => ({
  box: { gap: 8 },
  legend: { flexDirection: 'row', flexWrap: 'wrap', gap: 14 },
  key: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  film: { width: 16, height: 12, backgroundColor: c.sand, borderWidth: 1, borderColor: c.rule },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: SIZES.touch },
  name: { width: 116 },
  track: { flex: 1, height: 24, flexDirection: 'row', alignItems: 'center', overflow: 'hidden' },
  band: {
    position: 'absolute',
    left: `${FULL * 0.9}%`,
    width: `${FULL * 0.2}%`,
    top: 2,
    bottom: 2,
    borderWidth: 1,
    borderStyle: 'dashed',
    borderColor: c.ink,
  },
  figure: { width: 58 },
}));
