import type { Problem } from '@open-larder/contract';
import { api } from '../store';
import { saveFile } from '../table/saveFile';
import { useSay } from '../ui';

/** Labels for a lot as a PDF, handed to the browser to keep or print. */
export function usePrintLabels() {
  const say = useSay();
  const [ask] = api.useLazyLabelsQuery();
  return async (lotId: string) => {
    const { data, error } = await ask(lotId);
    if (error || !data) {
      say((error as Problem | undefined)?.detail ?? 'The labels could not be made.', {
        tone: 'fault',
      });
      return;
    }
    const bytes = Uint8Array.from(atob(data.base64), (letter) => letter.charCodeAt(0));
    saveFile(data.fileName, bytes, 'application/pdf');
  };
}
