import type { Shape } from '@open-larder/catalogue';
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg';
import { FONTS, useColours } from '../theme';
import { bodyOf } from './bodies';

interface Props {
  shape: Shape;
  lengthCm: number;
  width: number;
  /** A rule of a round length below it, with its words; left out in lists. */
  rule?: { cm: number; says: string };
  label?: string;
}

/** The outline of an animal, as wide as it is given room for, with a rule to the same scale. */
export function Outline({ shape, lengthCm, width, rule, label }: Props) {
  const c = useColours();
  const { path, up, down } = bodyOf(shape);
  const body = width - 4;
  const height = body * (up + down) + 4;
  const scale = body / lengthCm;
  return (
    <Svg
      width={width}
      height={height + (rule ? 30 : 0)}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      <Path
        d={path}
        fill={c.ink}
        fillRule="evenodd"
        transform={`translate(2 ${2 + body * up}) scale(${body} ${body})`}
      />
      {rule ? (
        <>
          <Line
            x1={2}
            x2={2 + rule.cm * scale}
            y1={height + 9}
            y2={height + 9}
            stroke={c.ink2}
            strokeWidth={2}
          />
          <SvgText x={2} y={height + 26} fontSize={14} fontFamily={FONTS.text} fill={c.ink2}>
            {rule.says}
          </SvgText>
        </>
      ) : null}
    </Svg>
  );
}
