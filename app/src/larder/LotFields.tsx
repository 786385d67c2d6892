import { Controller, type Control } from 'react-hook-form';
import { useWords } from '../store';
import { DateField, NumberField } from '../ui';

interface Props {
  control: Control<never>;
  /** Where the lot stands in the form: '' or 'lot.' */
  at: '' | 'lot.';
  fault: (field: string) => string | undefined;
  /** A lot that is there already keeps its amount: counting corrects it. */
  amount: boolean;
  currency: string;
}

/** What was bought: amount, price and dates. */
export function LotFields({ control, at, fault, amount, currency }: Props) {
  const words = useWords();
  const name = (field: string) => `${at}${field}` as never;
  const date = (field: string, label: string, hint?: string) => (
    <Controller
      control={control}
      name={name(field)}
      render={({ field: input }) => (
        <DateField
          label={label}
          value={input.value}
          onChange={input.onChange}
          fault={fault(field)}
          hint={hint}
        />
      )}
    />
  );
  return (
    <>
      {amount ? (
        <Controller
          control={control}
          name={name('amountG')}
          render={({ field }) => (
            <NumberField
              label="Amount"
              value={field.value}
              onChange={field.onChange}
              unit={words.scale('mass').unit}
              scale={words.scale('mass')}
              fault={fault('amountG')}
            />
          )}
        />
      ) : null}
      <Controller
        control={control}
        name={name('costMinor')}
        render={({ field }) => (
          <NumberField
            label="Price of it all"
            value={field.value}
            onChange={field.onChange}
            unit={currency}
            scale={{ fromBase: (minor) => minor / 100, toBase: (shown) => Math.round(shown * 100) }}
            decimals={2}
            fault={fault('costMinor')}
            hint="May stay empty."
          />
        )}
      />
      {date('boughtOn', 'Bought')}
      {date('openedOn', 'Opened', 'Empty while it is sealed.')}
      {date('bestBefore', 'Best before', 'What expires first is used first.')}
    </>
  );
}
