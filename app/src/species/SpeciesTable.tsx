import { SPECIES_DEFAULTS, type Species, type SpeciesField } from '@open-larder/catalogue';
import { assumedLengthCm, massFromLength } from '@open-larder/core/fish';
import { formatBodyMass, formatGramBand, formatNumber } from '@open-larder/say';
import { measured } from '@open-larder/core/why';
import { View } from 'react-native';
import { RangeBar } from '../draw/RangeBar';
import { ReadyHours } from '../draw/ReadyHours';
import { ZoneHours } from '../draw/ZoneHours';
import { useFormat } from '../store';
import { Card, ListRow, Text, WhyLink } from '../ui';
import { Figure } from './Basis';
import {
  isDefault,
  MOUTH_WORDS,
  NITRATE_WORDS,
  PAIR_WORDS,
  formatBand,
  formatRange,
} from './labels';

interface Band {
  title: string;
  says: string;
  also?: string;
  bar: { from: number; to: number; low: number; high: number; best?: number };
  fields: SpeciesField[];
}

/** Its water, its mouth, its diet, and where and when it feeds; defaults say that they are. */
export function SpeciesTable({ species }: { species: Species }) {
  const format = useFormat();
  const { massG: mass, spreadFactor } = massFromLength(
    species,
    measured('Adult length', species.adultLengthCm, 'cm', species.sourceSize),
  );
  const bands: Band[] = [
    {
      title: 'Temperature',
      says: formatRange(format, 'temperature', species.tempMinC, species.tempMaxC),
      also: `best at ${format.quantity('temperature', species.tempOptC)}`,
      bar: {
        from: 0,
        to: 40,
        low: species.tempMinC,
        high: species.tempMaxC,
        best: species.tempOptC,
      },
      fields: ['tempMinC', 'tempMaxC', 'tempOptC'],
    },
    {
      title: 'pH',
      says: `${species.phMin} to ${species.phMax}`,
      bar: { from: 3, to: 10, low: species.phMin, high: species.phMax },
      fields: ['phMin', 'phMax'],
    },
    {
      title: 'Hardness',
      says: formatRange(format, 'hardness', species.ghMin, species.ghMax),
      bar: { from: 0, to: 30, low: species.ghMin, high: species.ghMax },
      fields: ['ghMin', 'ghMax'],
    },
    {
      title: 'Plant share of the diet',
      says: formatBand(species.plantShareMin, species.plantShareMax),
      bar: { from: 0, to: 1, low: species.plantShareMin, high: species.plantShareMax },
      fields: ['plantShareMin', 'plantShareMax'],
    },
    {
      title: 'Protein in the dry matter',
      says: formatBand(species.proteinMin, species.proteinMax),
      bar: { from: 0, to: 1, low: species.proteinMin, high: species.proteinMax },
      fields: ['proteinMin', 'proteinMax'],
    },
  ];
  const figure = (text: string, ...of: SpeciesField[]) => (
    <Figure species={species} of={of}>
      {text}
    </Figure>
  );
  const gapeMm = species.gapeShare * species.adultLengthCm * 10;
  return (
    <View style={{ gap: 16 }}>
      <Card label="Water and diet">
        {bands.map(({ title, says, also, bar, fields }, index) => (
          <View key={title}>
            <ListRow
              first={index === 0}
              title={title}
              detail={[also, defaultOf(species, fields)].filter(Boolean).join('; ')}
              trail={figure(says, ...fields)}
            />
            <View style={{ paddingHorizontal: 12, paddingBottom: 8 }}>
              <RangeBar {...bar} label={`${title}: ${says}`} />
            </View>
          </View>
        ))}
        <ListRow
          title="Nitrate"
          detail={defaultOf(species, ['nitrate'])}
          trail={figure(NITRATE_WORDS[species.nitrate], 'nitrate')}
        />
      </Card>
      <Card label="Mouth and gut">
        <ListRow
          first
          title="Mouth"
          detail={`about ${formatNumber(gapeMm, 1)} mm wide when grown${isDefault(species, 'gapeShare') ? '; a default for its shape' : ''}`}
          trail={figure(MOUTH_WORDS[species.mouth], 'mouth', 'gapeShare')}
        />
        <ListRow
          title="Stomach"
          detail={species.stomach ? 'few larger meals' : 'many small meals'}
          trail={figure(species.stomach ? 'yes' : 'none', 'stomach')}
        />
        <ListRow
          title="Mass when grown"
          detail={`${formatGramBand(mass.value, spreadFactor)}, ${PAIR_WORDS[species.lengthMass.level]}`}
          trail={
            <View style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
              <Text variant="strong">{formatBodyMass(mass.value)}</Text>
              <WhyLink about={`mass ${formatBodyMass(mass.value)}`} why={mass} />
            </View>
          }
        />
        <ListRow
          title="Young ones assumed at"
          trail={
            <Text variant="strong">
              {format.quantity('length', assumedLengthCm(species, 'juvenile'))}
            </Text>
          }
        />
        {species.capped.length > 0 ? (
          <ListRow title="Only little of" detail={species.capped.join(', ')} />
        ) : null}
        {species.harmful.length > 0 ? (
          <ListRow title="Must not eat" detail={species.harmful.join(', ')} />
        ) : null}
      </Card>
      <View style={{ gap: 8 }}>
        <Text variant="subtitle">Where and when it feeds</Text>
        <ZoneHours
          day={species.presenceDay}
          night={species.presenceNight}
          activity={species.activityByLight}
          label={`${species.common} feed mainly at ${species.zone}, most readily by ${species.activity}`}
        />
        <ReadyHours
          activity={species.activityByLight}
          label={`Ready to feed: by day ${percent(species.activityByLight.day)}, at dusk ${percent(species.activityByLight.dusk)}, by night ${percent(species.activityByLight.night)}`}
        />
        <Text variant="small" tone="quiet">
          Its day, and how ready it is to feed through it: by day{' '}
          {percent(species.activityByLight.day)}, at dusk {percent(species.activityByLight.dusk)},
          by night {percent(species.activityByLight.night)}. Above it, length: share of the time in
          that zone; the rest it spends in shelter. Strength: readiness to feed then.
          {isDefault(species, 'presenceDay', 'activityByLight')
            ? ' In part a default from its main zone and hours.'
            : ''}
        </Text>
      </View>
    </View>
  );
}

const percent = (share: number) => `${formatNumber(share * 100, 0)} %`;

/** «default: usual band of the guild», where a figure is none of the row. */
function defaultOf(species: Species, fields: SpeciesField[]): string | undefined {
  const first = fields.find((field) => species.defaulted.includes(field));
  return first && first in SPECIES_DEFAULTS
    ? `default: ${SPECIES_DEFAULTS[first as keyof typeof SPECIES_DEFAULTS].says}`
    : undefined;
}
