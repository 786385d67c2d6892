import { View } from 'react-native';
import { Card, ListRow, Text, upperFirst } from '../ui';
import type { Brood } from './useBroods';

/** How a way of life goes: what is done when and to whom, what keepers differ on, its cautions. */
export function StrategyCard({ brood: { strategy, species, status } }: { brood: Brood }) {
  const rows: [string, string][] = [
    ['Eggs', strategy.eggs],
    ['Parents', strategy.parentsRule],
    ['Who fasts', strategy.fasts],
    ...(strategy.recovers === null ? [] : [['Afterwards', strategy.recovers] as [string, string]]),
    ['First food', strategy.firstFood],
    ...strategy.steps.map((step, at): [string, string] => [`Step ${at + 1}`, step]),
    ...strategy.practices.map((practice): [string, string] => ['Keepers differ', practice]),
  ];
  return (
    <View style={{ gap: 8 }}>
      {[...strategy.cautions, ...species.cautions].map((caution) => (
        <Text key={caution} tone="due">
          {upperFirst(caution)}.
        </Text>
      ))}
      <Card label="How it goes">
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
        Medicines, dyes and oxidisers on eggs and fry: by the label and licensed advice. They are
        noted here, and no dose is worked out.
      </Text>
      <Text variant="small" tone="quiet">
        {status.assumed.length > 0
          ? `${species.sourceBreeding}; the rest: ${strategy.source}.`
          : `${species.sourceBreeding}.`}
      </Text>
    </View>
  );
}
