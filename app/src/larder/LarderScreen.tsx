import type { FoodRow } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { Jar } from '../draw/Jar';
import { ScreenTools } from '../shell';
import { api, useNow, useFormat } from '../store';
import { SIZES, themed, useColours, useWide } from '../theme';
import { Button, Choice, Empty, Field, Screen, Text, Waiting } from '../ui';
import { matches } from '../ui/Picker';
import { Corrected } from './Corrected';
import { FoodDetail } from './FoodDetail';
import { LarderTabs } from './LarderTabs';
import { Shopping } from './Shopping';
import { Waste } from './Waste';
import {
  FULL_SHELF,
  jarOf,
  LOOKS,
  shelvesOf,
  type FoodSupply,
  type Look,
  type Shelf,
} from './shelves';

/** The shelf of jars; when wide, the chosen one is shown beside it. */
export function LarderScreen({ id }: { id?: string }) {
  const router = useRouter();
  const format = useFormat();
  const wide = useWide();
  const colours = useColours();
  const foods = api.useFoodsQuery();
  const supply = api.useSupplyQuery();
  const all = (foods.data ?? []).filter((food) => !food.archived);
  const byFood = new Map(supply.data?.foods.map((one) => [one.foodId, one]));
  const chosen =
    all.find((food) => food.id === id) ?? (wide && !id ? mostUrgent(all, byFood) : undefined);
  const alone = id !== undefined && !wide;
  const perDay = supply.data?.foods.reduce((sum, one) => sum + (one.costPerDayMinor ?? 0), 0) ?? 0;
  const detail = chosen ? (
    <FoodDetail key={chosen.id} food={chosen} supply={byFood.get(chosen.id)} />
  ) : id && foods.data ? (
    <Empty title="No such food" text="It may have been taken down. Go back to the shelf." />
  ) : null;
  return (
    <Screen
      title={alone ? (chosen?.name ?? 'Food') : 'Larder'}
      back={alone ? '/larder' : undefined}
      detail={
        alone || all.length === 0
          ? undefined
          : `${all.length} foods · ${format.money(perDay)} a day${nextToBuy(all, byFood)}`
      }
      tools={alone ? null : <ScreenTools />}
      actions={
        !alone && all.length > 0 ? (
          <Button
            least="keeper"
            label="New food"
            icon={<Plus size={20} color={colours.ink} />}
            onPress={() => router.push('/larder/new')}
          />
        ) : null
      }
      aside={detail}
    >
      {alone ? null : <LarderTabs on="shelf" />}
      {alone ? null : <Corrected />}
      {!foods.data ? (
        <Waiting of={foods} rows={3} height={150} />
      ) : alone ? (
        detail
      ) : all.length === 0 ? (
        <Empty
          title="The shelf is empty"
          text="Put the first tub on it. Fine flake, say: 46 % protein, one of your pinches weighs about 0.055 g, 60 g in the tub. Start from one of the generic foods."
          action={
            <Button
              least="keeper"
              variant="primary"
              label="Put a food on the shelf"
              onPress={() => router.push('/larder/new')}
            />
          }
        />
      ) : (
        <>
          <Shopping foods={all} supply={byFood} />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button label="Compare foods" onPress={() => router.push('/larder/compare')} />
            <Button label="Home recipes" onPress={() => router.push('/larder/recipes')} />
            <Button
              least="owner"
              label="As tables"
              onPress={() => router.push('/tables?table=foods')}
            />
          </View>
          <Shelves foods={all} supply={byFood} selected={wide ? chosen?.id : undefined} />
          <Waste foods={all} supply={byFood} />
        </>
      )}
    </Screen>
  );
}

interface ShelvesProps {
  foods: FoodRow[];
  supply: ReadonlyMap<string, FoodSupply>;
  selected: string | undefined;
}

const LOOK_WORDS: Record<Look, string> = {
  all: 'Everything',
  planned: 'In the plan',
  short: 'Short or due',
};

