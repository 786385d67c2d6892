import type { Species } from '@open-larder/catalogue';
import { sayNumber } from '@open-larder/core/units';
import { View } from 'react-native';
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
        <ListRow title="Hatches after" detail={hatch === null ? 'not known here' : days(hatch)} />
        <ListRow title="Swims free after" detail={swim === null ? 'not known here' : days(swim)} />
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
          <ListRow key={title} first={index === 0} title={title} detail={source} />
        ))}
      </Card>
      <Text look="small" tone="quiet">
        Starting values of the craft, never rules. Copy the species to write your own figures.
      </Text>
    </View>
  );
}
