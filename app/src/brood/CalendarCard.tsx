import { addDays, daysBetween } from '@open-larder/core/round';
import { Fragment, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Rect, Text as SvgText } from 'react-native-svg';
import { useNow, useFormat } from '../store';
import { FONTS, useColours } from '../theme';
import { Card, ListRow, Text } from '../ui';
import type { Brood } from './useBroods';

/** So far ahead the calendar goes, and so far back. */
const AHEAD = 42;
const BACK = 7;
const DAYS = AHEAD + BACK;
const ROW = 46;
const HEAD = 22;

/** All broods over the weeks: their stages, their rungs, and the cultures to start; litres and minutes. */
export function CalendarCard({ broods }: { broods: readonly Brood[] }) {
  const format = useFormat();
  const now = useNow();
  const [width, setWidth] = useState(0);
  const starts = broods
    .flatMap((brood) =>
      brood.status.rungs.flatMap(({ startBy, name }) =>
        startBy === null || startBy > addDays(now.day, AHEAD) ? [] : [{ startBy, name, brood }],
      ),
    )
    .sort((a, b) => (a.startBy < b.startBy ? -1 : 1));
  const weeks = weeksOf(broods);
  const room = broods.reduce(
    (sum, { tubs }) => sum + tubs.reduce((all, tub) => all + tub.litres, 0),
    0,
  );
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">The weeks ahead</Text>
      <View
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ minHeight: HEAD + ROW * broods.length }}
      >
        {width > 0 ? <Calendar broods={broods} width={width} today={now.day} /> : null}
      </View>
      <Card label="The weeks ahead">
        {weeks.map(({ from, changeL, wantsL, minutesPerDay }, index) => (
          <ListRow
            key={from}
            first={index === 0}
            title={index === 0 ? 'This week' : `From ${format.day(from)}`}
            detail={
              minutesPerDay === 0
                ? 'nothing to feed yet'
                : `${format.quantity('volume', changeL)} of seasoned water a day; they need ${format.quantity('volume', wantsL)}, their tubs hold ${format.quantity('volume', room)}`
            }
            trail={
              <Text variant="strong" tone={wantsL > room ? 'due' : 'ink'}>
                {minutesPerDay === 0 ? '' : `${minutesPerDay} min a day`}
              </Text>
            }
          />
        ))}
        {starts.map(({ startBy, name, brood }) => (
          <ListRow
            key={brood.id + name}
            title={
              startBy < now.day
                ? `Start ${name} at once`
                : `Start ${name} by ${format.day(startBy)}`
            }
            detail={`for ${brood.name}`}
            trail={<View />}
          />
        ))}
      </Card>
    </View>
  );
}

/** The weeks of all broods together. */
function weeksOf(broods: readonly Brood[]) {
  const [first] = broods.map(({ status }) => status.weeks).filter(({ length }) => length > 0);
  return (first ?? []).map(({ from }, at) => {
    const sum = (of: 'changeL' | 'wantsL' | 'minutesPerDay') =>
      broods.reduce((all, { status }) => all + (status.weeks[at]?.[of] ?? 0), 0);
    return {
      from,
      changeL: sum('changeL'),
      wantsL: sum('wantsL'),
      minutesPerDay: sum('minutesPerDay'),
    };
  });
}

function Calendar({
  broods,
  width,
  today,
}: {
  broods: readonly Brood[];
  width: number;
  today: string;
}) {
  const c = useColours();
  const format = useFormat();
  const start = addDays(today, -BACK);
  const x = (day: string) =>
    (Math.min(DAYS, Math.max(0, daysBetween(start, day))) / DAYS) * (width - 2) + 1;
  const within = (day: string) => day >= start && day < addDays(start, DAYS);
  const height = HEAD + ROW * broods.length;
  const label = broods
    .map(
      ({ name, status }) =>
        `${name}: ${status.swim ? `swims ${format.day(status.swim.day)}` : 'no date yet'}`,
    )
    .join('; ');
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      {Array.from({ length: Math.floor(DAYS / 7) + 1 }, (_, week) => {
        const day = addDays(start, week * 7);
        return (
          <Fragment key={day}>
            <Line
              x1={x(day)}
              x2={x(day)}
              y1={HEAD - 6}
              y2={height}
              stroke={c.rule}
              strokeWidth={1}
            />
            {week % 2 === 1 && week * 7 < DAYS - 5 ? (
              <SvgText x={x(day) + 3} y={12} fontSize={11} fontFamily={FONTS.text} fill={c.ink2}>
                {format.day(day).replace(/^\w+ /, '')}
              </SvgText>
            ) : null}
          </Fragment>
        );
      })}
      {broods.map(({ id, name, status }, row) => {
        const top = HEAD + row * ROW;
        const { stages, rungs, swim, state } = status;
        const hatch = stages.find(({ stage }) => stage === 'hatch')?.day ?? swim?.day;
        const from = state.spawnedOn ?? start;
        const end = status.targetTo ?? addDays(start, DAYS);
        return (
          <Fragment key={id}>
            <SvgText x={3} y={top + 12} fontSize={12} fontFamily={FONTS.text} fill={c.ink}>
              {name}
            </SvgText>
            {hatch ? (
              <Rect
                x={x(from)}
                y={top + 17}
                width={Math.max(0, x(hatch) - x(from))}
                height={12}
                fill={c.water}
                stroke={c.ink2}
                strokeWidth={0.75}
              />
            ) : null}
            {hatch && swim ? (
              <Rect
                x={x(hatch)}
                y={top + 17}
                width={Math.max(0, x(swim.day) - x(hatch))}
                height={12}
                fill={c.waterDeep}
                stroke={c.ink2}
                strokeWidth={0.75}
              />
            ) : null}
            {swim ? (
              <Rect
                x={x(swim.day)}
                y={top + 17}
                width={Math.max(0, x(end) - x(swim.day))}
                height={12}
                rx={2}
                fill={c.brine}
                fillOpacity={0.35}
                stroke={c.brine}
                strokeWidth={0.75}
              />
            ) : null}
            {rungs
              .filter(({ from: day }) => within(day))
              .map((rung) => (
                <Line
                  key={rung.key}
                  x1={x(rung.from)}
                  x2={x(rung.from)}
                  y1={top + 14}
                  y2={top + 32}
                  stroke={c.family.wriggle}
                  strokeWidth={2.5}
                />
              ))}
            {rungs.map(({ key, startBy }) =>
              startBy === null || !within(startBy) ? null : (
                <Circle
                  key={key}
                  cx={x(startBy)}
                  cy={top + 37}
                  r={4}
                  fill={startBy < today ? c.roe : c.ink2}
                />
              ),
            )}
          </Fragment>
        );
      })}
      <Line
        x1={x(today)}
        x2={x(today)}
        y1={HEAD - 8}
        y2={height}
        stroke={c.roe}
        strokeWidth={2}
        strokeDasharray="2 3"
      />
    </Svg>
  );
}
