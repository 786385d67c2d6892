import { Choice } from '../ui';

/** How far back is looked, in days. */
export function SpanChoice({
  value,
  onChange,
}: {
  value: number;
  onChange: (days: number) => void;
}) {
  return (
    <Choice
      label="Days back"
      value={value}
      onChange={onChange}
      options={[
        { value: 28, label: 'four weeks' },
        { value: 91, label: 'three months' },
        { value: 365, label: 'a year' },
      ]}
    />
  );
}
