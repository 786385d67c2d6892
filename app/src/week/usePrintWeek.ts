import { api } from '../store';
import { useSavePrinted } from '../table/useSavePrinted';

/** A tank's saved week on one page. */
export function usePrintWeek() {
  const [ask] = api.useLazyPrintedWeekQuery();
  const save = useSavePrinted();
  return async (tankId: string) => save(await ask(tankId));
}
