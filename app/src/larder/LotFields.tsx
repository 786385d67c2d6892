import { type Control } from 'react-hook-form';
import { PLACES } from '@open-larder/core/stock';
import { ChoiceInput, DateInput, MeasureInput, NumberInput } from '../forms/inputs';

interface Props {
  control: Control<never>;
  /** Where the lot stands in the form: '' or 'lot.' */
  at: '' | 'lot.';
  /** A lot that is there already keeps its amount: counting corrects it. */
  amount: boolean;
  currency: string;
  /** The serving unit, in which an amount may be given too. */
  unit?: { name: string; plural: string; massG: number | null };
}

/** What was bought: amount, price and dates. */
export function LotFields({ control, at, amount, currency, unit }: Props) {
  const name = (field: string) => `${at}${field}` as never;
  const date = (field: string, label: string, hint?: string) => (
    <DateInput control={control} name={name(field)} label={label} hint={hint} />
  );
  return (
    <>
      {amount ? (
        <MeasureInput
          control={control}
          name={name('amountG')}
          label="Amount"
          measure="mass"
          also={inUnits(unit)}
          hint={unit?.massG ? `Or in ${unit.plural}: «48 ${unit.plural}».` : undefined}
        />
      ) : null}
      <ChoiceInput
        control={control}
        name={name('place')}
        label="Kept in the"
        options={PLACES.map((place) => ({ value: place, label: place }))}
      />
      <NumberInput
        control={control}
        name={name('costMinor')}
        label="Price of it all"
        unit={currency}
        scale={{ fromBase: (minor) => minor / 100, toBase: (shown) => Math.round(shown * 100) }}
        decimals={2}
        hint="May stay empty."
      />
      {date('boughtOn', 'Bought')}
      {date('openedOn', 'Opened', 'Empty while it is sealed.')}
      {date('bestBefore', 'Best before', 'What expires first is used first.')}
    </>
  );
}

/** A serving unit's names, for reading an amount given in it. */
function inUnits(unit: Props['unit']): Record<string, number> {
  if (!unit?.massG) return {};
  return { [unit.name.toLowerCase()]: unit.massG, [unit.plural.toLowerCase()]: unit.massG };
}
