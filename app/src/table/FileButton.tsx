import { createElement, useRef } from 'react';
import { Platform } from 'react-native';
import { Button } from '../ui';

interface Props {
  label: string;
  /** Endings and types that are offered: «.csv,text/csv». */
  accept: string;
  onFile: (bytes: Uint8Array) => unknown;
}

/** Opens the browser's own file chooser, and reads the file. Elsewhere there is none. */
export function FileButton({ label, accept, onFile }: Props) {
  const input = useRef<HTMLInputElement>(null);
  if (Platform.OS !== 'web') return null;
  const read = async () => {
    const file = input.current?.files?.[0];
    if (file) await onFile(new Uint8Array(await file.arrayBuffer()));
    if (input.current) input.current.value = '';
  };
  return (
    <>
      {createElement('input', {
        ref: input,
        type: 'file',
        accept,
        'aria-label': label,
        style: { display: 'none' },
        onChange: () => void read(),
      })}
      <Button label={label} onPress={() => input.current?.click()} />
    </>
  );
}
