import type { CultureKind } from '@open-larder/catalogue/cultures';
import type { FoodRow, VesselFields } from '@open-larder/contract';
import { useFormat } from '../store';
import { Field, NumberField, Picker, type FieldErrors } from '../ui';

export type Draft = Omit<VesselFields, 'version' | 'measure' | 'tempC'> & {
  measure: number | null;
  tempC: number | null;
};
interface Props {
  kind: CultureKind;
  draft: Draft;
  fieldErrors: FieldErrors;
  /** Of which one may live in it too. */
  kinds: readonly CultureKind[];
  foods: readonly FoodRow[];
  /** What it is called to choose no food. */
  none: string;
  onChange: (draft: Draft) => void;
}

const SIZE_WORDS = { L: 'Water in it', dm2: 'Surface', jar: 'Jars' } as const;

/** What is said of a vessel: its size, its place, what it shares with others, what it gives. */
export function VesselFieldsInput({
  kind,
  draft,
  fieldErrors,
  kinds,
  foods,
  none,
  onChange,
}: Props) {
  const format = useFormat();
  const set = (part: Partial<Draft>) => onChange({ ...draft, ...part });
  const size = { L: format.scale('volume'), dm2: format.scale('area'), jar: undefined }[
    kind.measure
  ];
  const warmth = format.scale('temperature');
  return (
    <>
      <Field
        label="Name"
        value={draft.name}
        onChange={(name) => set({ name })}
        fieldError={fieldErrors.name}
        placeholder={`${kind.name}, window`}
      />
      <NumberField
        label={SIZE_WORDS[kind.measure]}
        unit={size?.unit}
        scale={size}
        value={draft.measure}
        onChange={(measure) => set({ measure })}
        fieldError={fieldErrors.measure}
      />
      <NumberField
        label="Usual temperature"
        unit={warmth.unit}
        scale={warmth}
        decimals={1}
        value={draft.tempC}
        onChange={(tempC) => set({ tempC })}
        fieldError={fieldErrors.tempC}
        hint={`${format.quantity('temperature', kind.tempMinC)} to ${format.quantity('temperature', kind.tempMaxC)} for this kind.`}
      />
      <Field
        label="Strain, if it has a name"
        value={draft.strain}
        onChange={(strain) => set({ strain })}
        fieldError={fieldErrors.strain}
      />
      <Field
        label="Place"
        value={draft.place}
        onChange={(place) => set({ place })}
        fieldError={fieldErrors.place}
      />
      <Field
        label="Its water comes from"
        value={draft.water}
        onChange={(water) => set({ water })}
        fieldError={fieldErrors.water}
        hint="Vessels with the same words share what ruins them."
      />
      <Field
        label="Tools that touch it"
        value={draft.tools}
        onChange={(tools) => set({ tools })}
        fieldError={fieldErrors.tools}
      />
      <Picker
        label="The food on the shelf that it gives"
        value={draft.foodId ?? ''}
        picks={[
          { value: '', title: none },
          ...foods
            .filter(
              ({ archived, kind: what }) => !archived && (what === 'live' || what === 'fresh'),
            )
            .map(({ id, name }) => ({ value: id, title: name })),
        ]}
        onChange={(foodId) => set({ foodId: foodId === '' ? null : foodId })}
        fieldError={fieldErrors.foodId}
      />
      <Picker
        label="A second kind that lives in it"
        value={draft.alsoKindKey ?? ''}
        search
        picks={[
          { value: '', title: 'None' },
          ...kinds
            .filter(({ key, measure }) => key !== kind.key && measure === kind.measure)
            .map(({ key, name }) => ({ value: key, title: name })),
        ]}
        onChange={(also) => set({ alsoKindKey: also === '' ? null : also })}
        fieldError={fieldErrors.alsoKindKey}
      />
    </>
  );
}
