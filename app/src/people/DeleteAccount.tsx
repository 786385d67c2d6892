import { useState } from 'react';
import { saveFile } from '../table/saveFile';
import { Button, Fault, Sheet, Text } from '../ui';
import { OwnPassword } from './OwnPassword';
import { peopleApi } from './peopleApi';
import { Remains } from './Remains';
import { signOutHere } from './signOutHere';
import { useSend } from './useSend';

/** Your account goes for good: what is kept of you can be saved first. */
export function DeleteAccount({ open, onClose }: { open: boolean; onClose: () => void }) {
  const [password, setPassword] = useState('');
  const [remains, setRemains] = useState<readonly string[] | null>(null);
  const [read] = peopleApi.useExportMeMutation();
  const [erase] = peopleApi.useEraseMeMutation();
  const { send, errorAt, problem } = useSend();
  const save = async () => {
    const kept = await send(read({}));
    if (kept) saveFile(kept.fileName, kept.text, 'application/json');
  };
  const submit = async () => {
    const erased = await send(erase({ body: { password } }));
    if (erased) setRemains(erased.remains);
  };
  return (
    <Sheet
      title="Delete my account"
      open={open}
      onClose={remains === null ? onClose : () => void signOutHere({ evenUnsent: true })}
    >
      {remains ? (
        <Remains
          what="Your account is deleted."
          remains={remains}
          onDone={() => void signOutHere({ evenUnsent: true })}
        />
      ) : (
        <>
          <Text>
            Your name, your password, your codes and passkeys go for good, and every device of yours
            is signed out. What you logged stays with the household.
          </Text>
          <Button label="Save what is kept about me" onPress={save} />
          <OwnPassword value={password} onChange={setPassword} fieldError={errorAt('password')} />
          {problem ? <Fault problem={problem} /> : null}
          <Button label="Delete it for good" onPress={submit} />
        </>
      )}
    </Sheet>
  );
}
