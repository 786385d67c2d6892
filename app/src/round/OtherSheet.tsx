import type { Outcome, RoundServingView } from '@open-larder/contract';
import { stepAt, toGrams, toServingUnits } from '@open-larder/core/food';
import { unitOf } from '@open-larder/contract/servingUnit';
import { formatGrams, formatServing, formatUnits } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useHand, useHousehold } from '../store';
import { Button, Choice, Field, Sheet, Stepper, Text } from '../ui';
import { Picker } from '../ui/Picker';
import type { Swap } from './swaps';

type Other = Exclude<Outcome, 'served'>;

interface Props {
  serving: RoundServingView;
  onClose: () => void;
  onLog: (portion: { outcome: Other; units: number; note: string }) => void;
  /** Foods that could be given in its place, today only. */
  swaps: readonly Swap[];
  onSwap: (swap: Swap) => void;
}

const OPTIONS: { value: Other; label: string }[] = [
  { value: 'less', label: 'Less' },
  { value: 'more', label: 'More' },
  { value: 'refused', label: 'Refused' },
  { value: 'skipped', label: 'Skipped' },
];

const MAX = 120;

/** A note with a phrase more; tapped a second time it is taken out again. */
function withPhrase(note: string, phrase: string): string {
  const said = note.split(', ').filter((one) => one.trim() !== '');
  const next = said.includes(phrase) ? said.filter((one) => one !== phrase) : [...said, phrase];
  return next.join(', ').slice(0, MAX);
}

/** Anything but «as planned»: less, more, refused or skipped, and why. */
export function OtherSheet({ serving, onClose, onLog, swaps, onSwap }: Props) {
  const hand = useHand();
  const { unit, units: planned } = serving;
  const step = stepAt(planned, unit);
  const half = Math.min(planned, Math.max(step, toServingUnits(serving.massG / 2, unit)));
  const more = Math.max(planned + step, toServingUnits(serving.massG * 1.5, unit));
  const [outcome, setOutcome] = useState<Other>('less');
  const [units, setUnits] = useState(half);
  const [note, setNote] = useState('');
  const phrases = useHousehold()?.phrases ?? [];
  const choose = (next: Other) => {
    setOutcome(next);
    setUnits(next === 'skipped' ? 0 : next === 'less' ? half : next === 'more' ? more : planned);
  };
  return (
    <Sheet title={formatServing(serving.portion, serving.foodName)} open onClose={onClose}>
      <Text tone="quiet">For {serving.groupName}. What happened instead?</Text>
      <Choice label="What happened" value={outcome} options={OPTIONS} onChange={choose} />
      {outcome === 'skipped' ? null : (
        <Stepper
          label="Put in"
          value={units}
          step={step}
          min={step}
          max={Math.max(planned * 10, step * 20)}
          onChange={setUnits}
          format={(value) => formatUnits(value, unit)}
          hint={`${formatGrams(toGrams(units, unit))}; planned were ${serving.portion}.`}
        />
      )}
      <Field
        label={outcome === 'refused' || outcome === 'skipped' ? 'Why' : 'Note'}
        value={note}
        onChange={(text) => setNote(text.slice(0, MAX))}
        placeholder="May stay empty"
      />
      {phrases.length > 0 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {phrases.map((phrase) => (
            <Button
              key={phrase}
              label={phrase}
              spoken={`Note: ${phrase}`}
              onPress={() => setNote(withPhrase(note, phrase))}
            />
          ))}
        </View>
      ) : null}
      <Button
        variant="primary"
        label={`Log ${outcome}`}
        onPress={() => onLog({ outcome, units, note: note.trim() })}
      />
      {swaps.length > 0 ? (
        <Picker
          label="Or another food, today only"
          value=""
          search={swaps.length > 8}
          placeholder="Choose what went in instead"
          picks={swaps.map(({ food, units: own }) => ({
            value: food.id,
            title: food.name,
            detail: `${formatUnits(own, unitOf(food, hand))}, the same energy`,
            lead: <FoodSign family={food.family} />,
          }))}
          onChange={(foodId) => {
            const swap = swaps.find(({ food }) => food.id === foodId);
            if (swap) onSwap(swap);
          }}
        />
      ) : null}
    </Sheet>
  );
}
