import { scaleLinear, scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import { Fragment } from 'react';
import Svg, { Circle, G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';

/** A rung of the ladder, in days from the left of the picture. */
export interface LadderRung {
  key: string;
  name: string;
  from: number;
  to: number;
  minUm: number;
  maxUm: number;
  /** Its culture, beneath: begun so many days before it; null for what is bought. */
  tail: { startBy: number; state: 'there' | 'waits' | 'late'; says: string } | null;
}

interface Props {
  label: string;
  /** Days that the picture spans. */
  days: number;
  today: number;
  /** Day of hatching and of swimming free; null if unknown. */
  hatch: number | null;
  swim: number;
  /** Widest prey on each day from swimming free, µm. */
  mouthsUm: readonly number[];
  rungs: readonly LadderRung[];
  /** Days that are named under the ladder. */
  dates: readonly { day: number; says: string }[];
  width: number;
}

const TOP = 18;
const STAGES = 200;
const TAIL = 26;
const AXIS_UM = { from: 20, to: 4000 };
const TICKS_UM = [50, 200, 1000];
const LEFT = 44;
const PLANK = 7;

/** Height of the picture with so many tails. */
export const ladderHeight = (tails: number) => STAGES + 50 + tails * TAIL;

/**
 * The rungs from the first food to the adult diet: the mouth that rises through the sizes of prey, a
 * plank for each food on its days, and beneath them the cultures that must give by then.
 */
export function Ladder({ label, days, today, hatch, swim, mouthsUm, rungs, dates, width }: Props) {
  const c = useColours();
  const x = scaleLinear([0, days], [LEFT, width - 4]).clamp(true);
  const y = scaleLog([AXIS_UM.from, AXIS_UM.to], [STAGES - 8, TOP]).clamp(true);
  const tails = rungs.filter(({ tail }) => tail !== null);
  const height = ladderHeight(tails.length);
  const mouth = line<readonly [day: number, um: number]>(
    ([day]) => x(day),
    ([, um]) => y(um),
  )(mouthsUm.map((um, day) => [swim + day, um] as const).filter(([day]) => day <= days));
  const words = (
    text: string,
    at: number,
    up: number,
    tone: string,
    anchor: 'start' | 'end' | 'middle' = 'start',
  ) => {
    const placed = { x: at, y: up, fontSize: 11, fontFamily: FONTS.text, textAnchor: anchor };
    return (
      <>
        {/* On ground of its own: a line behind it does not cross its letters. */}
        <SvgText {...placed} fill={c.ground} stroke={c.ground} strokeWidth={5}>
          {text}
        </SvgText>
        <SvgText {...placed} fill={tone}>
          {text}
        </SvgText>
      </>
    );
  };
  return (
    <Svg width={width} height={height} role="img" aria-label={label}>
      {TICKS_UM.map((um) => (
        <Fragment key={um}>
          <Line x1={LEFT} x2={width} y1={y(um)} y2={y(um)} stroke={c.rule} strokeWidth={0.75} />
          {words(um >= 1000 ? `${um / 1000} mm` : `${um} µm`, LEFT - 5, y(um) + 4, c.ink2, 'end')}
        </Fragment>
      ))}
      {today >= 0 && today <= days ? (
        <G>
          <Line
            x1={x(today)}
            x2={x(today)}
            y1={TOP - 4}
            y2={height - 6}
            stroke={c.roe}
            strokeWidth={2}
            strokeDasharray="2 3"
          />
          {words('today', x(today), TOP - 8, c.roe, 'middle')}
        </G>
      ) : null}
      <Stages x={x} hatch={hatch} swim={swim} days={days} />
      {dates.map(({ day, says }) => (
        <Fragment key={day}>
          <Line
            x1={x(day)}
            x2={x(day)}
            y1={STAGES + 20}
            y2={STAGES + 26}
            stroke={c.ink2}
            strokeWidth={1}
          />
          {words(says, x(day), STAGES + 37, c.ink2, x(day) > width - 30 ? 'end' : 'middle')}
        </Fragment>
      ))}
      {rungs.map(({ key, from, to, minUm, maxUm }) => (
        <Rect
          key={key}
          x={x(from)}
          y={y(maxUm)}
          width={Math.max(2, x(to) - x(from))}
          height={Math.max(3, y(minUm) - y(maxUm))}
          rx={3}
          fill={c.waterDeep}
        />
      ))}
      {mouth ? <Path d={mouth} fill="none" stroke={c.ink} strokeWidth={2.5} /> : null}
      {rungs.map(({ key, name, from, to, minUm, maxUm }) => {
        const middle = y(Math.sqrt(minUm * maxUm));
        const now = today >= from && today < to;
        // Where a name would leave the picture it stands before its plank.
        const roomy = x(from) + name.length * 6.2 < width;
        return (
          <Fragment key={key}>
            <Rect
              x={x(from)}
              y={middle - PLANK / 2}
              width={Math.max(3, x(to) - x(from))}
              height={PLANK}
              rx={2}
              fill={now ? c.roe : c.family.wriggle}
            />
            {words(
              name,
              roomy ? x(from) + 2 : x(from) - 4,
              middle - PLANK / 2 - 4,
              c.ink,
              roomy ? 'start' : 'end',
            )}
          </Fragment>
        );
      })}
      {tails.map(({ key, from, tail }, row) => {
        const line = STAGES + 56 + row * TAIL;
        const colour = { there: c.duckweed, waits: c.ink2, late: c.roe }[tail!.state];
        const begun = Math.max(0, tail!.startBy);
        return (
          <Fragment key={key}>
            <Line
              x1={x(begun)}
              x2={x(from)}
              y1={line}
              y2={line}
              stroke={colour}
              strokeWidth={3}
              strokeDasharray={tail!.state === 'there' ? undefined : '6 4'}
            />
            <Circle cx={x(begun)} cy={line} r={5} fill={colour} />
            <Line
              x1={x(from)}
              x2={x(from)}
              y1={line - 6}
              y2={line + 6}
              stroke={colour}
              strokeWidth={2}
            />
            {x(from) + 6 + tail!.says.length * 6.2 < width
              ? words(tail!.says, x(from) + 6, line + 4, c.ink)
              : words(tail!.says, x(from) - 4, line - 7, c.ink, 'end')}
          </Fragment>
        );
      })}
    </Svg>
  );
}

/** Eggs, larvae on their yolk, and fry, along the foot of the ladder. */
function Stages({
  x,
  hatch,
  swim,
  days,
}: {
  x: (day: number) => number;
  hatch: number | null;
  swim: number;
  days: number;
}) {
  const c = useColours();
  const spans = [
    { from: 0, to: hatch ?? swim, fill: c.water, says: 'eggs' },
    ...(hatch === null ? [] : [{ from: hatch, to: swim, fill: c.waterDeep, says: 'yolk' }]),
    { from: swim, to: days, fill: c.paper, says: 'swim free' },
  ];
  return (
    <>
      {spans.map(({ from, to, fill, says }) =>
        to > from ? (
          <Fragment key={says}>
            <Rect
              x={x(from)}
              y={STAGES}
              width={x(to) - x(from)}
              height={20}
              fill={fill}
              stroke={c.rule}
              strokeWidth={1}
            />
            {x(to) - x(from) > says.length * 6.4 ? (
              <SvgText
                x={x(from) + 4}
                y={STAGES + 14}
                fontSize={11}
                fontFamily={FONTS.text}
                fill={c.ink2}
              >
                {says}
              </SvgText>
            ) : null}
          </Fragment>
        ) : null,
      )}
    </>
  );
}
