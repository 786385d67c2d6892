import type { Problem } from '@open-larder/contract';
import { useToast } from '../ui';
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
    const bytes = Uint8Array.from(atob(data.base64), (letter) => letter.charCodeAt(0));
    saveFile(data.fileName, bytes, 'application/pdf');
  };
}
