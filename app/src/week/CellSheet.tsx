import { massFromLength } from '@open-larder/core/fish';
import { stepAt, toServingUnits } from '@open-larder/core/food';
import { formatUnits, formatNumber } from '@open-larder/say';
import { lengthOf } from '@open-larder/core/ration';
import type { RoundServing } from '@open-larder/core/round';
import { changeOn, foodsByFit, repeatOn, takeOut } from '@open-larder/core/week';
import Plus from 'lucide-react-native/icons/plus';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { FoodSign } from '../draw/FoodSign';
import { cycleDays, useFormat, type AppData } from '../store';
import { useColours } from '../theme';
import { Button, Card, Choice, Choices, Sheet, Stepper, Text, WhyLink, lowerFirst } from '../ui';
import { NumberField } from '../ui/NumberField';
import { Picker } from '../ui/Picker';
import { pinned, withFood, withServings } from './draft';
import type { Board } from './useBoard';
import type { Place } from './BoardCell';

interface Props {
  board: Board;
  data: AppData;
  place: Place;
  date: string;
  servings: readonly RoundServing[];
  /** Share of each serving that its own group gets, and minutes until it is gone, by serving. */
  report: ReadonlyMap<string, { ownShare: number; clearedMin: number | null }>;
  onClose: () => void;
}

/** What stands in one cell: change, move, repeat, take out, add. */
export function CellSheet({ board, data, place, date, servings, report, onClose }: Props) {
  const format = useFormat();
  const moment = data.moments.find((one) => one.id === place.momentId);
  return (
    <Sheet title={`${format.day(date)}, ${moment?.name ?? ''}`} open onClose={onClose}>
      {servings.map((one) => (
        <ServingCard
          key={one.key}
          one={one}
          place={place}
          board={board}
          data={data}
          report={report.get(one.serving.id)}
        />
      ))}
      <AddFood key={servings.length} board={board} data={data} place={place} />
    </Sheet>
  );
}

function ServingCard({
  one,
  place,
  board,
  data,
  report,
}: {
  one: RoundServing;
  place: Place;
  board: Board;
  data: AppData;
  report: { ownShare: number; clearedMin: number | null } | undefined;
}) {
  const format = useFormat();
  const [moving, setMoving] = useState(false);
  const { serving, food, portion, group } = one;
  const days = cycleDays(format, board.draft.cycle);
  const amount = formatUnits(portion.units, food.unit);
  const change = (edit: Parameters<typeof withServings>[2]) =>
    board.edit((draft) => withServings(draft, group.id, edit));
  const family = data.foods.find((row) => row.id === food.id)?.family ?? 'grain';
  const isPinned = board.draft.pins?.servings.includes(serving.id) ?? false;
  return (
    <Card>
      <View style={{ padding: 12, gap: 10 }}>
        <View style={{ flexDirection: 'row', gap: 10, alignItems: 'center' }}>
          <FoodSign family={family} />
          <View style={{ flex: 1 }}>
            <Text variant="strong">{food.name}</Text>
            <Text variant="small" tone="quiet">
              {`for ${group.name} · ${ofBody(one)} of body mass`}
              {report
                ? ` · ${Math.round(report.ownShare * 100)} % of it reaches them · ${
                    report.clearedMin === null
                      ? 'some is left'
                      : `gone in ${report.clearedMin < 1.5 ? 'a minute' : `${Math.round(report.clearedMin)} min`}`
                  }`
                : ''}
            </Text>
          </View>
          <WhyLink about={amount} why={portion.why} />
        </View>
        <Stepper
          label={`Amount of ${lowerFirst(food.name)} that day`}
          value={portion.units}
          step={stepAt(portion.units, food.unit)}
          min={stepAt(portion.units, food.unit)}
          max={10_000}
          format={(units) => formatUnits(units, food.unit)}
          hint={
            serving.ownUnits === null
              ? 'Worked out from their need.'
              : `Set by hand; the need alone would be ${formatUnits(
                  toServingUnits(portion.wantedG.value, food.unit),
                  food.unit,
                )}.`
          }
          onChange={(units) =>
            change((all) => changeOn(all, serving.id, place.day, { ownUnits: units }, uuidv7))
          }
        />
        <NumberField
          label={`Or type how many ${food.unit.plural}`}
          value={portion.units}
          onChange={(units) => {
            if (units === null || !(units > 0) || units > 10_000) return;
            change((all) => changeOn(all, serving.id, place.day, { ownUnits: units }, uuidv7));
          }}
        />
        {serving.ownUnits === null ? null : (
          <Button
            label="Work the amount out again"
            variant="bare"
            onPress={() =>
              change((all) => changeOn(all, serving.id, place.day, { ownUnits: null }, uuidv7))
            }
          />
        )}
        <Choices
          label="Given alike on"
          options={days}
          value={serving.days}
          onChange={(on) => change((all) => repeatOn(all, serving.id, on))}
        />
        {moving ? (
          <>
            <Choice
              label="Move it that day to"
              value={place.momentId}
              options={data.moments
                .filter((moment) => !moment.archived)
                .map((moment) => ({ value: moment.id, label: moment.name }))}
              onChange={(momentId) =>
                change((all) => changeOn(all, serving.id, place.day, { momentId }, uuidv7))
              }
            />
            <Choice
              label="Or to the same moment on"
              value={place.day}
              options={days}
              onChange={(day) =>
                change((all) => changeOn(all, serving.id, place.day, { day }, uuidv7))
              }
            />
          </>
        ) : (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button label="Move it" onPress={() => setMoving(true)} />
            <Button
              label="Take it out that day"
              onPress={() => change((all) => takeOut(all, serving.id, place.day))}
            />
            <Button
              label={isPinned ? 'Pinned: let it change' : 'Pin it'}
              spoken={isPinned ? 'Let balancing change it again' : 'Pin it: balancing leaves it'}
              variant="bare"
              onPress={() => board.edit((draft) => pinned(draft, serving.id, !isPinned))}
            />
          </View>
        )}
      </View>
    </Card>
  );
}

