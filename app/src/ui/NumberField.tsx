import { readNumberAlone, formatNumber, type Typed } from '@open-larder/say';
import { useState } from 'react';
import { Field } from './Field';

interface Props {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  hint?: string;
  fieldError?: string;
  unit?: string;
  /** How the stored number is shown, where the keeper's units differ from the stored. */
  scale?: { fromBase: (base: number) => number; toBase: (shown: number) => number };
  /** How what was typed is read, where it may carry a unit of its own. */
  read?: (text: string) => Typed;
  decimals?: number;
  /** «text» where letters are typed too. */
  keyboard?: 'decimal' | 'text';
  placeholder?: string;
}

/**
 * A number as the keeper types it, with a decimal comma or point, or with its unit. What cannot be
 * read stays as typed, is explained beside the field once it is left, and is passed on as NaN, which
 * no request is sent with.
 */
export function NumberField({
  value,
  onChange,
  scale,
  read = (text) => plainNumber(text, scale),
  decimals = 4,
  keyboard = 'decimal',
  fieldError,
  ...field
}: Props) {
  const [left, setLeft] = useState(false);
  const [typed, setTyped] = useState<{ text: string; value: number | null } | null>(null);
  const shown =
    value === null || Number.isNaN(value)
      ? ''
      : formatNumber(scale ? scale.fromBase(value) : value, decimals);
  // What was typed stays while it still means the value; a value set from elsewhere replaces it.
  const text = typed && Object.is(typed.value, value) ? typed.text : shown;
  const unread = text.trim() === '' || !Number.isNaN(value ?? 0) ? undefined : read(text).error;
  const enter = (entered: string) => {
    const seen: Typed | null = entered.trim() === '' ? null : read(entered);
    const base = seen === null ? null : (seen.base ?? Number.NaN);
    setLeft(false);
    setTyped({ text: entered, value: base });
    onChange(base);
  };
  return (
    <Field
      {...field}
      fieldError={unread !== undefined && (left || fieldError !== undefined) ? unread : fieldError}
      onBlur={() => setLeft(true)}
      keyboard={keyboard}
      value={text}
      onChange={enter}
    />
  );
}

function plainNumber(text: string, scale: Props['scale']): Typed {
  const seen = readNumberAlone(text);
  return seen.error === undefined && scale ? { base: scale.toBase(seen.base) } : seen;
}
