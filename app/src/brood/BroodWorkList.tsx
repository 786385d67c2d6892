import type { BroodWork } from '@open-larder/core/brood';
import type { BroodEventKind } from '@open-larder/core/brood/vocabulary';
import { formatBroodWorks } from '@open-larder/say/brood';
import { groups } from 'd3-array';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat, useNow } from '../store';
import { themed } from '../theme';
import { Button, Disclosure, Text } from '../ui';
import { waitsForLastMeal } from './fryMeals';
import { useBroodEvent, type Said } from './useBroodEvent';
import type { Brood } from './useBroods';
import { EventSheet } from './EventSheet';
import { GroupSheet } from './GroupSheet';

/** Work that is the same in several tubs is one line. */
const lineOf = ({ what, because }: BroodWork, index: number): string =>
  (because.is === 'change' && because.litres !== null) || because.is === 'standing'
    ? `${what} ${because.is === 'standing' ? because.what : ''}`
    : String(index);

interface Props {
  brood: Brood;
  work: readonly BroodWork[];
}

/** What a brood asks for today, each with the tap that says it is done; what waits for its hour is folded. */
export function BroodWorkList({ brood, work }: Props) {
  const now = useNow();
  const isLater = (one: BroodWork) => waitsForLastMeal(one, brood, now.minutes);
  const [later, due] = [work.filter(isLater), work.filter((one) => !isLater(one))];
  return (
    <>
      <WorkLines brood={brood} work={due} />
      {later.length > 0 ? (
        <Disclosure
          title="Later today"
          detail={[...new Set(later.map(({ what }) => LATER[what] ?? what))].join(' · ')}
        >
          <WorkLines brood={brood} work={later} />
        </Disclosure>
      ) : null}
    </>
  );
}

const LATER: Partial<Record<BroodWork['what'], string>> = { change: 'change water' };

function WorkLines({ brood, work }: Props) {
  const styles = useStyles();
  const router = useRouter();
  const logEvent = useBroodEvent();
  const format = useFormat();
  const [sheet, setSheet] = useState<{ kind: BroodEventKind; tubId: string | null } | null>(null);
  const [grouping, setGrouping] = useState(false);
  const lines = groups([...work.entries()], ([index, one]) => lineOf(one, index)).map(([, same]) =>
    same.map(([, one]) => one),
  );
  const act = (same: readonly BroodWork[]) => {
    const { what, tubId } = same[0]!;
    switch (what) {
      case 'together':
        return void logEvent(brood.id, { kind: 'paired' }, 'They are together.');
      case 'parents':
        return void logEvent(
          brood.id,
          { kind: 'parentsMoved' },
          'The parents have been moved away.',
        );
      case 'firstFood':
        return void logEvent(brood.id, { kind: 'firstFood' }, 'Their first food is noted.');
      case 'change':
        return void logEvent(
          brood.id,
          same.map((one) => ({
            kind: 'changed',
            tubId: one.tubId,
            share: changedShare(brood, one.tubId),
          })),
          'The water is changed.',
        );
      case 'standing':
        return void logEvent(
          brood.id,
          same.flatMap(({ because, tubId: into }): Said[] =>
            because.is === 'standing' && because.what !== 'skin'
              ? [{ kind: 'placed', tubId: into, foodKey: because.what }]
              : [],
          ),
          'It is in.',
        );
      case 'sort':
        return void logEvent(brood.id, { kind: 'sorted', tubId }, 'They are sorted.');
      case 'expect':
        return setSheet({
          kind: brood.status.next?.stage === 'hatch' ? 'hatched' : 'swimming',
          tubId: null,
        });
      case 'inspect':
      case 'eggs':
        return setSheet({ kind: 'eggsBad', tubId });
      case 'tumble':
        return setSheet({ kind: 'moved', tubId });
      case 'treatAgain':
        return setSheet({ kind: 'treated', tubId });
      case 'wet':
        return setSheet({ kind: 'hatched', tubId: null });
      case 'count':
        return setSheet({ kind: 'counted', tubId });
      case 'moveUp':
      case 'apart':
        return setSheet({ kind: 'moved', tubId });
      case 'group':
        return setGrouping(true);
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
      {lines.map((same, index) => {
        const one = same[0]!;
        const { says, why } = formatBroodWorks(
          same.map(({ because }) => because),
          format.units,
        );
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
                least="feeder"
                label={DONE[one.what]!}
                spoken={`${DONE[one.what]}: ${brood.name}, ${says}`}
                onPress={() => act(same)}
              />
            ) : null}
          </View>
        );
      })}
      {grouping ? <GroupSheet brood={brood} onClose={() => setGrouping(false)} /> : null}
      {sheet ? <EventSheet brood={brood} first={sheet} onClose={() => setSheet(null)} /> : null}
    </>
  );
}

/** The share of its water that a tub is to be changed by. */
const changedShare = ({ status }: Brood, tubId: string | null): number =>
  Math.min(1, Math.max(0.01, status.tubs.find(({ id }) => id === tubId)?.change ?? 1));

/** What the parents give is not put in. */
const isSkin = ({ because }: BroodWork) => because.is === 'standing' && because.what === 'skin';

const DONE: Partial<Record<BroodWork['what'], string>> = {
  together: 'Together',
  parents: 'Done',
  eggs: 'Some bad',
  inspect: 'Some bad',
  wet: 'Wetted',
  expect: 'Seen',
  firstFood: 'Taken',
  change: 'Changed',
  standing: 'Put in',
  tumble: 'Move',
  treatAgain: 'Done',
  start: 'Start',
  count: 'Count',
  sort: 'Sorted',
  moveUp: 'Move',
  apart: 'Move',
  home: 'Given away',
  group: 'Make a group',
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
