import { isFromEggs } from '@open-larder/core/culture';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../store';
import { themed } from '../theme';
import { Button, Sheet, Text } from '../ui';
import { NumberField } from '../ui/NumberField';
import { EditVesselSheet } from './EditVesselSheet';
import { HarvestSheet } from './HarvestSheet';
import { SeeSheet } from './SeeSheet';
import type { Culture } from './useCultures';
import { useVesselEvent } from './useVesselEvent';

type Open = 'see' | 'harvest' | 'more' | 'edit' | null;

/** What can be done at a vessel, the usual first. */
export function VesselActs({ culture }: { culture: Culture }) {
  const styles = useStyles();
  const router = useRouter();
  const logEvent = useVesselEvent();
  const [open, setOpen] = useState<Open>(null);
  const { state } = culture.status;
  const close = () => setOpen(null);
  const living = !['crashed', 'ended'].includes(state);
  return (
    <View style={styles.acts}>
      {living ? (
        <>
          <Button least="feeder" label="Look" onPress={() => setOpen('see')} />
          <Button least="feeder" label="Harvest" onPress={() => setOpen('harvest')} />
          {culture.kind.feedDays === null ? null : (
            <Button
              least="feeder"
              label="Fed"
              onPress={() => logEvent(culture.id, { kind: 'fed' }, `${culture.name} is fed.`)}
            />
          )}
          {isFromEggs(culture.kind) ? null : (
            <Button
              least="keeper"
              label="Start another from it"
              onPress={() =>
                router.push({ pathname: '/larder/live/new', params: { from: culture.id } })
              }
            />
          )}
        </>
      ) : null}
      {state === 'ended' ? null : (
        <Button least="feeder" label="More" onPress={() => setOpen('more')} />
      )}
      <Button least="keeper" label="Correct" onPress={() => setOpen('edit')} />
      {open === 'see' ? <SeeSheet culture={culture} onClose={close} /> : null}
      {open === 'harvest' ? <HarvestSheet culture={culture} onClose={close} /> : null}
      {open === 'more' ? <MoreSheet culture={culture} onClose={close} /> : null}
      {open === 'edit' ? <EditVesselSheet culture={culture} onClose={close} /> : null}
    </View>
  );
}

/** The rarer things that happen to a vessel. */
function MoreSheet({ culture, onClose }: { culture: Culture; onClose: () => void }) {
  const styles = useStyles();
  const format = useFormat();
  const logEvent = useVesselEvent();
  const [tempC, setTempC] = useState<number | null>(culture.status.tempC);
  const [massG, setMassG] = useState<number | null>(null);
  const [share, setShare] = useState<number | null>(25);
  const [eggsG, setEggsG] = useState<number | null>(culture.startG);
  const hatch = isFromEggs(culture.kind);
  const scale = format.scale('temperature');
  const { id, name, status } = culture;
  const done = async (event: Parameters<typeof logEvent>[1], says: string) => {
    if (await logEvent(id, event, says)) onClose();
  };
  const good = (value: number | null): value is number => value !== null && Number.isFinite(value);
  return (
    <Sheet title={`More about ${name}`} open onClose={onClose}>
      <View style={styles.acts}>
        <Button
          least="feeder"
          label="Topped up"
          onPress={() => done({ kind: 'topped' }, `${name} is topped up.`)}
        />
        {status.state === 'resting' ? (
          <Button
            least="feeder"
            label="Take it up again"
            onPress={() => done({ kind: 'woken' }, `${name} is taken up again.`)}
          />
        ) : (
          <Button
            least="feeder"
            label="Let it rest"
            onPress={() =>
              void done({ kind: 'rested' }, `${name} rests: it asks for nothing and gives nothing.`)
            }
          />
        )}
        {hatch ? null : (
          <Button
            least="feeder"
            label="Set up anew"
            onPress={() => done({ kind: 'restarted', massG: null }, `${name} was set up again.`)}
          />
        )}
        <Button
          least="feeder"
          label="It crashed"
          onPress={() =>
            void done(
              { kind: 'crashed' },
              `${name} crashed. Its family shows which others share its water or tools.`,
            )
          }
        />
        <Button
          least="feeder"
          label="End it"
          onPress={() => done({ kind: 'ended' }, `${name} ended. It stays in its family.`)}
        />
      </View>
      {hatch ? (
        <Line
          label="It was set up again"
          act="Set up"
          disabled={!good(eggsG) || eggsG <= 0}
          onPress={() => done({ kind: 'restarted', massG: eggsG }, `${name} was set up again.`)}
        >
          <NumberField label="Eggs, dry" unit="g" value={eggsG} onChange={setEggsG} />
        </Line>
      ) : null}
      <Line
        label="Its water was changed"
        act="Changed"
        disabled={!good(share)}
        onPress={() =>
          void done({ kind: 'changed', share: (share ?? 0) / 100 }, `Water of ${name} is changed.`)
        }
      >
        <NumberField label="Share of it" unit="%" value={share} onChange={setShare} />
      </Line>
      <Line
        label="Its temperature was read"
        act="Read"
        disabled={!good(tempC)}
        onPress={() =>
          void done(
            { kind: 'warmth', tempC: tempC ?? 0 },
            'Temperature noted. It is used for the next few days.',
          )
        }
      >
        <NumberField
          label="Temperature"
          unit={scale.unit}
          scale={scale}
          decimals={1}
          value={tempC}
          onChange={setTempC}
        />
      </Line>
      <Line
        label="More of its kind was put in"
        act="Put in"
        disabled={!good(massG) || massG <= 0}
        onPress={() => done({ kind: 'added', massG: massG ?? 0 }, `Put into ${name}.`)}
      >
        <NumberField label="So much" unit="g" value={massG} onChange={setMassG} />
      </Line>
      <Text variant="small" tone="quiet">
        Never pour a culture, or its water, into open water or a drain that leads there.
      </Text>
    </Sheet>
  );
}

function Line({
  label,
  act,
  disabled,
  onPress,
  children,
}: {
  label: string;
  act: string;
  disabled: boolean;
  onPress: () => void;
  children: React.ReactNode;
}) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'flex-end', gap: 8 }}>
      <View style={{ flex: 1, minWidth: 0 }}>{children}</View>
      <Button label={act} spoken={label} disabled={disabled} onPress={onPress} />
    </View>
  );
}

const useStyles = themed(() => ({
  acts: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
}));
