import type { Problem, Tank } from '@open-larder/contract';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { api } from '../store';
import {
  Button,
  Card,
  DateField,
  fieldErrorsOf,
  NumberField,
  Text,
  useToast,
  type FieldErrors,
} from '../ui';
import { PERCENT } from '../forms/percent';
import { usePlanPart } from './usePlanPart';
import { useWaterEvent } from './useWaterEvent';

/**
 * What everything that is computed of a tank’s water starts from, asked once: since when it runs, when
 * it was changed last, how it usually is, and with what water.
 */
export function WaterQuestions({ tank }: { tank: Tank }) {
  const toast = useToast();
  const [editTank] = api.useEditTankMutation();
  const savePlan = usePlanPart(tank);
  const logEvent = useWaterEvent();
  const [runsSince, setRunsSince] = useState<string | null>(tank.runsSince);
  const [changedOn, setChangedOn] = useState<string | null>(null);
  const [share, setShare] = useState<number | null>(USUAL_RHYTHM.share);
  const [everyDays, setEveryDays] = useState<number | null>(USUAL_RHYTHM.everyDays);
  const [sourceMgL, setSourceMgL] = useState<number | null>(null);
  const [fieldErrors, setFieldErrors] = useState<FieldErrors>({});
  /** The change that was noted already: pressed again after a fault, it is not noted twice. */
  const noted = useRef<string | null>(null);

  const save = async () => {
    const refuse = (problem: Problem) => {
      setFieldErrors(fieldErrorsOf(problem));
      toast(problem.errors ? problem.title : problem.detail, { tone: 'error' });
    };
    // The plan comes last: the card goes with it, and until then what is missing can be sent again.
    if (changedOn !== null && noted.current !== changedOn) {
      const wrong = await logEvent(
        tank.id,
        { kind: 'changed', share: share ?? Number.NaN, day: changedOn },
        `The last change of ${tank.name} is noted.`,
      );
      if (wrong) {
        setFieldErrors(wrong);
        return;
      }
      noted.current = changedOn;
    }
    if (runsSince !== tank.runsSince) {
      const { id: _, lastTemp: __, plan: ___, ...fields } = tank;
      const done = await editTank({
        params: { id: tank.id },
        body: { ...fields, runsSince } as never,
      });
      if (done.error) return refuse(done.error as Problem);
    }
    const water = {
      ...USUAL_RHYTHM,
      share: share ?? Number.NaN,
      everyDays: everyDays ?? Number.NaN,
      sourceMgL: sourceMgL ?? USUAL_RHYTHM.sourceMgL,
    };
    const planned = await savePlan({ water });
    if ('problem' in planned) return refuse(planned.problem);
    toast(`The water of ${tank.name} is known.`);
  };
  const fieldError = (field: string) => fieldErrors[`water.${field}`] ?? fieldErrors[field];
  return (
    <Card label="About its water">
      <View style={{ padding: 12, gap: 12 }}>
        <Text variant="strong">A few questions about its water</Text>
        <Text tone="quiet">
          Until you answer, a quarter a week is assumed and the Round asks for no change.
        </Text>
        <DateField
          label="Running since"
          value={runsSince}
          onChange={setRunsSince}
          fieldError={fieldError('runsSince')}
        />
        <DateField
          label="Water last changed"
          value={changedOn}
          onChange={setChangedOn}
          fieldError={fieldError('day')}
        />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
          <View style={{ flexBasis: 120, flexGrow: 1 }}>
            <NumberField
              label="Usually change"
              unit="%"
              scale={PERCENT}
              decimals={0}
              value={share}
              onChange={setShare}
              fieldError={fieldError('share')}
            />
          </View>
          <View style={{ flexBasis: 120, flexGrow: 1 }}>
            <NumberField
              label="Every"
              unit="days"
              decimals={0}
              value={everyDays}
              onChange={setEveryDays}
              fieldError={fieldError('everyDays')}
            />
          </View>
        </View>
        <NumberField
          label="Nitrate of the new water"
          unit="mg/L"
          decimals={0}
          value={sourceMgL}
          onChange={setSourceMgL}
          hint={`Test your tap once, or read it in the supplier’s report. Left empty, ${USUAL_RHYTHM.sourceMgL} mg/L is assumed.`}
          fieldError={fieldError('sourceMgL')}
        />
        <View style={{ alignItems: 'flex-start' }}>
          <Button variant="primary" label="Save" spoken="Save the answers" onPress={save} />
        </View>
      </View>
    </Card>
  );
}
