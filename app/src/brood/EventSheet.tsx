import { BROOD_EVENTS, type BroodEventKind } from '@open-larder/core/brood/vocabulary';
import { useState } from 'react';
import { View } from 'react-native';
import { useNow, useFormat } from '../store';
import { Button, Choice, Field, Sheet, Text, type FieldErrors } from '../ui';
import { DateField } from '../ui/DateField';
import { NumberField } from '../ui/NumberField';
import { Picker } from '../ui/Picker';
import { useBroodEvent, type Said } from './useBroodEvent';
import type { Brood } from './useBroods';
import { EVENT_WORDS } from './labels';

const COUNTED: ReadonlySet<BroodEventKind> = new Set([
  'eggsSeen',
  'counted',
  'lost',
  'rehomed',
  'joined',
  'moved',
]);
/** What happens in one of the tubs, and not to the brood. */
const IN_TUB: ReadonlySet<BroodEventKind> = new Set([
  ...COUNTED,
  'measured',
  'changed',
  'warmth',
  'sorted',
  'lifted',
  'placed',
  'removed',
  'treated',
]);

/** Kinds of which a share is noted, and of what. */
const SHARED: Partial<Record<BroodEventKind, string>> = {
  changed: 'Share of its water',
  lifted: 'Share of today’s food that was left',
  eggsBad: 'Share of the eggs that went bad',
  kickedOut: 'Share of its eggs that it kicked out',
};

interface Props {
  brood: Brood;
  first?: { kind: BroodEventKind; tubId: string | null };
  onClose: () => void;
}

/** Where most of them are: what happens to a brood mostly happens there. */
function tubOfMost({ tubs, status: { state } }: Brood): string {
  const counted = state.tubs.filter(({ tubId, count }) => tubId !== null && count !== null);
  const most = counted.sort((a, b) => b.count! - a.count!)[0];
  return most?.tubId ?? state.homeTubId ?? tubs[0]?.id ?? '';
}

