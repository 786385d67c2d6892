import type { Problem } from '@open-larder/contract';
import { api } from '../store';
import { saveFile } from '../table/saveFile';
import { useSay } from '../ui';

/** A tank's saved week on one page, handed to the browser to keep or print. */
export function usePrintWeek() {
  const say = useSay();
  const [ask] = api.useLazyPrintedWeekQuery();
  return async (tankId: string) => {
    const { data, error } = await ask(tankId);
    if (error || !data) {
      say((error as Problem | undefined)?.detail ?? 'The page could not be made.', {
        tone: 'fault',
      });
      return;
    }
    const bytes = Uint8Array.from(atob(data.base64), (letter) => letter.charCodeAt(0));
    saveFile(data.fileName, bytes, 'application/pdf');
  };
}
