import type { Group } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { ScreenTools } from '../shell';
import { api, useHouse, useNow, useFormat, type AppData } from '../store';
import { useWide } from '../theme';
import { Button, Choice, Empty, Fault, Field, ListRow, Screen, Skeleton, Text } from '../ui';
import { DateField } from '../ui/DateField';
import { matches } from '../ui/Picker';
import { TanksTabs } from '../tank/TanksTabs';
import { FishRow } from './FishRow';
import { sorted, SORTS, type SortKey } from './sort';
import { MoveSheet } from '../group/MoveSheet';

/** Every group of the house in one list: to find, to sort, to move several, to look back. */
export function FishScreen() {
  const router = useRouter();
  const now = useNow();
  const format = useFormat();
  const loaded = useHouse();
  const [filter, setFilter] = useState('');
  const [sort, setSort] = useState<SortKey>('walk');
  const [day, setDay] = useState<string | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const [moving, setMoving] = useState(false);
  const [ordering, setOrdering] = useState(false);
  const wide = useWide();
  const past = day !== null && day < now.day ? day : null;
  const then = api.useGroupsOnQuery(past ?? '', { skip: past === null });
  const groups = past === null ? loaded.data?.groups : then.data;
  const rows = useMemo(
    () => (loaded.data && groups ? rowsOf(loaded.data, groups, filter, sort) : []),
    [loaded.data, groups, filter, sort],
  );
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  const total = rows.reduce((sum, group) => sum + group.size.total, 0);
  return (
    <Screen
      title="All fish"
      detail={loaded.data ? `${rows.length} groups, ${total} fish` : undefined}
      tools={<ScreenTools />}
      actions={
        past === null && rows.length > 0 ? (
          <Button
            least="keeper"
            label={chosen ? 'Done' : 'Select'}
            onPress={() => setChosen(chosen ? null : new Set())}
          />
        ) : null
      }
      rows={
        loaded.data && {
          items: rows,
          keyOf: (group: Group) => group.id,
          extra: [loaded.data, chosen, format],
          render: (group: Group, index) => (
            <FishRow
              group={group}
              data={loaded.data}
              first={index === 0}
              chosen={chosen?.has(group.id)}
              onPress={() => (chosen ? toggle(group.id) : router.push(`/groups/${group.id}`))}
            />
          ),
        }
      }
    >
      <TanksTabs here="fish" />
      {loaded.problem ? (
        <Fault problem={loaded.problem} onRetry={loaded.retry} />
      ) : !loaded.data || (past !== null && then.isFetching) ? (
        <Skeleton rows={5} height={56} />
      ) : (
        <>
          <Field
            label="Filter by name, species, stage or tank"
            value={filter}
            onChange={setFilter}
          />
          {wide || ordering ? (
            <>
              <Choice label="In order of" value={sort} options={SORTS} onChange={setSort} />
              <DateField label="As they were on" value={day} onChange={setDay} />
            </>
          ) : (
            <View style={{ alignItems: 'flex-start' }}>
              <Button
                variant="bare"
                label="Another order, another day"
                onPress={() => setOrdering(true)}
              />
            </View>
          )}
          {past ? (
            <Text tone="quiet" role="status">
              As it was at the end of {format.day(past)}; what happened since is left out.
            </Text>
          ) : null}
          {rows.length === 0 ? (
            <Empty
              title={filter ? 'None by these words' : 'No fish'}
              text={
                filter
                  ? 'Try another word, or fewer.'
                  : 'Put a group in a tank, or paste a whole house under «Tables in and out».'
              }
            />
          ) : null}
        </>
      )}
      {chosen ? (
        <ListRow
          first
          title={chosen.size === 0 ? 'Tap the groups to move' : `${chosen.size} chosen`}
          trail={
            <Button
              least="keeper"
              variant="primary"
              label="Move to …"
              disabled={chosen.size === 0}
              onPress={() => setMoving(true)}
            />
          }
        />
      ) : null}
      {moving && loaded.data && chosen ? (
        <MoveSheet
          groupIds={[...chosen]}
          data={loaded.data}
          onClose={() => setMoving(false)}
          onMoved={() => {
            setMoving(false);
            setChosen(null);
          }}
        />
      ) : null}
    </Screen>
  );
}

function rowsOf(data: AppData, groups: readonly Group[], filter: string, sort: SortKey): Group[] {
  const tanks = new Map(data.tanks.map((tank) => [tank.id, tank]));
  const living = groups.filter((group) => !group.archived);
  const found =
    filter.trim() === ''
      ? living
      : living.filter((group) => {
          const species = data.species.get(group.speciesKey);
          const tank = tanks.get(group.tankId)?.name ?? '';
          return matches(
            `${group.name} ${group.stage} ${tank} ${species?.common ?? ''} ${species?.scientific ?? ''}`,
            filter,
          );
        });
  return sorted(found, sort, data);
}
