import { Button, Text } from '../ui';

/** What is still there of who or what was erased. */
export function Remains({
  what,
  remains,
  onDone,
}: {
  what: string;
  remains: readonly string[];
  onDone: () => void;
}) {
  return (
    <>
      <Text variant="strong">{what}</Text>
      {remains.map((one) => (
        <Text key={one}>{one}</Text>
      ))}
      <Button variant="primary" label="Done" onPress={onDone} />
    </>
  );
}