/** Anything that happens to a brood, on any day: its kind first, and then what belongs to it. */
export function EventSheet({ brood, first, onClose }: Props) {
  const now = useNow();
  const format = useFormat();
  const logEvent = useBroodEvent();
  const [kind, setKind] = useState<BroodEventKind>(first?.kind ?? 'counted');
  const [day, setDay] = useState<string | null>(now.day);
  const [tubId, setTubId] = useState(first?.tubId ?? tubOfMost(brood));
  const [toTubId, setToTubId] = useState('');
  const [count, setCount] = useState<number | null>(null);
  const [lengthMm, setLengthMm] = useState<number | null>(null);
  const [shortMm, setShortMm] = useState<number | null>(null);
  const [longMm, setLongMm] = useState<number | null>(null);
  const [tempC, setTempC] = useState<number | null>(brood.tubs[0]?.tempC ?? null);
  const [share, setShare] = useState<number | null>(30);
  const [foodKey, setFoodKey] = useState(brood.status.rungs[0]?.key ?? '');
  const [standing, setStanding] = useState<'film' | 'vegetables'>('film');
  const [product, setProduct] = useState('');
  const [forDays, setForDays] = useState<number | null>(null);
  const [everyDays, setEveryDays] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const warmth = format.scale('temperature');
  const save = async () => {
    const event = {
      kind,
      day: day ?? '',
      note,
      tubId: IN_TUB.has(kind) && tubId !== '' ? tubId : null,
      ...(COUNTED.has(kind) ? { count: kind === 'moved' ? count : (count ?? Number.NaN) } : {}),
      ...(kind === 'moved' ? { toTubId } : {}),
      ...(kind === 'measured' ? { lengthMm: lengthMm ?? Number.NaN, shortMm, longMm } : {}),
      ...(kind === 'took' ? { foodKey } : {}),
      ...(kind === 'warmth' ? { tempC: tempC ?? Number.NaN } : {}),
      ...(SHARED[kind] ? { share: (share ?? Number.NaN) / 100 } : {}),
      ...(kind === 'placed' || kind === 'removed' ? { foodKey: standing } : {}),
      ...(kind === 'treated' ? { product: product.trim() || null, forDays, everyDays } : {}),
    } as Said;
    const wrong = await logEvent(brood.id, event, `${EVENT_WORDS[kind]}: noted.`);
    if (wrong === null) onClose();
    else setFieldErrors(wrong);
  };
  const tubs = brood.tubs.map((tub) => ({ value: tub.id, title: tub.name }));
  return (
    <Sheet title="What happened" open onClose={onClose}>
      <Picker
        label="What"
        value={kind}
        picks={BROOD_EVENTS.filter((one) => one !== 'took' || brood.status.rungs.length > 0).map(
          (value) => ({ value, title: EVENT_WORDS[value] }),
        )}
        onChange={(value) => setKind(value as BroodEventKind)}
      />
      <DateField label="On" value={day} onChange={setDay} fieldError={fieldErrors.day} />
      {IN_TUB.has(kind) && tubs.length > 1 ? (
        <Picker
          label="Tub"
          value={tubId}
          picks={tubs}
          onChange={setTubId}
          fieldError={fieldErrors.tubId}
        />
      ) : null}
      {kind === 'moved' ? (
        <Picker
          label="Into"
          value={toTubId}
          placeholder="Choose a tub"
          picks={tubs.filter(({ value }) => value !== tubId)}
          onChange={setToTubId}
          fieldError={fieldErrors.toTubId}
          hint={tubs.length < 2 ? 'It has only one tub: add another first.' : undefined}
        />
      ) : null}
      {COUNTED.has(kind) ? (
        <NumberField
          label={kind === 'moved' ? 'How many; blank is all of them' : 'How many'}
          value={count}
          onChange={setCount}
          fieldError={fieldErrors.count}
        />
      ) : null}
      {kind === 'measured' ? (
        <>
          <NumberField
            label="Mean length of a few"
            unit="mm"
            decimals={1}
            value={lengthMm}
            onChange={setLengthMm}
            fieldError={fieldErrors.lengthMm}
          />
          <NumberField
            label="The shortest, if you like"
            unit="mm"
            decimals={1}
            value={shortMm}
            onChange={setShortMm}
            fieldError={fieldErrors.shortMm}
          />
          <NumberField
            label="The longest"
            unit="mm"
            decimals={1}
            value={longMm}
            onChange={setLongMm}
            fieldError={fieldErrors.longMm}
          />
        </>
      ) : null}
      {kind === 'took' ? (
        <Picker
          label="Which food"
          value={foodKey}
          picks={brood.status.rungs.map((rung) => ({ value: rung.key, title: rung.name }))}
          onChange={setFoodKey}
          fieldError={fieldErrors.foodKey}
          hint="Its rung begins on that day, and what comes later follows."
        />
      ) : null}
      {kind === 'warmth' ? (
        <NumberField
          label="Temperature"
          unit={warmth.unit}
          scale={warmth}
          decimals={1}
          value={tempC}
          onChange={setTempC}
          fieldError={fieldErrors.tempC}
        />
      ) : null}
      {SHARED[kind] ? (
        <NumberField
          label={SHARED[kind]}
          unit="%"
          value={share}
          onChange={setShare}
          fieldError={fieldErrors.share}
        />
      ) : null}
      {kind === 'placed' || kind === 'removed' ? (
        <Choice
          label="Which food"
          value={standing}
          options={[
            { value: 'film', label: 'Film and leaves' },
            { value: 'vegetables', label: 'Soft vegetables' },
          ]}
          onChange={setStanding}
        />
      ) : null}
      {kind === 'treated' ? (
        <>
          <Text tone="due">
            Write what it was, as its label says. No dose is worked out here: that is for the label
            and a veterinarian. Dyes want the dark, oxidisers burn skin and eyes; no food while it
            is in, and none for eggs and larvae anyway.
          </Text>
          <Field
            label="Product"
            value={product}
            onChange={setProduct}
            fieldError={fieldErrors.product}
          />
          <NumberField
            label="Days that it stays in, by its label"
            value={forDays}
            onChange={setForDays}
            fieldError={fieldErrors.forDays}
          />
          <NumberField
            label="Remind me to repeat it every so many days"
            value={everyDays}
            onChange={setEveryDays}
            fieldError={fieldErrors.everyDays}
            hint="Blank does not remind you. It ends with the days above."
          />
        </>
      ) : null}
      {kind === 'ended' || kind === 'lost' ? (
        <Text variant="small" tone="quiet">
          Local law governs killing animals that suffer, giving them away and selling them. Never
          release any.
        </Text>
      ) : null}
      <Field label="Note" value={note} onChange={setNote} fieldError={fieldErrors.note} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Note it" onPress={() => save()} />
      </View>
    </Sheet>
  );
}
