import type { FoodRow } from '@open-larder/contract';
import { prepared } from '@open-larder/core/food';
import { formatMinutes, formatPreparation, formatSignificant } from '@open-larder/say';
import { View } from 'react-native';
import { useFormat, type Format } from '../store';
import { Card, ListRow, Text } from '../ui';

/** What is done to a food, how it then behaves, how long it keeps, and what to beware of. */
export function KeepingCard({ food }: { food: FoodRow }) {
  const format = useFormat();
  const { steps, keeps, liftAfterMin, cautions } = food;
  const ready = prepared({ ...food.inWater, form: food.form }, steps);
  const rows: (readonly [string, string | null])[] = [
    [
      'Before it is served',
      steps.length === 0
        ? null
        : `${formatPreparation(steps)} · ${formatMinutes(ready.workMin)} of work${
            keeps.preparedHours === null
              ? ''
              : ` · keeps ${formatMinutes(keeps.preparedHours * 60)} prepared`
          }`,
    ],
    ['In the water', inWater(ready, format)],
    [
      'Keeps',
      listed([
        keeps.sealedDays === null ? null : `${days(keeps.sealedDays)} sealed`,
        keeps.openedDays === null ? null : `${days(keeps.openedDays)} opened`,
      ]),
    ],
    ['Remove leftovers', liftAfterMin === null ? null : `after ${formatMinutes(liftAfterMin)}`],
    ['Beware, for people', listed(cautions.people)],
    ['Beware, for fish', listed(cautions.fish)],
  ];
  const said = rows.flatMap(([title, detail]) => (detail === null ? [] : [{ title, detail }]));
  if (said.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Preparing and keeping</Text>
      <Card>
        {said.map((row, index) => (
          <ListRow key={row.title} first={index === 0} title={row.title} detail={row.detail} />
        ))}
      </Card>
    </View>
  );
}

function inWater(food: ReturnType<typeof prepared>, format: Format): string | null {
  const { particleMinMm: low, particleMaxMm: high, floatMinutes, sinkCmPerS } = food;
  const size =
    low === null || high === null
      ? null
      : low === high
        ? `pieces of ${formatSignificant(low)} mm`
        : `pieces of ${formatSignificant(low)} to ${formatSignificant(high)} mm`;
  const floats =
    floatMinutes === null || floatMinutes < 0.5 ? null : `floats ${formatMinutes(floatMinutes)}`;
  const sinks =
    sinkCmPerS === null ? null : `sinks ${format.quantity('length', sinkCmPerS)} a second`;
  return listed([size, floats, sinks]);
}

const days = (count: number) => (count === 1 ? '1 day' : `${count} days`);

function listed(parts: readonly (string | null)[]): string | null {
  const said = parts.filter(Boolean);
  return said.length === 0 ? null : said.join(' · ');
}
