import type { BodyOf, LogName, Problem, TableName, TableReport } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { ScreenTools } from '../shell';
import { api } from '../store';
import { call } from '../store/call';
import { formIntent } from '../store/intent';
import { TanksTabs } from '../tank/TanksTabs';
import { Button, Choice, Field, Screen, Text, useToast } from '../ui';
import { decode } from './decode';
import { FileButton } from './FileButton';
import { PreviewLine } from './PreviewLine';
import { saveFile } from './saveFile';
import { LOG_WORDS, formatReport, TABLE_WORDS } from './labels';

/** Whole tables in, checked cell by cell before anything is written; and out, as CSV. */
export function TablesScreen({ first }: { first?: string }) {
  const toast = useToast();
  const [table, setTable] = useState<TableName>(
    TABLE_WORDS.find((one) => one.value === first)?.value ?? 'house',
  );
  const [text, setText] = useState('');
  const [report, setReport] = useState<TableReport | null>(null);
  const [fieldError, setFieldError] = useState<string | null>(null);
  const [writing, setWriting] = useState<Writing>(OPEN);
  const [take, { isLoading }] = api.useImportTableMutation();
  const change = (next: string) => {
    setText(next);
    setReport(null);
    setWriting(OPEN);
    setFieldError(null);
  };
  const send = async (write: boolean, said = writing) => {
    const id = write ? formIntent('table', table).id : null;
    const done = await take({ params: { table }, body: { id, text, write, ...said } });
    if (done.error) {
      setFieldError((done.error as Problem).detail);
      return;
    }
    setReport(done.data);
    if (done.data.written) {
      toast(`${formatReport(done.data)}: it is all in.`);
      change('');
    }
  };
  const sound = report !== null && report.counts.error === 0 && report.lines.length > 0;
  return (
    <Screen
      title="Tables in and out"
      tools={<ScreenTools />}
      rows={
        report
          ? {
              items: report.lines,
              keyOf: (line: TableReport['lines'][number]) => String(line.line),
              render: (line: TableReport['lines'][number]) => (
                <PreviewLine line={line} columns={report.columns} />
              ),
            }
          : undefined
      }
    >
      <TanksTabs here="tables" />
      <Text variant="subtitle">In</Text>
      <Choice
        label="What the table holds"
        value={table}
        onChange={(next) => {
          setTable(next);
          setReport(null);
        }}
        options={TABLE_WORDS.map(({ value, label }) => ({ value, label }))}
      />
      <Text tone="quiet">{TABLE_WORDS.find((one) => one.value === table)?.help}</Text>
      <Field
        label="Paste it here"
        lines={8}
        value={text}
        onChange={change}
        placeholder={TABLE_WORDS.find((one) => one.value === table)?.example}
        fieldError={fieldError ?? undefined}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <FileButton
          label="Choose a CSV file"
          accept=".csv,.tsv,.txt,text/csv"
          onFile={(bytes) => change(decode(bytes))}
        />
        <Button
          variant={report ? 'plain' : 'primary'}
          label="Check it"
          disabled={text.trim() === ''}
          busy={isLoading && !report}
          onPress={() => send(false)}
        />
        {report ? (
          <Button
            variant="primary"
            label="Take it in"
            disabled={!sound}
            busy={isLoading}
            onPress={() => send(true)}
          />
        ) : null}
      </View>
      {report ? (
        <Doubts
          doubts={report.doubts}
          writing={writing}
          onSay={(said) => {
            setWriting(said);
            void send(false, said);
          }}
        />
      ) : null}
      {report ? (
        <Text role="status" tone={report.counts.error > 0 ? 'due' : 'ink'}>
          {report.says ?? formatReport(report)}
          {report.counts.error > 0 ? '. Nothing is taken in until every line is right.' : '.'}
        </Text>
      ) : (
        <Out />
      )}
    </Screen>
  );
}

type Writing = Pick<BodyOf<'importTable'>, 'numbers' | 'days' | 'twice'>;
const OPEN: Writing = { numbers: null, days: null, twice: false };

/** What a table leaves open is asked once for all of it; what was said can be said otherwise. */
function Doubts({
  doubts,
  writing,
  onSay,
}: {
  doubts: TableReport['doubts'];
  writing: Writing;
  onSay: (said: Writing) => void;
}) {
  return (
    <>
      {doubts.includes('numbers') || writing.numbers !== null ? (
        <Choice
          label="How numbers are written"
          value={writing.numbers ?? ''}
          options={[
            { value: '', label: 'not sure' },
            { value: 'point', label: '1,000 is a thousand' },
            { value: 'comma', label: '1,000 is one' },
          ]}
          onChange={(value) => onSay({ ...writing, numbers: value === '' ? null : value })}
        />
      ) : null}
      {doubts.includes('days') || writing.days !== null ? (
        <Choice
          label="How days are written"
          value={writing.days ?? ''}
          options={[
            { value: '', label: 'not sure' },
            { value: 'dmy', label: '3/4 is 3 April' },
            { value: 'mdy', label: '3/4 is March 4' },
          ]}
          onChange={(value) => onSay({ ...writing, days: value === '' ? null : value })}
        />
      ) : null}
      {doubts.includes('twice') || writing.twice ? (
        <Choice
          label="Identical lines"
          value={writing.twice ? 'both' : ''}
          options={[
            { value: '', label: 'one is a mistake' },
            { value: 'both', label: 'both are right' },
          ]}
          onChange={(value) => onSay({ ...writing, twice: value === 'both' })}
        />
      ) : null}
    </>
  );
}

/** Every table as a file, in units that are named in its header. */
function Out() {
  const toast = useToast();
  const [busy, setBusy] = useState<TableName | LogName | null>(null);
  const saveLog = async (log: LogName) => {
    setBusy(log);
    const answer = await call('exportLog', { params: { log } });
    setBusy(null);
    if ('error' in answer) toast(answer.error.detail, { tone: 'error' });
    else saveFile(answer.data.fileName, answer.data.text);
  };
  const save = async (table: TableName) => {
    setBusy(table);
    const answer = await call('exportTable', { params: { table } });
    setBusy(null);
    if ('error' in answer) toast(answer.error.detail, { tone: 'error' });
    else saveFile(answer.data.fileName, answer.data.text);
  };
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">Out</Text>
      <Text tone="quiet">
        «A house» is one line a group as it is today. Tanks, groups and events together are a whole
        copy: taken in again in that order, they change nothing here, and make the same house
        elsewhere. Foods, lots, weighings and recipes are the same of the shelf; water is every test
        and change.
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {TABLE_WORDS.map(({ value, label }) => (
          <Button
            key={value}
            label={`Save ${label.toLowerCase()} as CSV`}
            busy={busy === value}
            onPress={() => save(value)}
          />
        ))}
      </View>
      <Text variant="subtitle">Logs out</Text>
      <Text tone="quiet">
        What was written down elsewhere, complete; what was served, and what came of it, is saved in
        Records.
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {LOG_WORDS.map(({ value, label }) => (
          <Button
            key={value}
            label={`Save ${label} as CSV`}
            busy={busy === value}
            onPress={() => saveLog(value)}
          />
        ))}
      </View>
    </View>
  );
}