/** A portion as keepers who feed by weight say it: «2.1 %». */
function ofBody({ portion, group }: RoundServing): string {
  const { massG } = massFromLength(
    group.species,
    lengthOf({ ...group, tempC: group.species.appetitePeakC }),
  );
  const body = massG.value * group.count;
  return body > 0 ? `${formatNumber((100 * portion.massG) / body, 1)} %` : 'no';
}

function AddFood({ board, data, place }: { board: Board; data: AppData; place: Place }) {
  const format = useFormat();
  const colours = useColours();
  const { task } = board;
  const [groupId, setGroup] = useState(task.groups[0]?.id ?? '');
  const [foodId, setFood] = useState('');
  const days = cycleDays(format, board.draft.cycle);
  const [on, setOn] = useState<number[]>([place.day]);
  const group = task.groups.find((one) => one.id === groupId);
  if (!group) return null;
  const foods = foodsByFit(task, group).flatMap(({ foodId: id, suits, well }) => {
    const food = data.foods.find((one) => one.id === id);
    return food && !food.archived ? [{ food, fit: well ? 'suits well' : suits > 0 ? 'suits less' : 'not for them' }] : []; // prettier-ignore
  });
  const add = () =>
    board.edit((draft) =>
      withFood(draft, group, { foodId, momentId: place.momentId, days: on }, uuidv7),
    );
  return (
    <Card>
      <View style={{ padding: 12, gap: 10 }}>
        <Text variant="subtitle">Add a food</Text>
        {task.groups.length > 1 ? (
          <Choice
            label="For"
            value={groupId}
            options={task.groups.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setGroup}
          />
        ) : null}
        <Picker
          label="Food"
          search
          value={foodId}
          onChange={setFood}
          picks={foods.map(({ food, fit }) => ({
            value: food.id,
            title: food.name,
            detail: `${fit} · ${food.kind}`,
            lead: <FoodSign family={food.family} size={24} />,
          }))}
        />
        <Choices label="On" options={days} value={on} onChange={setOn} />
        <View style={{ alignItems: 'flex-start' }}>
          <Button
            variant="primary"
            label="Put it in"
            icon={<Plus size={20} color={colours.onRoe} />}
            disabled={foodId === '' || on.length === 0}
            onPress={add}
          />
        </View>
      </View>
    </Card>
  );
}
