import { addDays, daysBetween } from '@open-larder/core/round';
import type { RungDay } from '@open-larder/core/brood';
import { useState } from 'react';
import { View } from 'react-native';
import { Ladder, ladderHeight, type LadderRung } from '../draw/Ladder';
import { useNow, useFormat } from '../store';
import { formatNeverFood, STANDING_WORDS } from '@open-larder/say/brood';
import { Button, Card, ListRow, Text, upperFirst } from '../ui';
import { useBroodEvent } from './useBroodEvent';
import type { Brood } from './useBroods';

/** The last rung is drawn for so many days, and today has so many after it. */
const LAST_DAYS = 14;
const AFTER_TODAY = 10;
/** More days than this are not told apart on a phone: what comes later stands in words. */
const MAX_DAYS = 63;
/** Before swimming free so much is drawn at the least. */
const BEFORE = 3;

/** Whose pace of growth was taken where it is not the species’ own. */
const GROWS_BY = {
  own: '',
  genus: 'They are expected to grow like their closest relatives: measure a few to be sure.',
  family: 'They are expected to grow like others of their family: measure a few to be sure.',
  size: 'Nothing is known about how fast they grow: this is a guess from their adult size. Measure a few.',
} as const;

/** The ladder of a brood, drawn, and its rungs in words. */
export function LadderCard({ brood }: { brood: Brood }) {
  const format = useFormat();
  const now = useNow();
  const logEvent = useBroodEvent();
  const [width, setWidth] = useState(0);
  const { status } = brood;
  if (status.swim === null) return null;
  const drawn = drawnOf(brood, now.day, format.day);
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">The ladder</Text>
      <View
        onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
        style={{ minHeight: ladderHeight(drawn.rungs.filter(({ tail }) => tail).length) }}
      >
        {width > 0 ? <Ladder {...drawn} width={width} /> : null}
      </View>
      <Text variant="small" tone="quiet">
        The rising line is the widest prey they can take. Each bar is a food on its days; the bar
        beneath it is the culture that has to be ready.
      </Text>
      {status.standing.length > 0 ? (
        <Card label="In the water all day">
          {status.standing.map(({ what, from, to }, index) => (
            <ListRow
              key={what}
              first={index === 0}
              title={upperFirst(STANDING_WORDS[what])}
              detail={`${what === 'skin' ? '' : 'in the water all day, '}from ${format.day(from)}${to === null ? ' on' : ` until about ${format.day(to)}`}`}
              trail={<View />}
            />
          ))}
        </Card>
      ) : null}
      {status.never.map((never) => (
        <Text key={never} variant="small">
          {formatNeverFood(never, format.units)}
        </Text>
      ))}
      {status.rungs.length > 0 ? (
        <Card label="Rungs">
          {status.rungs.map((rung, index) => (
            <ListRow
              key={rung.key}
              first={index === 0}
              title={rung.name}
              detail={[
                `from ${format.day(rung.from)}${rung.to === null ? ' on' : ` until ${format.day(rung.to)}`}`,
                rung.taken ? 'seen taken' : readyWords(rung, now.day, format.day),
              ].join(' · ')}
              trail={
                offered(rung, now.day) ? (
                  <Button
                    least="feeder"
                    label="They take it"
                    spoken={`They take ${rung.name} today`}
                    onPress={() =>
                      void logEvent(
                        brood.id,
                        { kind: 'took', foodKey: rung.key },
                        `${rung.name}: taken from today. What comes later follows.`,
                      )
                    }
                  />
                ) : (
                  <View />
                )
              }
            />
          ))}
        </Card>
      ) : status.standing.length > 0 ? null : (
        <Text tone="due">
          Nothing in the house fits their mouth in this time. Put a first food on the shelf, or
          start infusoria.
        </Text>
      )}
      {GROWS_BY[status.growthLevel] || status.assumed.length > 0 ? (
        <Text variant="small" tone="quiet">
          {[
            GROWS_BY[status.growthLevel],
            status.assumed.length > 0
              ? 'Days to hatching or length at hatching are those of its relatives, or usual for its way of life: not known of this species.'
              : '',
          ]
            .filter(Boolean)
            .join(' ')}
        </Text>
      ) : null}
    </View>
  );
}

/** A rung is offered as taken from so many days before it. */
const OFFER_DAYS = 10;

/** It is there, its day is near or was not long ago, and nobody saw it taken yet. */
const offered = ({ taken, there, from, to }: RungDay, today: string): boolean =>
  !taken && there && daysBetween(today, from) <= OFFER_DAYS && (to === null || to > today);

/** «stands in the house», «start it by Thu 26 Nov» */
function readyWords(rung: RungDay, today: string, say: (day: string) => string): string {
  if (rung.there) return rung.live ? 'its culture is producing' : 'on the shelf';
  if (rung.startBy === null) return 'to be bought';
  return rung.startBy < today
    ? `start it at once: it takes ${rung.leadDays} days`
    : `start it by ${say(rung.startBy)}`;
}

function drawnOf({ name, status }: Brood, today: string, say: (day: string) => string) {
  const { stages, rungs, mouthsUm } = status;
  const swim = status.swim!.day;
  const hatch = stages.find(({ stage }) => stage === 'hatch')?.day ?? null;
  const laid = status.state.spawnedOn;
  const start = [laid, addDays(swim, -BEFORE), ...rungs.map(({ startBy }) => startBy)]
    .filter((day): day is string => day !== null)
    .sort()[0]!;
  const at = (day: string) => daysBetween(start, day);
  const last = rungs.at(-1);
  const wanted = at(last ? last.from : swim) + LAST_DAYS;
  const days = Math.max(at(today) + AFTER_TODAY, Math.min(MAX_DAYS, wanted));
  const seen = rungs.filter(({ from }) => at(from) < days);
  const drawn = seen.map((rung): LadderRung => {
    const { key, name: food, from, to, minUm, maxUm, live, there, startBy, leadDays } = rung;
    const late = startBy !== null && startBy < today && from >= today;
    return {
      key,
      name: food,
      from: at(from),
      to: to === null ? days : at(to),
      minUm,
      maxUm,
      tail: live
        ? {
            startBy: at(addDays(from, -leadDays)),
            state: there ? 'there' : late ? 'late' : 'waits',
            says: there ? `${food}: gives` : late ? `${food}: late` : `${food} by ${say(startBy!)}`,
          }
        : null,
    };
  });
  return {
    label: `${name}: ${rungs.map(({ name: food, from }) => `${food} from ${say(from)}`).join(', ') || 'no rung yet'}`,
    days,
    today: at(today),
    hatch: hatch === null || hatch > swim ? null : at(hatch),
    swim: at(swim),
    mouthsUm,
    rungs: drawn,
    dates: weeksFrom(swim, days - at(swim)).map((day) => ({
      day: at(day),
      says: say(day).replace(/^\w+ /, ''),
    })),
  };
}

/** The day from which on they swim, and every second week after it. */
const weeksFrom = (swim: string, days: number): string[] =>
  Array.from({ length: Math.max(1, Math.ceil(days / 14)) }, (_, at) => addDays(swim, at * 14));
