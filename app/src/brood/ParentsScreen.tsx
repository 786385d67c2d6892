import { sexesFor, type Species } from '@open-larder/catalogue';
import {
  pairRecord,
  type ClutchRecord,
  type PairRecord,
  type Trouble,
} from '@open-larder/core/brood';
import { daysBetween } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useFormat, useHouse, useNow, type Format } from '../store';
import { Button, Card, Empty, ListRow, Screen, Text, Waiting } from '../ui';
import { ENDED_WORDS } from './labels';
import { useBroods, type Brood } from './useBroods';

/** After so many spawns in a row a guarding parent is rested. Practice. */
const REST_AFTER = 3;

const TROUBLES: Record<Trouble, [string, string]> = {
  infertile: [
    'hardly any egg was fertile',
    'First clutches of young pairs often are: let them try twice more. Then look whether it is a pair at all, and at hardness and pH; hard water seals the eggs of soft-water kinds.',
  ],
  kickedOut: [
    'the guard kicked eggs out',
    'Raise them in a tumbler or a tub with an air stone. Young males do it, and those in a cave that is too wide or too open: a narrow one with a single entrance, and less traffic before it, helps the next clutch.',
  ],
  eaten: [
    'the eggs were eaten',
    'Leave a dim light on at night, keep other fish and hands away, feed the pair small and often. If they go on, move the eggs to an air stone in a tub of the same water.',
  ],
  swallowed: [
    'she swallowed them',
    'Leave her where she is in the first week, and move her late, in the dark. Some keepers take the young early; that needs a tumbler and practice.',
  ],
  lost: [
    'the young were lost',
    'Most are lost in the first week to food that is too large or comes too late, and to bad water: start the cultures before the next spawn.',
  ],
};

/** A pair or a breeding group: who they are, how to tell, what their clutches came to, what to expect. */
export function ParentsScreen({ id }: { id: string }) {
  const house = useHouse();
  const { data, problem, ...rest } = useBroods();
  const group = house.data?.groups.find((one) => one.id === id);
  const species = group ? house.data?.species.get(group.speciesKey) : undefined;
  const own = (data?.all ?? []).filter(({ groupId }) => groupId === id);
  return (
    <Screen title={group ? `Parents: ${group.name}` : 'Parents'} back="/broods">
      {!house.data || !data ? (
        <Waiting of={{ problem: problem ?? house.problem, ...rest }} rows={3} height={120} />
      ) : !group || !species ? (
        <Empty title="No such group" text="It may have been removed. Go back to the broods." />
      ) : (
        <>
          <Who
            group={group}
            species={species}
            shows={sexesFor(species, data.sexes)?.shows ?? null}
          />
          <Clutches own={own} />
          {own[0] ? <Expect own={own} /> : null}
          <Troubles record={recordOf(own)} />
        </>
      )}
    </Screen>
  );
}

const recordOf = (own: readonly Brood[]): PairRecord =>
  pairRecord(own.map(({ status }) => status.record));

interface WhoProps {
  group: {
    size: { males: number; females: number; unsexed: number };
    bornOn: string | null;
  };
  species: Species;
  shows: string | null;
}

function Who({ group: { size, bornOn }, species, shows }: WhoProps) {
  const now = useNow();
  const { males, females, unsexed } = size;
  const months = bornOn === null ? null : Math.round(daysBetween(bornOn, now.day) / 30.4);
  return (
    <Card label="Who they are">
      <ListRow
        first
        title={[
          males > 0 ? `${males} male${males === 1 ? '' : 's'}` : null,
          females > 0 ? `${females} female${females === 1 ? '' : 's'}` : null,
          unsexed > 0 ? `${unsexed} not sexed` : null,
        ]
          .filter(Boolean)
          .join(', ')}
        detail={
          species.femalesPerMale === null
            ? species.common
            : `${species.common}: usually ${formatNumber(species.femalesPerMale, 1)} female${species.femalesPerMale === 1 ? '' : 's'} to a male`
        }
        trail={<View />}
      />
      <ListRow
        title="Age"
        detail={
          months === null
            ? 'not known: say on the group’s page when they were born'
            : `about ${months} months; they may live for ${formatNumber(species.lifeYears ?? 0, 0)} years`
        }
        trail={<View />}
      />
      <ListRow
        title="How to tell them apart"
        detail={shows ?? 'Nothing is known here of this kind; a grown female is usually fuller.'}
        trail={<View />}
      />
    </Card>
  );
}

function Clutches({ own }: { own: readonly Brood[] }) {
  const router = useRouter();
  const format = useFormat();
  if (own.length === 0) {
    return (
      <View style={{ gap: 8, alignItems: 'flex-start' }}>
        <Text tone="quiet">No clutch of theirs was noted yet.</Text>
        <Button least="keeper" label="Begin a brood" onPress={() => router.push('/broods/new')} />
      </View>
    );
  }
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Their clutches</Text>
      <Card label="Their clutches">
        {own.map((brood, index) => (
          <ListRow
            key={brood.id}
            first={index === 0}
            title={brood.name}
            detail={formatRecord(brood.status.record, format)}
            onPress={() => router.push(`/broods/${brood.id}`)}
          />
        ))}
      </Card>
    </View>
  );
}

/** «laid Mon 2 Nov: 80 eggs · 60 fertile · 52 hatched · 40 swam · 12 given away»: only what was counted. */
export function formatRecord(record: ClutchRecord, format: Pick<Format, 'day'>): string {
  const { laidOn, laid, fertile, hatched, swum, alive, givenAway, ended } = record;
  return [
    laidOn === null
      ? 'not laid yet'
      : `laid ${format.day(laidOn)}${laid === null ? '' : `: ${laid} eggs`}`,
    fertile === null ? null : `${fertile} fertile`,
    hatched === null ? null : `${hatched} hatched`,
    swum === null ? null : `${swum} swam`,
    alive === null || ended !== null ? null : `${alive} alive`,
    givenAway > 0 ? `${givenAway} given away` : null,
    ended === null ? null : ENDED_WORDS[ended],
  ]
    .filter(Boolean)
    .join(' · ');
}

function Expect({ own }: { own: readonly Brood[] }) {
  const format = useFormat();
  const { cadenceDays, nextOn, inARow } = recordOf(own);
  const guards = own[0]!.strategy.guards !== 'none';
  const tired = guards && inARow >= REST_AFTER;
  return (
    <Card label="What to expect">
      <ListRow
        first
        title={
          nextOn === null ? 'When they spawn next is not known' : `Next about ${format.day(nextOn)}`
        }
        detail={
          cadenceDays === null
            ? 'Two clutches show their rhythm.'
            : `They spawn about every ${cadenceDays} days; a guess from their own clutches.`
        }
        trail={<View />}
      />
      {tired ? (
        <ListRow
          title="Let them rest"
          detail={`${inARow} clutches in a row: a guard that fasts again and again wears out. Part them, or feed well without a spawning place for a month.`}
          trail={<View />}
        />
      ) : null}
    </Card>
  );
}

function Troubles({ record: { troubles } }: { record: PairRecord }) {
  if (troubles.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">What went wrong, and what keepers do</Text>
      <Card label="What went wrong">
        {troubles.map(({ is, clutches }, index) => (
          <ListRow
            key={is}
            first={index === 0}
            title={`In ${clutches === 1 ? 'one clutch' : `${clutches} clutches`} ${TROUBLES[is][0]}`}
            detail={TROUBLES[is][1]}
            trail={<View />}
          />
        ))}
      </Card>
    </View>
  );
}
