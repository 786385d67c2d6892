import type { FoodKind } from '@open-larder/catalogue';
import { readLabel, type Nutrient } from '@open-larder/core/label';
import { formatNumber } from '@open-larder/say';
import { formatLabelError, formatLabelPart } from '@open-larder/say/label';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Card, ErrorLine, Field, ListRow, Text } from '../ui';

interface Props {
  kind: FoodKind;
  onUse: (composition: Record<Nutrient, number>) => void;
}

const NAMES: Record<Nutrient, string> = {
  protein: 'Protein',
  fat: 'Fat',
  fibre: 'Fibre',
  ash: 'Ash',
  moisture: 'Moisture',
};

/** The analysis of a label, pasted in any wording and order: read, estimated and left over, in sight. */
export function LabelReader({ kind, onUse }: Props) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  if (!open) {
    return (
      <View style={{ alignItems: 'flex-start' }}>
        <Button label="Paste its label" onPress={() => setOpen(true)} />
      </View>
    );
  }
  const label = text.trim() === '' ? null : readLabel(text, kind);
  const use = () => {
    if (!label) return;
    const shares = Object.entries(label.parts).map(([nutrient, { share }]) => [
      nutrient,
      Math.round(share * 1e5) / 1e5,
    ]);
    onUse(Object.fromEntries(shares) as Record<Nutrient, number>);
    setOpen(false);
    setText('');
  };
  return (
    <View style={{ gap: 12 }}>
      <Field
        label="The label, as it is printed"
        lines={4}
        value={text}
        onChange={setText}
        placeholder="Crude protein 46 %, crude oils and fats 8 %, crude fibre 3 %, crude ash 10 %, moisture 7 %"
      />
      {label ? (
        <>
          <Card label="What was read">
            {(Object.keys(NAMES) as Nutrient[]).map((nutrient, index) => {
              const { share, basis } = label.parts[nutrient];
              return (
                <ListRow
                  key={nutrient}
                  first={index === 0}
                  title={NAMES[nutrient]}
                  detail={formatLabelPart(label.parts[nutrient], kind)}
                  trail={
                    <Text variant="strong">
                      {basis === 'estimated' ? '~ ' : ''}
                      {formatNumber(share * 100, 2)} %
                    </Text>
                  }
                />
              );
            })}
          </Card>
          {label.left.length > 0 ? (
            <Text tone="quiet">Not understood, and left out: {label.left.join('; ')}.</Text>
          ) : null}
          {label.fault ? <ErrorLine fieldError={formatLabelError(label.fault)} /> : null}
        </>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button label="Use these figures" disabled={!label || label.fault !== null} onPress={use} />
        <Button variant="bare" label="Not now" onPress={() => setOpen(false)} />
      </View>
    </View>
  );
}
