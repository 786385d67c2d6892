import type { Feeding, RoundServingView } from '@open-larder/contract';
import { formatGrams, formatRounding, formatServing, formatUnits } from '@open-larder/say';
import Check from 'lucide-react-native/icons/check';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { memo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { ZONE_WORDS } from '../diet/labels';
import { api, useHand, useHousehold, useRow, useFormat } from '../store';
import { themed, useColours } from '../theme';
import { Button, IconButton, Text, WhyLink } from '../ui';
import { localNow } from '../store/useNow';
import { afterPaint } from '../ui/afterPaint';
import { ServeButton } from './ServeButton';
import { Swipe } from './Swipe';

interface Props {
  serving: RoundServingView;
  day: string;
  /** The one serving that is next: its button alone is filled. */
  next: boolean;
  /** Answers false where it is asked about first. */
  onServe: () => boolean;
  /** What to do about it where it is late. */
  late: { says: string; label: string | null; onLog: () => void } | null;
  onOther: () => void;
  onUndo: (fed: Feeding) => void;
}

/** «Step 2 of 5: mix it in» */
const formatMixed = ({ role, step, of }: NonNullable<RoundServingView['mixed']>) =>
  role === 'new' ? `Training, step ${step} of ${of}: mix it in` : 'Mixed with the new food';

/** One serving to serve, or what became of it. */
export function ServingRow({ serving, day, next, late, onServe, onOther, onUndo }: Props) {
  const styles = useStyles();
  const colours = useColours();
  const row = useRow();
  const [tapped, setTapped] = useState(false);
  const { fed } = serving;
  const [before, setBefore] = useState(fed);
  if (before !== fed) {
    setBefore(fed);
    setTapped(false);
  }
  const serve = () => {
    if (tapped) return;
    setTapped(true);
    afterPaint(() => {
      if (!onServe()) setTapped(false);
    });
  };
  if (serving.fed) {
    return <Fed serving={serving} fed={serving.fed} onUndo={onUndo} onAgain={onOther} />;
  }
  return (
    <Swipe right={{ says: 'Served', onSwipe: serve }} left={{ says: 'Other', onSwipe: onOther }}>
      <View style={[styles.row, row]}>
        <Told serving={serving} day={day} late={late} />
        <View style={[styles.acts, row]}>
          <IconButton
            least="feeder"
            label={`Less, more, refused or skipped: ${serving.foodName} for ${serving.groupName}`}
            onPress={onOther}
          >
            <Ellipsis size={24} color={colours.ink} />
          </IconButton>
          <ServeButton
            family={serving.family}
            served={tapped}
            next={next}
            spoken={`Served: ${serving.portion} ${serving.foodName} for ${serving.groupName}`}
            onPress={serve}
            onHold={onOther}
          />
        </View>
      </View>
    </Swipe>
  );
}

/**
 * What goes in, who gets it and how; tapped, why that much. Its own, so that a tap on the serving draws
 * the sign alone, and not all these lines.
 */
const Told = memo(function Told({ serving, day, late }: Pick<Props, 'serving' | 'day' | 'late'>) {
  const styles = useStyles();
  const hand = useHand();
  const [opened, setOpened] = useState(false);
  const [askWhy, why] = api.useLazyRoundWhyQuery();
  const place = [serving.place, ZONE_WORDS[serving.zone], serving.manner, serving.prepare]
    .filter(Boolean)
    .join(', ');
  const rounding = formatRounding(serving.ofWanted);
  return (
    <View style={styles.words}>
      <Pressable
        role="button"
        aria-expanded={opened}
        aria-label={`More of ${formatServing(serving.portion, serving.foodName)} for ${serving.groupName}`}
        onPress={() => setOpened(!opened)}
        style={styles.told}
      >
        <Text variant="strong">{formatServing(serving.portion, serving.foodName)}</Text>
        <Text variant="small" tone="quiet">
          {serving.groupName} · {place}
        </Text>
      </Pressable>
      {serving.mixed ? (
        <Text variant="small" tone="due">
          {formatMixed(serving.mixed)}
        </Text>
      ) : null}
      {late ? (
        <View style={styles.late}>
          <Text variant="small" tone="due">
            {late.says}
          </Text>
          {late.label ? (
            <Button
              least="feeder"
              variant="bare"
              label={late.label}
              spoken={`${late.label}: ${serving.foodName} for ${serving.groupName}`}
              onPress={late.onLog}
            />
          ) : null}
        </View>
      ) : null}
      {opened ? (
        <>
          {rounding ? (
            <Text variant="small" tone="quiet">
              {rounding}
            </Text>
          ) : null}
          <View style={styles.figures}>
            <Text variant="small" tone="quiet">
              {formatGrams(serving.massG)}
            </Text>
            <WhyLink
              about={serving.portion}
              why={why.data?.why}
              onOpen={() => void askWhy({ day, servingId: serving.servingId, hand }, true)}
            />
          </View>
        </>
      ) : null}
    </View>
  );
});

function Fed({
  serving,
  fed,
  onUndo,
  onAgain,
}: {
  serving: RoundServingView;
  fed: Feeding;
  onUndo: (fed: Feeding) => void;
  onAgain: () => void;
}) {
  const styles = useStyles();
  const format = useFormat();
  const colours = useColours();
  const row = useRow();
  const household = useHousehold();
  const at = localNow(new Date(fed.at), household?.timeZone ?? 'UTC').minutes;
  const amount = fed.outcome === 'skipped' ? serving.portion : formatUnits(fed.units, serving.unit);
  return (
    <View style={[styles.row, row, styles.fed]}>
      <Check size={22} color={fed.outcome === 'skipped' ? colours.ink2 : colours.duckweed} />
      <View style={styles.words}>
        <Text>{formatServing(amount, serving.foodName)}</Text>
        <Text variant="small" tone="quiet">
          {serving.groupName} · {fed.outcome} {format.time(at)}
          {fed.hand ? ` by ${fed.hand}` : ''}
          {fed.note ? ` · ${fed.note}` : ''}
        </Text>
      </View>
      <Button
        least="feeder"
        variant="bare"
        label="Undo"
        spoken={`Undo: ${serving.foodName} for ${serving.groupName}`}
        onPress={() => onUndo(fed)}
      />
      <IconButton
        least="feeder"
        label={`Feed again: ${serving.foodName} for ${serving.groupName}`}
        onPress={onAgain}
      >
        <Ellipsis size={24} color={colours.ink2} />
      </IconButton>
    </View>
  );
}

const useStyles = themed((c) => ({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 10,
    paddingLeft: 12,
    paddingRight: 6,
    paddingVertical: 4,
    borderTopWidth: 1,
    borderColor: c.rule,
  },
  fed: { paddingVertical: 2 },
  words: { flex: 1, minWidth: 0 },
  told: { minHeight: 48, justifyContent: 'center' },
  late: { alignItems: 'flex-start' },
  figures: { flexDirection: 'row', alignItems: 'center', gap: 4, marginVertical: -8 },
  acts: { flexDirection: 'row', alignItems: 'center' },
}));
