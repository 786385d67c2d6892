import type { ScaleContinuousNumeric } from 'd3-scale';
import { Line, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';

export type Axis = ScaleContinuousNumeric<number, number>;

interface Frame {
  left: number;
  width: number;
}

/** Lines across a picture, each with its figure at the left. */
export function Steps({
  steps,
  y,
  left,
  width,
  labelOf,
}: Frame & { steps: readonly number[]; y: Axis; labelOf: (step: number) => string }) {
  const c = useColours();
  return steps.map((step) => [
    <Line key={`${step} line`} x1={left} x2={width} y1={y(step)} y2={y(step)} stroke={c.rule} />,
    <SvgText
      key={step}
      x={left - 4}
      y={y(step) + 4}
      textAnchor="end"
      fontSize={12}
      fontFamily={FONTS.text}
      fill={c.ink2}
    >
      {labelOf(step)}
    </SvgText>,
  ]);
}

/** A limit or a target across a picture, with what it is. */
export function Limit({ at, says, y, left, width }: Frame & { at: number; says: string; y: Axis }) {
  const c = useColours();
  return (
    <>
      <Line
        x1={left}
        x2={width}
        y1={y(at)}
        y2={y(at)}
        stroke={c.roe}
        strokeWidth={2}
        strokeDasharray="8 4"
      />
      <SvgText x={left + 4} y={y(at) - 5} fontSize={12} fontFamily={FONTS.text} fill={c.ink}>
        {says}
      </SvgText>
    </>
  );
}

/** Days under a picture, none of them past its edges. */
export function Dates({
  dates,
  x,
  at,
  left,
  width,
}: Frame & { dates: readonly { day: number; says: string }[]; x: Axis; at: number }) {
  const c = useColours();
  return dates.map(({ day, says }) => (
    <SvgText
      key={day}
      x={Math.min(width - 20, Math.max(left + 10, x(day)))}
      y={at}
      textAnchor="middle"
      fontSize={12}
      fontFamily={FONTS.text}
      fill={c.ink2}
    >
      {says}
    </SvgText>
  ));
}
