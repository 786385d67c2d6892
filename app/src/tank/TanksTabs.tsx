import { useRouter } from 'expo-router';
import { Tabs } from '../ui';

const VIEWS = [
  { value: 'tanks', label: 'Tanks', href: '/tanks' },
  { value: 'fish', label: 'All fish', href: '/fish' },
  { value: 'species', label: 'Species', href: '/species' },
  { value: 'tables', label: 'Tables', href: '/tables' },
] as const;
type View = (typeof VIEWS)[number]['value'];

/** The four ways to look at what lives in the house. */
export function TanksTabs({ here }: { here: View }) {
  const router = useRouter();
  return (
    <Tabs
      label="What lives here"
      value={here}
      tabs={VIEWS}
      onChange={(view) => {
        const to = VIEWS.find((one) => one.value === view);
        if (to && view !== here) router.push(to.href);
      }}
    />
  );
}
