import { zodResolver } from '@hookform/resolvers/zod';
import { waterPlan, type Tank } from '@open-larder/contract';
import { formatNumber } from '@open-larder/say';
import { USUAL_BUCKET_L } from '@open-larder/core/water/refill';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { FormFields, type FormField } from '../forms/FormFields';
import { Button, Choice, Disclosure, Sheet, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { useRhythm } from './useRhythm';

/** Named as the server names what is wrong with it. */
const rhythmForm = z.object({ water: waterPlan });
type Values = z.infer<typeof rhythmForm>;

/** Styles of changing water, each with its usual rhythm. */
const STYLES = {
  often: { label: 'little and often', share: 0.1, everyDays: 2 },
  usual: { label: 'a quarter a week', share: 0.25, everyDays: 7 },
  seldom: { label: 'much and seldom', share: 0.4, everyDays: 21 },
} as const;
type StyleKey = keyof typeof STYLES;
const STYLE_KEYS = Object.keys(STYLES) as StyleKey[];

const RHYTHM: FormField<Values>[] = [
  { name: 'water.share', label: 'Share of the water at a change', as: 'percent' },
  {
    name: 'water.everyDays',
    label: 'Days from one change to the next',
    as: 'number',
    decimals: 0,
  },
  {
    name: 'water.sourceMgL',
    label: 'Nitrate of the new water',
    hint: 'As NO3. Test it once: every change pulls the tank towards it.',
    as: 'number',
    unit: 'mg/L',
    decimals: 1,
  },
  {
    name: 'water.capMgL',
    label: 'Nitrate that its fish tolerate',
    hint: 'Optional: left empty, 20, 40 or 80, by the most sensitive kind that lives here.',
    as: 'number',
    unit: 'mg/L',
    decimals: 0,
  },
  { name: 'water.bucketL', label: 'One bucket holds', as: 'measure', measure: 'volume' },
  { name: 'water.heldUntil', label: 'Hold changes back until, for a spawn', as: 'date' },
];
const NEW_WATER: FormField<Values>[] = [
  { name: 'water.source.name', label: 'What it is', as: 'text' },
  { name: 'water.source.tempC', label: 'As it comes', as: 'measure', measure: 'temperature' },
  { name: 'water.source.gh', label: 'Its hardness', as: 'measure', measure: 'hardness' },
  {
    name: 'water.source.tdsMgL',
    label: 'Its dissolved solids',
    as: 'number',
    unit: 'mg/L',
    decimals: 0,
  },
];
const SECOND_WATER: FormField<Values>[] = [
  { name: 'water.second.name', label: 'What the second water is', as: 'text' },
  {
    name: 'water.second.tempC',
    label: 'Second water, as it comes',
    as: 'measure',
    measure: 'temperature',
  },
  {
    name: 'water.second.gh',
    label: 'Hardness of the second water',
    as: 'measure',
    measure: 'hardness',
  },
  {
    name: 'water.second.tdsMgL',
    label: 'Dissolved solids of the second water',
    as: 'number',
    unit: 'mg/L',
    decimals: 0,
  },
];
const MIXED: Record<'gh' | 'tdsMgL', FormField<Values>[]> = {
  gh: [
    {
      name: 'water.mixTo.value',
      label: 'The mix should have',
      as: 'measure',
      measure: 'hardness',
    },
  ],
  tdsMgL: [
    {
      name: 'water.mixTo.value',
      label: 'The mix should have',
      as: 'number',
      unit: 'mg/L',
      decimals: 0,
    },
  ],
};

/** How a tank’s water is changed: how much, how often, with what, and whether it waits for a spawn. */
export function RhythmSheet({ tank, onClose }: { tank: Tank; onClose: () => void }) {
  const toast = useToast();
  const saveRhythm = useRhythm(tank);
  const known = tank.plan?.water ?? USUAL_RHYTHM;
  const usualSource = { name: 'tap', tempC: tank.tempC, gh: null, tdsMgL: null };
  const form = useForm<Values>({
    resolver: zodResolver(rhythmForm),
    defaultValues: {
      water: {
        ...known,
        capMgL: known.capMgL ?? null,
        bucketL: tank.plan?.water?.bucketL ?? USUAL_BUCKET_L,
        source: tank.plan?.water?.source ?? usualSource,
      },
    },
  });
  const { control, handleSubmit, setValue } = form;
  const { save, stale } = useSave(form);
  const { share, everyDays, source } = useWatch({ control, name: 'water' });
  const style = STYLE_KEYS.find(
    (key) => STYLES[key].share === share && STYLES[key].everyDays === everyDays,
  );
  const submit = handleSubmit(async ({ water }) => {
    const saved = await save(async () => {
      const error = await saveRhythm(water);
      return error === null ? { data: water } : { error };
    });
    if (!saved) return;
    toast(`The water of ${tank.name}: the rhythm is saved.`);
    onClose();
  });
  return (
    <Sheet title={`How the water of ${tank.name} is changed`} open onClose={onClose}>
      {stale ? (
        <Text tone="due">
          {`It was changed on another device meanwhile, to ${formatNumber((tank.plan?.water?.share ?? 0) * 100, 0)} % every ${tank.plan?.water?.everyDays ?? 0} days. Save again to put yours in its place.`}
        </Text>
      ) : null}
      <Text variant="small" tone="quiet">
        Keepers differ: little and often keeps everything even; much and seldom is less work, and
        swings more; held back for a while and then much at once, as rain after a dry spell, sets
        some fish off to spawn.
      </Text>
      <Choice
        label="Rhythm"
        value={style ?? ('own' as StyleKey)}
        onChange={(key) => {
          setValue('water.share', STYLES[key].share);
          setValue('water.everyDays', STYLES[key].everyDays);
        }}
        options={STYLE_KEYS.map((key) => ({ value: key, label: STYLES[key].label }))}
      />
      <FormFields control={control} fields={RHYTHM} />
      <Disclosure title="The new water" detail={source?.name ?? ''}>
        <FormFields control={control} fields={NEW_WATER} />
      </Disclosure>
      <SecondWater form={form} tempC={tank.tempC} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Save" onPress={() => submit()} />
      </View>
    </Sheet>
  );
}

/** Rain, or water from another source, to mix with the first. */
function SecondWater({
  form: { control, setValue },
  tempC,
}: {
  form: UseFormReturn<Values>;
  tempC: number;
}) {
  const { second, mixTo } = useWatch({ control, name: 'water' });
  if (!second) {
    return (
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          label="Mix with a second water"
          onPress={() => {
            setValue('water.second', { name: 'rain', tempC, gh: 0, tdsMgL: 20, nitrateMgL: 0 });
            setValue('water.mixTo', { of: 'gh', value: 5 });
          }}
        />
      </View>
    );
  }
  const of = mixTo?.of ?? 'gh';
  return (
    <Disclosure title="Mixed with" detail={second.name} forced>
      <FormFields control={control} fields={SECOND_WATER} />
      <Choice
        label="Mixed to"
        value={of}
        onChange={(to) => setValue('water.mixTo', { of: to, value: to === 'gh' ? 5 : 150 })}
        options={[
          { value: 'gh', label: 'a hardness' },
          { value: 'tdsMgL', label: 'dissolved solids' },
        ]}
      />
      <FormFields control={control} fields={MIXED[of]} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          label="Leave the second out"
          onPress={() => {
            setValue('water.second', null);
            setValue('water.mixTo', null);
          }}
        />
      </View>
    </Disclosure>
  );
}
