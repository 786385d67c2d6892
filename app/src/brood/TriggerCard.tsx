import type { Species } from '@open-larder/catalogue';
import type { Tank } from '@open-larder/contract';
import { type Scale } from '@open-larder/core/units';
import { STANDS_MG_L, type WaterStatus } from '@open-larder/core/water';
import { mixFor } from '@open-larder/core/water/mix';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { planTrigger, refusedSteps, type TriggerRefusal } from '@open-larder/core/water/trigger';
import { formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { View } from 'react-native';
import { useNow, useFormat, type Format } from '../store';
import { Button, Card, Choice, Disclosure, ListRow, Stepper, Text, useToast } from '../ui';
import { NumberField } from '../ui/NumberField';
import { formatTriggerStep } from '../water/labels';
import { usePlanPart } from '../water/usePlanPart';

/** At once no more than this is changed as a trigger. Assumption. */
const MAX_AT_ONCE = 0.4;

interface Props {
  tank: Tank;
  groupId: string;
  litres: number;
  /** The latest tests of its water, and what its food adds a day. */
  status: WaterStatus | null;
  species: Species;
}

const BY = [
  { value: 'tempC', label: 'cooler water' },
  { value: 'tdsMgL', label: 'less dissolved solids' },
  { value: 'gh', label: 'softer water' },
] as const;
type By = (typeof BY)[number]['value'];

/** What sets them off: a dry spell without changes, then cool, soft water in steps that they tolerate. */
export function TriggerCard({ tank, groupId, litres, status, species }: Props) {
  const format = useFormat();
  const now = useNow();
  const toast = useToast();
  const savePlan = usePlanPart(tank);
  const [by, setBy] = useState<By>('tempC');
  const [have, setHave] = useState<number | null>(null);
  const [refill, setRefill] = useState<number | null>(null);
  const [target, setTarget] = useState<number | null>(null);
  const [dry, setDry] = useState(14);
  const [fall, setFall] = useState(10);
  const [rounds, setRounds] = useState(1);
  const [tolerated, setTolerated] = useState<number | null>(null);
  const warmth = format.scale('temperature');
  const unit = { tempC: warmth.unit, tdsMgL: 'mg/L', gh: '°dGH' }[by];
  const scale = by === 'tempC' ? warmth : undefined;
  const rhythm = tank.plan?.water ?? USUAL_RHYTHM;
  const read = readingsOf(tank, status, rhythm.sourceMgL);
  const from = have ?? read[by];
  const water = { ...read, [by]: from };
  const steps =
    refill === null || target === null
      ? undefined
      : planTrigger({
          from: now.day,
          dryDays: dry,
          fallShare: fall / 100,
          by,
          target,
          tank: water,
          refill: { ...water, nitrateMgL: rhythm.sourceMgL, [by]: refill },
          maxShare: MAX_AT_ONCE,
          addsMgL: status?.addsMgL ?? 0,
          heaterC: by === 'tempC' ? target : null,
          rounds,
        });
  const refused = steps
    ? refusedSteps(steps, {
        tempMinC: species.tempMinC,
        ghMin: species.ghMin ?? 0,
        nitrateMgL: status?.cap?.mgL ?? STANDS_MG_L[species.nitrate],
      })
    : [];
  // What the keeper accepted holds for that target, and for all that are nearer.
  const mayTake = tolerated !== null && target !== null && target >= tolerated;
  const held = refused.filter(({ is }) => !(mayTake && (is === 'cold' || is === 'soft')));
  const putIn = async () => {
    if (!steps) return;
    const before = tank.plan?.water ?? null;
    const trigger = {
      groupId,
      steps: steps.map(({ day, does, share, water: after }) => ({
        day,
        does,
        share,
        tempC: after.tempC,
      })),
    };
    const done = await savePlan({ water: { ...rhythm, trigger } });
    if ('problem' in done) return toast(done.problem.detail, { tone: 'error' });
    toast('It is in the plan: the Round and the water of this tank follow its steps.', {
      undo: () => void savePlan({ water: before }, done.plan),
    });
  };
  const again = () => {
    setHave(null);
    setRefill(null);
    setTarget(null);
    setTolerated(null);
  };
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">What sets them off</Text>
      <Text variant="small" tone="quiet">
        Keepers hold changes back for a while, as in a dry spell, and then change in steps with
        cooler or softer water, as in the rains. Not every species wants it; rest the pair where
        nothing comes of it.
      </Text>
      <Choice
        label="By"
        value={by}
        options={BY}
        onChange={(value) => {
          setBy(value);
          again();
        }}
      />
      <NumberField
        label="In the tank now"
        unit={unit}
        scale={scale}
        decimals={1}
        value={from}
        onChange={setHave}
        hint={testedWords(status, by, format)}
      />
      <NumberField
        label="In the new water"
        unit={unit}
        scale={scale}
        decimals={1}
        value={refill}
        onChange={setRefill}
      />
      <NumberField
        label="Down to"
        unit={unit}
        scale={scale}
        decimals={1}
        value={target}
        onChange={setTarget}
      />
      <Stepper
        label="Changes held back for"
        value={dry}
        step={1}
        min={0}
        max={28}
        onChange={setDry}
        format={(value) => `${value} days`}
      />
      <Stepper
        label="Meanwhile evaporates"
        value={fall}
        step={5}
        min={0}
        max={40}
        onChange={setFall}
        format={(value) => `${value} %`}
      />
      <Stepper
        label="Repeated until they spawn, at most"
        value={rounds}
        step={1}
        min={1}
        max={3}
        onChange={setRounds}
        format={(value) => (value === 1 ? 'once' : `${value} times`)}
      />
      {held.map((one) => (
        <Text key={one.is} tone="due">
          {formatRefusal(one, format)}
        </Text>
      ))}
      {held.some(({ is }) => is === 'cold' || is === 'soft') ? (
        <View style={{ alignItems: 'flex-start' }}>
          <Button least="keeper" label="They tolerate it" onPress={() => setTolerated(target)} />
        </View>
      ) : null}
      {steps === null ? (
        <Text tone="due">This water cannot bring it there: it lies on the other side.</Text>
      ) : null}
      {steps && held.length === 0 ? (
        <>
          <Card label="The steps">
            {steps.map((step, index) => (
              <ListRow
                key={step.day + step.does}
                first={index === 0}
                title={`${format.day(step.day)}: ${formatTriggerStep(step, litres, format)}`}
                detail={`comes to ${format.quantity('temperature', step.water.tempC)}, ${formatNumber(step.water.gh, 0)} °dGH, ${formatNumber(step.water.tdsMgL, 0)} mg/L solids, nitrate ${formatNumber(step.water.nitrateMgL, 0)} mg/L`}
                trail={<View />}
              />
            ))}
          </Card>
          <View style={{ alignItems: 'flex-start' }}>
            <Button least="keeper" variant="primary" label="Put it into the plan" onPress={putIn} />
          </View>
        </>
      ) : null}
      <MixLines by={by} unit={unit} scale={scale} wanted={refill} />
      <Text variant="small" tone="quiet">
        Unplug heaters and pumps before you reach in. pH does not mix in proportion: test it
        afterwards.
      </Text>
    </View>
  );
}

