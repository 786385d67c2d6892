import type { BroodWork } from '@open-larder/core/brood';
import type { BroodEventKind } from '@open-larder/core/brood/vocabulary';
import { formatBroodWork } from '@open-larder/say/brood';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../store';
import { themed } from '../theme';
import { Button, Text } from '../ui';
import { useBroodEvent } from './useBroodEvent';
import type { Brood } from './useBroods';
import { EventSheet } from './EventSheet';

/** What a brood asks for today, each with the tap that says it is done. */
export function BroodWorkList({ brood, work }: { brood: Brood; work: readonly BroodWork[] }) {
  const styles = useStyles();
  const router = useRouter();
  const logEvent = useBroodEvent();
  const format = useFormat();
  const [sheet, setSheet] = useState<{ kind: BroodEventKind; tubId: string | null } | null>(null);
  const act = ({ what, tubId, because }: BroodWork) => {
    switch (what) {
      case 'together':
        return void logEvent(brood.id, { kind: 'paired' }, 'They are together.');
      case 'parents':
        return void logEvent(
          brood.id,
          { kind: 'parentsMoved' },
          'The parents are parted from them.',
        );
      case 'firstFood':
        return void logEvent(brood.id, { kind: 'firstFood' }, 'Their first food is noted.');
      case 'change': {
        const tub = brood.status.tubs.find(({ id }) => id === tubId);
        const share = Math.min(1, Math.max(0.01, tub?.change ?? 1));
        return void logEvent(brood.id, { kind: 'changed', tubId, share }, 'Its water is changed.');
      }
      case 'standing':
        return because.is === 'standing'
          ? void logEvent(brood.id, { kind: 'placed', tubId, foodKey: because.what }, 'It is in.')
          : undefined;
      case 'sort':
        return void logEvent(brood.id, { kind: 'sorted', tubId }, 'They are sorted.');
      case 'expect':
        return setSheet({
          kind: brood.status.next?.stage === 'hatch' ? 'hatched' : 'swimming',
          tubId: null,
        });
      case 'treatAgain':
        return setSheet({ kind: 'treated', tubId });
      case 'wet':
        return setSheet({ kind: 'hatched', tubId: null });
      case 'count':
        return setSheet({ kind: 'counted', tubId });
      case 'moveUp':
      case 'apart':
        return setSheet({ kind: 'moved', tubId });
      case 'home':
        return setSheet({ kind: 'rehomed', tubId });
      case 'start':
        return router.push('/larder/live/new');
      default:
        return undefined;
    }
  };
  return (
    <>
      {work.map((one, index) => {
        const { says, why } = formatBroodWork(one.because, format.units);
        return (
          <View key={one.what + one.tubId + says} style={[styles.work, index > 0 && styles.ruled]}>
            <View style={styles.words}>
              <Text tone={one.urgent ? 'due' : 'ink'}>{says}</Text>
              <Text variant="small" tone="quiet">
                {why}
              </Text>
            </View>
            {DONE[one.what] && !isSkin(one) ? (
              <Button
                label={DONE[one.what]!}
                spoken={`${DONE[one.what]}: ${brood.name}, ${says}`}
                onPress={() => act(one)}
              />
            ) : null}
          </View>
        );
      })}
      {sheet ? <EventSheet brood={brood} first={sheet} onClose={() => setSheet(null)} /> : null}
    </>
  );
}

/** What the parents give is not put in. */
const isSkin = ({ because }: BroodWork) => because.is === 'standing' && because.what === 'skin';

const DONE: Partial<Record<BroodWork['what'], string>> = {
  together: 'Together',
  parents: 'Done',
  wet: 'Wetted',
  expect: 'Seen',
  firstFood: 'Taken',
  change: 'Changed',
  standing: 'Put in',
  treatAgain: 'Done',
  start: 'Start',
  count: 'Count',
  sort: 'Sorted',
  moveUp: 'Move',
  apart: 'Move',
  home: 'Given',
};

const useStyles = themed((c) => ({
  work: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 12,
    paddingVertical: 8,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  words: { flex: 1, minWidth: 0 },
}));
