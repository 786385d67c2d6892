import type { PhotoMarks } from '@open-larder/contract';
import { photoLength, type PhotoLength, type Spot } from '@open-larder/core/growth';
import { formatNumber } from '@open-larder/say';
import { createElement, useRef, useState } from 'react';
import { Platform, View } from 'react-native';
import Svg, { Circle, Line } from 'react-native-svg';
import { useFormat } from '../store';
import { useColours } from '../theme';
import { Button, Choice, Text } from '../ui';
import { NumberField } from '../ui/NumberField';
import { readPicture, type Picture } from './picture';
import { PHOTO_WARNINGS } from './labels';

/** What was measured in a picture. */
export interface InPhoto {
  picture: Picture;
  marks: PhotoMarks;
  lengthsCm: number[];
}

type Step = 'ruler' | 'fish';
interface Mark {
  of: Step;
  a: Spot;
  b: Spot | null;
}

/** Lengths of fish in a picture beside a ruler: two taps for the scale, two for each fish. */
export function PhotoMeasure({ onDone }: { onDone: (measured: InPhoto) => void }) {
  const format = useFormat();
  const input = useRef<HTMLInputElement>(null);
  const [picture, setPicture] = useState<Picture | null>(null);
  const [fieldError, setFieldError] = useState<string | null>(null);
  const [step, setStep] = useState<Step>('ruler');
  const [marks, setMarks] = useState<Mark[]>([]);
  const [rulerCm, setRulerCm] = useState<number | null>(5);
  const [zoom, setZoom] = useState(1);
  const [shownPx, setShownPx] = useState(0);
  if (Platform.OS !== 'web') return null;
  const choose = async () => {
    const file = input.current?.files?.[0];
    if (input.current) input.current.value = '';
    if (!file) return;
    try {
      setPicture(await readPicture(file));
      setMarks([]);
      setStep('ruler');
      setFieldError(null);
    } catch (error) {
      setFieldError((error as Error).message);
    }
  };
  const open = marks.find(({ b }) => b === null);
  const stretches = marks.filter((mark): mark is Mark & { b: Spot } => mark.b !== null);
  const ruler = stretches.filter(({ of }) => of === 'ruler');
  const fish = stretches.filter(({ of }) => of === 'fish');
  const tap = (spot: Spot) => {
    setFieldError(null);
    if (open) {
      setMarks(marks.map((mark) => (mark === open ? { ...mark, b: spot } : mark)));
      // The ruler is marked once: then come the fish.
      if (open.of === 'ruler') setStep('fish');
    } else if (step === 'fish' || ruler.length < 2) {
      setMarks([...marks, { of: step, a: spot, b: null }]);
    }
  };
  const perPx = picture && shownPx > 0 ? picture.widthPx / (shownPx * zoom) : 1;
  const report = lengthsOf(ruler, fish, rulerCm, perPx);
  const done = () => {
    if (!picture || report.length === 0 || rulerCm === null) return;
    onDone({
      picture,
      marks: {
        ruler: ruler.map(({ a, b }) => ({ a, b, cm: rulerCm })),
        fish: fish.map(({ a, b }) => ({ a, b })),
      },
      lengthsCm: report.map(({ cm }) => Math.round(cm * 1000) / 1000),
    });
  };
  const warnings = [...new Set(report.flatMap((one) => one.warnings))];
  const length = format.scale('length');
  return (
    <View style={{ gap: 12 }}>
      {createElement('input', {
        ref: input,
        type: 'file',
        accept: 'image/*',
        'aria-label': 'Choose a picture',
        style: { display: 'none' },
        onChange: () => void choose(),
      })}
      <Text variant="small" tone="quiet">
        Lay a ruler into the picture, as far from the lens as the fish is, and take it straight from
        the side. The picture stays in your house: it is measured here, and kept with the
        measurement.
      </Text>
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          label={picture ? 'Another picture' : 'Choose a picture'}
          onPress={() => input.current?.click()}
        />
      </View>
      {fieldError ? <Text tone="due">{fieldError}</Text> : null}
      {picture ? (
        <>
          <Choice
            label="You are marking"
            value={step}
            onChange={setStep}
            options={[
              { value: 'ruler', label: 'the ruler' },
              { value: 'fish', label: 'a fish' },
            ]}
          />
          <NumberField
            label="The stretch of ruler is"
            unit={length.unit}
            scale={length}
            decimals={2}
            value={rulerCm}
            onChange={setRulerCm}
          />
          <Text role="status">{saidNext(step, open, ruler.length)}</Text>
          <Canvas picture={picture} marks={marks} zoom={zoom} onWidth={setShownPx} onTap={tap} />
          <Choice
            label="As large as"
            value={zoom}
            onChange={setZoom}
            options={[1, 2, 4].map((value) => ({
              value,
              label: value === 1 ? 'fits' : `${value}×`,
            }))}
          />
          {warnings.map((warning) => (
            <Text key={warning} tone="due">
              {PHOTO_WARNINGS[warning]}
            </Text>
          ))}
          {report.length > 0 ? (
            <Text>
              {`${report.length} measured: ${report
                .map(
                  ({ cm, sd }) =>
                    `${format.quantity('length', cm)} ± ${formatNumber(length.fromBase(sd), 2)}`,
                )
                .join(', ')}`}
            </Text>
          ) : null}
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button
              label="Take the last mark back"
              disabled={marks.length === 0}
              onPress={() =>
                setMarks(
                  marks.at(-1)?.b
                    ? [...marks.slice(0, -1), { ...marks.at(-1)!, b: null }]
                    : marks.slice(0, -1),
                )
              }
            />
            <Button
              variant="primary"
              label="Take these lengths"
              disabled={report.length === 0}
              onPress={done}
            />
          </View>
        </>
      ) : null}
    </View>
  );
}

