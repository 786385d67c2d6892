import { Text } from './Text';

/** What is wrong with what was entered, as a sentence beside it. */
export function FaultLine({ fault }: { fault: string }) {
  return (
    <Text look="small" tone="due" role="alert">
      {fault.charAt(0).toUpperCase() + fault.slice(1)}
    </Text>
  );
}
