import type { PlanRow, Problem, Tank } from '@open-larder/contract';
import { formatNumber } from '@open-larder/say';
import { USUAL_BUCKET_L } from '@open-larder/core/water/refill';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../store';
import {
  Button,
  Choice,
  DateField,
  Disclosure,
  Field,
  fieldErrorsOf,
  NumberField,
  Sheet,
  Text,
  useToast,
  type FieldErrors,
} from '../ui';
import { usePlanPart } from './usePlanPart';

type Water = NonNullable<PlanRow['water']>;

/** Styles of changing water, each with its usual rhythm. */
const RHYTHM_STYLES = {
  often: { label: 'little and often', share: 0.1, everyDays: 2 },
  usual: { label: 'a quarter a week', share: 0.25, everyDays: 7 },
  seldom: { label: 'much and seldom', share: 0.4, everyDays: 21 },
} as const;
type RhythmStyle = keyof typeof RHYTHM_STYLES;

/** Save how a tank’s water is changed, with what else stands in its plan. @returns what is wrong, or null */
export function useRhythm(tank: Tank): (water: Water) => Promise<Problem | null> {
  const save = usePlanPart(tank);
  return async (water) => {
    const done = await save({ water });
    return 'problem' in done ? done.problem : null;
  };
}

/** How a tank’s water is changed: how much, how often, with what, and whether it waits for a spawn. */
export function RhythmSheet({ tank, onClose }: { tank: Tank; onClose: () => void }) {
  const toast = useToast();
  const format = useFormat();
  const save = useRhythm(tank);
  const [water, setWater] = useState<Water>(tank.plan?.water ?? USUAL_RHYTHM);
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const [stale, setStale] = useState(false);
  const change = (part: Partial<Water>) => setWater((before) => ({ ...before, ...part }));
  const warmth = format.scale('temperature');
  const volume = format.scale('volume');
  const style = (Object.keys(RHYTHM_STYLES) as RhythmStyle[]).find(
    (key) =>
      RHYTHM_STYLES[key].share === water.share && RHYTHM_STYLES[key].everyDays === water.everyDays,
  );
  const source = water.source ?? { name: 'tap', tempC: tank.tempC, gh: null, tdsMgL: null };
  const submit = async () => {
    const wrong = await save(water);
    if (wrong === null) {
      toast(`The water of ${tank.name}: the rhythm is saved.`);
      onClose();
      return;
    }
    if (wrong.status === 409) setStale(true);
    else {
      setFieldErrors(fieldErrorsOf(wrong));
      if (!wrong.errors) toast(wrong.detail, { tone: 'error' });
    }
  };
  const fieldError = (field: string) => fieldErrors[`water.${field}`] ?? fieldErrors[field];
  return (
    <Sheet title={`How the water of ${tank.name} is changed`} open onClose={onClose}>
      {stale ? (
        <Text tone="due">
          {`It was changed somewhere else meanwhile, to ${formatNumber((tank.plan?.water?.share ?? 0) * 100, 0)} % every ${tank.plan?.water?.everyDays ?? 0} days. Save again to put yours in its place.`}
        </Text>
      ) : null}
      <Text variant="small" tone="quiet">
        Keepers differ: little and often keeps everything even; much and seldom is less work, and
        swings more; held back for a while and then much at once, as rain after a dry spell, sets
        some fish off to spawn.
      </Text>
      <Choice
        label="Rhythm"
        value={style ?? ('own' as RhythmStyle)}
        onChange={(key) =>
          change({ share: RHYTHM_STYLES[key].share, everyDays: RHYTHM_STYLES[key].everyDays })
        }
        options={(Object.keys(RHYTHM_STYLES) as RhythmStyle[]).map((key) => ({
          value: key,
          label: RHYTHM_STYLES[key].label,
        }))}
      />
      <NumberField
        label="Share of the water at a change"
        unit="%"
        decimals={1}
        scale={{ fromBase: (base) => base * 100, toBase: (shown) => shown / 100 }}
        value={water.share}
        onChange={(share) => change({ share: share ?? Number.NaN })}
        fieldError={fieldError('share')}
      />
      <NumberField
        label="Days from one change to the next"
        decimals={0}
        value={water.everyDays}
        onChange={(days) => change({ everyDays: days ?? Number.NaN })}
        fieldError={fieldError('everyDays')}
      />
      <NumberField
        label="Nitrate of the new water"
        unit="mg/L"
        decimals={1}
        value={water.sourceMgL}
        onChange={(mgL) => change({ sourceMgL: mgL ?? Number.NaN })}
        fieldError={fieldError('sourceMgL')}
        hint="As NO3. Test it once: it is where every change pulls to."
      />
      <NumberField
        label="Nitrate that its fish tolerate"
        unit="mg/L"
        decimals={0}
        value={water.capMgL ?? null}
        onChange={(mgL) => change({ capMgL: mgL })}
        fieldError={fieldError('capMgL')}
        hint="May stay empty: then 20, 40 or 80, by the most sensitive kind that lives here."
      />
      <NumberField
        label="One bucket holds"
        unit={volume.unit}
        scale={volume}
        decimals={1}
        value={water.bucketL ?? USUAL_BUCKET_L}
        onChange={(litres) => change({ bucketL: litres })}
        fieldError={fieldError('bucketL')}
      />
      <DateField
        label="Hold changes back until, for a spawn"
        value={water.heldUntil ?? null}
        onChange={(day) => change({ heldUntil: day })}
        fieldError={fieldError('heldUntil')}
      />
      <Disclosure title="The new water" detail={source.name}>
        <Field
          label="What it is"
          value={source.name}
          onChange={(name) => change({ source: { ...source, name } })}
          fieldError={fieldError('source.name')}
        />
        <NumberField
          label="As it comes"
          unit={warmth.unit}
          scale={warmth}
          decimals={1}
          value={source.tempC}
          onChange={(tempC) => change({ source: { ...source, tempC: tempC ?? Number.NaN } })}
          fieldError={fieldError('source.tempC')}
        />
        <NumberField
          label="Its hardness"
          unit="dGH"
          decimals={1}
          value={source.gh}
          onChange={(gh) => change({ source: { ...source, gh } })}
          fieldError={fieldError('source.gh')}
        />
        <NumberField
          label="Its dissolved solids"
          unit="mg/L"
          decimals={0}
          value={source.tdsMgL}
          onChange={(tdsMgL) => change({ source: { ...source, tdsMgL } })}
          fieldError={fieldError('source.tdsMgL')}
        />
      </Disclosure>
      <SecondWater water={water} tempC={tank.tempC} change={change} fieldError={fieldError} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Save" onPress={() => submit()} />
      </View>
    </Sheet>
  );
}

