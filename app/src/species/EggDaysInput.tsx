import { readDaysAt, formatDays } from '@open-larder/say/daysAt';
import { useState } from 'react';
import { useController, useWatch, type Control } from 'react-hook-form';
import { useFormat } from '../store';
import { Field } from '../ui';
import type { SpeciesValues } from './SpeciesForm';

interface Props {
  control: Control<SpeciesValues>;
  field: 'hatchDegreeDays' | 'swimDegreeDays';
  label: string;
}

/**
 * Days as breeders know them: «6 to 8 days at 28 °C». Kept as degree-days at that temperature; how far
 * the range of the hatching reaches is the window that its broods get.
 */
export function EggDaysInput({ control, field, label }: Props) {
  const format = useFormat();
  const degreeDays = useController({ control, name: `entry.${field}` });
  const temp = useController({ control, name: 'entry.hatchTempC' });
  const spread = useController({ control, name: 'entry.hatchSpread' });
  const optimumC = useWatch({ control, name: 'entry.tempOptC' });
  const [typed, setTyped] = useState<string | null>(null);
  const [left, setLeft] = useState(false);
  const hatches = field === 'hatchDegreeDays';
  const knownAtC = temp.field.value ?? optimumC;
  const shown = () => {
    const value = degreeDays.field.value;
    if (value === null || Number.isNaN(value)) return '';
    const middle = value / knownAtC;
    const off = hatches ? (spread.field.value ?? 1) : 1;
    const days = formatDays({ minDays: middle / off, maxDays: middle * off });
    return `${days} at ${format.quantity('temperature', knownAtC)}`;
  };
  const text = typed ?? shown();
  const read = text.trim() === '' ? null : readDaysAt(text, format.units, optimumC);
  const enter = (entered: string) => {
    setTyped(entered);
    setLeft(false);
    if (entered.trim() === '') {
      degreeDays.field.onChange(null);
      if (hatches) spread.field.onChange(null);
      return;
    }
    const { days } = readDaysAt(entered, format.units, optimumC);
    if (!days) {
      degreeDays.field.onChange(Number.NaN);
      return;
    }
    const { minDays, maxDays, tempC } = days;
    // One temperature serves both: what swims free is turned to that of the hatching.
    if (hatches && tempC !== null) temp.field.onChange(tempC);
    const atC = tempC ?? knownAtC;
    degreeDays.field.onChange(Math.sqrt(minDays * maxDays) * atC);
    if (hatches) {
      const off = Math.sqrt(maxDays / minDays);
      spread.field.onChange(off > 1.001 ? Math.min(3, off) : null);
    }
  };
  return (
    <Field
      label={label}
      value={text}
      onChange={enter}
      onBlur={() => setLeft(true)}
      placeholder={`6 to 8 days at ${format.quantity('temperature', 28)}`}
      hint="From laying. A range sets how wide the window is; may stay empty."
      fieldError={(left && read?.error) || degreeDays.fieldState.error?.message}
    />
  );
}
