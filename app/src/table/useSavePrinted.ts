import type { Problem } from '@open-larder/contract';
import { useToast } from '../ui';
import { fromBase64 } from './base64';
import { saveFile } from './saveFile';

interface Answer {
  data?: { fileName: string; base64: string };
  error?: unknown;
}

/** Hand what the server printed to the browser, to keep or print; or say why there is nothing. */
export function useSavePrinted() {
  const toast = useToast();
  return ({ data, error }: Answer) => {
    if (!data) {
      const said = (error as Problem | undefined)?.detail;
      toast(said ?? 'The page could not be made.', { tone: 'error' });
      return;
    }
    saveFile(data.fileName, fromBase64(data.base64), 'application/pdf');
  };
}
