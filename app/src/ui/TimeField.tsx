import { useState } from 'react';
import { readTime, formatTime } from '../store/time';
import { Field } from './Field';

interface Props {
  label: string;
  /** Minutes after midnight. */
  value: number;
  onChange: (minutes: number) => void;
  fieldError?: string;
  hint?: string;
}

/** A time of day, typed. */
export function TimeField({ value, onChange, ...field }: Props) {
  const [typed, setTyped] = useState<{ text: string; value: number } | null>(null);
  const text =
    typed && Object.is(typed.value, value)
      ? typed.text
      : Number.isNaN(value)
        ? ''
        : formatTime(value);
  return (
    <Field
      {...field}
      value={text}
      placeholder="07:30"
      onChange={(entered) => {
        const minutes = readTime(entered);
        setTyped({ text: entered, value: minutes });
        onChange(minutes);
      }}
    />
  );
}
