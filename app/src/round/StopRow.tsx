import { formatServing } from '@open-larder/say';
import type { RoundStopView, Tank } from '@open-larder/contract';
import { memo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { ZONE_WORDS } from '../diet/labels';
import { FoodSign } from '../draw/FoodSign';
import { NumberTag } from '../tank/NumberTag';
import { SIZES, themed } from '../theme';
import { Text } from '../ui';
import { afterPaint } from '../ui/afterPaint';
import { ServeButton } from './ServeButton';
import type { Acts } from './StopCard';

interface Props {
  stop: RoundStopView;
  tank: Tank;
  acts: Pick<Acts, 'serve' | 'serveAll' | 'open'>;
}

/** A tank on the walk, folded: what it gets, and all of it in one tap. Its words open it. */
export const StopRow = memo(function StopRow({ stop, tank, acts }: Props) {
  const styles = useStyles();
  const due = stop.servings.filter(({ fed }) => fed === null);
  const [tapped, setTapped] = useState(false);
  const serve = () => {
    if (tapped) return;
    setTapped(true);
    afterPaint(() => {
      const [only] = due;
      if (due.length === 1 && only) {
        if (!acts.serve(only)) setTapped(false);
      } else {
        acts.serveAll(due, tank.name);
        setTapped(false);
      }
    });
  };
  const [first] = due;
  const foods = due.map(({ portion, foodName }) => formatServing(portion, foodName)).join(' · ');
  // Of several the foods are enough to go by; where each goes is said as the tank is opened.
  const where = due.length === 1 && first ? `, ${first.place || ZONE_WORDS[first.zone]}` : '';
  const state = due.length === 0 ? 'all served' : `${due.length} to serve`;
  return (
    <View style={styles.row}>
      <Pressable
        role="button"
        aria-expanded={false}
        aria-label={`${tank.name}: ${state}`}
        onPress={() => acts.open(tank.id, true)}
        style={styles.open}
      >
        <NumberTag number={tank.walkOrder} />
        <View style={styles.words}>
          <View style={styles.line}>
            <Text variant="strong" tone={due.length === 0 ? 'done' : 'ink'} numberOfLines={1}>
              {tank.name}
            </Text>
            <View style={styles.count}>
              <Text variant="small" tone="quiet">
                {due.length === 0 ? 'all served' : due.length > 1 ? due.length : ''}
              </Text>
            </View>
          </View>
          {first ? (
            <View style={styles.line}>
              {[...new Set(due.map(({ family }) => family))].slice(0, 3).map((family) => (
                <FoodSign key={family} family={family} size={18} />
              ))}
              <View style={styles.words}>
                <Text variant="small" numberOfLines={2}>
                  {foods}
                  {where}
                </Text>
              </View>
            </View>
          ) : null}
        </View>
      </Pressable>
      {first ? (
        <ServeButton
          family={first.family}
          served={tapped}
          next={false}
          spoken={
            due.length === 1
              ? `Served: ${first.portion} ${first.foodName} for ${first.groupName}`
              : `All of ${tank.name} as planned`
          }
          onPress={serve}
          onHold={() => acts.open(tank.id, true)}
        />
      ) : null}
    </View>
  );
});

const useStyles = themed((c) => ({
  row: {
    minHeight: SIZES.serve + 6,
    flexDirection: 'row',
    alignItems: 'center',
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
    backgroundColor: c.paper,
    paddingRight: 3,
  },
  open: {
    flex: 1,
    minWidth: 0,
    minHeight: SIZES.touch,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingHorizontal: 10,
    paddingVertical: 4,
  },
  words: { flex: 1, minWidth: 0 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  count: { flexShrink: 0 },
}));
