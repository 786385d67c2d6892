import type { ReactNode } from 'react';
import { View } from 'react-native';
import { FaultLine } from './FaultLine';
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
        <FaultLine fault={fault} />
      ) : hint ? (
        <Text look="small" tone="quiet">
          {hint}
        </Text>
      ) : null}
    </View>
  );
}
