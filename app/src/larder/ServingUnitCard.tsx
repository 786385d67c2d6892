import type { FoodRow, Problem, WeighingRow } from '@open-larder/contract';
import { unitMass } from '@open-larder/core/food';
import { formatGrams, formatNumber } from '@open-larder/say';
import { View } from 'react-native';
import { api, useHand, useFormat } from '../store';
import { Button, Card, ListRow, Text, useToast, WhyLink } from '../ui';
import { stampFor } from '../store/intent';

/** What the hand deals and what it weighs, by hand, with its spread; and the weighings behind it. */
export function ServingUnitCard({ food, onWeigh }: { food: FoodRow; onWeigh: () => void }) {
  const format = useFormat();
  const hand = useHand();
  const { unit, weighings } = food;
  const hands = [...new Set(weighings.map((one) => one.hand))];
  const inUse = unitMass(unit.name, weighings, hand, unit.massG);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Serving unit</Text>
      <Card>
        <ListRow
          first
          title={`One ${unit.name}`}
          detail={[
            inUse.weighings === 0 ? 'a guess until you weigh some' : 'as the plan uses it',
            `in steps of ${formatNumber(unit.step, 2)}`,
          ].join(' · ')}
          trail={
            <View style={{ flexDirection: 'row', alignItems: 'center', gap: 4 }}>
              <Text>{formatGrams(inUse.massG.value)}</Text>
              <WhyLink about={`one ${unit.name} of ${food.name}`} why={inUse.massG} />
            </View>
          }
        />
        {hands.map((name) => {
          const own = unitMass(unit.name, weighings, name, unit.massG);
          const share = own.spreadG === null ? null : own.spreadG / own.massG.value;
          return (
            <ListRow
              key={name}
              title={name}
              detail={[
                `${own.units} ${unit.plural} in ${own.weighings} ${own.weighings === 1 ? 'weighing' : 'weighings'}`,
                share === null
                  ? 'weigh again to know how much they differ'
                  : `one differs from the next by ${Math.round(share * 100)} %`,
              ].join(' · ')}
              trail={
                <Text>
                  {formatGrams(own.massG.value)}
                  {own.spreadG === null ? '' : ` ± ${formatGrams(own.spreadG)}`}
                </Text>
              }
            />
          );
        })}
        {weighings.map((one) => (
          <ListRow
            key={one.id}
            title={`${formatNumber(one.units, 2)} ${unit.plural} weighed ${formatGrams(one.massG)}`}
            detail={`${one.hand} · ${format.day(one.day)}`}
            trail={<TakeBack weighing={one} />}
          />
        ))}
      </Card>
      <View style={{ alignItems: 'flex-start' }}>
        <Button least="feeder" label="Weigh some" onPress={onWeigh} />
      </View>
    </View>
  );
}

function TakeBack({ weighing }: { weighing: WeighingRow }) {
  const toast = useToast();
  const [undo] = api.useUndoWeighingMutation();
  return (
    <Button
      least="feeder"
      variant="bare"
      label="Take back"
      spoken={`Take back what was weighed by ${weighing.hand}`}
      onPress={async () => {
        const done = await undo({
          params: { id: weighing.id },
          body: stampFor('undo', weighing.id),
        });
        toast(
          done.error
            ? (done.error as Problem).detail
            : 'The weighing is taken back; portions follow.',
          done.error ? { tone: 'error' } : undefined,
        );
      }}
    />
  );
}
