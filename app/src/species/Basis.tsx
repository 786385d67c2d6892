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
import { BASIS_WORDS, BasisDot, Text } from '../ui';

/** What figures rest on: the weakest of them speaks for all. */
const weakest = (species: Species, fields: readonly SpeciesField[]): Basis =>
  BASES[Math.max(...fields.map((field) => BASES.indexOf(basisOf(species, field))))]!;

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
      <Text variant="strong">{children}</Text>
      <BasisDot basis={weakest(species, of)} />
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
          <BasisDot basis={basis} />
          <Text variant="small">
            {bases.filter((one) => one === basis).length} {BASIS_WORDS[basis]}
          </Text>
        </View>
      ))}
    </View>
  );
}

const useStyles = themed(() => ({
  mark: { flexDirection: 'row', alignItems: 'center', gap: 8, flexShrink: 1 },
  counts: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, rowGap: 8, padding: 12 },
}));
