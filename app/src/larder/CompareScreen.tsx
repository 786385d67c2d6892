import { GUILDS, type Guild } from '@open-larder/catalogue';
import type { FoodRow, Problem } from '@open-larder/contract';
import { compared, type Compared } from '@open-larder/core/food';
import { pricePerGram } from '@open-larder/core/stock';
import { sayNumber } from '@open-larder/core/units';
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { FoodSign } from '../draw';
import { api, useWords, type Words } from '../store';
import { SIZES, themed } from '../theme';
import { Empty, Fault, Field, matches, Picker, Screen, Skeleton, Text } from '../ui';

interface Column {
  key: keyof Compared;
  title: string;
  says: (value: number, words: Words) => string;
  /** Sorted this way first: the most, or the least. */
  first: 'most' | 'least';
}

const percent = (share: number) => `${sayNumber(share * 100, 0)} %`;
const COLUMNS: Column[] = [
  { key: 'energyKj', title: 'kJ/g', says: (value) => sayNumber(value, 1), first: 'most' },
  { key: 'dryProtein', title: 'Protein', says: percent, first: 'most' },
  { key: 'dryFat', title: 'Fat', says: percent, first: 'most' },
  { key: 'dryFibre', title: 'Fibre', says: percent, first: 'most' },
  { key: 'plantShare', title: 'Plant', says: percent, first: 'most' },
  { key: 'dryShare', title: 'Dry', says: percent, first: 'most' },
  {
    key: 'costPer100Kj',
    title: '100 kJ',
    says: (minor, words) => words.money(minor),
    first: 'least',
  },
  {
    key: 'costPer10GProtein',
    title: '10 g protein',
    says: (minor, words) => words.money(minor),
    first: 'least',
  },
];

/** The foods on the shelf side by side, sorted by any figure. */
export function CompareScreen() {
  const { data: foods, error, refetch } = api.useFoodsQuery();
  const [guild, setGuild] = useState<Guild>('omnivore');
  const [filter, setFilter] = useState('');
  const shelf = (foods ?? []).filter((food) => !food.archived);
  const found = shelf.filter((food) => matches(`${food.name} ${food.kind}`, filter));
  return (
    <Screen
      title="Compare foods"
      back="/larder"
      detail={foods ? `${found.length} foods` : undefined}
    >
      {error ? (
        <Fault problem={error as Problem} onRetry={() => void refetch()} />
      ) : !foods ? (
        <Skeleton rows={6} height={48} />
      ) : shelf.length === 0 ? (
        <Empty
          title="The shelf is empty"
          text="Put two foods on it, and hold them against each other."
        />
      ) : (
        <>
          <Picker
            label="As it is digested by a"
            value={guild}
            onChange={(picked) => setGuild(picked as Guild)}
            picks={GUILDS.map((one) => ({ value: one, title: one }))}
          />
          <Field label="Filter by name or kind" value={filter} onChange={setFilter} />
          <Text look="small" tone="quiet">
            Protein, fat and fibre are shares of the dry matter, so that wet and dry food can be
            held against each other; energy is of a gram as fed. Tap a heading to sort by it.
          </Text>
          <Comparison foods={found} guild={guild} />
        </>
      )}
    </Screen>
  );
}

function Comparison({ foods, guild }: { foods: readonly FoodRow[]; guild: Guild }) {
  const styles = useStyles();
  const words = useWords();
  const [by, setBy] = useState<{ key: keyof Compared; most: boolean }>({
    key: 'energyKj',
    most: true,
  });
  const rows = foods
    .map((food) => ({ food, figures: compared(food, guild, pricePerGram(food.lots)) }))
    .sort((a, b) => order(a.figures[by.key], b.figures[by.key], by.most));
  const sortBy = ({ key, first }: Column) =>
    setBy(key === by.key ? { key, most: !by.most } : { key, most: first === 'most' });
  return (
    <ScrollView
      horizontal
      style={styles.frame}
      contentContainerStyle={styles.whole}
      tabIndex={0}
      role="region"
      aria-label="Foods side by side"
    >
      <View role="table" aria-label="Foods side by side" style={styles.whole}>
        <View role="row" style={styles.row}>
          <View role="columnheader" style={styles.name}>
            <Text look="small" tone="quiet">
              Food
            </Text>
          </View>
          {COLUMNS.map((column) => (
            <View
              key={column.key}
              role="columnheader"
              aria-sort={by.key === column.key ? (by.most ? 'descending' : 'ascending') : 'none'}
              style={styles.cell}
            >
              <Pressable
                role="button"
                aria-label={`Sort by ${column.title}`}
                onPress={() => sortBy(column)}
                style={styles.head}
              >
                <Text look={by.key === column.key ? 'strong' : 'small'} align="right">
                  {column.title}
                  {by.key === column.key ? (by.most ? ' ↓' : ' ↑') : ''}
                </Text>
              </Pressable>
            </View>
          ))}
        </View>
        {rows.map(({ food, figures }) => (
          <View key={food.id} role="row" style={[styles.row, styles.ruled]}>
            <View role="rowheader" style={styles.name}>
              <FoodSign family={food.family} size={20} />
              <Text>{food.name}</Text>
            </View>
            {COLUMNS.map(({ key, says }) => {
              const value = figures[key];
              return (
                <View key={key} role="cell" style={styles.cell}>
                  <Text align="right">{value === null ? '–' : says(value, words)}</Text>
                </View>
              );
            })}
          </View>
        ))}
      </View>
    </ScrollView>
  );
}

/** What is not known stands last, whichever way the rest is sorted. */
function order(a: number | null, b: number | null, most: boolean): number {
  if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
  return most ? b - a : a - b;
}

const useStyles = themed((c) => ({
  frame: {
    backgroundColor: c.paper,
    borderWidth: 1,
    borderColor: c.rule,
    borderRadius: SIZES.radius,
  },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: SIZES.touch,
    paddingHorizontal: 12,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  whole: { flexGrow: 1 },
  name: {
    flexGrow: 1,
    flexShrink: 0,
    flexBasis: 160,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 6,
  },
  cell: { width: 92, alignItems: 'flex-end' },
  head: { minHeight: SIZES.touch, justifyContent: 'center' },
}));
