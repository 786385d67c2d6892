import { View } from 'react-native';
import { Button, Labelled, Text } from '../ui';
import { TimeField } from '../ui/TimeField';

interface Span {
  fromMin: number;
  toMin: number;
}

interface Props {
  value: readonly Span[];
  onChange: (spans: Span[]) => void;
  fieldError?: string;
}

const MOST = 6;
/** After work until bedtime: changed by whoever adds it. */
const EVENING: Span = { fromMin: 18 * 60, toMin: 22 * 60 };

/** The hours at which someone is at home beside the moments: young fish can be fed then. */
export function AtHomeField({ value, onChange, fieldError }: Props) {
  const put = (at: number, part: Partial<Span>) =>
    onChange(value.map((span, index) => (index === at ? { ...span, ...part } : span)));
  return (
    <Labelled
      label="At home"
      hint="Hours in which someone can feed young fish, beside the moments of the round."
      fieldError={fieldError}
    >
      <View style={{ gap: 8 }}>
        {value.length === 0 ? <Text tone="quiet">Only at the moments of the round.</Text> : null}
        {value.map((span, index) => (
          <View key={index} style={{ flexDirection: 'row', alignItems: 'flex-end', gap: 8 }}>
            <View style={{ flex: 1, minWidth: 0 }}>
              <TimeField
                label="From"
                value={span.fromMin}
                onChange={(fromMin) => put(index, { fromMin })}
              />
            </View>
            <View style={{ flex: 1, minWidth: 0 }}>
              <TimeField
                label="Until"
                value={span.toMin}
                onChange={(toMin) => put(index, { toMin })}
              />
            </View>
            <Button
              variant="bare"
              label="Remove"
              spoken={`Remove hours ${index + 1}`}
              onPress={() => onChange(value.filter((_, at) => at !== index))}
            />
          </View>
        ))}
        {value.length < MOST ? (
          <View style={{ alignItems: 'flex-start' }}>
            <Button label="Add hours" onPress={() => onChange([...value, EVENING])} />
          </View>
        ) : null}
      </View>
    </Labelled>
  );
}
