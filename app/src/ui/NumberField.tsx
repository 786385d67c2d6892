import { sayNumber } from '@open-larder/core';
import { useState } from 'react';
import { Field } from './Field';

interface Props {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  hint?: string;
  fault?: string;
  unit?: string;
  /** How the stored number is shown and read, where the keeper's units differ from the stored. */
  scale?: { fromBase: (base: number) => number; toBase: (shown: number) => number };
  decimals?: number;
  placeholder?: string;
}

/**
 * A number as the keeper types it, with a decimal comma or point. What cannot be read stays
 * as typed and is passed on as NaN, so that the schema answers in words.
 */
export function NumberField({ value, onChange, scale, decimals = 4, ...field }: Props) {
  const [typed, setTyped] = useState<{ text: string; value: number | null } | null>(null);
  const shown =
    value === null || Number.isNaN(value)
      ? ''
      : sayNumber(scale ? scale.fromBase(value) : value, decimals);
  // What was typed stays while it still means the value; a value set from elsewhere replaces it.
  const text = typed && Object.is(typed.value, value) ? typed.text : shown;
  const read = (entered: string) => {
    const plain = entered.trim().replace(',', '.');
    const number = plain === '' ? null : Number(plain);
    const base = number === null || Number.isNaN(number) || !scale ? number : scale.toBase(number);
    setTyped({ text: entered, value: base });
    onChange(base);
  };
  return <Field {...field} keyboard="decimal" value={text} onChange={read} />;
}
