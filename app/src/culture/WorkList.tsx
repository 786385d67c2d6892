import { isFromEggs, type Work } from '@open-larder/core/culture';
import { formatCultureWork } from '@open-larder/say/culture';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { themed } from '../theme';
import { Button, Text } from '../ui';
import { HarvestSheet } from './HarvestSheet';
import { SeeSheet } from './SeeSheet';
import { useVesselEvent } from './useVesselEvent';
import type { Culture } from './useCultures';

/** What a vessel asks for today, each with the tap that says it is done. */
export function WorkList({ culture }: { culture: Culture }) {
  const styles = useStyles();
  const router = useRouter();
  const logEvent = useVesselEvent();
  const [sheet, setSheet] = useState<'harvest' | 'see' | null>(null);
  const act = (work: Work) => {
    switch (work.what) {
      case 'feed':
        return void logEvent(culture.id, { kind: 'fed' }, `${culture.name} is fed.`);
      case 'change':
      case 'clear':
        return void logEvent(
          culture.id,
          { kind: 'changed', share: work.what === 'clear' ? 0.33 : 0.25 },
          `Water of ${culture.name} is changed.`,
        );
      case 'restart':
        return void logEvent(
          culture.id,
          { kind: 'restarted', massG: isFromEggs(culture.kind) ? culture.startG : null },
          `${culture.name} was set up again.`,
        );
      case 'look':
        return setSheet('see');
      case 'thin':
      case 'hatched':
        return setSheet('harvest');
      case 'next':
        return router.push({ pathname: '/larder/live/new', params: { from: culture.id } });
    }
  };
  return (
    <>
      {culture.work.map((work) => {
        const { says, why } = formatCultureWork(work.because);
        return (
          <View key={work.what} style={styles.work}>
            <View style={styles.words}>
              <Text tone={work.urgent ? 'due' : 'ink'}>{says}</Text>
              <Text variant="small" tone="quiet">
                {why}
              </Text>
            </View>
            <Button
              least="feeder"
              label={DONE[work.what]}
              spoken={`${DONE[work.what]}: ${culture.name}`}
              onPress={() => act(work)}
            />
          </View>
        );
      })}
      {sheet === 'harvest' ? (
        <HarvestSheet culture={culture} onClose={() => setSheet(null)} />
      ) : null}
      {sheet === 'see' ? <SeeSheet culture={culture} onClose={() => setSheet(null)} /> : null}
    </>
  );
}

const DONE: Record<Work['what'], string> = {
  hatched: 'Harvest',
  restart: 'Set up',
  clear: 'Changed',
  feed: 'Fed',
  look: 'Look',
  thin: 'Harvest',
  change: 'Changed',
  next: 'Start',
};

const useStyles = themed((c) => ({
  work: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 12,
    paddingVertical: 8,
    borderTopWidth: 1,
    borderColor: c.rule,
  },
  words: { flex: 1, minWidth: 0 },
}));
