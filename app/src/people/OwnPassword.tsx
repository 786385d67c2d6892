import { Field } from '../ui';

/** The password once more, before what lets someone in is changed. */
export function OwnPassword({
  value,
  onChange,
  fieldError,
  onSubmit,
}: {
  value: string;
  onChange: (value: string) => void;
  fieldError: string | undefined;
  onSubmit?: () => void;
}) {
  return (
    <Field
      label="Password"
      value={value}
      onChange={onChange}
      fieldError={fieldError}
      fill="password"
      onSubmit={onSubmit}
    />
  );
}
