import { useEffect } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';
import { forget, recall, remember } from '../store';

/**
 * Keep what is typed into a form until it is saved: a reload or a lost connection costs nothing.
 * @param place name of the form, with the id of what it edits
 */
export function useDraft<V extends FieldValues>(place: string, form: UseFormReturn<V>): () => void {
  const key = `draft.${place}`;
  const { reset, watch } = form;
  useEffect(() => {
    const kept = recall<V>(key);
    if (kept) reset(kept, { keepDefaultValues: true });
    const watching = watch((values) => remember(key, values));
    return () => watching.unsubscribe();
  }, [key, reset, watch]);
  return () => forget(key);
}
