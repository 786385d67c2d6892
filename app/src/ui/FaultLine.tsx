import { upperFirst } from './firstLetter';
import { Text } from './Text';

/** What is wrong with what was entered, as a sentence beside it. */
export function FaultLine({ fault }: { fault: string }) {
  return (
    <Text look="small" tone="due" role="alert">
      {upperFirst(fault)}
    </Text>
  );
}
