import { broodSplit } from '@open-larder/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { View } from 'react-native';
import { FormFields } from '../forms/FormFields';
import { api, useHand, useNow } from '../store';
import { formIntent, stampFor } from '../store/intent';
import { Button, Sheet, Stepper, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import type { Brood } from './useBroods';

/** What is asked; the rest is known. */
const draft = broodSplit.pick({ count: true, tubs: true });
type Draft = z.infer<typeof draft>;

/** A clutch is split into so many tubs at most. */
const MOST = 20;

/** Spread the young of the fullest tub evenly over more: how many, how much water, and it is done. */
export function SplitSheet({ brood, onClose }: { brood: Brood; onClose: () => void }) {
  const now = useNow();
  const hand = useHand();
  const toast = useToast();
  const [split] = api.useSplitBroodMutation();
  const [undo] = api.useUndoBroodEventMutation();
  const intent = formIntent('brood.split', brood.id);
  const [from] = [...brood.status.tubs].sort((a, b) => (b.count ?? 0) - (a.count ?? 0));
  const source = brood.tubs.find(({ id }) => id === from?.id) ?? brood.tubs[0]!;
  const known = from?.count ?? (brood.status.counted ? brood.status.count : null);
  const anotherTub = (at: number): Draft['tubs'][number] => ({
    id: intent.also(`tub ${at}`),
    moveId: intent.also(`move ${at}`),
    name: `Tub ${brood.tubs.length + at + 1}`,
    litres: source.litres,
    tempC: source.tempC,
    ph: source.ph,
    filtered: false,
  });
  const form = useForm<Draft>({
    resolver: zodResolver(draft),
    defaultValues: {
      count: known ?? (null as never),
      tubs: [anotherTub(0)],
    },
  });
  const { save } = useSave(form);
  const [tubs, count] = form.watch(['tubs', 'count']);
  const into = tubs.length + 1;
  const each = count ? Math.floor(count / into) : null;
  const submit = form.handleSubmit(async (asked) => {
    const { id, at } = intent;
    const body = { ...asked, id, at, day: now.day, hand, tubId: source.id };
    if (!(await save(() => split({ params: { id: brood.id }, body })))) return;
    const written = [...body.tubs.map(({ moveId }) => moveId), id];
    toast(`${brood.name}: split over ${into} tubs.`, {
      undo: async () => {
        for (const one of written) {
          await undo({ params: { id: one }, body: stampFor('undo', one) });
        }
      },
    });
    onClose();
  });
  return (
    <Sheet title="Split evenly" open onClose={onClose}>
      <Text tone="quiet">
        {`From ${source.name}, so that one failure does not take them all. The rest stay there.`}
      </Text>
      <Stepper
        label="Over how many tubs"
        value={into}
        step={1}
        min={2}
        max={MOST}
        onChange={(next) =>
          form.setValue(
            'tubs',
            Array.from({ length: next - 1 }, (_, at) => tubs[at] ?? anotherTub(at)),
          )
        }
        hint={each === null ? undefined : `About ${each} in each.`}
      />
      <FormFields
        control={form.control}
        fields={[
          {
            name: 'count',
            label: `How many are in ${source.name}`,
            hint:
              known === null ? 'Not counted yet: your best guess, noted as a count.' : undefined,
            as: 'number',
            decimals: 0,
          },
          ...tubs.map((_, at) => [
            { name: `tubs.${at}.name` as const, label: 'Name', as: 'text' as const },
            {
              name: `tubs.${at}.litres` as const,
              label: 'Water in it',
              as: 'measure' as const,
              measure: 'volume' as const,
              decimals: 1,
            },
          ]),
        ]}
      />
      <Text variant="small" tone="quiet">
        Half from the old tub and half seasoned, as warm as theirs: never raw tap.
      </Text>
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Split them" onPress={() => submit()} />
      </View>
    </Sheet>
  );
}
