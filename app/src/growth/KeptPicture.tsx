import type { LifeEventRow, PhotoRow, Problem } from '@open-larder/contract';
import { useEffect, useState } from 'react';
import { Image, View } from 'react-native';
import Svg, { Line } from 'react-native-svg';
import { useFormat } from '../store';
import { call } from '../store/call';
import { useColours } from '../theme';
import { Fault, Sheet, Skeleton } from '../ui';

/** The picture that a measurement was taken in, with its marks. */
export function KeptPicture({ event, onClose }: { event: LifeEventRow; onClose: () => void }) {
  const format = useFormat();
  const c = useColours();
  const [photo, setPhoto] = useState<PhotoRow | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let open = true;
    void call('getPhoto', { params: { id: event.id } }).then((answer) => {
      if (!open) return;
      if ('error' in answer) setProblem(answer.error);
      else setPhoto(answer.data);
    });
    return () => {
      open = false;
    };
  }, [event.id, tries]);
  return (
    <Sheet title={`Measured ${format.day(event.day)}`} open onClose={onClose}>
      {photo ? (
        <View style={{ width: '100%', aspectRatio: photo.widthPx / photo.heightPx }}>
          <Image
            source={{ uri: photo.picture }}
            aria-label={`${event.lengthsCm?.length ?? 0} fish beside a ruler, with their marks`}
            style={{ width: '100%', height: '100%' }}
          />
          <Svg
            width="100%"
            height="100%"
            viewBox={`0 0 ${photo.widthPx} ${photo.heightPx}`}
            style={{ position: 'absolute', left: 0, top: 0 }}
          >
            {[...photo.marks.ruler, ...photo.marks.fish].map(({ a, b }, at) => (
              <Line
                key={at}
                x1={a.x}
                y1={a.y}
                x2={b.x}
                y2={b.y}
                stroke={at < photo.marks.ruler.length ? c.duckweed : c.roe}
                strokeWidth={photo.widthPx / 150}
              />
            ))}
          </Svg>
        </View>
      ) : problem ? (
        <Fault
          problem={problem}
          onRetry={() => {
            setProblem(null);
            setTries(tries + 1);
          }}
        />
      ) : (
        <Skeleton rows={1} height={240} />
      )}
    </Sheet>
  );
}
