import { Text } from '../ui';
import { useActWords } from './useActWords';
import { useOutbox } from './useOutbox';

/**
 * What was done to something and waits on this device: what is worked out from it on the server does not
 * know of it yet.
 * @param about id of the culture, brood or tank
 */
export function KeptHere({ about }: { about: string }) {
  const words = useActWords();
  const { waiting } = useOutbox();
  return waiting
    .filter(({ params, released }) => released && params?.id === about)
    .map((act) => {
      const { title, at } = words(act);
      return (
        <Text key={act.seq} variant="small" tone="due">
          {`${title}, ${at}: kept here, not sent yet`}
        </Text>
      );
    });
}
