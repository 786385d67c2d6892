import type { Consumption } from '@open-larder/contract';
import { FoodChart } from './FoodChart';
import { GroupChart } from './GroupChart';
import { LinesChart, type Lines } from './LinesChart';

export type RecordsView = 'groups' | 'foods';

type Props = { view: RecordsView; data: Consumption } | ({ view: 'lines' } & Lines);

/** The charts of the Records, one of three. */
export function Chart(props: Props) {
  if (props.view === 'lines') return <LinesChart {...props} />;
  return props.view === 'groups' ? (
    <GroupChart data={props.data} />
  ) : (
    <FoodChart data={props.data} />
  );
}
