import type { Access } from '@open-larder/contract/paths';
import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { Button, Empty, Screen, useMay } from '../ui';

/** Pages that are forms and nothing else, and who may send them, the least of them. */
const FORMS: readonly [RegExp, Access][] = [
  [/^\/tables$/, 'owner'],
  [/^\/begin$/, 'keeper'],
  [/\/(new|edit|copy|add-group|diet|condition)$/, 'keeper'],
];

/** A page, or in its place who may use it: a form is not offered to who may not send it. */
export function MayOpen({ path, children }: { path: string; children: ReactNode }) {
  const router = useRouter();
  const least = FORMS.find(([form]) => form.test(path))?.[1] ?? 'anyone';
  const may = useMay(least);
  if (may) return children;
  return (
    <Screen title="Not for you to change" back="/round">
      <Empty
        title={
          least === 'owner' ? 'Only owners can do this' : 'Only keepers and owners can do this'
        }
        text="Ask an owner of the household if you need to: they set what each person may do under People and phones."
        action={
          <Button variant="primary" label="To the Round" onPress={() => router.replace('/round')} />
        }
      />
    </Screen>
  );
}