function lengthsOf(
  ruler: readonly (Mark & { b: Spot })[],
  fish: readonly (Mark & { b: Spot })[],
  cm: number | null,
  perPx: number,
): PhotoLength[] {
  if (ruler.length === 0 || cm === null || !(cm >= 0.1)) return [];
  return fish.flatMap((one) => {
    try {
      return [
        photoLength(
          ruler.map(({ a, b }) => ({ a, b, cm })),
          one,
          perPx,
        ),
      ];
    } catch {
      // Two taps on one spot are no fish.
      return [];
    }
  });
}

function saidNext(step: Step, open: Mark | undefined, rulers: number): string {
  if (open?.of === 'ruler') return 'Tap the other end of the stretch of ruler.';
  if (open) return 'Tap the tip of its tail.';
  if (step === 'fish') {
    return rulers === 0 ? 'Mark the ruler first.' : 'Tap the nose of a fish.';
  }
  if (rulers === 0) return 'Tap one end of a stretch of the ruler.';
  return rulers === 1
    ? 'A second stretch, higher or lower on the ruler, shows whether it is seen at a slant.'
    : 'The ruler is marked. Go on with the fish.';
}

/** The picture with its marks; a tap is reported in its pixels. */
function Canvas({
  picture,
  marks,
  zoom,
  onWidth,
  onTap,
}: {
  picture: Picture;
  marks: readonly Mark[];
  zoom: number;
  onWidth: (px: number) => void;
  onTap: (spot: Spot) => void;
}) {
  const c = useColours();
  const { widthPx, heightPx, url } = picture;
  // Marks are as large on the glass whatever the picture is.
  const size = (widthPx / 390 / zoom) * 7;
  const tapped = (event: { clientX: number; clientY: number; currentTarget: HTMLElement }) => {
    const box = event.currentTarget.getBoundingClientRect();
    onTap({
      x: ((event.clientX - box.left) / box.width) * widthPx,
      y: ((event.clientY - box.top) / box.height) * heightPx,
    });
  };
  return (
    <View
      onLayout={(event) => onWidth(event.nativeEvent.layout.width)}
      style={{ width: '100%', maxHeight: 460, overflow: 'scroll' as never }}
    >
      {createElement(
        'div',
        {
          role: 'img',
          'aria-label': 'The picture: tap to mark the ruler and the fish',
          onClick: tapped,
          style: {
            position: 'relative',
            width: `${zoom * 100}%`,
            aspectRatio: `${widthPx} / ${heightPx}`,
            cursor: 'crosshair',
            flexShrink: 0,
          },
        },
        createElement('img', {
          src: url,
          alt: '',
          draggable: false,
          style: { position: 'absolute', inset: 0, width: '100%', height: '100%' },
        }),
        <Svg
          key="marks"
          width="100%"
          height="100%"
          viewBox={`0 0 ${widthPx} ${heightPx}`}
          style={{ position: 'absolute', left: 0, top: 0 }}
        >
          {marks.map(({ of, a, b }, at) =>
            b ? (
              <Line
                key={`line ${at}`}
                x1={a.x}
                y1={a.y}
                x2={b.x}
                y2={b.y}
                stroke={of === 'ruler' ? c.duckweed : c.roe}
                strokeWidth={size / 2.5}
                strokeDasharray={of === 'ruler' ? `${size * 1.5} ${size}` : undefined}
              />
            ) : null,
          )}
          {marks.flatMap(({ of, a, b }, at) =>
            [a, ...(b ? [b] : [])].map((spot, end) => (
              <Circle
                key={`${at} ${end}`}
                cx={spot.x}
                cy={spot.y}
                r={size}
                fill="none"
                stroke={of === 'ruler' ? c.duckweed : c.roe}
                strokeWidth={size / 2.5}
              />
            )),
          )}
        </Svg>,
      )}
    </View>
  );
}
