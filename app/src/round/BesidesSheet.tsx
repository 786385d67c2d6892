import type { FoodRow, Group, Tank } from '@open-larder/contract';
import { unitOf } from '@open-larder/contract/servingUnit';
import { stepAt } from '@open-larder/core/food';
import { formatServing, formatUnits } from '@open-larder/say';
import { useState } from 'react';
import { FoodSign } from '../draw/FoodSign';
import { useHand, type AppData } from '../store';
import { Button, Choice, Sheet, Stepper, Text } from '../ui';
import { Picker } from '../ui/Picker';
import type { RoundMomentView } from './moments';
import { isThere } from './swaps';

export interface Besides {
  group: Group;
  food: FoodRow;
  units: number;
}

interface Props {
  tank: Tank;
  data: AppData;
  /** The moment that is looked at: the portions of its other groups can be given here. */
  moment: RoundMomentView | null;
  onClose: () => void;
  onLog: (given: Besides) => void;
}

/** Something more than was planned, for this day only: a food of the shelf, or a portion meant for others. */
export function BesidesSheet({ tank, data, moment, onClose, onLog }: Props) {
  const hand = useHand();
  const groups = (data.groupsIn.get(tank.id) ?? []).filter(({ size }) => size.total > 0);
  const [groupId, setGroupId] = useState(groups[0]?.id ?? '');
  const [given, setGiven] = useState<{ pick: string; foodId: string; units: number } | null>(null);
  const group = groups.find(({ id }) => id === groupId);
  const shelf = data.foods.filter(isThere);
  const food = shelf.find(({ id }) => id === given?.foodId);
  const meant = (moment?.stops ?? [])
    .flatMap(({ servings }) => servings)
    .filter((one) => one.groupId !== groupId && shelf.some(({ id }) => id === one.foodId));
  const unit = food ? unitOf(food, hand) : null;
  const picks = [
    ...shelf.map((one) => ({
      value: one.id,
      title: one.name,
      lead: <FoodSign family={one.family} />,
    })),
    ...meant.map((one) => ({
      value: one.servingId,
      title: formatServing(one.portion, one.foodName),
      detail: `the portion of ${one.groupName}`,
      lead: <FoodSign family={one.family} />,
    })),
  ];
  const choose = (pick: string) => {
    const portion = meant.find(({ servingId }) => servingId === pick);
    const chosen = shelf.find(({ id }) => id === (portion?.foodId ?? pick));
    if (!chosen) return;
    setGiven({ pick, foodId: chosen.id, units: portion?.units ?? unitOf(chosen, hand).step });
  };
  if (!group) return null;
  return (
    <Sheet title={`Something more in ${tank.name}`} open onClose={onClose}>
      <Text tone="quiet">
        Today only: it is logged and taken from the shelf; the plan stays as it is.
      </Text>
      {groups.length > 1 ? (
        <Choice
          label="For"
          value={groupId}
          options={groups.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setGroupId}
        />
      ) : null}
      <Picker
        label="What"
        value={given?.pick ?? ''}
        picks={picks}
        search={picks.length > 8}
        placeholder="Choose a food"
        onChange={choose}
      />
      {food && unit && given ? (
        <>
          <Stepper
            label="Put in"
            value={given.units}
            step={stepAt(given.units, unit)}
            min={unit.step}
            max={unit.step * 100}
            onChange={(units) => setGiven({ ...given, units })}
            format={(value) => formatUnits(value, unit)}
          />
          <Button
            variant="primary"
            label="Log it"
            onPress={() => onLog({ group, food, units: given.units })}
          />
        </>
      ) : null}
    </Sheet>
  );
}
