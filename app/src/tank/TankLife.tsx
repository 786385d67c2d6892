import type { Group, Problem, Tank } from '@open-larder/contract';
import { filmOn } from '@open-larder/contract/film';
import { temperatureOf, tempIsOld } from '@open-larder/contract/temperature';
import { feedingStopsC } from '@open-larder/core/ration';
import { daysBetween } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/say';
import { FILMS, type FilmSeen } from '@open-larder/core/tank';
import { View } from 'react-native';
import { api, useNow, useFormat, type AppData } from '../store';
import { Card, Choice, ListRow, Text, useToast } from '../ui';

const FILM_WORDS: Record<FilmSeen, string> = { none: 'None', thin: 'Thin', furred: 'Furred' };

/** What of a tank changes by itself and has to be seen: its warmth, its film, how long it runs. */
export function TankLife({
  tank,
  groups,
  data,
}: {
  tank: Tank;
  groups: readonly Group[];
  data: AppData;
}) {
  const format = useFormat();
  const now = useNow();
  const see = useFilmSeen(tank);
  const film = filmOn(tank, now.day);
  const cold = tank.kind === 'outdoor tub' ? coldest(groups, data) : [];
  return (
    <Card>
      <ListRow
        first
        title="Temperature"
        detail={formatTemp(tank, now.day, format.day)}
        trail={<Text variant="strong">{format.quantity('temperature', temperatureOf(tank))}</Text>}
      />
      {cold.map(({ name, stopsC }) => (
        <ListRow
          key={name}
          title={`${name} in the cold`}
          detail={`Not fed below ${format.quantity('temperature', stopsC)}: they hardly digest there.`}
        />
      ))}
      <ListRow
        title="Running for"
        detail={
          tank.runsSince
            ? undefined
            : 'Change the tank to say so: a new one has no film and no mature filter.'
        }
        trail={
          <Text variant="strong">
            {tank.runsSince ? formatRunning(daysBetween(tank.runsSince, now.day)) : 'not said'}
          </Text>
        }
      />
      <View style={{ padding: 12, gap: 8 }}>
        <Choice
          label="Film on glass, wood and stones"
          value={film ?? ('' as FilmSeen)}
          onChange={(seen) => void see(seen)}
          options={FILMS.map((value) => ({ value, label: FILM_WORDS[value] }))}
        />
        <Text variant="small" tone="quiet">
          {formatFilm(tank, film, now.day, format.day)}
        </Text>
      </View>
    </Card>
  );
}

/** «12 days», «5 weeks», «9 months», «2½ years». */
function formatRunning(days: number): string {
  if (days < 21) return days === 1 ? '1 day' : `${Math.max(0, days)} days`;
  if (days < 90) return `${Math.round(days / 7)} weeks`;
  if (days < 540) return `${Math.round(days / 30.4)} months`;
  return `${formatNumber(days / 365, 1)} years`;
}

function formatTemp(tank: Tank, today: string, formatDay: (day: string) => string): string {
  if (tank.lastTemp === null) {
    return tempIsOld(tank, today)
      ? 'As entered. Outdoors it follows the weather: log one with a water test.'
      : 'As entered for the tank.';
  }
  const measured = `Measured on ${formatDay(tank.lastTemp.day)}.`;
  return tempIsOld(tank, today) ? `${measured} That is a while ago: what is it now?` : measured;
}

function formatFilm(
  tank: Tank,
  film: FilmSeen | null,
  today: string,
  formatDay: (day: string) => string,
): string {
  if (tank.filmOn === null) return 'Not seen yet, so grazers are fed as if there were none.';
  if (film === null) {
    return `Last seen on ${formatDay(tank.filmOn)}: it counts as food for a week. Look again.`;
  }
  return film === 'none'
    ? 'None: grazers live on what you give them.'
    : 'Grazers find part of their food there; it regrows in days. Thin bellies overrule it.';
}

/** From which temperature down the fish of an outdoor tub are not fed. */
function coldest(groups: readonly Group[], { species }: AppData) {
  return groups.flatMap(({ name, speciesKey }) => {
    const kind = species.get(speciesKey);
    return kind ? [{ name, stopsC: feedingStopsC(kind) }] : [];
  });
}

/** Note the film as seen today, with a way back. */
function useFilmSeen({ id, plan: _, lastTemp: __, ...fields }: Tank) {
  const now = useNow();
  const toast = useToast();
  const [edit] = api.useEditTankMutation();
  return async (film: FilmSeen) => {
    const done = await edit({ params: { id }, body: { ...fields, film, filmOn: now.day } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    const { version } = done.data;
    toast(`Film: ${FILM_WORDS[film].toLowerCase()}. Seen today.`, {
      undo: () => void edit({ params: { id }, body: { ...fields, version } }),
    });
  };
}
