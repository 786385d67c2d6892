import type { FoodFamily } from '@open-larder/catalogue';
import { saySignificant } from '@open-larder/core/units';
import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { FoodSign } from '../draw';
import type { HouseData } from '../store';
import { SIZES, themed, useColours } from '../theme';
import { Text } from '../ui';
import type { WeekView } from './compileWeek';

const FAMILY_WORDS: Record<FoodFamily, string> = {
  grain: 'dry',
  cube: 'frozen',
  leaf: 'plant',
  wriggle: 'live',
  jelly: 'gel',
  mortar: 'powder',
};

type Group = WeekView['groups'][number];

/** What each group is planned to get over the week, by food family, against its need. */
export function WeekShares({ week, data }: { week: WeekView; data: HouseData }) {
  const styles = useStyles();
  if (week.groups.length === 0) return null;
  const sums = week.groups.map((group) => ({ group, ...sumOf(group, data) }));
  const families = [...new Set(sums.flatMap((sum) => [...sum.byFamily.keys()]))];
  return (
    <View style={styles.box}>
      <Text look="subtitle">Planned for each group</Text>
      <Text look="small" tone="quiet">
        Share of the week’s need, by food family; the dashed band is 90 to 110 %.
      </Text>
      <View style={styles.legend}>
        {families.map((family) => (
          <View key={family} style={styles.key}>
            <FoodSign family={family} size={20} />
            <Text look="small">{FAMILY_WORDS[family]}</Text>
          </View>
        ))}
      </View>
      {sums.map(({ group, byFamily, needKj, plannedKj }) => (
        <Share
          key={group.id}
          group={group}
          byFamily={byFamily}
          needKj={needKj}
          plannedKj={plannedKj}
        />
      ))}
    </View>
  );
}

interface ShareProps {
  group: Group;
  byFamily: Map<FoodFamily, number>;
  needKj: number;
  plannedKj: number;
}

function Share({ group, byFamily, needKj, plannedKj }: ShareProps) {
  const styles = useStyles();
  const colours = useColours();
  const router = useRouter();
  const share = needKj > 0 ? plannedKj / needKj : 0;
  const off = needKj > 0 && Math.abs(share - 1) > 0.1;
  const figure = needKj === 0 ? 'not fed' : `${Math.round(share * 100)} %`;
  return (
    <Pressable
      role="link"
      aria-label={`${group.name}: ${figure} of need, ${saySignificant(plannedKj)} of ${saySignificant(needKj)} kilojoules`}
      onPress={() => router.push(`/groups/${group.id}`)}
      style={styles.line}
    >
      <View style={styles.name}>
        <Text>{group.name}</Text>
      </View>
      <View style={styles.track}>
        {[...byFamily].map(([family, kj]) => (
          <View
            key={family}
            style={{
              width: `${Math.min(100, (kj / (needKj || 1)) * FULL)}%`,
              height: 12,
              backgroundColor: colours.family[family],
              borderRightWidth: 1,
              borderColor: colours.ground,
            }}
          />
        ))}
        <View style={styles.band} />
      </View>
      <View style={styles.figure}>
        <Text look="strong" tone={off ? 'due' : 'ink'} align="right" numberOfLines={1}>
          {figure}
        </Text>
      </View>
    </Pressable>
  );
}

/** Per cent of the track's width at which the need stands; the rest is room for too much. */
const FULL = 62;

function sumOf(group: Group, data: HouseData) {
  const byFamily = new Map<FoodFamily, number>();
  let needKj = 0;
  let plannedKj = 0;
  for (const day of group.days) {
    if (day.rest === null) needKj += day.needKj.value;
    plannedKj += day.plannedKj;
    for (const { food, portion } of day.servings) {
      const family = data.foods.find((one) => one.id === food.id)?.family ?? 'grain';
      byFamily.set(family, (byFamily.get(family) ?? 0) + portion.energyKj);
    }
  }
  return { byFamily, needKj, plannedKj };
}

const useStyles = themed((c) => ({
  box: { gap: 8 },
  legend: { flexDirection: 'row', flexWrap: 'wrap', gap: 14 },
  key: { flexDirection: 'row', alignItems: 'center', gap: 4 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, minHeight: SIZES.touch },
  name: { width: 128 },
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
  figure: { width: 64 },
}));
