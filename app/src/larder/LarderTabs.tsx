import { useRouter } from 'expo-router';
import { Tabs } from '../ui';

/** The two shelves of the larder. */
export function LarderTabs({ on }: { on: 'shelf' | 'live' }) {
  const router = useRouter();
  return (
    <Tabs
      label="Shelves"
      value={on}
      tabs={[
        { value: 'shelf', label: 'Shelf' },
        { value: 'live', label: 'Live' },
      ]}
      onChange={(to) => router.replace(to === 'live' ? '/larder/live' : '/larder')}
    />
  );
}
