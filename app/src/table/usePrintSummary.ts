import { call } from '../store/call';
import { useSavePrinted } from './useSavePrinted';

/** The whole summary of a group or a tank on one page, to keep or print. */
export function usePrintSummary() {
  const save = useSavePrinted();
  return async (of: 'group' | 'tank', id: string) => {
    const name = of === 'group' ? 'printGroupSummary' : 'printTankSummary';
    save(await call(name, { params: { id } }));
  };
}
