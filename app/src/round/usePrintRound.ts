import { api, useHand } from '../store';
import { useSavePrinted } from '../table/useSavePrinted';

/** A day's round on one page. */
export function usePrintRound(day: string) {
  const hand = useHand();
  const [ask] = api.useLazyPrintedRoundQuery();
  const save = useSavePrinted();
  return async () => save(await ask({ day, hand }));
}
