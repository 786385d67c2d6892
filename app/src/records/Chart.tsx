import type { Consumption } from '@open-larder/contract';
import { FoodChart } from './FoodChart';
import { GroupChart } from './GroupChart';

export type RecordsView = 'groups' | 'foods';

/** The one door to the charts, so that their package is loaded once and late. */
export default function Chart({ view, data }: { view: RecordsView; data: Consumption }) {
  return view === 'groups' ? <GroupChart data={data} /> : <FoodChart data={data} />;
}
