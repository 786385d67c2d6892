import { zodResolver } from '@hookform/resolvers/zod';
import {
  ratingCreate,
  type Account,
  type Group,
  type Problem,
  type Rating,
  type RatingCreate,
} from '@open-larder/contract';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { useHand, useHouse, useNow, useFormat } from '../store';
import { ledgerApi } from '../store/ledgerApi';
import { FormFields, type FormField } from '../forms/FormFields';
import { PickerInput } from '../forms/inputs';
import { Button, Card, ListRow, Sheet, Text, useToast, Waiting } from '../ui';
import { useSave } from '../ui/useSave';
import { formatRating } from './account';
import { nowIso } from '../store/clock';
import { formIntent, stampFor } from '../store/intent';

const RATED: FormField<RatingCreate>[] = [
  {
    name: 'colour',
    label: 'Colour',
    as: 'choice',
    blank: 'cannot say',
    options: [
      { value: 'better', label: 'brighter' },
      { value: 'same', label: 'as before' },
      { value: 'worse', label: 'duller' },
    ],
  },
  {
    name: 'growth',
    label: 'Growth',
    as: 'choice',
    blank: 'cannot say',
    options: [
      { value: 'better', label: 'faster' },
      { value: 'same', label: 'as before' },
      { value: 'worse', label: 'slower' },
    ],
  },
  { name: 'note', label: 'Note', as: 'text' },
];

interface Props {
  food: Pick<Account['foods'][number], 'foodId' | 'name'>;
  onClose: () => void;
}

/** What a food did to a group, as the keeper judges it. */
export function RatingSheet({ food, onClose }: Props) {
  const house = useHouse();
  const there = (house.data?.groups ?? []).filter(({ archived }) => !archived);
  const eaters = there.filter(({ diet }) =>
    diet?.servings.some(({ foodId }) => foodId === food.foodId),
  );
  return (
    <Sheet title={`What ${food.name} did`} open onClose={onClose}>
      {house.data ? (
        <RatingForm food={food} groups={eaters.length > 0 ? eaters : there} onClose={onClose} />
      ) : (
        <Waiting of={house} rows={4} height={48} />
      )}
    </Sheet>
  );
}

function RatingForm({ food, groups, onClose }: Props & { groups: readonly Group[] }) {
  const toast = useToast();
  const now = useNow();
  const hand = useHand();
  const [add, { isLoading }] = ledgerApi.useAddRatingMutation();
  const { id } = formIntent('rating', food.foodId);
  const form = useForm<RatingCreate>({
    resolver: zodResolver(ratingCreate) as never,
    defaultValues: {
      id,
      groupId: groups[0]?.id ?? '',
      foodId: food.foodId,
      day: now.day,
      colour: null,
      growth: null,
      note: '',
      hand,
      at: nowIso(),
    },
  });
  const { save } = useSave(form);
  const submit = form.handleSubmit(async (body) => {
    if (!(await save(() => add({ body: { ...body, at: nowIso() } })))) return;
    toast(`What ${food.name} did is noted.`);
    onClose();
  });
  return (
    <>
      <Text tone="quiet">
        Against how they were before they had it. Look at them on two days, in the same light.
      </Text>
      <PickerInput
        control={form.control}
        name="groupId"
        label="To which fish"
        picks={groups.map(({ id: value, name }) => ({ value, title: name }))}
      />
      <FormFields control={form.control} fields={RATED} />
      <Button
        variant="primary"
        label="Note it"
        disabled={isLoading || groups.length === 0}
        onPress={() => submit()}
      />
    </>
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
