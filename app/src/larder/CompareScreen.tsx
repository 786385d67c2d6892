import type { FoodRow } from '@open-larder/contract';
import { compared, type Compared } from '@open-larder/core/food';
import { type Fit } from '@open-larder/core/mouth';
import { pricePerGram } from '@open-larder/core/stock';
import { formatNumber } from '@open-larder/say';
import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { useHouse, useFormat, type Format } from '../store';
import { SIZES, themed } from '../theme';
import { Empty, Field, Screen, Text, Waiting } from '../ui';
import { matches, Picker } from '../ui/Picker';
import { eatersOf, suits, type ForWhom } from './eaters';

/** The foods on the shelf side by side, for one group of the house, sorted by any figure. */
export function CompareScreen() {
  const house = useHouse();
  const [forWhom, setForWhom] = useState('');
  const [filter, setFilter] = useState('');
  const { data } = house;
  const shelf = (data?.foods ?? []).filter((food) => !food.archived);
  const found = shelf.filter((food) => matches(`${food.name} ${food.kind}`, filter));
  const eaters = data ? eatersOf(data) : [];
  const eater = eaters.find((one) => one.id === forWhom) ?? eaters[0];
  return (
    <Screen
      title="Compare foods"
      back="/larder"
      detail={data ? `${found.length} foods` : undefined}
    >
      {!data ? (
        <Waiting of={house} rows={6} height={48} />
      ) : shelf.length === 0 ? (
        <Empty
          title="The shelf is empty"
          text="Put two foods on it, and hold them against each other."
        />
      ) : (
        <>
          <Picker
            label="For"
            search={eaters.length > 12}
            value={eater?.id ?? ''}
            onChange={setForWhom}
            picks={eaters.map(({ id, title, detail }) => ({ value: id, title, detail }))}
          />
          <Field label="Filter by name or kind" value={filter} onChange={setFilter} />
          <Text variant="small" tone="quiet">
            Protein, fat and fibre are shares of the dry matter, so that wet and dry food can be
            held against each other; energy is of a gram as fed. How it fits the mouth and how
            readily it is taken are worked out from size and species, until they are seen. Tap a
            heading to sort by it.
          </Text>
          {eater ? <Comparison foods={found} eater={eater} /> : null}
        </>
      )}
    </Screen>
  );
}

type Suited = ReturnType<typeof suits>;
type Figures = Compared & { fit: number | null; likely: number | null };
const FIT_ORDER: Record<Fit, number> = {
  whole: 4,
  'the smaller': 3,
  'in bites': 2,
  unknown: 1,
  'too large': 0,
};
/** A food in figures for one eater. */
function figuresOf(food: FoodRow, eater: ForWhom): { figures: Figures; suited: Suited } {
  const suited = suits(food, eater);
  return {
    figures: {
      ...compared(food, eater.guild, pricePerGram(food.lots)),
      fit: suited && FIT_ORDER[suited.fit],
      likely: suited && suited.rank,
    },
    suited,
  };
}

interface Column {
  key: keyof Figures;
  title: string;
  says: (value: number, format: Format, row: ReturnType<typeof figuresOf>) => string;
  /** Sorted this way first: the most, or the least. */
  first: 'most' | 'least';
}

const percent = (share: number) => `${formatNumber(share * 100, 0)} %`;
const COLUMNS: Column[] = [
  { key: 'fit', title: 'Fits', says: (_, __, row) => row.suited?.fits ?? '', first: 'most' },
  { key: 'likely', title: 'Taken', says: (_, __, row) => row.suited?.taken ?? '', first: 'most' },
  { key: 'energyKj', title: 'kJ/g', says: (value) => formatNumber(value, 1), first: 'most' },
  { key: 'dryProtein', title: 'Protein', says: percent, first: 'most' },
  { key: 'dryFat', title: 'Fat', says: percent, first: 'most' },
  { key: 'dryFibre', title: 'Fibre', says: percent, first: 'most' },
  { key: 'plantShare', title: 'Plant', says: percent, first: 'most' },
  { key: 'dryShare', title: 'Dry', says: percent, first: 'most' },
  {
    key: 'costPer100Kj',
    title: '100 kJ',
    says: (minor, format) => format.money(minor),
    first: 'least',
  },
  {
    key: 'costPer10GProtein',
    title: '10 g protein',
    says: (minor, format) => format.money(minor),
    first: 'least',
  },
];

function Comparison({ foods, eater }: { foods: readonly FoodRow[]; eater: ForWhom }) {
  const styles = useStyles();
  const format = useFormat();
  const columns = COLUMNS.filter(
    ({ key }) => eater.species !== null || (key !== 'fit' && key !== 'likely'),
  );
  const [by, setBy] = useState<{ key: keyof Figures; most: boolean }>({
    key: 'energyKj',
    most: true,
  });
  const rows = foods
    .map((food) => ({ food, row: figuresOf(food, eater) }))
    .sort((a, b) => order(a.row.figures[by.key], b.row.figures[by.key], by.most));
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
            <Text variant="small" tone="quiet">
              Food
            </Text>
          </View>
          {columns.map((column) => (
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
                <Text variant={by.key === column.key ? 'strong' : 'small'} align="right">
                  {column.title}
                  {by.key === column.key ? (by.most ? ' ↓' : ' ↑') : ''}
                </Text>
              </Pressable>
            </View>
          ))}
        </View>
        {rows.map(({ food, row }) => (
          <View key={food.id} role="row" style={[styles.row, styles.ruled]}>
            <View role="rowheader" style={styles.name}>
              <FoodSign family={food.family} size={20} />
              <Text>{food.name}</Text>
            </View>
            {columns.map(({ key, says }) => {
              const value = row.figures[key];
              return (
                <View key={key} role="cell" style={styles.cell}>
                  <Text align="right">{value === null ? '–' : says(value, format, row)}</Text>
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
