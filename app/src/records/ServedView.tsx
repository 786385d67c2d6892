import { formatGrams } from '@open-larder/say';
import { addDays } from '@open-larder/core/round';
import {
  createColumnHelper,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import ArrowDown from 'lucide-react-native/icons/arrow-down';
import ArrowUp from 'lucide-react-native/icons/arrow-up';
import { useMemo, useState } from 'react';
import { Pressable, View } from 'react-native';
import { FoodSign } from '../draw/FoodSign';
import { api, useFormat, latest } from '../store';
import { call } from '../store/call';
import { saveFile } from '../table/saveFile';
import { SIZES, themed, useColours, useWide } from '../theme';
import { Button, Card, Choice, Empty, Field, Text, useToast, Waiting } from '../ui';
import { AcceptanceSheet } from './AcceptanceSheet';
import { DoneTable } from './DoneTable';
import { eatenShare, sumServed, totalOf, type By, type ServedSum } from './served';

/** Rows drawn at once; more come when they are asked for. */
const AT_ONCE = 40;
const grams = (value: number) => formatGrams(value).replace(/ g$/, '');
const column = createColumnHelper<ServedSum>();

/** What was offered, eaten, refused and left: by food, group or tank, over up to a year. */
export function ServedView({ to }: { to: string }) {
  const toast = useToast();
  const [days, setDays] = useState(28);
  const [by, setBy] = useState<By>('food');
  const [filter, setFilter] = useState('');
  const [looked, setLooked] = useState<ServedSum | null>(null);
  const span = { from: addDays(to, 1 - days), to };
  const { data, error, refetch } = latest(api.useServedQuery(span));
  const rows = useMemo(() => sumServed(data?.rows ?? [], by, filter), [data, by, filter]);
  const save = async () => {
    const answer = await call('exportServed', { query: span });
    if ('error' in answer) toast(answer.error.detail, { tone: 'error' });
    else saveFile(answer.data.fileName, answer.data.text);
  };
  return (
    <View style={{ gap: 16 }}>
      <Choice
        label="Days back"
        value={days}
        onChange={setDays}
        options={[
          { value: 7, label: 'a week' },
          { value: 28, label: 'four weeks' },
          { value: 91, label: 'three months' },
          { value: 365, label: 'a year' },
        ]}
      />
      <Choice
        label="Added up by"
        value={by}
        onChange={setBy}
        options={[
          { value: 'food', label: 'food' },
          { value: 'group', label: 'group' },
          { value: 'tank', label: 'tank' },
          { value: 'pair', label: 'group and food' },
        ]}
      />
      <Field
        label="Filter by food, group or tank"
        value={filter}
        onChange={setFilter}
        placeholder="wafer"
      />
      {!data ? (
        <Waiting of={{ error, refetch }} rows={4} height={56} />
      ) : data.rows.length === 0 ? (
        <Empty
          title="Nothing was logged in these days"
          text="Choose a longer span, or log servings on the Round."
        />
      ) : (
        <>
          <ServedTable rows={rows} onLook={setLooked} />
          <View style={{ alignItems: 'flex-start' }}>
            <Button label="Save as CSV" onPress={() => save()} />
          </View>
          <DoneTable rows={data.moments} />
          <Text variant="small" tone="quiet">
            Eaten is what was neither refused nor seen to be left; where it was not checked, all of
            it counts as eaten. Cost is of what was offered, at the mean price of what is on the
            shelf.
          </Text>
        </>
      )}
      {looked?.pair ? (
        <AcceptanceSheet
          sum={looked}
          pair={looked.pair}
          span={span}
          onClose={() => setLooked(null)}
        />
      ) : null}
    </View>
  );
}

function ServedTable({ rows, onLook }: { rows: ServedSum[]; onLook: (row: ServedSum) => void }) {
  const styles = useStyles();
  const format = useFormat();
  const wide = useWide();
  const [sorting, setSorting] = useState<SortingState>([{ id: 'offered', desc: true }]);
  const [shown, setShown] = useState(AT_ONCE);
  const total = totalOf(rows);
  const columns = useMemo(
    () => [
      column.accessor('name', { id: 'name', header: 'Name', sortDescFirst: false }),
      ...(wide ? [column.accessor('servings', { id: 'servings', header: 'Servings' })] : []),
      column.accessor('offeredG', { id: 'offered', header: 'Offered, g' }),
      column.accessor((row) => eatenShare(row), { id: 'eaten', header: 'Eaten, %' }),
      ...(wide
        ? [
            column.accessor('refusedG', { id: 'refused', header: 'Refused, g' }),
            column.accessor('leftG', { id: 'left', header: 'Left, g' }),
          ]
        : []),
      column.accessor('costMinor', { id: 'cost', header: 'Cost' }),
    ],
    [wide],
  );
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: (row) => row.key,
    // One of the columns always shows the order.
    enableSortingRemoval: false,
  });
  const toast = (
    id: string,
    row: Omit<ServedSum, 'key' | 'name' | 'detail' | 'family' | 'pair'>,
  ) => {
    switch (id) {
      case 'servings':
        return String(row.servings);
      case 'offered':
        return grams(row.offeredG);
      case 'eaten':
        return `${Math.round(eatenShare(row))}`;
      case 'refused':
        return grams(row.refusedG);
      case 'left':
        return grams(row.leftG);
      default:
        return row.costMinor === null ? '–' : format.money(row.costMinor);
    }
  };
  const ids = table.getAllLeafColumns().map(({ id }) => id);
  const sorted = table.getRowModel().rows;
  return (
    <Card>
      <View role="table" aria-label="What was served">
        <View role="row" style={styles.row}>
          {table.getFlatHeaders().map((header) => (
            <Head
              key={header.id}
              label={String(header.column.columnDef.header)}
              first={header.id === 'name'}
              sorted={header.column.getIsSorted()}
              onSort={() => header.column.toggleSorting()}
            />
          ))}
        </View>
        {sorted.slice(0, shown).map(({ original }) => (
          <View key={original.key} role="row" style={[styles.row, styles.ruled]}>
            <View style={styles.name} role="rowheader">
              <Name row={original} onLook={onLook} />
            </View>
            {ids.slice(1).map((id) => (
              <View key={id} role="cell" style={styles.cell}>
                <Text
                  align="right"
                  tone={id === 'eaten' && eatenShare(original) < LITTLE ? 'due' : 'ink'}
                >
                  {toast(id, original)}
                </Text>
              </View>
            ))}
          </View>
        ))}
        <View role="row" style={[styles.row, styles.ruled]}>
          <View role="rowheader" style={styles.name}>
            <Text variant="strong">{`All ${rows.length}`}</Text>
          </View>
          {ids.slice(1).map((id) => (
            <View key={id} role="cell" style={styles.cell}>
              <Text variant="strong" align="right">
                {toast(id, total)}
              </Text>
            </View>
          ))}
        </View>
      </View>
      {sorted.length > shown ? (
        <Button
          variant="bare"
          label={`${Math.min(AT_ONCE, sorted.length - shown)} more of ${sorted.length}`}
          onPress={() => setShown(shown + AT_ONCE)}
        />
      ) : null}
    </Card>
  );
}

