import type { CultureKind } from '@open-larder/catalogue/cultures';
import { formatNumber } from '@open-larder/say';
import { View } from 'react-native';
import { useFormat } from '../store';
import { Card, ListRow, Text } from '../ui';

/** How a kind is kept, with what keepers differ on, and where its figures come from. */
export function KindCard({ kind }: { kind: CultureKind }) {
  const format = useFormat();
  const rows: [string, string][] = [
    ['Food', `${kind.feedWith}; ${kind.feedRule}`],
    ['Harvest', kind.harvest],
    ['Air', { none: 'none', gentle: 'gentle', strong: 'strong' }[kind.aeration]],
    ['Light', kind.light],
    [
      'Warmth',
      `${format.quantity('temperature', kind.tempMinC)} to ${format.quantity('temperature', kind.tempMaxC)}`,
    ],
    ['Water changes', kind.waterChange],
    ['What makes it crash', kind.ruins.join('; ')],
    ['Size of the animals', formatSizes(kind)],
    ...kind.practices.map((practice): [string, string] => ['Keepers differ', practice]),
  ];
  const cautions = [...kind.cautionsPeople, ...kind.cautionsFish];
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">
        Keeping {kind.name.charAt(0).toLowerCase() + kind.name.slice(1)}
      </Text>
      {cautions.map((caution) => (
        <Text key={caution} tone="due">
          {caution.charAt(0).toUpperCase() + caution.slice(1)}.
        </Text>
      ))}
      <Card label={`Keeping ${kind.name}`}>
        {rows.map(([title, detail], index) => (
          <ListRow
            key={title + detail}
            first={index === 0}
            title={title}
            detail={detail}
            trail={<View />}
          />
        ))}
      </Card>
      <Text variant="small" tone="quiet">
        {`Nine cultures in ten do ${Math.round(100 / kind.spread)} to ${Math.round(100 * kind.spread)} % of what is usual. Growth: ${kind.sourceGrowth}. Keeping: ${kind.sourceKeeping}.`}
      </Text>
    </View>
  );
}

/** «0.17 to 0.22 mm» */
export const formatSizes = ({ sizeMinUm, sizeMaxUm }: CultureKind): string =>
  sizeMaxUm < 1000
    ? `${formatNumber(sizeMinUm, 0)} to ${formatNumber(sizeMaxUm, 0)} µm`
    : `${formatNumber(sizeMinUm / 1000, 2)} to ${formatNumber(sizeMaxUm / 1000, 1)} mm`;
