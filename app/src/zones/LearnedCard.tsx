import type { LearnedRow, Problem, SightingRow, Tank } from '@open-larder/contract';
import { bellyLooksOf, sightingOf, type FeedingRows } from '@open-larder/contract/zones';
import type { LearnedGroup } from '@open-larder/core/zones';
import { useEffect, useMemo } from 'react';
import { View } from 'react-native';
import { api, useNow, useFormat } from '../store';
import { Button, Card, Disclosure, ListRow, Text, useToast } from '../ui';
import { formatLearned, formatSighting } from './sayLearned';
import { startZones, type ZonesWorker } from '../workers/zones';
import { useWork } from '../workers/useWork';
import { Working } from '../workers/Working';
import { stampFor } from '../store/intent';

interface Props {
  tank: Tank;
  rows: FeedingRows;
  learned: LearnedRow;
}

/** As many of the newest sightings as a fit takes in: older ones were of other fish. */
const NEWEST = 24;

/** What was learned of this tank's groups: to see, to learn anew, to freeze, to forget. */
export function LearnedCard({ tank, rows, learned }: Props) {
  const now = useNow();
  const { data: seen = [] } = api.useSightingsQuery(tank.id);
  const { data: looks = [] } = api.useLooksOfQuery(rows.groups.map(({ id }) => id));
  const learning = useWork<LearnedGroup[], ZonesWorker, typeof seen>(seen, startZones);
  const { keep, freeze, forget } = useKeep(tank, learned);
  const usableOf = (of: typeof seen) =>
    of.slice(0, NEWEST).flatMap((row) => sightingOf(rows, row) ?? []);
  const usable = usableOf(seen);
  const bellies = useMemo(() => bellyLooksOf(rows, looks, now.day), [rows, looks, now.day]);
  const lookedAt = [...(bellies?.seen.values() ?? [])].reduce((sum, one) => sum + one.length, 0);
  const { result } = learning;
  useEffect(() => {
    if (result === null) return;
    void keep(result, usable.length + lookedAt);
    learning.forget();
    // Kept once, when it has come.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [result]);
  const names = new Map([...rows.groups, ...rows.foods].map(({ id, name }) => [id, name]));
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">Learned here</Text>
      {learned.groups.length > 0 ? (
        <Card label="Learned here">
          {learned.groups.map((group, at) => (
            <ListRow
              key={group.groupId}
              first={at === 0}
              title={names.get(group.groupId) ?? 'A group that has moved'}
              detail={formatLearned(group)}
            />
          ))}
        </Card>
      ) : (
        <Text tone="quiet">
          Nothing yet: every group is expected to feed as its species and size suggest. Note a few
          meals and bellies, then learn from them.
        </Text>
      )}
      {learned.groups.length > 0 ? (
        <Text variant="small" tone="quiet">
          {`Learned from ${learned.sightings} ${learned.sightings === 1 ? 'look' : 'looks'} at meals and bellies${learned.frozen ? '; frozen' : ''}. The pictures above use it.`}
        </Text>
      ) : null}
      {usable.length + lookedAt > 0 && !learned.frozen ? (
        <Working
          work={learning}
          says="runs done"
          label={`Learn from ${learnsFrom(usable.length, lookedAt)}`}
          onStart={() =>
            learning.run((zones, of, onRun) => zones.learn(usableOf(of), bellies, onRun))
          }
        />
      ) : null}
      {learned.groups.length > 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <Button
            least="keeper"
            label={learned.frozen ? 'Thaw: learn on' : 'Freeze it'}
            onPress={() => freeze(!learned.frozen)}
          />
          <Button least="keeper" label="Forget it" onPress={() => forget()} />
        </View>
      ) : null}
      {seen.length > 0 ? <Seen tank={tank} seen={seen} names={names} /> : null}
    </View>
  );
}

const several = (count: number, one: string, many: string) =>
  count === 0 ? [] : [count === 1 ? `1 ${one}` : `${count} ${many}`];

const learnsFrom = (meals: number, bellies: number) =>
  [
    ...several(meals, 'meal', 'meals'),
    ...several(bellies, 'look at bellies', 'looks at bellies'),
  ].join(' and ');

/** What was noted, newest first, each with a way to take it back. */
function Seen({
  tank,
  seen,
  names,
}: {
  tank: Tank;
  seen: readonly SightingRow[];
  names: ReadonlyMap<string, string>;
}) {
  const format = useFormat();
  const toast = useToast();
  const [undo] = api.useUndoSightingMutation();
  const [add] = api.useAddSightingMutation();
  const takeBack = async (row: SightingRow) => {
    const done = await undo({ params: { id: row.id }, body: stampFor('undo', row.id) });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    toast('Taken back.', {
      undo: () =>
        void add({
          params: { id: tank.id },
          body: { ...row, id: stampFor('again', row.id).id },
        }),
    });
  };
  return (
    <Disclosure title={`${seen.length} noted here`}>
      <Card>
        {seen.slice(0, NEWEST).map((row, at) => (
          <ListRow
            key={row.id}
            first={at === 0}
            title={format.day(row.day)}
            detail={formatSighting(row, names)}
            trail={
              <Button
                least="keeper"
                variant="bare"
                label="Take back"
                spoken={`Take back what was seen on ${format.day(row.day)}`}
                onPress={() => takeBack(row)}
              />
            }
          />
        ))}
      </Card>
    </Disclosure>
  );
}

/** Versions of what was learned, each with a way back to the one before. */
function useKeep(tank: Tank, learned: LearnedRow) {
  const toast = useToast();
  const [send] = api.useEditLearnedMutation();
  const write = async (news: Omit<LearnedRow, 'version'>, says: string) => {
    const params = { id: tank.id };
    const done = await send({ params, body: { ...news, version: learned.version } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    const { version } = done.data as LearnedRow;
    toast(says, { undo: () => void send({ params, body: { ...learned, version } }) });
  };
  const { version: _, ...current } = learned;
  return {
    keep: (groups: LearnedGroup[], sightings: number) =>
      write(
        { frozen: false, sightings, groups: groups.map(rounded) },
        'Learned. The simulation of this tank uses it.',
      ),
    freeze: (frozen: boolean) =>
      write(
        { ...current, frozen },
        frozen ? 'Frozen: it stays as it is.' : 'It can be learned on.',
      ),
    forget: () =>
      write(
        { frozen: false, sightings: 0, groups: [] },
        'Forgotten. Every group is as expected again.',
      ),
  };
}

const round3 = (value: number) => Math.round(value * 1000) / 1000;
/** Kept to three places: more is not known. */
const rounded = ({ groupId, search, taking, coming, sure, eating }: LearnedGroup) => ({
  groupId,
  search: round3(search),
  taking: round3(taking),
  coming: round3(coming),
  sure: {
    search: round3(sure.search),
    taking: round3(sure.taking),
    coming: round3(sure.coming),
  },
  eating: { times: round3(eating.times), sure: round3(eating.sure) },
});
