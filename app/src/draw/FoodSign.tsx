import type { FoodFamily } from '@open-larder/catalogue';
import type { ReactNode } from 'react';
import Svg, { Circle, Ellipse, Path } from 'react-native-svg';
import { useColours } from '../theme';

/** A food family's sign: told by shape first, so that it holds in one colour too. */
export function FoodSign({
  family,
  size = 28,
  colour: own,
}: {
  family: FoodFamily;
  size?: number;
  /** On a filled ground, where its own colour would not be seen. */
  colour?: string;
}) {
  const usual = useColours().family[family];
  const colour = own ?? usual;
  return (
    <Svg width={size} height={size} viewBox="0 0 28 28" aria-hidden>
      {SIGNS[family](colour)}
    </Svg>
  );
}

const line = (stroke: string) => ({
  fill: 'none',
  stroke,
  strokeWidth: 2,
  strokeLinecap: 'round' as const,
  strokeLinejoin: 'round' as const,
});

const SIGNS: Record<FoodFamily, (colour: string) => ReactNode> = {
  grain: (colour) => (
    <>
      <Ellipse cx={9} cy={9} rx={5} ry={3} rotation={-24} origin="9, 9" {...line(colour)} />
      <Ellipse cx={20} cy={14} rx={5} ry={3} rotation={18} origin="20, 14" {...line(colour)} />
      <Ellipse cx={10} cy={20} rx={5} ry={3} rotation={-6} origin="10, 20" {...line(colour)} />
    </>
  ),
  cube: (colour) => (
    <Path
      d="M14 3 L24 8.5 V19.5 L14 25 L4 19.5 V8.5 Z M4 8.5 L14 14 L24 8.5 M14 14 V25"
      {...line(colour)}
    />
  ),
  leaf: (colour) => (
    <Path d="M5 23 C3 12 10 4 24 4 C25 17 17 25 8 21 M5 23 C9 17 13 13 18 10" {...line(colour)} />
  ),
  wriggle: (colour) => (
    <Path d="M3 20 C6 6 10 6 12 14 S18 24 20 12 S25 8 25 10" {...line(colour)} />
  ),
  jelly: (colour) => (
    <Path d="M4 23 C4 11 8 5 14 5 S24 11 24 23 Z M9 17 C9 13 11 10 13 10" {...line(colour)} />
  ),
  mortar: (colour) => (
    <>
      <Path d="M5 12 H23 C23 19 19 23 14 23 S5 19 5 12 Z M15 12 L21 4" {...line(colour)} />
      <Circle cx={14} cy={17.5} r={0.8} fill={colour} />
    </>
  ),
};
