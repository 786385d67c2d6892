import type { Feeding, RoundServingView } from '@open-larder/contract';
import { formatGrams, formatUnits, formatRounding } from '@open-larder/say';
import Check from 'lucide-react-native/icons/check';
import Ellipsis from 'lucide-react-native/icons/ellipsis';
import { memo, useState } from 'react';
import { View } from 'react-native';
import { ZONE_WORDS } from '../diet/labels';
import { FoodSign } from '../draw/FoodSign';
import { api, useHand, useHousehold, useRow, useFormat } from '../store';
import { themed, useColours } from '../theme';
import { Button, IconButton, Text, WhyLink, lowerFirst } from '../ui';
import { localNow } from '../store/useNow';
import { afterPaint } from './afterPaint';
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
        {tapped ? (
          <Check size={24} color={colours.duckweed} />
        ) : (
          <FoodSign family={serving.family} />
        )}
        <Told serving={serving} day={day} late={late} />
        <View style={[styles.acts, row]}>
          <Button
            tall
            variant={next && !tapped ? 'primary' : 'plain'}
            label="Served"
            onHold={onOther}
            spoken={`Served: ${serving.portion} ${serving.foodName} for ${serving.groupName}`}
            onPress={serve}
          />
          <IconButton
            label={`Less, more, refused or skipped: ${serving.foodName} for ${serving.groupName}`}
            onPress={onOther}
          >
            <Ellipsis size={24} color={colours.ink} />
          </IconButton>
        </View>
      </View>
    </Swipe>
  );
}

/**
 * What goes in, for whom, how and why that much. Its own, so that a tap on the serving draws the
 * mark and the button, and not all these lines.
 */
const Told = memo(function Told({ serving, day, late }: Pick<Props, 'serving' | 'day' | 'late'>) {
  const styles = useStyles();
  const hand = useHand();
  const [askWhy, why] = api.useLazyRoundWhyQuery();
  const place = [serving.place, ZONE_WORDS[serving.zone], serving.manner]
    .filter(Boolean)
    .join(', ');
  const rounding = formatRounding(serving.ofWanted);
  return (
    <View style={styles.words}>
      <Text variant="strong">
        {serving.portion} {lowerFirst(serving.foodName)}
      </Text>
      <Text variant="small" tone="quiet">
        {serving.groupName} · {place}
      </Text>
      {serving.prepare ? (
        <Text variant="small" tone="quiet">
          First: {serving.prepare}
        </Text>
      ) : null}
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
              variant="bare"
              label={late.label}
              spoken={`${late.label}: ${serving.foodName} for ${serving.groupName}`}
              onPress={late.onLog}
            />
          ) : null}
        </View>
      ) : null}
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
        <Text>
          {amount} {lowerFirst(serving.foodName)}
        </Text>
        <Text variant="small" tone="quiet">
          {serving.groupName} · {fed.outcome} {format.time(at)}
          {fed.hand ? ` by ${fed.hand}` : ''}
          {fed.note ? ` · ${fed.note}` : ''}
        </Text>
      </View>
      <Button
        variant="bare"
        label="Undo"
        spoken={`Undo: ${serving.foodName} for ${serving.groupName}`}
        onPress={() => onUndo(fed)}
      />
      <IconButton
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
    paddingRight: 4,
    paddingVertical: 8,
    borderTopWidth: 1,
    borderColor: c.rule,
  },
  fed: { paddingVertical: 4 },
  words: { flex: 1, minWidth: 0 },
  late: { alignItems: 'flex-start' },
  figures: { flexDirection: 'row', alignItems: 'center', gap: 4, marginVertical: -8 },
  acts: { flexDirection: 'row', alignItems: 'center' },
}));
