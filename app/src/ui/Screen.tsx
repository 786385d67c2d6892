import { useRouter, type Href } from 'expo-router';
import ArrowLeft from 'lucide-react-native/icons/arrow-left';
import { useRef, useState, type ReactElement, type ReactNode } from 'react';
import { FlatList, ScrollView, View } from 'react-native';
import { SIZES, themed, useColours, useWide } from '../theme';
import { Contents, TALL } from './Contents';
import { IconButton } from './IconButton';
import { Text } from './Text';

/** A long list below what else a screen shows: only the rows in sight are drawn. */
interface Rows<T> {
  items: readonly T[];
  keyOf: (item: T) => string;
  render: (item: T, index: number) => ReactElement;
  /** Rows that fill a screen, where they are tall; twelve unless said. */
  first?: number;
  /** What stands below the last row. */
  foot?: ReactNode;
  /** What each row depends on beside its item, so that it is drawn anew. */
  extra?: unknown;
}

interface Props<T> {
  title: string;
  detail?: string;
  /** Where the arrow leads when there is no way back in this window. */
  back?: Href;
  /** Small signs at the end of the title line, on a phone. */
  tools?: ReactNode;
  /** At the end of the line below the title. */
  actions?: ReactNode;
  /** A second pane, shown beside the first when wide. */
  aside?: ReactNode;
  children?: ReactNode;
  rows?: Rows<T>;
  /** Of the second pane in px, where it holds figures rather than a page. */
  asideWidth?: number;
  /** What stands above the rows stands close, so that more of them are in sight. */
  dense?: boolean;
}

/** Rows drawn at once: a screenful. */
const FIRST_ROWS = 12;

/** A screen: a title that stays in sight of the thumb's work below it, one pane or two. */
export function Screen<T>({
  title,
  detail,
  back,
  tools,
  actions,
  aside,
  children,
  rows,
  asideWidth,
  dense = false,
}: Props<T>) {
  const styles = useStyles();
  const colours = useColours();
  const router = useRouter();
  const wide = useWide();
  const pane = useRef<ScrollView>(null);
  const [tall, setTall] = useState(false);
  const content = [
    styles.content,
    wide && styles.contentWide,
    wide && asideWidth ? styles.narrow : null,
    wide && !aside && styles.contentAlone,
  ];
  const head = (
    <>
      <View style={styles.head}>
        {back ? (
          <IconButton
            label="Back"
            onPress={() => (router.canGoBack() ? router.back() : router.replace(back))}
          >
            <ArrowLeft size={24} color={colours.ink} />
          </IconButton>
        ) : null}
        <View style={styles.titles}>
          <Text variant="title">{title}</Text>
        </View>
        {wide ? null : tools}
      </View>
      {detail || actions ? (
        <View style={styles.under}>
          <View style={styles.said}>{detail ? <Text tone="quiet">{detail}</Text> : null}</View>
          {actions}
        </View>
      ) : null}
      {children}
    </>
  );
  return (
    <View style={styles.screen} role="main">
      <View style={[styles.panes, wide && styles.panesWide]}>
        {rows ? (
          <FlatList
            style={styles.pane}
            contentContainerStyle={[content, styles.rows]}
            data={rows.items}
            keyExtractor={rows.keyOf}
            renderItem={({ item, index }) => rows.render(item, index)}
            extraData={rows.extra}
            initialNumToRender={rows.first ?? FIRST_ROWS}
            maxToRenderPerBatch={rows.first ?? FIRST_ROWS}
            windowSize={7}
            ListHeaderComponent={
              <View style={[styles.listHead, dense && styles.dense]}>{head}</View>
            }
            ListFooterComponent={
              rows.foot ? <View style={styles.listFoot}>{rows.foot}</View> : null
            }
          />
        ) : (
          <ScrollView
            ref={pane}
            style={styles.pane}
            contentContainerStyle={content}
            onContentSizeChange={(_width, height) => setTall(height > TALL)}
          >
            {head}
          </ScrollView>
        )}
        {wide && aside ? (
          <ScrollView
            role="complementary"
            aria-label={`Beside ${title}`}
            // Without anything to tap in it, the pane itself must be reachable to be scrolled.
            tabIndex={0}
            style={[
              styles.pane,
              styles.aside,
              asideWidth ? { flexGrow: 0, flexBasis: asideWidth } : null,
            ]}
            contentContainerStyle={[
              styles.content,
              styles.contentWide,
              asideWidth ? styles.narrow : null,
            ]}
          >
            {aside}
          </ScrollView>
        ) : null}
      </View>
      {tall && !wide ? <Contents pane={pane} /> : null}
    </View>
  );
}

const useStyles = themed((c) => ({
  screen: { flex: 1, minHeight: 0, backgroundColor: c.ground },
  panes: { flex: 1, minHeight: 0 },
  panesWide: { flexDirection: 'row' },
  pane: { flex: 1, minHeight: 0 },
  aside: { borderLeftWidth: 1, borderColor: c.rule },
  content: { padding: SIZES.gutter, paddingBottom: 96, gap: 16 },
  contentWide: { padding: 28, maxWidth: 900 },
  contentAlone: { maxWidth: 1240 },
  narrow: { padding: 20 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 4, minHeight: SIZES.touch },
  under: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8, marginTop: -12 },
  titles: { flex: 1, minWidth: 0 },
  // Where too little is left of the line, what is done goes below it.
  said: { flexGrow: 1, flexShrink: 1, flexBasis: 110, minWidth: 0 },
  listHead: { gap: 16 },
  dense: { gap: 8, marginTop: -8 },
  listFoot: { gap: 16, marginTop: 16 },
  rows: { gap: 0 },
}));
