import type { RoundParents } from '@open-larder/contract';
import { View } from 'react-native';
import { Text } from '../ui';

const DOES = {
  spawning: ['spawns and is not fed', 'spawn and are not fed'],
  guarding: [
    'guards or holds and eats little or nothing',
    'guard or hold and eat little or nothing',
  ],
  recovering: ['gets a third more after the fast', 'get a third more after the fast'],
} as const;

/** What a brood changes in the portions of its parents today; nothing where none does. */
export function ParentsLine({ parents }: { parents: readonly RoundParents[] }) {
  if (parents.length === 0) return null;
  return (
    <View style={{ paddingHorizontal: 12, paddingBottom: 8 }}>
      {parents.map((one) => (
        <Text key={one.groupId} variant="small" tone="quiet">
          {formatParents(one)}
        </Text>
      ))}
    </View>
  );
}

/** «Kribs: 1 of 5 guards or holds and eats little or nothing; portions are for the rest.» */
export function formatParents({ groupName, is, animals, count }: RoundParents): string {
  const some = animals < count;
  const who = some ? `${animals} of ${count} ` : 'they ';
  const then = some && is !== 'recovering' ? '; portions are for the rest' : '';
  return `${groupName}: ${who}${DOES[is][some && animals === 1 ? 0 : 1]}${then}.`;
}
