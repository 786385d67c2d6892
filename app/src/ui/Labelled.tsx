import type { ReactNode } from 'react';
import { View } from 'react-native';
import { ErrorLine } from './ErrorLine';
import { Text } from './Text';

interface Props {
  label: string;
  hint?: string;
  fieldError?: string;
  children: ReactNode;
}

/** A field with its name above and what is wrong, or a hint, beneath. */
export function Labelled({ label, hint, fieldError, children }: Props) {
  return (
    <View style={{ gap: 4 }}>
      <Text variant="small" tone="quiet">
        {label}
      </Text>
      {children}
      {fieldError ? (
        <ErrorLine fieldError={fieldError} />
      ) : hint ? (
        <Text variant="small" tone="quiet">
          {hint}
        </Text>
      ) : null}
    </View>
  );
}
