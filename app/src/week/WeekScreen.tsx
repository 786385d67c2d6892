import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useHouse, useNow, useWords } from '../store';
import { Button, Empty, Fault, Picker, Screen, Skeleton, Tabs } from '../ui';
import { ScreenTools } from '../shell';
import { WeekBoard } from './WeekBoard';
import { WeekShares } from './WeekShares';
import { compileWeek } from './compileWeek';
import { weekStart } from './weekStart';

/** Tanks past which a row of tabs is slower than a search. */
const MANY = 16;

/** The week of one tank: what is served when, and what each group gets against what it needs. */
export function WeekScreen({ tankId }: { tankId?: string }) {
  const router = useRouter();
  const words = useWords();
  const now = useNow();
  const loaded = useHouse();
  const [chosen, setChosen] = useState<string | null>(tankId ?? null);
  const tanks = loaded.data?.tanks.filter((tank) => !tank.archived) ?? [];
  const tank = tanks.find((one) => one.id === chosen) ?? tanks[0];
  const first = weekStart(now.day, words.weekdays[0]?.value ?? 1);
  const week = loaded.data && tank ? compileWeek(loaded.data, tank.id, first) : null;
  return (
    <Screen
      title="Week"
      tools={<ScreenTools />}
      detail={tank ? `${tank.name}, from ${words.day(first)}` : undefined}
    >
      {loaded.problem ? (
        <Fault problem={loaded.problem} onRetry={loaded.retry} />
      ) : !loaded.data ? (
        <Skeleton rows={3} height={140} />
      ) : !tank || !week ? (
        <Empty
          title="No week to show yet"
          text="Make a tank, put fish in it and plan their diet; the week of each tank appears here."
          action={
            <Button
              look="primary"
              label="Make the first tank"
              onPress={() => router.push('/tanks/new')}
            />
          }
        />
      ) : (
        <>
          {tanks.length > MANY ? (
            <Picker
              label="Tank"
              search
              value={tank.id}
              onChange={setChosen}
              picks={tanks.map((one) => ({ value: one.id, title: `${one.walkOrder} ${one.name}` }))}
            />
          ) : (
            <Tabs
              label="Tanks"
              value={tank.id}
              onChange={setChosen}
              tabs={tanks.map((one) => ({ value: one.id, label: `${one.walkOrder} ${one.name}` }))}
            />
          )}
          {week.rows.length === 0 ? (
            <Empty
              title="Nothing planned for this tank"
              text="Open a group of this tank and plan its diet."
              action={
                <Button
                  look="primary"
                  label="Open the tank"
                  onPress={() => router.push(`/tanks/${tank.id}`)}
                />
              }
            />
          ) : (
            <WeekBoard week={week} data={loaded.data} today={now.day} />
          )}
          <WeekShares week={week} data={loaded.data} />
        </>
      )}
    </Screen>
  );
}
