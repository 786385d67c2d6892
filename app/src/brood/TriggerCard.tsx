import type { Species } from '@open-larder/catalogue';
import { addDays } from '@open-larder/core/round';
import { type Scale } from '@open-larder/core/units';
import { formatNumber } from '@open-larder/say';
import { mixFor, stepsTo } from '@open-larder/core/water/mix';
import { useState } from 'react';
import { View } from 'react-native';
import { useNow, useFormat } from '../store';
import { Button, Card, Choice, Disclosure, ListRow, NumberField, Stepper, Text } from '../ui';

/** At once no more than this is changed as a trigger. Assumption. */
const MAX_AT_ONCE = 0.4;

/** What sets them off: a dry spell without changes, then cool, soft water in steps that they tolerate. */
export function TriggerCard({
  tankC,
  gh,
  litres,
  species,
}: {
  tankC: number;
  gh: number | null;
  litres: number;
  species: Species | undefined;
}) {
  const format = useFormat();
  const now = useNow();
  const [by, setBy] = useState<'tempC' | 'tdsMgL' | 'gh'>('tempC');
  const usual = { tempC: tankC, tdsMgL: 250, gh: gh ?? 10 };
  const [have, setHave] = useState<number | null>(null);
  const [refill, setRefill] = useState<number | null>(null);
  const [target, setTarget] = useState<number | null>(null);
  const [dry, setDry] = useState(7);
  const warmth = format.scale('temperature');
  const unit = { tempC: warmth.unit, tdsMgL: 'mg/L', gh: '°dGH' }[by];
  const scale = by === 'tempC' ? warmth : undefined;
  const from = have ?? usual[by];
  const ready = refill !== null && target !== null;
  const water = (value: number) => ({ tempC: 0, tdsMgL: 0, gh: 0, [by]: value });
  const steps = ready
    ? stepsTo(by, target, water(from), water(refill), { everyDays: 1, maxShare: MAX_AT_ONCE })
    : null;
  const min = by === 'tempC' ? species?.tempMinC : by === 'gh' ? species?.ghMin : undefined;
  const under = min !== undefined && target !== null ? min - target : 0;
  const [tolerated, setTolerated] = useState<number | null>(null);
  // What the keeper said of a target holds for that one, and for all that are nearer.
  const asked = under > 0 && (tolerated === null || target! < tolerated);
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
        options={[
          { value: 'tempC', label: 'cooler water' },
          { value: 'tdsMgL', label: 'less dissolved solids' },
          { value: 'gh', label: 'softer water' },
        ]}
        onChange={(value) => {
          setBy(value);
          setHave(null);
          setRefill(null);
          setTarget(null);
          setTolerated(null);
        }}
      />
      <NumberField
        label="In the tank now"
        unit={unit}
        scale={scale}
        decimals={1}
        value={from}
        onChange={setHave}
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
        label="It shall come to"
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
        max={21}
        onChange={setDry}
        format={(value) => `${value} days`}
      />
      {asked ? (
        <View style={{ gap: 8, alignItems: 'flex-start' }}>
          <Text tone="due">
            {formatUnder(
              by === 'tempC' ? format.quantity('temperature', min!) : `${min} ${unit}`,
              by,
              under,
            )}
          </Text>
          <Button label="They tolerate it" onPress={() => setTolerated(target)} />
        </View>
      ) : null}
      {ready && !asked ? (
        steps === null ? (
          <Text tone="due">This water cannot bring it there: it lies on the other side.</Text>
        ) : (
          <Card label="The steps">
            {steps.map(({ day, share, after }, index) => (
              <ListRow
                key={day}
                first={index === 0}
                title={format.day(addDays(now.day, dry + day))}
                detail={`${Math.round(share * 100)} %: ${format.quantity('volume', Math.round(share * litres * 10) / 10)} of the new water`}
                trail={
                  <Text>
                    {by === 'tempC'
                      ? format.quantity('temperature', after.tempC)
                      : `${formatNumber(after[by], 0)} ${unit}`}
                  </Text>
                }
              />
            ))}
          </Card>
        )
      ) : null}
      <MixLines by={by} unit={unit} scale={scale} wanted={refill} />
      <Text variant="small" tone="quiet">
        Unplug heaters and pumps before hands go in. pH does not mix as its share does: test it
        after.
      </Text>
    </View>
  );
}

/** So far under what a species is known to live in, cold kills. Assumption. */
const DEADLY_C = 4;

function formatUnder(min: string, by: 'tempC' | 'tdsMgL' | 'gh', under: number): string {
  if (by === 'tempC' && under > DEADLY_C) {
    return `This species is known down to ${min}. That is far colder: it can kill them within hours, and eggs and young before them.`;
  }
  return `This species is known down to ${min}. Some keepers go under it for a while, with fish that are used to it. Do yours tolerate it?`;
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
          ? 'Say above how the new water is wanted, and what the two are like.'
          : share === null
            ? 'These two cannot make it: it lies outside of both.'
            : `${formatNumber(share * 10, 1)} parts of the one and ${formatNumber((1 - share) * 10, 1)} of the other in ten.`}
      </Text>
    </Disclosure>
  );
}
