import { createElement, useRef } from 'react';
import { Platform } from 'react-native';
import { Button } from '../ui';
import { decode } from './decode';

interface Props {
  label: string;
  onText: (text: string) => void;
}

/** Opens the browser's own file chooser, and reads the file as text. Elsewhere there is none. */
export function FileButton({ label, onText }: Props) {
  const input = useRef<HTMLInputElement>(null);
  if (Platform.OS !== 'web') return null;
  const read = async () => {
    const file = input.current?.files?.[0];
    if (file) onText(decode(new Uint8Array(await file.arrayBuffer())));
    if (input.current) input.current.value = '';
  };
  return (
    <>
      {createElement('input', {
        ref: input,
        type: 'file',
        accept: '.csv,.tsv,.txt,text/csv',
        'aria-label': label,
        style: { display: 'none' },
        onChange: () => void read(),
      })}
      <Button label={label} onPress={() => input.current?.click()} />
    </>
  );
}
