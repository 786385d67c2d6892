import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Text } from './Text';

interface Props {
  label: string;
  hint?: string;
  fault?: string;
  children: ReactNode;
}

/** A field with its name above and what is wrong, or a hint, beneath. */
export function Labelled({ label, hint, fault, children }: Props) {
  return (
    <View style={{ gap: 4 }}>
      <Text look="small" tone="quiet">
        {label}
      </Text>
      {children}
      {fault ? (
        <Text look="small" tone="due" role="alert">
          {sentence(fault)}
        </Text>
      ) : hint ? (
        <Text look="small" tone="quiet">
          {hint}
        </Text>
      ) : null}
    </View>
  );
}

const sentence = (fault: string) => fault.charAt(0).toUpperCase() + fault.slice(1);
