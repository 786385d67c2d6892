import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { speckOf } from '../draw/specks';
import { VesselPicture } from '../draw/VesselPicture';
import { KeptHere } from '../offline/KeptHere';
import { useFormat } from '../store';
import { SIZES, themed } from '../theme';
import { Card, Text } from '../ui';
import { drawnOf } from './ahead';
import { formatSize, formatStatus } from './labels';
import { WorkList } from './WorkList';
import type { Culture } from './useCultures';

/** One vessel on the live shelf: its picture three weeks ahead, and what it asks for today. */
export function VesselCard({ culture, selected }: { culture: Culture; selected: boolean }) {
  const styles = useStyles();
  const router = useRouter();
  const format = useFormat();
  const { kind, status } = culture;
  const says = formatStatus(culture);
  return (
    <Card label={culture.name} marked={selected}>
      <Pressable
        role="link"
        aria-label={`${culture.name}, ${says}`}
        aria-current={selected ? 'page' : undefined}
        onPress={() => router.push(`/larder/live/${culture.id}`)}
        style={styles.press}
      >
        <Text variant="strong">{culture.name}</Text>
        <Text variant="small" tone="quiet">
          {[kind.name, formatSize(kind, culture.measure, format), culture.place]
            .filter(Boolean)
            .join(' · ')}
        </Text>
        <VesselStrip culture={culture} label={`${culture.name}: ${says}`} />
        <Text variant="small" tone={status.state === 'crashed' ? 'due' : 'ink'}>
          {says}
        </Text>
        <KeptHere about={culture.id} />
      </Pressable>
      <WorkList culture={culture} />
    </Card>
  );
}

/** The picture at the width that it is given. */
export function VesselStrip({
  culture,
  label,
  height,
}: {
  culture: Culture;
  label: string;
  height?: number;
}) {
  const [width, setWidth] = useState(0);
  const gone = culture.status.state === 'crashed' || culture.status.state === 'over';
  return (
    <View
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={{ minHeight: height ?? 92 }}
    >
      {width > 0 ? (
        <VesselPicture
          label={label}
          speck={speckOf(culture.kind)}
          {...drawnOf(culture)}
          gone={gone}
          width={width}
          height={height}
        />
      ) : null}
    </View>
  );
}

const useStyles = themed(() => ({
  press: { padding: 12, gap: 4, minHeight: SIZES.touch },
}));
