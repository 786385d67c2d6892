import { formatUnits } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Sheet, Text } from '../ui';
import { NumberField } from '../ui/NumberField';
import type { FryServingRow } from './fryMeals';
import type { Given } from './useFeedYoung';

interface Props {
  serving: FryServingRow;
  onGive: (given: Given, says: string) => void;
  onClose: () => void;
}

/** A meal of one tub that went otherwise than planned: another amount, not taken, or left out. */
export function TubMealSheet({ serving, onGive, onClose }: Props) {
  const { tubName, name, units, unit } = serving;
  const [amount, setAmount] = useState<number | null>(units);
  const valid = amount !== null && amount > 0;
  const outcome = !valid || amount === units ? 'served' : amount < units ? 'less' : 'more';
  return (
    <Sheet title={`${name} in ${tubName}`} open onClose={onClose}>
      <Text tone="quiet">{`Planned: ${formatUnits(units, unit)}.`}</Text>
      <NumberField
        label="Amount given"
        unit={unit.plural}
        decimals={2}
        value={amount}
        onChange={setAmount}
        fieldError={valid ? undefined : 'Enter more than nothing, or leave it out.'}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          variant="primary"
          label="Given"
          onPress={() => valid && onGive({ outcome, units: amount }, `${tubName}: given.`)}
        />
        <Button
          label="Not taken"
          onPress={() =>
            onGive({ outcome: 'refused', units: valid ? amount : units }, `${tubName}: not taken.`)
          }
        />
        <Button
          label="Leave it out"
          onPress={() => onGive({ outcome: 'skipped', units: 0 }, `${tubName}: left out.`)}
        />
      </View>
    </Sheet>
  );
}
