import X from 'lucide-react-native/icons/x';
import type { ReactNode } from 'react';
import { Modal, Pressable, ScrollView, View } from 'react-native';
import { SIZES, themed, useColours, useWide } from '../theme';
import { Boundary } from './Boundary';
import { IconButton } from './IconButton';
import { Text } from './Text';

interface Props {
  title: string;
  open: boolean;
  onClose: () => void;
  children: ReactNode;
}

/** A sheet over the screen: from the bottom on a phone, at the side when wide. Escape closes it. */
export function Sheet({ title, open, onClose, children }: Props) {
  const styles = useStyles();
  const colours = useColours();
  const wide = useWide();
  if (!open) return null;
  return (
    <Modal visible transparent onRequestClose={onClose} aria-label={title} animationType="none">
      <View style={[styles.backdrop, wide && styles.backdropWide]}>
        <Pressable
          style={styles.shade}
          onPress={onClose}
          aria-label="Close"
          role="button"
          tabIndex={-1}
        />
        <View style={[styles.sheet, wide && styles.sheetWide]}>
          <View style={styles.head}>
            <Text variant="subtitle">{title}</Text>
            <IconButton label="Close" onPress={onClose}>
              <X size={24} color={colours.ink} />
            </IconButton>
          </View>
          <ScrollView contentContainerStyle={styles.body}>
            <Boundary about={title}>{children}</Boundary>
          </ScrollView>
        </View>
      </View>
    </Modal>
  );
}

const useStyles = themed((c) => ({
  backdrop: { flex: 1, justifyContent: 'flex-end' },
  backdropWide: { alignItems: 'flex-end' },
  shade: {
    position: 'absolute',
    top: 0,
    right: 0,
    bottom: 0,
    left: 0,
    backgroundColor: '#000000',
    opacity: 0.45,
  },
  sheet: {
    maxHeight: '88%',
    backgroundColor: c.ground,
    borderTopWidth: 1,
    borderColor: c.ink,
    borderTopLeftRadius: SIZES.radius,
    borderTopRightRadius: SIZES.radius,
  },
  sheetWide: {
    width: 460,
    height: '100%',
    maxHeight: '100%',
    borderTopWidth: 0,
    borderLeftWidth: 1,
    borderTopLeftRadius: 0,
    borderTopRightRadius: 0,
  },
  head: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'center',
    paddingLeft: SIZES.gutter,
    paddingRight: 4,
    paddingVertical: 4,
    borderBottomWidth: 1,
    borderColor: c.rule,
  },
  body: { padding: SIZES.gutter, gap: 16 },
}));
