import {
  HARVEST_BY,
  HARVEST_G,
  afterHarvest,
  harvestG,
  isFromEggs,
  type HarvestBy,
} from '@open-larder/core/culture';
import { formatGrams, formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Choice, Sheet, Stepper, Text, upperFirst } from '../ui';
import { NumberField } from '../ui/NumberField';
import { forecastStartOfRow } from './ahead';
import type { Culture } from './useCultures';
import { useVesselEvent } from './useVesselEvent';

const BY_WORDS: Record<HarvestBy, { label: string; one: string; many: string; step: number }> = {
  net: { label: 'Nets', one: 'net', many: 'nets', step: 0.5 },
  pipette: { label: 'Pipettes', one: 'pipette', many: 'pipettes', step: 1 },
  spoon: { label: 'Spoons', one: 'spoon', many: 'spoons', step: 0.5 },
  g: { label: 'Grams', one: 'g', many: 'g', step: 0.1 },
  some: { label: 'Some', one: '', many: '', step: 1 },
};

/** Take some out: how much it is, and what that does to next week, before it is done. */
export function HarvestSheet({ culture, onClose }: { culture: Culture; onClose: () => void }) {
  const { kind, status } = culture;
  const logEvent = useVesselEvent();
  const [by, setBy] = useState<HarvestBy>('some');
  const [amount, setAmount] = useState(1);
  const [count, setCount] = useState<number | null>(null);
  const massG = harvestG(by, amount, status.givesG);
  const after = afterHarvest(forecastStartOfRow(culture), massG, status.tempC);
  const unit = BY_WORDS[by];
  const harvest = async () => {
    const measured = by === 'some' ? 1 : amount;
    const done = await logEvent(
      culture.id,
      {
        kind: 'harvested',
        massG,
        by,
        amount: measured,
        count: isFromEggs(kind) ? count : null,
      },
      `${formatGrams(massG)} taken from ${culture.name}${culture.foodId ? '; it is on the shelf until tomorrow' : ''}.`,
    );
    if (done) onClose();
  };
  return (
    <Sheet title={`Harvest ${culture.name}`} open onClose={onClose}>
      <Text tone="quiet">
        {status.givesG > 0.0005
          ? `${formatGrams(status.givesG)} can be taken today without harm.`
          : 'It is better left alone today.'}{' '}
        {upperFirst(kind.harvest)}.
      </Text>
      <Choice
        label="Measured in"
        value={by}
        options={HARVEST_BY.map((value) => ({ value, label: BY_WORDS[value].label }))}
        onChange={(next) => {
          setBy(next);
          setAmount(1);
        }}
        hint={by in HARVEST_G ? 'What one holds is assumed: weigh yours and say grams.' : undefined}
      />
      {by === 'some' ? null : (
        <Stepper
          label="How much"
          value={amount}
          step={unit.step}
          min={unit.step}
          max={500}
          onChange={setAmount}
          format={(value) => `${formatNumber(value, 1)} ${value === 1 ? unit.one : unit.many}`}
        />
      )}
      {isFromEggs(kind) ? (
        <NumberField
          label="How many, where you counted them"
          value={count}
          onChange={setCount}
          hint="Count a drop, and multiply: the share that hatches is learned from it."
        />
      ) : null}
      <View style={{ gap: 4 }} aria-live="polite">
        <Text variant="strong">{massG > 0.0005 ? `About ${formatGrams(massG)}` : 'Nothing'}</Text>
        {after ? <Text>{formatAfter(after)}</Text> : null}
      </View>
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Note the harvest"
          disabled={massG <= 0.0005}
          onPress={() => harvest()}
        />
      </View>
    </Sheet>
  );
}

/** «Next week then gives 0.4 g a day instead of 0.5 g; it is back in 2 days.» */
function formatAfter({
  tooMuch,
  overLasting,
  recoversDays,
  weekG,
}: NonNullable<ReturnType<typeof afterHarvest>>) {
  if (tooMuch) {
    return 'That is more than the estimate. If it is right, log it; little will be left.';
  }
  const back =
    recoversDays === null
      ? 'It does not recover at this temperature.'
      : recoversDays < 1
        ? 'It is back by tomorrow.'
        : `It is back where it gives most in ${Math.ceil(recoversDays)} days.`;
  const week = `Next week gives ${formatGrams(weekG.with)} a day, ${formatGrams(weekG.without)} without it.`;
  return overLasting ? `${week} ${back}` : back;
}
