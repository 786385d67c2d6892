import type { Tank } from '@open-larder/contract';
import type { Reading } from '@open-larder/core/water/range';
import { READING_UNITS, STRIPS, toReading } from '@open-larder/core/water/reading';
import { useState } from 'react';
import { View } from 'react-native';
import { useNow, useFormat } from '../store';
import { Button, Choice, Disclosure, Field, Sheet, Text, type FieldErrors } from '../ui';
import { DateField } from '../ui/DateField';
import { NumberField } from '../ui/NumberField';
import { Picker } from '../ui/Picker';
import { READING_WORDS } from './readings';

const OFTEN: Reading[] = ['nitrate', 'nitrite', 'tan', 'ph'];
const SELDOM: Reading[] = ['gh', 'kh', 'tdsMgL', 'tempC'];

/** A test as it was entered, in the base units. */
export type WaterTested = { kind: 'tested'; day: string; note: string } & Partial<
  Record<Reading, number | null>
>;

interface Entry {
  unit: string;
  value: number | null;
}

/** The units that were chosen last: a keeper has one kit. */
const kit: Partial<Record<Reading, string>> = {};
const choose = (of: Reading, unit: string) => {
  kit[of] = unit;
};

/** A test of the water: by numbers in the kit’s own unit, or by the colours of a strip. */
export function TestSheet({
  tank,
  onTest,
  onClose,
}: {
  tank: Tank;
  /** Write it. @returns what is wrong by field, or null where it is written */
  onTest: (test: WaterTested) => Promise<FieldErrors | null>;
  onClose: () => void;
}) {
  const now = useNow();
  const format = useFormat();
  const [by, setBy] = useState<'number' | 'colour'>('number');
  const [day, setDay] = useState<string | null>(now.day);
  const [note, setNote] = useState('');
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const [entries, setEntries] = useState<Record<Reading, Entry>>(
    () =>
      Object.fromEntries(
        [...OFTEN, ...SELDOM].map((of) => [
          of,
          { unit: kit[of] ?? firstUnit(of, format.units), value: null },
        ]),
      ) as Record<Reading, Entry>,
  );
  const enter = (of: Reading, change: Partial<Entry>) => {
    if (change.unit) choose(of, change.unit);
    setEntries((before) => ({ ...before, [of]: { ...before[of], ...change } }));
  };
  const save = async () => {
    const readings = Object.fromEntries(
      (Object.entries(entries) as [Reading, Entry][]).map(([of, { value, unit }]) => [
        of,
        value === null ? null : Number.isNaN(value) ? Number.NaN : toReading(of, value, unit),
      ]),
    );
    const wrong = await onTest({ kind: 'tested', day: day ?? '', note, ...readings });
    if (wrong === null) onClose();
    else setFieldErrors(wrong);
  };
  const input = (of: Reading) => (
    <ReadingInput
      key={of}
      of={of}
      entry={entries[of]}
      colours={by === 'colour'}
      fieldError={fieldErrors[of]}
      onChange={(change) => enter(of, change)}
    />
  );
  return (
    <Sheet title={`Test of ${tank.name}`} open onClose={onClose}>
      <Choice
        label="Read"
        value={by}
        onChange={setBy}
        options={[
          { value: 'number', label: 'as numbers' },
          { value: 'colour', label: 'by colours of a strip' },
        ]}
      />
      {by === 'colour' ? (
        <Text variant="small" tone="quiet">
          Colours of a usual strip in words. Strips differ: where yours came with a chart, read the
          number there and enter it.
        </Text>
      ) : null}
      {OFTEN.map(input)}
      <Disclosure title="Hardness, dissolved solids, temperature">{SELDOM.map(input)}</Disclosure>
      <DateField label="On" value={day} onChange={setDay} fieldError={fieldErrors.day} />
      <Field label="Note" value={note} onChange={setNote} fieldError={fieldErrors.note} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Note the test" onPress={() => save()} />
      </View>
    </Sheet>
  );
}

const firstUnit = (of: Reading, units: { temperature: string; hardness: string }): string => {
  if (of === 'tempC') return units.temperature;
  if ((of === 'gh' || of === 'kh') && units.hardness === 'ppm') return 'ppm';
  return Object.keys(READING_UNITS[of])[0]!;
};

function ReadingInput({
  of,
  entry,
  colours,
  fieldError,
  onChange,
}: {
  of: Reading;
  entry: Entry;
  colours: boolean;
  fieldError: string | undefined;
  onChange: (change: Partial<Entry>) => void;
}) {
  const units = READING_UNITS[of];
  const strip = STRIPS[of];
  if (colours && strip) {
    return (
      <Picker
        label={READING_WORDS[of]}
        value={entry.value === null ? '' : String(entry.value)}
        placeholder="Choose a colour"
        picks={strip.map(({ word, value }) => ({
          value: String(value),
          title: word,
          detail: `about ${value}`,
        }))}
        onChange={(value) =>
          onChange({ value: value === '' ? null : Number(value), unit: Object.keys(units)[0]! })
        }
        fieldError={fieldError}
      />
    );
  }
  const names = Object.keys(units);
  return (
    <View style={{ gap: 4 }}>
      <NumberField
        label={READING_WORDS[of]}
        value={entry.value}
        decimals={3}
        onChange={(value) => onChange({ value })}
        fieldError={fieldError}
        hint={of === 'ph' ? undefined : units[entry.unit]?.says}
      />
      {names.length > 1 ? (
        <Choice
          label={`Unit of ${READING_WORDS[of].toLowerCase()}`}
          value={entry.unit}
          onChange={(unit) => onChange({ unit })}
          options={names.map((unit) => ({ value: unit, label: UNIT_WORDS[of]?.[unit] ?? unit }))}
        />
      ) : null}
    </View>
  );
}

const UNIT_WORDS: Partial<Record<Reading, Record<string, string>>> = {
  nitrate: { NO3: 'NO3', N: 'NO3-N' },
  nitrite: { NO2: 'NO2', N: 'NO2-N' },
  tan: { N: 'NH3-N', NH4: 'NH4' },
  gh: { dGH: 'dGH', ppm: 'ppm', mmol: 'mmol/L', fH: '°f', e: '°e' },
  kh: { dGH: 'dKH', ppm: 'ppm', mmol: 'mmol/L', fH: '°f', e: '°e' },
  tdsMgL: { mg: 'mg/L', us: 'µS/cm' },
  tempC: { C: '°C', F: '°F' },
};