/** Jars by the place they stand in; a full shelf can be searched, and its jars are smaller. */
function Shelves({ foods, supply, selected }: ShelvesProps) {
  const now = useNow();
  const format = useFormat();
  const [text, setText] = useState('');
  const [look, setLook] = useState<Look>('all');
  const full = foods.length > FULL_SHELF;
  const wanted = (food: FoodRow) => {
    const line = supply.get(food.id);
    if (!matches(`${food.name} ${food.kind}`, text)) return false;
    if (look === 'planned') return line !== undefined && line.usedPerWeekG > 0;
    return look === 'all' || jarOf(food, line, now.day, format.day).short;
  };
  const shelves = shelvesOf(full ? foods.filter(wanted) : foods, now.day);
  return (
    <>
      {full ? (
        <>
          <Field label="Find a food by name or kind" value={text} onChange={setText} />
          <Choice
            label="Look at"
            value={look}
            onChange={setLook}
            options={LOOKS.map((value) => ({ value, label: LOOK_WORDS[value] }))}
          />
        </>
      ) : null}
      {shelves.length === 0 ? <Text tone="quiet">None of them.</Text> : null}
      {shelves.map((shelf) => (
        <ShelfOf key={shelf.name} shelf={shelf} supply={supply} selected={selected} small={full} />
      ))}
    </>
  );
}

interface ShelfProps {
  shelf: Shelf;
  supply: ReadonlyMap<string, FoodSupply>;
  selected: string | undefined;
  small: boolean;
}

function ShelfOf({ shelf, supply, selected, small }: ShelfProps) {
  const styles = useStyles();
  const router = useRouter();
  const format = useFormat();
  const now = useNow();
  return (
    <View>
      <Text variant="subtitle">{shelf.name}</Text>
      <View style={styles.jars}>
        {shelf.foods.map((food) => {
          const state = jarOf(food, supply.get(food.id), now.day, format.day);
          return (
            <Pressable
              key={food.id}
              role="link"
              aria-label={`${food.name}, ${state.words}`}
              aria-current={food.id === selected ? 'page' : undefined}
              onPress={() => router.push(`/larder/${food.id}`)}
              style={[styles.jar, small && styles.small, food.id === selected && styles.selected]}
            >
              <Jar
                label={`${food.name}: ${state.words}`}
                family={food.family}
                fill={state.fill}
                useBy={state.useBy}
                short={state.short}
                small={small}
              />
              <Text variant="small" align="center">
                {food.name}
              </Text>
              <Text variant="small" align="center" tone={state.short ? 'due' : 'quiet'}>
                {state.words}
              </Text>
            </Pressable>
          );
        })}
      </View>
      <View style={styles.board} />
    </View>
  );
}

/** The food that will be short first: what a keeper looks for when the larder opens. */
function mostUrgent(foods: FoodRow[], supply: ReadonlyMap<string, FoodSupply>) {
  const days = (food: FoodRow) => supply.get(food.id)?.days ?? Number.MAX_SAFE_INTEGER;
  return [...foods].sort((a, b) => days(a) - days(b))[0];
}

function nextToBuy(foods: FoodRow[], supply: ReadonlyMap<string, FoodSupply>): string {
  const days = foods
    .map((food) => supply.get(food.id)?.days)
    .filter((one): one is number => typeof one === 'number');
  if (days.length === 0) return '';
  const next = Math.min(...days);
  return next === 0
    ? ' · something is missing today'
    : ` · next to buy within ${next} ${next === 1 ? 'day' : 'days'}`;
}

const useStyles = themed((c) => ({
  jars: { flexDirection: 'row', flexWrap: 'wrap', paddingTop: 10, columnGap: 4, rowGap: 14 },
  jar: {
    width: 110,
    alignItems: 'center',
    gap: 2,
    paddingVertical: 6,
    borderRadius: SIZES.radius,
    borderWidth: 2,
    borderColor: 'transparent',
  },
  small: { width: 86 },
  selected: { borderColor: c.ink, backgroundColor: c.paper },
  board: { height: 5, marginTop: 4, marginHorizontal: -6, backgroundColor: c.ink },
}));