/** What a line is about; a single group and food can be looked at week by week. */
function Name({ row, onLook }: { row: ServedSum; onLook: (row: ServedSum) => void }) {
  const styles = useStyles();
  const format = (
    <>
      {row.family ? <FoodSign family={row.family} size={20} /> : null}
      <View style={{ flex: 1, minWidth: 0 }}>
        <Text>{row.name}</Text>
        {row.detail ? (
          <Text variant="small" tone="quiet">
            {row.detail}
          </Text>
        ) : null}
        {row.pair ? (
          <View style={styles.underlined}>
            <Text variant="small">week by week</Text>
          </View>
        ) : null}
      </View>
    </>
  );
  return row.pair ? (
    <Pressable
      role="button"
      aria-label={`Week by week: ${row.name} for ${row.detail}`}
      onPress={() => onLook(row)}
      style={styles.look}
    >
      {format}
    </Pressable>
  ) : (
    format
  );
}

/** Less of it eaten than this stands out, %. */
const LITTLE = 70;

function Head({
  label,
  first,
  sorted,
  onSort,
}: {
  label: string;
  first: boolean;
  sorted: false | 'asc' | 'desc';
  onSort: () => void;
}) {
  const styles = useStyles();
  const colours = useColours();
  const Arrow = sorted === 'asc' ? ArrowUp : ArrowDown;
  return (
    <View
      role="columnheader"
      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
      style={first ? styles.name : styles.cell}
    >
      <Pressable
        role="button"
        aria-label={`Sort by ${label}`}
        onPress={onSort}
        style={[styles.head, first ? null : styles.headEnd]}
      >
        {sorted ? (
          <View style={styles.arrow}>
            <Arrow size={14} color={colours.ink2} />
          </View>
        ) : null}
        <Text variant="small" tone={sorted ? 'ink' : 'quiet'} align={first ? 'left' : 'right'}>
          {label}
        </Text>
      </Pressable>
    </View>
  );
}

const useStyles = themed((c) => ({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 12,
    paddingVertical: 6,
  },
  ruled: { borderTopWidth: 1, borderColor: c.rule },
  name: { flex: 2.2, minWidth: 0, flexDirection: 'row', alignItems: 'center', gap: 8 },
  look: {
    flex: 1,
    minWidth: 0,
    minHeight: SIZES.touch,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
  },
  underlined: { alignSelf: 'flex-start', borderBottomWidth: 1, borderColor: c.ink2 },
  cell: { flex: 1, minWidth: 0 },
  head: { minHeight: SIZES.touch, flexDirection: 'row', alignItems: 'center', gap: 4 },
  arrow: { flexShrink: 0 },
  headEnd: { justifyContent: 'flex-end' },
}));
