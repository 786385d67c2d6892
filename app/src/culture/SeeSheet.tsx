import type { Clarity, Density as DensityScore } from '@open-larder/core/culture';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Disclosure, Sheet, Text } from '../ui';
import { NumberField } from '../ui/NumberField';
import { ClarityChoice, DensityChoice } from './DensityChoice';
import type { Culture } from './useCultures';
import { useVesselEvent } from './useVesselEvent';
import { CLARITY_WORDS, DENSITY_WORDS } from './labels';

/** What is seen of a culture: one of five drawn densities, its water, and a count if they like. */
export function SeeSheet({ culture, onClose }: { culture: Culture; onClose: () => void }) {
  const logEvent = useVesselEvent();
  const [density, setDensity] = useState<DensityScore | null>(null);
  const [clarity, setClarity] = useState<Clarity | null>(null);
  const [count, setCount] = useState<number | null>(null);
  const [sampleMl, setSampleMl] = useState<number | null>(5);
  const inWater = culture.kind.measure === 'L';
  const counted = count !== null && sampleMl !== null && sampleMl > 0;
  const note = async () => {
    if (density !== null || clarity !== null) {
      const done = await logEvent(
        culture.id,
        { kind: 'seen', density, clarity },
        `Noted: ${[density && DENSITY_WORDS[density], clarity && CLARITY_WORDS[clarity]].filter(Boolean).join(', ')}.`,
      );
      if (!done) return;
    }
    if (counted) {
      const done = await logEvent(
        culture.id,
        { kind: 'counted', count: Math.round(count), sampleMl },
        'The count is noted.',
      );
      if (!done) return;
    }
    onClose();
  };
  return (
    <Sheet title={`Look at ${culture.name}`} open onClose={onClose}>
      <Text tone="quiet">Hold a glass of it against the light. Which of these is it like?</Text>
      <DensityChoice kind={culture.kind} value={density} onChange={setDensity} />
      {inWater ? (
        <>
          <ClarityChoice kind={culture.kind} value={clarity} onChange={setClarity} />
          <Disclosure title="I counted them" detail="in a spoon, if you like">
            <NumberField label="Animals" value={count} onChange={setCount} />
            <NumberField
              label="In so much water"
              unit="mL"
              value={sampleMl}
              onChange={setSampleMl}
            />
          </Disclosure>
        </>
      ) : null}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Note it"
          disabled={density === null && clarity === null && !counted}
          onPress={() => note()}
        />
      </View>
    </Sheet>
  );
}
