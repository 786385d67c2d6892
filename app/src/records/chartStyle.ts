import { FONTS, type Colours } from '../theme';

/** The chart package in our colours and font: flat paper, hairlines, no gradient. */
export function chartStyle(c: Colours, decimalPlaces: number) {
  return {
    backgroundGradientFrom: c.paper,
    backgroundGradientTo: c.paper,
    fillShadowGradientFrom: c.brine,
    fillShadowGradientTo: c.brine,
    fillShadowGradientFromOpacity: 0.55,
    fillShadowGradientToOpacity: 0.55,
    decimalPlaces,
    color: () => c.ink2,
    labelColor: () => c.ink,
    barPercentage: 0.6,
    propsForLabels: { fontFamily: FONTS.text, fontSize: 13 },
    propsForBackgroundLines: { stroke: c.rule, strokeDasharray: '' },
    propsForDots: { r: '4' },
  };
}

/** Decimals that keep an axis of this height readable. */
export const decimalsFor = (highest: number): number =>
  highest >= 20 ? 0 : highest >= 2 ? 1 : highest >= 0.2 ? 2 : 3;
