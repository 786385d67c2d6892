import { call } from '../store/call';
import { useSavePrinted } from './useSavePrinted';

/** The whole story of a group or a tank on one page, to keep or print. */
export function usePrintStory() {
  const save = useSavePrinted();
  return async (of: 'group' | 'tank', id: string) => {
    const name = of === 'group' ? 'printGroupStory' : 'printTankStory';
    save(await call(name, { params: { id } }));
  };
}