/** Dissolved solids and hardness of a tank that was never tested. Assumptions. */
const USUAL_TDS = 250;
const USUAL_GH = 10;

/** What the tank was last tested for; what was never tested is assumed. */
const readingsOf = (tank: Tank, status: WaterStatus | null, sourceMgL: number) => ({
  tempC: status?.latest.tempC?.value ?? tank.tempC,
  gh: status?.latest.gh?.value ?? tank.gh ?? USUAL_GH,
  tdsMgL: status?.latest.tdsMgL?.value ?? USUAL_TDS,
  nitrateMgL: status?.days[0]?.before ?? sourceMgL,
});

const testedWords = (status: WaterStatus | null, by: By, format: Format): string => {
  const latest = status?.latest[by];
  return latest ? `Tested ${format.day(latest.day)}.` : 'Not tested yet: an assumption.';
};

/** So far under what a species is known to live in, cold kills. Assumption. */
const DEADLY_C = 4;

function formatRefusal({ is, day, value, limit }: TriggerRefusal, format: Format): string {
  switch (is) {
    case 'cold': {
      const known = `This species is known down to ${format.quantity('temperature', limit)}.`;
      return limit - value > DEADLY_C
        ? `${known} That is far colder: it can kill them within hours, and eggs and young before them.`
        : `${known} Some keepers go under it for a while, with fish that are used to it. Do yours tolerate it?`;
    }
    case 'soft':
      return `This species is known down to ${formatNumber(limit, 0)} °dGH. Some keepers go under it for a while. Do yours tolerate it?`;
    case 'nitrate':
      return `By ${format.day(day)} nitrate would reach ${formatNumber(value, 0)} mg/L; this tank tolerates ${formatNumber(limit, 0)}. Hold changes back for fewer days, or feed less.`;
  }
}

/** What to mix of two waters, so that the new water is as it is wanted. */
function MixLines({
  by,
  unit,
  scale,
  wanted,
}: {
  by: 'tempC' | 'tdsMgL' | 'gh';
  unit: string;
  scale: Scale | undefined;
  wanted: number | null;
}) {
  const [one, setOne] = useState<number | null>(null);
  const [other, setOther] = useState<number | null>(null);
  const water = (value: number) => ({ tempC: 0, tdsMgL: 0, gh: 0, [by]: value });
  const share =
    one === null || other === null || wanted === null
      ? undefined
      : mixFor(by, wanted, water(one), water(other));
  return (
    <Disclosure title="Mix the new water" detail="of two that you have">
      <NumberField
        label="One water"
        unit={unit}
        scale={scale}
        decimals={1}
        value={one}
        onChange={setOne}
      />
      <NumberField
        label="The other water"
        unit={unit}
        scale={scale}
        decimals={1}
        value={other}
        onChange={setOther}
      />
      <Text tone={share === null ? 'due' : 'ink'}>
        {share === undefined
          ? 'Enter above what the new water should be, and what the two waters are.'
          : share === null
            ? 'These two cannot be mixed to that: it lies outside their range.'
            : `${formatNumber(share * 10, 1)} parts of the one and ${formatNumber((1 - share) * 10, 1)} of the other in ten.`}
      </Text>
    </Disclosure>
  );
}
