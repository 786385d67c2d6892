import ChevronDown from 'lucide-react-native/icons/chevron-down';
import { useState, type ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { SIZES, themed, useColours } from '../theme';
import { Card } from './Card';
import { Field } from './Field';
import { Labelled } from './Labelled';
import { ListRow } from './ListRow';
import { Sheet } from './Sheet';
import { Text } from './Text';

export interface Pick {
  value: string;
  title: string;
  detail?: string;
  lead?: ReactNode;
}

interface Props {
  label: string;
  value: string;
  picks: readonly Pick[];
  onChange: (value: string) => void;
  hint?: string;
  fieldError?: string;
  /**
   * Offer a search line; for long lists. A function finds the values that words mean, the best
   * first; true looks for the words themselves.
   */
  search?: boolean | ((words: string) => readonly string[]);
  placeholder?: string;
  /** What to do where nothing is found. */
  nothing?: string;
}

/** One of many: opens a sheet with a list, searched by any of its words. */
export function Picker({
  label,
  value,
  picks,
  onChange,
  hint,
  fieldError,
  search,
  placeholder,
  nothing,
}: Props) {
  const styles = useStyles();
  const colours = useColours();
  const [open, setOpen] = useState(false);
  const [words, setWords] = useState('');
  const chosen = picks.find((pick) => pick.value === value);
  const found = open ? findIn(picks, words, search) : [];
  return (
    <Labelled label={label} hint={hint} fieldError={fieldError}>
      <Pressable
        role="button"
        aria-label={`${label}: ${chosen?.title ?? placeholder ?? 'choose'}`}
        aria-haspopup="dialog"
        onPress={() => setOpen(true)}
        style={[styles.frame, fieldError ? styles.wrong : null]}
      >
        {chosen?.lead}
        <View style={styles.words}>
          <Text tone={chosen ? 'ink' : 'quiet'}>{chosen?.title ?? placeholder ?? 'Choose'}</Text>
        </View>
        <ChevronDown size={20} color={colours.ink2} />
      </Pressable>
      <Sheet title={label} open={open} onClose={() => setOpen(false)}>
        {search ? <Field label="Search" value={words} onChange={setWords} /> : null}
        {found.length === 0 ? (
          <Text tone="quiet">{nothing ?? 'Nothing by that name. Try another word.'}</Text>
        ) : (
          <Card>
            {found.slice(0, SHOWN).map((pick, index) => (
              <ListRow
                key={pick.value}
                first={index === 0}
                title={pick.title}
                detail={pick.detail}
                lead={pick.lead}
                selected={pick.value === value}
                onPress={() => {
                  onChange(pick.value);
                  setOpen(false);
                  setWords('');
                }}
              />
            ))}
          </Card>
        )}
        {found.length > SHOWN ? (
          <Text variant="small" tone="quiet">
            {found.length - SHOWN} more; type a word to find them.
          </Text>
        ) : null}
      </Sheet>
    </Labelled>
  );
}

/** Rows of a long list that are drawn: past these, searching is quicker than scrolling. */
const SHOWN = 60;

function findIn(picks: readonly Pick[], words: string, search: Props['search']): readonly Pick[] {
  if (typeof search !== 'function') {
    return picks.filter((pick) => matches(`${pick.title} ${pick.detail ?? ''}`, words));
  }
  const byValue = new Map(picks.map((pick) => [pick.value, pick]));
  return search(words).flatMap((value) => byValue.get(value) ?? []);
}

/** True where every word stands somewhere in the text, in any order. */
export function matches(text: string, words: string): boolean {
  const plain = text.toLowerCase();
  return words
    .toLowerCase()
    .split(/\s+/)
    .every((word) => plain.includes(word));
}

const useStyles = themed((c) => ({
  frame: {
    minHeight: SIZES.touch,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 12,
    backgroundColor: c.paper,
    borderColor: c.ink2,
    borderWidth: 1,
    borderRadius: SIZES.radius,
  },
  wrong: { borderColor: c.roe, borderWidth: 2 },
  words: { flex: 1, minWidth: 0 },
}));