/** Rain, or water from another source, to mix with the first. */
function SecondWater({
  water,
  tempC,
  change,
  fieldError,
}: {
  water: Water;
  tempC: number;
  change: (part: Partial<Water>) => void;
  fieldError: (field: string) => string | undefined;
}) {
  const format = useFormat();
  const warmth = format.scale('temperature');
  const { second, mixTo } = water;
  if (!second) {
    return (
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          label="Mix with a second water"
          onPress={() =>
            change({
              second: { name: 'rain', tempC, gh: 0, tdsMgL: 20, nitrateMgL: 0 },
              mixTo: { of: 'gh', value: 5 },
            })
          }
        />
      </View>
    );
  }
  const of = mixTo?.of ?? 'gh';
  const set = (part: Partial<typeof second>) => change({ second: { ...second, ...part } });
  return (
    <Disclosure title="Mixed with" detail={second.name} forced>
      <Field
        label="What the second water is"
        value={second.name}
        onChange={(name) => set({ name })}
        fieldError={fieldError('second.name')}
      />
      <NumberField
        label="Second water, as it comes"
        unit={warmth.unit}
        scale={warmth}
        decimals={1}
        value={second.tempC}
        onChange={(value) => set({ tempC: value ?? Number.NaN })}
        fieldError={fieldError('second.tempC')}
      />
      <NumberField
        label="Hardness of the second water"
        unit="dGH"
        decimals={1}
        value={second.gh}
        onChange={(gh) => set({ gh })}
        fieldError={fieldError('second.gh')}
      />
      <NumberField
        label="Dissolved solids of the second water"
        unit="mg/L"
        decimals={0}
        value={second.tdsMgL}
        onChange={(tdsMgL) => set({ tdsMgL })}
        fieldError={fieldError('second.tdsMgL')}
      />
      <Choice
        label="Mixed to"
        value={of}
        onChange={(value) => change({ mixTo: { of: value, value: value === 'gh' ? 5 : 150 } })}
        options={[
          { value: 'gh', label: 'a hardness' },
          { value: 'tdsMgL', label: 'dissolved solids' },
        ]}
      />
      <NumberField
        label="The mix should have"
        unit={of === 'gh' ? 'dGH' : 'mg/L'}
        decimals={1}
        value={mixTo?.value ?? null}
        onChange={(value) => change({ mixTo: { of, value: value ?? Number.NaN } })}
        fieldError={fieldError('mixTo.value')}
      />
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          label="Leave the second out"
          onPress={() => change({ second: null, mixTo: null })}
        />
      </View>
    </Disclosure>
  );
}
