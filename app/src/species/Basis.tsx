import {
  basisOf,
  BASES,
  FIGURES,
  type Basis,
  type Species,
  type SpeciesField,
} from '@open-larder/catalogue';
import { View } from 'react-native';
import { themed } from '../theme';
import { Text } from '../ui';

const WORDS: Record<Basis, string> = {
  publication: 'published',
  practice: 'common practice',
  default: 'by default',
  unknown: 'not known',
};

/** What figures rest on: the weakest of them speaks for all. */
const weakest = (species: Species, fields: readonly SpeciesField[]): Basis =>
  BASES[Math.max(...fields.map((field) => BASES.indexOf(basisOf(species, field))))]!;

/** What a figure rests on, as a colour; its word is for those who cannot see it. */
function Dot({ basis }: { basis: Basis }) {
  const styles = useStyles();
  return <View role="img" aria-label={WORDS[basis]} style={[styles.dot, styles[basis]]} />;
}

/** What a figure rests on, as a word and a colour. */
export function BasisMark({ basis }: { basis: Basis }) {
  const styles = useStyles();
  return (
    <View style={styles.mark}>
      <Dot basis={basis} />
      <Text look="small">{WORDS[basis]}</Text>
    </View>
  );
}

/** A figure of a species, with what it rests on. */
export function Figure({
  species,
  of,
  children,
}: {
  species: Species;
  /** The fields that it says. */
  of: readonly SpeciesField[];
  children: string;
}) {
  const styles = useStyles();
  return (
    <View style={styles.mark}>
      <Text look="strong">{children}</Text>
      <Dot basis={weakest(species, of)} />
    </View>
  );
}

/** How many figures of a species rest on what, the firmest first: what the colours mean. */
export function BasisCounts({ species }: { species: Species }) {
  const styles = useStyles();
  const bases = FIGURES.map((field) => basisOf(species, field));
  return (
    <View style={styles.counts}>
      {BASES.map((basis) => (
        <View key={basis} style={styles.mark}>
          <Dot basis={basis} />
          <Text look="small">
            {bases.filter((one) => one === basis).length} {WORDS[basis]}
          </Text>
        </View>
      ))}
    </View>
  );
}

const useStyles = themed((c) => ({
  mark: { flexDirection: 'row', alignItems: 'center', gap: 8, flexShrink: 1 },
  counts: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 8, padding: 12 },
  dot: { width: 10, height: 10, borderRadius: 5, borderWidth: 1, borderColor: c.ink2 },
  publication: { backgroundColor: c.duckweed },
  practice: { backgroundColor: c.sand },
  default: { backgroundColor: c.paper },
  unknown: { backgroundColor: c.paper, borderStyle: 'dashed' },
}));
