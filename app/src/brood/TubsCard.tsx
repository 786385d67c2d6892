import type { BroodTubRow, Problem } from '@open-larder/contract';
import type { TubStatus } from '@open-larder/core/brood';
import { formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useFormat, type Format } from '../store';
import {
  Button,
  Card,
  Choice,
  Field,
  ListRow,
  NumberField,
  Sheet,
  Text,
  useToast,
  fieldErrorsOf,
  type FieldErrors,
} from '../ui';
import type { Brood } from './useBroods';
import { formIntent } from '../store/intent';

/** The tubs of a brood beside each other: number, survival, length, water. */
export function TubsCard({ brood }: { brood: Brood }) {
  const format = useFormat();
  const [open, setOpen] = useState<BroodTubRow | 'new' | null>(null);
  const counted = brood.status.tubs.filter(({ count }) => count !== null);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">{brood.tubs.length === 1 ? 'Its tub' : 'Its tubs'}</Text>
      <Card label="Tubs">
        {brood.status.tubs.map((tub, index) => (
          <ListRow
            key={tub.id}
            first={index === 0}
            title={tub.name}
            detail={[
              `${format.quantity('volume', tub.litres)}, ${format.quantity('temperature', tub.tempC)}`,
              tub.lengthCm === null || tub.count === null
                ? null
                : `${formatNumber(tub.lengthCm * 10, 1)} mm`,
              tub.survival === null
                ? null
                : `${formatNumber(tub.survival * 100, 0)} % of the peak number`,
              tub.spread === null
                ? null
                : `lengths spread by ${formatNumber(tub.spread * 100, 0)} %`,
              waterWords(tub, format),
              tub.mixed ? 'two clutches of different ages' : null,
            ]
              .filter(Boolean)
              .join(' · ')}
            trail={
              <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
                <Text variant="strong">{tub.count === null ? '' : String(tub.count)}</Text>
                <Button
                  variant="bare"
                  label="Correct"
                  spoken={`Correct ${tub.name}`}
                  onPress={() => setOpen(brood.tubs.find(({ id }) => id === tub.id) ?? null)}
                />
              </View>
            }
          />
        ))}
      </Card>
      {brood.status.state.recounted ? (
        <Text variant="small" tone="quiet">
          A later count was higher than the one before: it is believed, and the first missed some.
        </Text>
      ) : null}
      {counted.length > 1 ? <Text variant="small">{compareWords(counted)}</Text> : null}
      {brood.tubs.length === 1 ? (
        <Text variant="small" tone="quiet">
          Keepers differ: split over two tubs, so that one failure does not take all; or one tub,
          with one change a day.
        </Text>
      ) : null}
      <View style={{ alignItems: 'flex-start' }}>
        <Button label="Another tub" onPress={() => setOpen('new')} />
      </View>
      {open !== null ? (
        <TubSheet brood={brood} tub={open === 'new' ? null : open} onClose={() => setOpen(null)} />
      ) : null}
    </View>
  );
}

function waterWords(
  { change, hours, gramsPerDay, litres }: TubStatus,
  format: Format,
): string | null {
  if (gramsPerDay === 0) return null;
  if (hours === null) return 'its filter takes the ammonia up';
  if (change === null) return 'no daily change is enough';
  return `${format.quantity('volume', change * litres)} a day to change`;
}

/** Which of two tubs does better, by those that are left and by length. */
function compareWords(tubs: readonly TubStatus[]): string {
  const best = (of: (tub: TubStatus) => number | null) =>
    [...tubs].sort((a, b) => (of(b) ?? 0) - (of(a) ?? 0))[0]!;
  const alive = best(({ survival }) => survival);
  const long = best(({ lengthCm }) => lengthCm);
  return `Most are left in ${alive.name}; the longest are in ${long.name}.`;
}

function TubSheet({
  brood,
  tub,
  onClose,
}: {
  brood: Brood;
  tub: BroodTubRow | null;
  onClose: () => void;
}) {
  const toast = useToast();
  const format = useFormat();
  const [add] = api.useAddBroodTubMutation();
  const [edit] = api.useEditBroodTubMutation();
  const { id } = formIntent('tub.new', brood.id);
  const last = brood.tubs.at(-1);
  const [draft, setDraft] = useState<TubDraft>(
    tub ?? {
      name: '',
      litres: last?.litres ?? null,
      tempC: last?.tempC ?? null,
      ph: last?.ph ?? null,
      filtered: false,
    },
  );
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  const save = async () => {
    const { name, ph, filtered } = draft;
    const body = {
      name,
      ph,
      filtered,
      litres: draft.litres ?? Number.NaN,
      tempC: draft.tempC ?? Number.NaN,
    };
    const done = tub
      ? await edit({ params: { id: tub.id }, body: { ...body, version: tub.version } })
      : await add({ params: { id: brood.id }, body: { ...body, id } });
    if (done.error) {
      const problem = done.error as Problem;
      setFieldErrors(fieldErrorsOf(problem));
      toast(problem.errors ? problem.title : problem.detail, { tone: 'error' });
      return;
    }
    toast(`${draft.name} is ${tub ? 'corrected' : 'added'}.`);
    onClose();
  };
  return (
    <Sheet title={tub ? `Correct ${tub.name}` : 'Another tub'} open onClose={onClose}>
      <TubFields draft={draft} fieldErrors={fieldErrors} onChange={setDraft} />
      <Text variant="small" tone="quiet">
        Fill it with seasoned water of a running tank or of the parents, as warm as theirs (
        {format.quantity('temperature', last?.tempC ?? 24)}): never raw tap.
      </Text>
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Save" onPress={() => save()} />
      </View>
    </Sheet>
  );
}

export interface TubDraft {
  name: string;
  litres: number | null;
  tempC: number | null;
  ph: number | null;
  filtered: boolean;
}

/** What is said of a tub. @param path what stands before its fields in what the server finds wrong */
export function TubFields({
  draft,
  fieldErrors,
  path = '',
  onChange,
}: {
  draft: TubDraft;
  fieldErrors: FieldErrors;
  path?: string;
  onChange: (draft: TubDraft) => void;
}) {
  const format = useFormat();
  const volume = format.scale('volume');
  const warmth = format.scale('temperature');
  const set = (part: Partial<TubDraft>) => onChange({ ...draft, ...part });
  return (
    <>
      <Field
        label="Name of the tub"
        value={draft.name}
        onChange={(name) => set({ name })}
        fieldError={fieldErrors[`${path}name`]}
        placeholder="Tub by the window"
      />
      <NumberField
        label="Water in it"
        unit={volume.unit}
        scale={volume}
        decimals={1}
        value={draft.litres}
        onChange={(litres) => set({ litres })}
        fieldError={fieldErrors[`${path}litres`]}
      />
      <NumberField
        label="Temperature"
        unit={warmth.unit}
        scale={warmth}
        decimals={1}
        value={draft.tempC}
        onChange={(tempC) => set({ tempC })}
        fieldError={fieldErrors[`${path}tempC`]}
      />
      <NumberField
        label="pH, if you tested it"
        decimals={1}
        value={draft.ph}
        onChange={(ph) => set({ ph })}
        fieldError={fieldErrors[`${path}ph`]}
      />
      <Choice
        label="Filter"
        value={draft.filtered ? 'grown' : 'none'}
        options={[
          { value: 'none', label: 'none, or new' },
          { value: 'grown', label: 'one that has grown in' },
        ]}
        onChange={(value) => set({ filtered: value === 'grown' })}
      />
    </>
  );
}
