import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { memo } from 'react';
import { Pressable, View } from 'react-native';
import { fromHouse } from '../bundles/fromHouse';
import { NumberTag } from '../tank/NumberTag';
import { SIZES, themed, useColours } from '../theme';
import { Text } from '../ui';
import { ServeButton } from './ServeButton';
import type { WalkWork, YoungMeal } from './useWalkWork';

const WaterWork = fromHouse((house) => house.WaterWork);
const BroodsWork = fromHouse((house) => house.BroodsWork);
const CultureWork = fromHouse((house) => house.CultureWork);

interface Props {
  work: WalkWork;
  open: boolean;
  onOpen: (key: string, open: boolean) => void;
  onGive: (meal: YoungMeal) => void;
}

/** Something beside feeding on the walk: a line, unfolded by a tap. */
export const WorkRow = memo(function WorkRow({ work, open, onOpen, onGive }: Props) {
  const styles = useStyles();
  const colours = useColours();
  const Chevron = open ? ChevronDown : ChevronRight;
  const { meal } = work;
  return (
    <View style={styles.row}>
      <View style={styles.line}>
        <Pressable
          role="button"
          aria-expanded={open}
          aria-label={`${work.title}: ${work.detail}`}
          onPress={() => onOpen(work.key, !open)}
          style={styles.open}
        >
          {work.number === null ? null : <NumberTag number={work.number} />}
          <View style={styles.words}>
            <Text variant="strong" numberOfLines={1}>
              {work.title}
            </Text>
            <Text variant="small" tone={work.urgent ? 'due' : 'quiet'} numberOfLines={open ? 4 : 1}>
              {work.detail}
            </Text>
          </View>
          {meal ? null : <Chevron size={20} color={colours.ink2} />}
        </Pressable>
        {meal ? (
          <ServeButton
            family={meal.servings[0]?.family ?? 'wriggle'}
            served={false}
            next={false}
            spoken={`Given: ${meal.says}, ${work.title}`}
            onPress={() => onGive(meal)}
            onHold={() => onOpen(work.key, true)}
          />
        ) : null}
      </View>
      {open ? (
        <View style={styles.inside}>
          {work.about === 'water' ? <WaterWork tankId={work.id} /> : null}
          {work.about === 'brood' ? <BroodsWork broodId={work.id} /> : null}
          {work.about === 'cultures' ? <CultureWork /> : null}
        </View>
      ) : null}
    </View>
  );
});

const useStyles = themed((c) => ({
  row: {
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
    overflow: 'hidden',
  },
  line: { flexDirection: 'row', alignItems: 'center', paddingRight: 3 },
  open: {
    flex: 1,
    minWidth: 0,
    minHeight: SIZES.touch + 4,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 10,
    paddingVertical: 4,
  },
  words: { flex: 1, minWidth: 0 },
  inside: { borderTopWidth: 1, borderColor: c.rule },
}));
