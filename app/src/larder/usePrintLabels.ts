import { api } from '../store';
import { useSavePrinted } from '../table/useSavePrinted';

/** Labels for a lot as a PDF. */
export function usePrintLabels() {
  const [ask] = api.useLazyLabelsQuery();
  const save = useSavePrinted();
  return async (lotId: string) => save(await ask(lotId));
}
