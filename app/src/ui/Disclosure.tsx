import ChevronDown from 'lucide-react-native/icons/chevron-down';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { SIZES, useColours } from '../theme';
import { Text } from './Text';

interface Props {
  title: string;
  /** What is inside, in a few words, while it is closed. */
  detail?: string;
  /** Opened whatever was chosen: something inside needs to be seen. */
  forced?: boolean;
  /** Open at first, until it is closed. */
  opened?: boolean;
  children: ReactNode;
}

/** A part of a long form that few need, behind its title. */
export function Disclosure({ title, detail, forced = false, opened = false, children }: Props) {
  const colours = useColours();
  const [chosen, setChosen] = useState(opened);
  const open = chosen || forced;
  const Chevron = open ? ChevronDown : ChevronRight;
  return (
    <View style={{ gap: 12 }}>
      <Pressable
        role="button"
        aria-expanded={open}
        aria-label={detail && !open ? `${title}, ${detail}` : title}
        onPress={() => setChosen(!open)}
        style={{ minHeight: SIZES.touch, flexDirection: 'row', alignItems: 'center', gap: 8 }}
      >
        <Chevron size={20} color={colours.ink} />
        <View style={{ flex: 1, minWidth: 0 }}>
          <Text variant="strong">{title}</Text>
          {detail && !open ? (
            <Text variant="small" tone="quiet">
              {detail}
            </Text>
          ) : null}
        </View>
      </Pressable>
      {open ? children : null}
    </View>
  );
}
