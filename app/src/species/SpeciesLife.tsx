import {
  basisOf,
  basisOfSource,
  type Hatching,
  type Species,
  type SpeciesField,
} from '@open-larder/catalogue';
import { formatNumber } from '@open-larder/say';
import { formatDays } from '@open-larder/say/daysAt';
import { View } from 'react-native';
import { useFormat } from '../store';
import { BasisMark, Card, ListRow, Text } from '../ui';
import { growthLine } from './growthLine';
import { BasisCounts, Figure } from './Basis';

/** Company, breeding, life, and where the figures come from. */
export function SpeciesLife({ species }: { species: Species }) {
  const { hatching } = species;
  const format = useFormat();
  const days = (count: number, { tempC, unsure }: Hatching) =>
    `${formatDays({ minDays: count / unsure, maxDays: count * unsure })} at ${format.quantity('temperature', tempC)}`;
  const figure = (text: string, ...of: SpeciesField[]) => (
    <Figure species={species} of={of}>
      {text}
    </Figure>
  );
  const sources = [
    ['Size and shape', species.sourceSize],
    ['Water', species.sourceWater],
    ['Diet, gut and mouth', species.sourceDiet],
    ['Zones, hours and company', species.sourceBehaviour],
    ['Breeding and life', species.sourceBreeding],
    ...(hatching && hatching.level !== 'own'
      ? [[`Hatching, by ${hatching.taxon}`, hatching.source] as const]
      : []),
    ...(species.growthK === null
      ? [[`Growth, by ${species.growth.taxon}`, species.growth.source] as const]
      : []),
  ] as const;
  return (
    <View style={{ gap: 16 }}>
      <Text variant="subtitle">Company</Text>
      <Card label="Company">
        <ListRow
          first
          title="Usual group"
          trail={figure(
            species.usualGroup === 1 ? 'alone' : `${species.usualGroup} or more`,
            'usualGroup',
          )}
        />
        <ListRow
          title="Females to a male"
          trail={figure(formatNumber(species.femalesPerMale, 1), 'femalesPerMale')}
        />
        <ListRow title="Nips fins" trail={figure(species.nipsFins ? 'yes' : 'no', 'nipsFins')} />
      </Card>
      <Text variant="subtitle">Breeding and life</Text>
      <Card label="Breeding and life">
        <ListRow first title="Way of breeding" trail={figure(species.breeding, 'breeding')} />
        <ListRow
          title="Hatches after"
          detail={hatching ? days(hatching.hatchDays, hatching) : undefined}
          trail={<BasisMark basis={basisOf(species, 'hatchDegreeDays')} />}
        />
        <ListRow
          title="Swims free after"
          detail={hatching ? days(hatching.swimDays, hatching) : undefined}
          trail={<BasisMark basis={basisOf(species, 'swimDegreeDays')} />}
        />
        <ListRow
          title="Length of a young one"
          trail={figure(`${species.larvalLengthMm} mm`, 'larvalLengthMm')}
        />
        <ListRow title="Life span" trail={figure(`${species.lifeYears} years`, 'lifeYears')} />
        <ListRow
          title="Growth"
          detail={growthLine(species, format)}
          trail={<BasisMark basis={basisOf(species, 'growthK')} />}
        />
      </Card>
      <Text variant="subtitle">Where the figures come from</Text>
      <Card label="Sources">
        <BasisCounts species={species} />
        {sources.map(([title, source]) => (
          <ListRow
            key={title}
            title={title}
            detail={source}
            trail={<BasisMark basis={basisOfSource(source)} />}
          />
        ))}
      </Card>
      <Text variant="small" tone="quiet">
        Starting values from practice, not rules. Copy the species to enter your own figures.
      </Text>
    </View>
  );
}
