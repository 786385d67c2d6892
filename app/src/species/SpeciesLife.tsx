import { basisOf, basisOfSource, type Basis, type Species } from '@open-larder/catalogue';
import { sayNumber } from '@open-larder/core/units';
import { View } from 'react-native';
import { themed } from '../theme';
import { Card, ListRow, Text } from '../ui';
import { isDefault } from './words';

const strong = (text: string) => <Text look="strong">{text}</Text>;
const orDefault = (species: Species, field: Parameters<typeof isDefault>[1], text: string) =>
  isDefault(species, field) ? `${text} (default)` : text;

/** Company, breeding, life, and where the figures come from. */
export function SpeciesLife({ species }: { species: Species }) {
  const { hatchDegreeDays: hatch, swimDegreeDays: swim } = species;
  const days = (degreeDays: number) =>
    `${sayNumber(degreeDays, 0)} degree-days, ${sayNumber(degreeDays / species.tempOptC, 1)} days at its best temperature`;
  const sources = [
    ['Size and shape', species.sourceSize],
    ['Water', species.sourceWater],
    ['Diet, gut and mouth', species.sourceDiet],
    ['Zones, hours and company', species.sourceBehaviour],
    ['Breeding and life', species.sourceBreeding],
  ] as const;
  return (
    <View style={{ gap: 16 }}>
      <Text look="subtitle">Company</Text>
      <Card label="Company">
        <ListRow
          first
          title="Usual group"
          trail={strong(species.usualGroup === 1 ? 'alone' : `${species.usualGroup} or more`)}
        />
        <ListRow
          title="Females to a male"
          trail={strong(orDefault(species, 'femalesPerMale', sayNumber(species.femalesPerMale, 1)))}
        />
        <ListRow
          title="Nips fins"
          trail={strong(orDefault(species, 'nipsFins', species.nipsFins ? 'yes' : 'no'))}
        />
      </Card>
      <Text look="subtitle">Breeding and life</Text>
      <Card label="Breeding and life">
        <ListRow first title="Way of breeding" trail={strong(species.breeding)} />
        <ListRow
          title="Hatches after"
          detail={hatch === null ? undefined : days(hatch)}
          trail={<BasisMark basis={basisOf(species, 'hatchDegreeDays')} />}
        />
        <ListRow
          title="Swims free after"
          detail={swim === null ? undefined : days(swim)}
          trail={<BasisMark basis={basisOf(species, 'swimDegreeDays')} />}
        />
        <ListRow
          title="Length of a young one"
          trail={strong(orDefault(species, 'larvalLengthMm', `${species.larvalLengthMm} mm`))}
        />
        <ListRow
          title="Life span"
          trail={strong(orDefault(species, 'lifeYears', `${species.lifeYears} years`))}
        />
        {species.growthLinfCm === null || species.growthK === null ? null : (
          <ListRow
            title="Growth"
            trail={strong(`L∞ ${species.growthLinfCm} cm, K ${species.growthK} a year`)}
          />
        )}
      </Card>
      <Text look="subtitle">Where the figures come from</Text>
      <Card label="Sources">
        {sources.map(([title, source], index) => (
          <ListRow
            key={title}
            first={index === 0}
            title={title}
            detail={source}
            trail={<BasisMark basis={basisOfSource(source)} />}
          />
        ))}
      </Card>
      <Text look="small" tone="quiet">
        Starting values of the craft, never rules. Copy the species to write your own figures.
      </Text>
    </View>
  );
}

const BASIS_WORDS: Record<Basis, string> = {
  publication: 'published',
  practice: 'common practice',
  default: 'a default',
  unknown: 'not known',
};

/** What a figure rests on, as a word and a colour. */
function BasisMark({ basis }: { basis: Basis }) {
  const styles = useStyles();
  return (
    <View style={styles.mark}>
      <View style={[styles.dot, styles[basis]]} />
      <Text look="small">{BASIS_WORDS[basis]}</Text>
    </View>
  );
}

const useStyles = themed((c) => ({
  mark: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  dot: { width: 10, height: 10, borderRadius: 5, borderWidth: 1, borderColor: c.ink2 },
  publication: { backgroundColor: c.duckweed },
  practice: { backgroundColor: c.sand },
  default: { backgroundColor: c.paper },
  unknown: { backgroundColor: c.paper, borderStyle: 'dashed' },
}));
