import { useState } from 'react';
import { call } from '../store/call';
import { fromBase64 } from '../table/base64';
import { saveFile } from '../table/saveFile';
import { Button, Fault, Field, Sheet, Text } from '../ui';
import { OwnPassword } from './OwnPassword';
import { peopleApi } from './peopleApi';
import { Remains } from './Remains';
import { useSend } from './useSend';

interface Props {
  name: string;
  /** Null where whoever uses this machine is the keeper, without a password. */
  person: { name: string } | null;
  open: boolean;
  onClose: () => void;
}

/** A household goes for good, with all of its records: only after its last backup was saved. */
export function EraseHousehold({ name, person, open, onClose }: Props) {
  const [typed, setTyped] = useState('');
  const [password, setPassword] = useState('');
  const [backup, setBackup] = useState<string | null>(null);
  const [remains, setRemains] = useState<readonly string[] | null>(null);
  const [erase] = peopleApi.useEraseHouseholdMutation();
  const { send, errorAt, problem } = useSend();
  const save = async () => {
    const file = await send(backupOf());
    if (!file) return;
    const bytes = fromBase64(file.base64);
    saveFile(file.fileName, bytes, 'application/zip');
    setBackup(await sha256(bytes));
  };
  const submit = async () => {
    const erased = await send(erase({ body: { name: typed, password, backup: backup ?? '' } }));
    if (erased) setRemains(erased.remains);
  };
  return (
    <Sheet title={`Erase ${name}`} open={open} onClose={remains ? reload : onClose}>
      {remains ? (
        <Remains what={`${name} is erased.`} remains={remains} onDone={reload} />
      ) : (
        <>
          <Text>
            Tanks, groups, foods, cultures, broods, photos and everything that was logged go for
            good, for everyone in {name}. Save a backup first; it can be restored later.
          </Text>
          <Button
            label={backup === null ? 'Save the backup' : 'Save the backup again'}
            onPress={save}
          />
          {backup === null ? null : (
            <>
              <Field
                label={`To be sure, type «${name}»`}
                value={typed}
                onChange={setTyped}
                fieldError={errorAt('name')}
              />
              {person ? (
                <OwnPassword
                  value={password}
                  onChange={setPassword}
                  fieldError={errorAt('password')}
                />
              ) : null}
              <Button label="Erase it for good" onPress={submit} />
            </>
          )}
          {problem ? <Fault problem={problem} /> : null}
        </>
      )}
    </Sheet>
  );
}

const backupOf = async () => {
  const answer = await call('getBackup');
  return 'error' in answer ? { error: answer.error } : { data: answer.data };
};

async function sha256(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as BufferSource);
  return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** Nothing that was read before is there any more. */
const reload = () => location.assign('/');
