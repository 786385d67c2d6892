import type { Tank } from '@open-larder/contract';
import { formatNumber, formatMgL } from '@open-larder/say';
import { peakOf } from '@open-larder/core/water/sawTooth';
import { keepsUnder } from '@open-larder/core/water/keeps';
import type { WaterStatus } from '@open-larder/core/water/status';
import { USUAL_RHYTHM } from '@open-larder/core/water/rhythm';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Card, ListRow, Stepper, Text, useToast } from '../ui';
import { useRhythm } from './useRhythm';

/** No rhythm is more relaxed than this, whatever nitrate says: other things gather in the water. Practice. */
const MIN_SHARE = 0.1;
const MAX_DAYS = 28;
/** More food than this is no question of nitrate. */
const MAX_RATION = 1.5;

/** What keeps a tank under what its fish stand: each way solved for, and any mix of them tried out. */
export function KeepsCard({ tank, status }: { tank: Tank; status: WaterStatus }) {
  const router = useRouter();
  const toast = useToast();
  const rhythm = tank.plan?.water ?? USUAL_RHYTHM;
  const save = useRhythm(tank);
  const { cap, keeps, worst, foodAddsMgL } = status;
  const take = async (part: Partial<typeof rhythm>) => {
    const wrong = await save({ ...rhythm, ...part });
    if (wrong) toast(wrong.detail, { tone: 'error' });
    else toast('The rhythm is saved; the next change follows from it.');
  };
  if (cap === null || keeps === null) return null;
  const worstMgL = peakOf(Math.max(0, worst.production * foodAddsMgL - worst.uptakeMgL), rhythm);
  const fits = worstMgL <= cap.mgL;
  // Over the cap nothing is relaxed: what is done now is the least.
  const over = status.over !== null;
  const share =
    keeps.share === null ? null : Math.max(MIN_SHARE, over ? rhythm.share : 0, keeps.share);
  const everyDays =
    keeps.everyDays === null
      ? null
      : Math.min(MAX_DAYS, over ? rhythm.everyDays : MAX_DAYS, keeps.everyDays);
  const ration = keeps.ration === null ? null : over ? Math.min(1, keeps.ration) : keeps.ration;
  const none = 'not enough by itself';
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">How to keep it in range</Text>
      <Text tone={fits ? 'ink' : 'due'}>
        {`With ${formatNumber(rhythm.share * 100, 0)} % every ${rhythm.everyDays} days it peaks at about ${formatMgL(status.peakMgL)} mg/L in the long run, perhaps ${formatMgL(worstMgL)}; ${cap.groupName} tolerate about ${cap.mgL} mg/L.`}
      </Text>
      <Card label="How to keep it in range">
        <ListRow
          first
          title="Change more"
          detail={`every ${rhythm.everyDays} days, as it is`}
          trail={
            <Way
              says={share === null ? none : `${formatNumber(Math.ceil(share * 100), 0)} %`}
              spoken="Change so much"
              onTake={share === null ? null : () => take({ share: Math.ceil(share * 100) / 100 })}
            />
          }
        />
        <ListRow
          title="Change more often"
          detail={`${formatNumber(rhythm.share * 100, 0)} % each time, as it is`}
          trail={
            <Way
              says={
                everyDays === null ? none : `every ${everyDays === 1 ? 'day' : `${everyDays} days`}`
              }
              spoken="Change so often"
              onTake={everyDays === null ? null : () => take({ everyDays })}
            />
          }
        />
        <ListRow
          title="Feed less"
          detail={
            ration !== null && ration < 1
              ? 'change water first: do not starve growing fish or fry for it'
              : 'with the water as it is changed'
          }
          trail={
            ration === null ? (
              <Text>{none}</Text>
            ) : (
              <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
                <Text variant="strong">
                  {ration > MAX_RATION
                    ? `${formatNumber(MAX_RATION * 100, 0)} % of it, and more`
                    : `${formatNumber(ration * 100, 0)} % of it`}
                </Text>
                <Button
                  label="Week"
                  spoken="Open the plan of the week"
                  onPress={() => router.push({ pathname: '/week', params: { tank: tank.id } })}
                />
              </View>
            )
          }
        />
      </Card>
      <WhatIf key={`${rhythm.share} ${rhythm.everyDays}`} status={status} rhythm={rhythm} />
    </View>
  );
}

function Way({
  says,
  spoken,
  onTake,
}: {
  says: string;
  spoken: string;
  onTake: (() => void) | null;
}) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
      <Text variant={onTake ? 'strong' : 'body'}>{says}</Text>
      {onTake ? (
        <Button least="keeper" label="Take" spoken={`${spoken}: ${says}`} onPress={onTake} />
      ) : null}
    </View>
  );
}

/** Share, interval and ration together: what it would come to. */
function WhatIf({
  status,
  rhythm,
}: {
  status: WaterStatus;
  rhythm: { share: number; everyDays: number; sourceMgL: number };
}) {
  const [share, setShare] = useState(rhythm.share);
  const [everyDays, setEveryDays] = useState(rhythm.everyDays);
  const [ration, setRation] = useState(1);
  const tried = { share, everyDays, sourceMgL: rhythm.sourceMgL };
  const adds = Math.max(
    0,
    status.worst.production * status.foodAddsMgL * ration - status.worst.uptakeMgL,
  );
  const peak = peakOf(adds, tried);
  const under = keepsUnder(status.cap!.mgL, status.worst, status.foodAddsMgL * ration, tried);
  const fits = peak <= status.cap!.mgL;
  return (
    <Card label="Try it out">
      <View style={{ padding: 12, gap: 12 }}>
        <Text variant="strong">Try it out</Text>
        <Stepper
          label="Changed each time"
          value={Math.round(share * 100)}
          step={5}
          min={5}
          max={95}
          format={(value) => `${value} %`}
          onChange={(value) => setShare(value / 100)}
        />
        <Stepper
          label="Days between"
          value={everyDays}
          step={1}
          min={1}
          max={60}
          onChange={setEveryDays}
        />
        <Stepper
          label="Food, compared with the plan"
          value={Math.round(ration * 100)}
          step={10}
          min={0}
          max={300}
          format={(value) => `${value} %`}
          onChange={(value) => setRation(value / 100)}
          hint="Conditioning is about 150 to 200 %, a brood in the tank more."
        />
        <Text tone={fits ? 'done' : 'due'}>
          {`At its worst it peaks at ${formatMgL(peak)} mg/L: ${
            fits
              ? 'they tolerate it.'
              : under.share === null
                ? 'too much, and no share at that interval is enough.'
                : `too much; ${formatNumber(Math.ceil(under.share * 100), 0)} % at that interval is enough.`
          }`}
        </Text>
      </View>
    </Card>
  );
}
