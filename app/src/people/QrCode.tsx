import { create } from 'qrcode';
import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Path, Rect } from 'react-native-svg';

/** Cells of white around the code, without which many a camera does not find it. */
const MARGIN = 4;

/** An address that a phone’s camera opens. Black on white in every theme: a camera needs the contrast. */
export function QrCode({
  text,
  label,
  size = 240,
}: {
  text: string;
  label: string;
  size?: number;
}) {
  const { cells, path } = useMemo(() => {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    let drawn = '';
    for (let at = 0; at < modules.data.length; at += 1) {
      if (modules.data[at]) {
        drawn += `M${(at % modules.size) + MARGIN} ${Math.floor(at / modules.size) + MARGIN}h1v1h-1z`;
      }
    }
    return { cells: modules.size + 2 * MARGIN, path: drawn };
  }, [text]);
  return (
    <View role="img" aria-label={label}>
      <Svg width={size} height={size} viewBox={`0 0 ${cells} ${cells}`}>
        <Rect width={cells} height={cells} fill="#ffffff" />
        <Path d={path} fill="#000000" />
      </Svg>
    </View>
  );
}
