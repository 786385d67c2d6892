import type { Why } from '@open-larder/core/why';
import { useState, type ReactNode } from 'react';
import { Pressable } from 'react-native';
import { FONTS, SIZES, themed } from '../theme';
import { Sheet } from './Sheet';
import { Text } from './Text';
import { Text as NativeText } from 'react-native';
import { Derivation } from './Derivation';

interface LinkProps {
  /** What is explained, for those who listen: «3 pinches of fine flake». */
  about: string;
  why: Why | null | undefined;
  /** Called when the sheet opens, for derivations that are fetched when they are asked for. */
  onOpen?: () => void;
  /** Said below the derivation: of a forecast, how right those of its kind were. */
  children?: ReactNode;
}

/** «why?»: opens the derivation of a number. */
export function WhyLink({ about, why, onOpen, children }: LinkProps) {
  const styles = useStyles();
  const [open, setOpen] = useState(false);
  return (
    <>
      <Pressable
        role="button"
        aria-label={`Why ${about}?`}
        onPress={() => {
          onOpen?.();
          setOpen(true);
        }}
        style={styles.link}
      >
        <NativeText style={styles.linkText}>why?</NativeText>
      </Pressable>
      <Sheet title={`Why ${about}?`} open={open} onClose={() => setOpen(false)}>
        {why ? <Derivation why={why} /> : <Text tone="quiet">Working it out …</Text>}
        {why ? children : null}
      </Sheet>
    </>
  );
}

const useStyles = themed((c) => ({
  link: {
    minHeight: SIZES.touch,
    minWidth: SIZES.touch,
    justifyContent: 'center',
    alignItems: 'center',
  },
  linkText: {
    fontFamily: FONTS.text,
    fontSize: 14,
    color: c.ink2,
    textDecorationLine: 'underline',
  },
}));
