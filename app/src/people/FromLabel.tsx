import { Redirect, type Href } from 'expo-router';
import { api } from '../store';
import { Screen, Waiting } from '../ui';

/** The page of what a label is stuck to; for a feeder, its place in the Round. */
export function FromLabel({ kind, id }: { kind: string; id: string }) {
  const { data: me, error, refetch } = api.useMeQuery();
  if (me?.household) return <Redirect href={pageOf(kind, id, me.household.role === 'feeder')} />;
  return (
    <Screen title="One moment" back="/round">
      <Waiting of={{ error, refetch }} rows={2} height={56} />
    </Screen>
  );
}

function pageOf(kind: string, id: string, feeds: boolean): Href {
  if (kind === 'cultures') return `/larder/live/${id}`;
  if (kind !== 'tanks' && kind !== 'broods') return '/round';
  return feeds ? `/round?at=${id}` : `/${kind}/${id}`;
}
