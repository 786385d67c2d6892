import { STRATEGIES } from '@open-larder/core/strategies';
import type { Group, ObservationCreate, Problem, Tank } from '@open-larder/contract';
import { BELLIES, BELLY_WORDS, type Belly } from '@open-larder/core/ration';
import type { Species } from '@open-larder/catalogue';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { BellyShape } from '../draw/BellyShape';
import { api, useHand, type AppData } from '../store';
import { formIntent, stampFor } from '../store/intent';
import { useHolding } from './useHolding';
import { SIZES, themed, useColours } from '../theme';
import { Button, Card, Choice, Field, Sheet, Text, useToast } from '../ui';

interface Props {
  tank: Tank;
  day: string;
  data: AppData;
  onClose: () => void;
}

type Seen = Pick<
  ObservationCreate,
  'belly' | 'hungBack' | 'absent' | 'injured' | 'colour' | 'droppings' | 'note'
>;
const UNSEEN: Seen = {
  belly: null,
  hungBack: false,
  absent: false,
  injured: false,
  colour: null,
  droppings: null,
  note: '',
};
const isSeen = (seen: Seen) => JSON.stringify(seen) !== JSON.stringify(UNSEEN);

/** How the groups of a tank look: a tap on a belly each, and what else was seen. */
export function LookSheet({ tank, day, data, onClose }: Props) {
  const toast = useToast();
  const hand = useHand();
  const [add] = api.useAddLooksMutation();
  const [undo] = api.useUndoLooksMutation();
  const [seen, setSeen] = useState<Record<string, Seen>>({});
  const groups = data.groupsIn.get(tank.id) ?? [];
  const looked = groups.filter((group) => isSeen(seen[group.id] ?? UNSEEN));
  const hold = useHolding(day);
  const intent = formIntent('look', tank.id, day);
  const note = async (): Promise<boolean> => {
    const { id, at } = intent;
    const looks = looked.map((group) => ({
      id: intent.also(group.id),
      groupId: group.id,
      day,
      hand,
      at,
      ...seen[group.id]!,
    }));
    const done = await add({ body: { id, looks } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return false;
    }
    onClose();
    toast(formatLooked(looked, seen), {
      undo: () => {
        const lookIds = looks.map((look) => look.id);
        const back = stampFor('undo', id);
        const body = {
          ...back,
          looks: lookIds.map((lookId) => ({ lookId, ...stampFor('undo', lookId) })),
        };
        void undo({ body });
      },
    });
    return true;
  };
  const noteThenHold = async (group: Group) => {
    if (await note()) await hold(group);
  };
  return (
    <Sheet title={`Look: ${tank.name}`} open onClose={onClose}>
      {groups.map((group) => (
        <GroupLook
          key={group.id}
          group={group}
          species={data.species.get(group.speciesKey)}
          onHolds={() => void noteThenHold(group)}
          seen={seen[group.id] ?? UNSEEN}
          onSee={(next) => setSeen((before) => ({ ...before, [group.id]: next }))}
        />
      ))}
      <Text variant="small" tone="quiet">
        A belly that stays sunken or bloated though it is fed, sores, gasping or clamped fins may be
        illness: keep it apart, test the water, and ask a vet who knows fish.
      </Text>
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Note it"
          disabled={looked.length === 0}
          onPress={() => note()}
        />
      </View>
    </Sheet>
  );
}

/** What follows from it is said at once: a thin belly raises the need. */
function formatLooked(groups: readonly Group[], seen: Record<string, Seen>): string {
  const thin = groups.filter(({ id }) => [1, 2].includes(seen[id]?.belly ?? 0));
  return thin.length > 0
    ? `Noted. ${thin.map(({ name }) => name).join(', ')} get more until they are well filled; look again in three days.`
    : 'Noted.';
}

interface GroupLookProps {
  group: Group;
  species: Species | undefined;
  seen: Seen;
  onSee: (seen: Seen) => void;
  /** She that did not come holds eggs. */
  onHolds: () => void;
}

function GroupLook({ group, species, seen, onSee, onHolds }: GroupLookProps) {
  const styles = useStyles();
  const [more, setMore] = useState(false);
  const signs = [
    { key: 'hungBack', label: 'Hung back' },
    { key: 'absent', label: 'Some did not come' },
    { key: 'injured', label: 'Injured' },
  ] as const;
  return (
    <Card label={group.name}>
      <View style={styles.group}>
        <Text variant="strong">{group.name}</Text>
        <View style={styles.bellies} role="radiogroup" aria-label={`Bellies of ${group.name}`}>
          {BELLIES.map((belly) => (
            <BellyButton
              key={belly}
              belly={belly}
              species={species}
              on={seen.belly === belly}
              of={group.name}
              onPress={() => onSee({ ...seen, belly: seen.belly === belly ? null : belly })}
            />
          ))}
        </View>
        <View style={styles.signs}>
          {signs.map(({ key, label }) => (
            <Button
              key={key}
              variant={seen[key] ? 'primary' : 'plain'}
              label={label}
              spoken={`${label}: ${group.name}`}
              onPress={() => onSee({ ...seen, [key]: !seen[key] })}
            />
          ))}
          <Button
            variant="bare"
            label={more ? 'Less' : 'More'}
            spoken={`More about ${group.name}`}
            onPress={() => setMore(!more)}
          />
        </View>
        {seen.absent && species && STRATEGIES[species.breeding].holdsEggs ? (
          <View style={{ gap: 8, alignItems: 'flex-start' }}>
            <Text tone="due">
              One that stays away may be holding eggs. She eats nothing then, and needs several
              small meals when the young are out.
            </Text>
            <Button
              label="She holds: let her fast"
              spoken={`One of ${group.name} holds: let her fast`}
              onPress={onHolds}
            />
          </View>
        ) : null}
        {more ? (
          <>
            <Choice
              label={`Colour of ${group.name}`}
              value={seen.colour ?? ''}
              options={[
                { value: '', label: 'did not look' },
                { value: 'usual', label: 'usual' },
                { value: 'pale', label: 'pale' },
                { value: 'dark', label: 'dark' },
                { value: 'bright', label: 'bright' },
              ]}
              onChange={(colour) => onSee({ ...seen, colour: colour === '' ? null : colour })}
            />
            <Choice
              label={`Droppings of ${group.name}`}
              value={seen.droppings ?? ''}
              options={[
                { value: '', label: 'did not look' },
                { value: 'usual', label: 'usual' },
                { value: 'stringy', label: 'stringy, white' },
                { value: 'none', label: 'none' },
              ]}
              onChange={(droppings) =>
                onSee({ ...seen, droppings: droppings === '' ? null : droppings })
              }
            />
            <Field
              label={`Note on ${group.name}`}
              value={seen.note}
              onChange={(text) => onSee({ ...seen, note: text.slice(0, 120) })}
            />
          </>
        ) : null}
      </View>
    </Card>
  );
}

function BellyButton({
  belly,
  species,
  on,
  of,
  onPress,
}: {
  belly: Belly;
  species: Species | undefined;
  on: boolean;
  of: string;
  onPress: () => void;
}) {
  const styles = useStyles();
  const colours = useColours();
  return (
    <Pressable
      role="radio"
      aria-checked={on}
      aria-label={`${BELLY_WORDS[belly]}: ${of}`}
      onPress={onPress}
      style={[styles.belly, on && styles.on]}
    >
      <BellyShape
        shape={species?.shape ?? 'fusiform'}
        belly={belly}
        width={54}
        ground={on ? colours.waterDeep : colours.paper}
      />
      <Text variant="small" tone={on ? 'ink' : 'quiet'} align="center">
        {BELLY_WORDS[belly]}
      </Text>
    </Pressable>
  );
}

const useStyles = themed((c) => ({
  group: { padding: 12, gap: 10 },
  bellies: { flexDirection: 'row', gap: 6 },
  belly: {
    flex: 1,
    minWidth: 0,
    minHeight: SIZES.touch + 24,
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingVertical: 6,
    borderWidth: 1,
    borderRadius: SIZES.radius,
    borderColor: c.rule,
    backgroundColor: c.paper,
  },
  on: { borderColor: c.ink, backgroundColor: c.waterDeep },
  signs: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
}));
