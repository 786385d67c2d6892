import { upperFirst } from './firstLetter';
import { Text } from './Text';

/** What is wrong with what was entered, as a sentence beside it. */
export function ErrorLine({ fieldError }: { fieldError: string }) {
  return (
    <Text variant="small" tone="due" role="alert">
      {upperFirst(fieldError)}
    </Text>
  );
}
