import type { ReactNode } from 'react';
import { Text as NativeText, type TextProps, type TextStyle } from 'react-native';
import { FONTS, themed } from '../theme';

type Look = 'title' | 'subtitle' | 'strong' | 'body' | 'small' | 'figure';
type Tone = 'ink' | 'quiet' | 'due' | 'done';

interface Props extends Omit<TextProps, 'style'> {
  variant?: Look;
  tone?: Tone;
  align?: TextStyle['textAlign'];
  /** Heading level for those who listen; titles are 1 and subtitles 2 unless said. */
  level?: 1 | 2 | 3;
  children: ReactNode;
}

/** All words of the product pass here: five looks, four tones. Figures line up in columns. */
export function Text({ variant = 'body', tone = 'ink', align, level, children, ...rest }: Props) {
  const styles = useStyles();
  const heading = level ?? (variant === 'title' ? 1 : variant === 'subtitle' ? 2 : undefined);
  return (
    <NativeText
      {...(heading ? { role: 'heading', 'aria-level': heading } : null)}
      {...rest}
      style={[styles.base, styles[variant], styles[tone], align ? { textAlign: align } : null]}
    >
      {children}
    </NativeText>
  );
}

const useStyles = themed((c) => ({
  base: { fontVariant: ['tabular-nums'], flexShrink: 1 },
  title: { fontFamily: FONTS.title, fontSize: 30, lineHeight: 36 },
  subtitle: { fontFamily: FONTS.subtitle, fontSize: 20, lineHeight: 26 },
  strong: { fontFamily: FONTS.strong, fontSize: 17, lineHeight: 24 },
  body: { fontFamily: FONTS.text, fontSize: 16, lineHeight: 23 },
  small: { fontFamily: FONTS.text, fontSize: 14, lineHeight: 20 },
  figure: { fontFamily: FONTS.strong, fontSize: 20, lineHeight: 26 },
  ink: { color: c.ink },
  quiet: { color: c.ink2 },
  due: { color: c.roe },
  done: { color: c.duckweed },
}));
