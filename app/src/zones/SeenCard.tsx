import type { BodyOf, Problem, RoundView, Tank } from '@open-larder/contract';
import type { Drop, Feeding } from '@open-larder/core/zones';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHand } from '../store';
import { Button, Card, Choice, ErrorLine, Text, useToast } from '../ui';
import { NumberField } from '../ui/NumberField';
import { stampFor } from '../store/intent';

interface Props {
  tank: Tank;
  day: string;
  momentId: string;
  /** One meal, as it was planned. */
  feeding: Feeding;
}

type Fate = 'unseen' | 'gone' | 'left';
const FATES: { value: Fate; label: string }[] = [
  { value: 'unseen', label: 'Did not look' },
  { value: 'gone', label: 'Gone' },
  { value: 'left', label: 'Some was left' },
];
const LEFT = [
  { value: 0.25, label: 'A quarter' },
  { value: 0.5, label: 'Half' },
  { value: 0.75, label: 'Three quarters' },
  { value: 1, label: 'All' },
];
const UNSEEN = -1;

/** What was logged of a meal counts before what was planned: less, more, or nothing at all. */
function asGiven(drops: readonly Drop[], round: RoundView | undefined): Drop[] {
  const servings = (round?.moments ?? []).flatMap(({ stops }) =>
    stops.flatMap((stop) => stop.servings),
  );
  const byId = new Map(servings.map((serving) => [serving.servingId, serving]));
  return drops.flatMap((drop) => {
    const serving = byId.get(drop.key);
    if (!serving?.fed) return drop;
    const massG = serving.fed.units * serving.unit.massG;
    return massG > 0 ? { ...drop, massG } : [];
  });
}

const CAME = [
  { value: UNSEEN, label: 'Did not look' },
  { value: 1, label: 'All' },
  { value: 0.5, label: 'Some' },
  { value: 0, label: 'None' },
];

/** What a keeper saw of this meal: when it was gone, what was left, who came. */
export function SeenCard({ tank, day, momentId, feeding }: Props) {
  const toast = useToast();
  const [add] = api.useAddSightingMutation();
  const [undo] = api.useUndoSightingMutation();
  const [fate, setFate] = useState<Fate>('unseen');
  const [minutes, setMinutes] = useState<number | null>(null);
  const [left, setLeft] = useState(0.25);
  const [came, setCame] = useState<Record<string, number>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const hand = useHand();
  const { data: round } = api.useRoundQuery({ day, hand });
  const looked = feeding.groups.filter(({ id }) => (came[id] ?? UNSEEN) !== UNSEEN);
  const save = async () => {
    setProblem(null);
    const seen = {
      day,
      momentId,
      clearedMin: fate === 'gone' ? minutes : null,
      left: fate === 'left' ? left : null,
      dropKeys: null,
      unwatched: false,
      came: looked.map(({ id }) => ({ groupId: id, share: came[id]! })),
      drops: asGiven(feeding.drops, round),
    };
    const { id } = stampFor('sighting', tank.id, seen);
    const body: BodyOf<'addSighting'> = { ...seen, id };
    if (fate === 'gone' && (minutes === null || Number.isNaN(minutes))) {
      setProblem('Say after how many minutes it was gone.');
      return;
    }
    const done = await add({ params: { id: tank.id }, body });
    if (done.error) {
      setProblem((done.error as Problem).detail);
      return;
    }
    setFate('unseen');
    setMinutes(null);
    setCame({});
    toast('Noted. It counts when you learn from what was seen.', {
      undo: () => void undo({ params: { id }, body: stampFor('undo', id) }),
    });
  };
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">What you saw</Text>
      <Card label="What you saw">
        <View style={{ padding: 12, gap: 12 }}>
          <Choice label="The food" value={fate} options={FATES} onChange={setFate} />
          {fate === 'gone' ? (
            <NumberField
              label="Minutes until it was gone"
              value={minutes}
              onChange={setMinutes}
              decimals={1}
            />
          ) : fate === 'left' ? (
            <Choice label="How much was left" value={left} options={LEFT} onChange={setLeft} />
          ) : null}
          {feeding.groups.map(({ id, name }) => (
            <Choice
              key={id}
              label={`${name} that came`}
              value={came[id] ?? UNSEEN}
              options={CAME}
              onChange={(share) => setCame((before) => ({ ...before, [id]: share }))}
            />
          ))}
          {problem ? <ErrorLine fieldError={problem} /> : null}
          <View style={{ alignItems: 'flex-start' }}>
            <Button
              least="feeder"
              label="Note it"
              disabled={fate === 'unseen' && looked.length === 0}
              onPress={() => save()}
            />
          </View>
        </View>
      </Card>
    </View>
  );
}
