import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { Card, Text } from '../ui';

interface Props {
  title: string;
  detail: string;
  children: (width: number) => ReactNode;
}

/** A chart on a card, drawn at the width that it is given. */
export function ChartFrame({ title, detail, children }: Props) {
  const [width, setWidth] = useState(0);
  return (
    <Card label={title}>
      <View style={{ padding: 12, gap: 4 }}>
        <Text variant="subtitle">{title}</Text>
        <Text variant="small" tone="quiet">
          {detail}
        </Text>
      </View>
      <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
        {width > 0 ? children(width) : null}
      </View>
    </Card>
  );
}
