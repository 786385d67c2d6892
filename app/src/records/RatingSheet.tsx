import type { Account, Problem, Rating } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { useHand, useHouse, useNow, useFormat } from '../store';
import { ledgerApi } from '../store/ledgerApi';
import {
  Button,
  Card,
  Choice,
  Field,
  fieldErrorsOf,
  ListRow,
  Picker,
  Sheet,
  Text,
  useToast,
  type FieldErrors,
} from '../ui';
import { formatRating } from './account';
import { nowIso } from '../store/clock';
import { formIntent, stampFor } from '../store/intent';

type Rated = 'better' | 'same' | 'worse' | 'unsaid';
const said = (rated: Rated) => (rated === 'unsaid' ? null : rated);

/** What a food did to a group, as the keeper judges it. */
export function RatingSheet({
  food,
  onClose,
}: {
  food: Pick<Account['foods'][number], 'foodId' | 'name'>;
  onClose: () => void;
}) {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const { data } = useHouse();
  const [add, { isLoading }] = ledgerApi.useAddRatingMutation();
  const eaters = (data?.groups ?? []).filter(
    ({ archived, diet }) =>
      !archived && diet?.servings.some(({ foodId }) => foodId === food.foodId),
  );
  const groups =
    eaters.length > 0 ? eaters : (data?.groups ?? []).filter(({ archived }) => !archived);
  const [groupId, setGroup] = useState('');
  const [colour, setColour] = useState<Rated>('unsaid');
  const [growth, setGrowth] = useState<Rated>('unsaid');
  const [note, setNote] = useState('');
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const { id } = formIntent('rating', food.foodId);
  const chosen = groupId || groups[0]?.id || '';
  const save = async () => {
    const body = {
      id,
      groupId: chosen,
      foodId: food.foodId,
      day: now.day,
      colour: said(colour),
      growth: said(growth),
      note,
      hand,
      at: nowIso(),
    };
    const done = await add({ body });
    if (done.error) {
      const problem = done.error as Problem;
      setFieldErrors(fieldErrorsOf(problem));
      if (!problem.errors) toast(problem.detail, { tone: 'error' });
      return;
    }
    toast(`What ${food.name} did is noted.`);
    onClose();
  };
  return (
    <Sheet title={`What ${food.name} did`} open onClose={onClose}>
      <Text tone="quiet">
        Against how they were before they had it. Look at them on two days, in the same light.
      </Text>
      <Picker
        label="To which fish"
        value={chosen}
        onChange={setGroup}
        picks={groups.map(({ id: value, name }) => ({ value, title: name }))}
        fieldError={fieldErrors.groupId}
      />
      <Choice
        label="Colour"
        value={colour}
        onChange={setColour}
        fieldError={fieldErrors.colour}
        options={[
          { value: 'better', label: 'brighter' },
          { value: 'same', label: 'as before' },
          { value: 'worse', label: 'duller' },
          { value: 'unsaid', label: 'cannot say' },
        ]}
      />
      <Choice
        label="Growth"
        value={growth}
        onChange={setGrowth}
        fieldError={fieldErrors.growth}
        options={[
          { value: 'better', label: 'faster' },
          { value: 'same', label: 'as before' },
          { value: 'worse', label: 'slower' },
          { value: 'unsaid', label: 'cannot say' },
        ]}
      />
      <Field label="Note" value={note} onChange={setNote} fieldError={fieldErrors.note} />
      <Button
        variant="primary"
        label="Note it"
        disabled={isLoading || chosen === ''}
        onPress={() => save()}
      />
    </Sheet>
  );
}

/** Ratings shown at once; more come when they are asked for. */
const AT_ONCE = 6;

/** What was rated, the newest first, each with a way back. */
export function Ratings() {
  const format = useFormat();
  const toast = useToast();
  const { data = [] } = ledgerApi.useRatingsQuery();
  const [undo] = ledgerApi.useUndoRatingMutation();
  const [all, setAll] = useState(false);
  if (data.length === 0) return null;
  const takeBack = async ({ id, foodName }: Rating) => {
    const done = await undo({ params: { id }, body: stampFor('undo', id) });
    if (done.error) toast((done.error as Problem).detail, { tone: 'error' });
    else toast(`The rating of ${foodName} is taken back.`);
  };
  const shown = all ? data : data.slice(0, AT_ONCE);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">As it was rated</Text>
      <Card label="Ratings">
        {shown.map((rating, at) => (
          <ListRow
            key={rating.id}
            first={at === 0}
            title={`${rating.foodName}: ${[
              rating.colour && formatRating('colour', rating.colour),
              rating.growth && formatRating('growth', rating.growth),
            ]
              .filter(Boolean)
              .join(', ')}`}
            detail={[rating.groupName, format.day(rating.day), rating.hand, rating.note]
              .filter(Boolean)
              .join(' · ')}
            trail={
              <Button
                variant="bare"
                label="Take back"
                spoken={`Take back: ${rating.foodName}, ${rating.groupName}`}
                onPress={() => takeBack(rating)}
              />
            }
          />
        ))}
      </Card>
      {data.length > shown.length ? (
        <Button variant="bare" label={`Show all ${data.length}`} onPress={() => setAll(true)} />
      ) : null}
    </View>
  );
}
