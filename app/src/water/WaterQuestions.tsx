import { zodResolver } from '@hookform/resolvers/zod';
import { tankEdit, waterPlan, type Tank } from '@open-larder/contract';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { FormFields, type FormRow } from '../forms/FormFields';
import { api } from '../store';
import { Button, Card, Text, useToast } from '../ui';
import { useSave } from '../ui/useSave';
import { usePlanPart } from './usePlanPart';
import { useWaterEvent } from './useWaterEvent';

const { share, everyDays, sourceMgL } = waterPlan.shape;
/** Named as the server names what is wrong with it. */
const questions = z.object({
  runsSince: tankEdit.shape.runsSince,
  /** Of the last change. */
  day: tankEdit.shape.runsSince,
  water: z.object({ share, everyDays, sourceMgL: sourceMgL.nullable() }),
});
type Values = z.input<typeof questions>;

const QUESTIONS: FormRow<Values>[] = [
  { name: 'runsSince', label: 'Running since', as: 'date' },
  { name: 'day', label: 'Water last changed', as: 'date' },
  [
    { name: 'water.share', label: 'Usually change', as: 'percent', decimals: 0 },
    { name: 'water.everyDays', label: 'Every', as: 'number', unit: 'days', decimals: 0 },
  ],
  {
    name: 'water.sourceMgL',
    label: 'Nitrate of the new water',
    hint: `Test your tap once, or read it in the supplier’s report. Left empty, ${USUAL_RHYTHM.sourceMgL} mg/L is assumed.`,
    as: 'number',
    unit: 'mg/L',
    decimals: 0,
  },
];

/**
 * What everything that is computed of a tank’s water starts from, asked once: since when it runs, when
 * it was changed last, how it usually is, and with what water.
 */
export function WaterQuestions({ tank }: { tank: Tank }) {
  const toast = useToast();
  const [editTank] = api.useEditTankMutation();
  const savePlan = usePlanPart(tank);
  const logEvent = useWaterEvent();
  const form = useForm<Values, unknown, z.output<typeof questions>>({
    resolver: zodResolver(questions),
    defaultValues: {
      runsSince: tank.runsSince,
      day: null,
      water: {
        share: USUAL_RHYTHM.share,
        everyDays: USUAL_RHYTHM.everyDays,
        sourceMgL: null,
      },
    },
  });
  const { save } = useSave<Values>(form as never);
  /** The change that was noted already: pressed again after a fault, it is not noted twice. */
  const [noted, setNoted] = useState<string | null>(null);
  const submit = form.handleSubmit(async ({ runsSince, day, water }) => {
    // The plan comes last: the card goes with it, and until then what is missing can be sent again.
    if (day !== null && noted !== day) {
      const wrong = await logEvent(
        tank.id,
        { kind: 'changed', share: water.share, day },
        `The last change of ${tank.name} is noted.`,
      );
      for (const [path, message] of Object.entries(wrong ?? {})) {
        form.setError(path === 'share' ? 'water.share' : 'day', { message });
      }
      if (wrong) return;
      setNoted(day);
    }
    if (runsSince !== tank.runsSince) {
      const { id: _, lastTemp: __, plan: ___, ...fields } = tank;
      const body = { ...fields, runsSince } as never;
      if (!(await save(() => editTank({ params: { id: tank.id }, body })))) return;
    }
    const planned = await save(async () => {
      const sourceMgL = water.sourceMgL ?? USUAL_RHYTHM.sourceMgL;
      const done = await savePlan({ water: { ...USUAL_RHYTHM, ...water, sourceMgL } });
      return 'problem' in done ? { error: done.problem } : { data: done.plan };
    });
    if (planned) toast(`The water of ${tank.name} is known.`);
  });
  return (
    <Card label="About its water">
      <View style={{ padding: 12, gap: 12 }}>
        <Text variant="strong">A few questions about its water</Text>
        <Text tone="quiet">
          Until you answer, a quarter a week is assumed and the Round asks for no change.
        </Text>
        <FormFields control={form.control as never} fields={QUESTIONS} />
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            least="keeper"
            variant="primary"
            label="Save"
            spoken="Save the answers"
            onPress={() => submit()}
          />
        </View>
      </View>
    </Card>
  );
}
