import type { Problem, TrialRow } from '@open-larder/contract';
import { formatNumber } from '@open-larder/say';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useHouse, useNow, useFormat, type AppData } from '../store';
import { ledgerApi } from '../store/ledgerApi';
import { Button, Card, Empty, ListRow, Text, useToast, Waiting } from '../ui';
import { formatDoubts, formatNeeded, formatResult } from './labels';
import { TrialSheet } from './TrialSheet';

/** Trials of diets: what is asked, what it takes, and what came of it so far. */
export function TrialsView() {
  const house = useHouse();
  const { data, error, refetch } = ledgerApi.useTrialsQuery(undefined, {
    refetchOnMountOrArgChange: true,
  });
  const [planning, setPlanning] = useState(false);
  const [away, setAway] = useState(false);
  const anyAway = (data ?? []).some(({ archived }) => archived);
  const trials = (data ?? [])
    .filter(({ archived }) => archived === away)
    .sort((a, b) => (a.from < b.from ? 1 : -1));
  return (
    <View style={{ gap: 16, maxWidth: 820 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          least="keeper"
          variant="primary"
          label="Plan a trial"
          disabled={!house.data}
          onPress={() => setPlanning(true)}
        />
        {anyAway ? (
          <Button
            variant="bare"
            label={away ? 'Those that are on' : 'Those put away'}
            onPress={() => setAway(!away)}
          />
        ) : null}
      </View>
      {!data ? (
        <Waiting of={{ error, refetch }} rows={2} height={140} />
      ) : trials.length === 0 ? (
        <Empty
          title="No trial yet"
          text="Two tubs of siblings on two diets, or one tank before and after: how many fish it takes to see a difference, and whether there is one."
        />
      ) : (
        trials.map((trial) => <TrialCard key={trial.id} trial={trial} data={house.data} />)
      )}
      {planning && house.data ? (
        <TrialSheet data={house.data} onClose={() => setPlanning(false)} />
      ) : null}
    </View>
  );
}

function TrialCard({ trial, data }: { trial: TrialRow; data: AppData | undefined }) {
  const format = useFormat();
  const router = useRouter();
  const now = useNow();
  const toast = useToast();
  const [edit, { isLoading }] = ledgerApi.useEditTrialMutation();
  const [changing, setChanging] = useState(false);
  const { status, name, kind, groupName, otherGroupName, endedOn } = trial;
  const change = async (
    over: Partial<Pick<TrialRow, 'endedOn' | 'archived'>>,
    says: string,
    back: Partial<Pick<TrialRow, 'endedOn' | 'archived'>>,
    version = trial.version,
  ): Promise<void> => {
    const { from, changedOn, weeks, difference, tubsEach, note, archived } = trial;
    const as = { name, from, changedOn, weeks, difference, tubsEach, note, endedOn, archived };
    const done = await edit({ params: { id: trial.id }, body: { ...as, version, ...over } });
    if (done.error) {
      toast((done.error as Problem).detail, { tone: 'error' });
      return;
    }
    const { version: next } = done.data as TrialRow;
    toast(says, { undo: () => void change(back, `${name} goes on as it was.`, over, next) });
  };
  const note = trial.note;
  const needed = status?.needed.find((one) => one.weeks === trial.weeks);
  return (
    <Card label={`Trial: ${name}`}>
      <View style={{ padding: 12, gap: 8 }}>
        <Text variant="subtitle">{name}</Text>
        <Text variant="small" tone="quiet">
          {[
            kind === 'siblings' ? `${groupName} against ${otherGroupName}` : groupName,
            `from ${format.day(trial.from)}`,
            trial.changedOn === null ? null : `diet changed ${format.day(trial.changedOn)}`,
            endedOn === null
              ? status
                ? status.weeksDone >= trial.weeks
                  ? `its ${trial.weeks} weeks are over`
                  : `week ${Math.floor(status.weeksDone) + 1} of ${trial.weeks}`
                : null
              : `ended ${format.day(endedOn)}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Text>
        {status ? (
          <>
            <Text variant="strong">{formatResult(trial, status, format)}</Text>
            {formatDoubts(trial, status).map((line) => (
              <Text key={line} tone="due">
                {line}
              </Text>
            ))}
            {needed ? (
              <Text variant="small" tone="quiet">
                {`To see ${formatNumber(trial.difference * 100, 0)} % four times in five: ${formatNeeded(needed)}. Fish differ by ${formatNumber(status.basis.cv * 100, 0)} %${status.basis.cvMeasured ? ', as measured' : ', assumed'}.`}
              </Text>
            ) : null}
          </>
        ) : (
          <Text>Its fish are no longer kept.</Text>
        )}
        {note === '' ? null : (
          <Text variant="small" tone="quiet">
            {note}
          </Text>
        )}
      </View>
      {(status?.sides ?? []).map(({ begin, last, count }, at) => (
        <ListRow
          key={at}
          title={at === 0 ? groupName : (otherGroupName ?? '')}
          detail={[
            `${count} fish`,
            begin
              ? `${format.quantity('length', begin.mean)} of ${begin.n} at the beginning`
              : 'not measured at the beginning',
            last
              ? `${format.quantity('length', last.mean)} of ${last.n} on ${format.day(last.day)}`
              : 'not measured since',
          ].join(' · ')}
          onPress={() =>
            router.push(`/groups/${at === 0 ? trial.groupId : trial.otherGroupId}/growth`)
          }
        />
      ))}
      <View style={{ padding: 12, flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {endedOn === null ? (
          <Button
            least="keeper"
            label="End it"
            disabled={isLoading}
            spoken={`End the trial ${name}`}
            onPress={() =>
              void change({ endedOn: now.day }, `${name} is ended.`, { endedOn: null })
            }
          />
        ) : null}
        {data ? (
          <Button
            least="keeper"
            variant="bare"
            label="Change"
            spoken={`Change the trial ${name}`}
            onPress={() => setChanging(true)}
          />
        ) : null}
        {trial.archived ? (
          <Button
            least="keeper"
            variant="bare"
            label="Bring back"
            disabled={isLoading}
            spoken={`Bring the trial ${name} back`}
            onPress={() => change({ archived: false }, `${name} is back.`, { archived: true })}
          />
        ) : (
          <Button
            least="keeper"
            variant="bare"
            label="Put away"
            disabled={isLoading}
            spoken={`Put the trial ${name} away`}
            onPress={() =>
              void change({ archived: true }, `${name} is put away.`, { archived: false })
            }
          />
        )}
      </View>
      {changing && data ? (
        <TrialSheet data={data} trial={trial} onClose={() => setChanging(false)} />
      ) : null}
    </Card>
  );
}
