import {
  startRegistration,
  type PublicKeyCredentialCreationOptionsJSON,
} from '@simplewebauthn/browser';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../store';
import { Button, Card, Fault, ListRow, Sheet, Text, useToast, Waiting } from '../ui';
import { passkeysWorkHere, WHY_NOT, wentWrong } from './passkeysWorkHere';
import { OwnPassword } from './OwnPassword';
import { peopleApi } from './peopleApi';
import { useSend } from './useSend';

/** Keys that sign you in by unlocking the device, without the password. */
export function Passkeys() {
  const format = useFormat();
  const [open, setOpen] = useState(false);
  const { data: passkeys, error, refetch } = peopleApi.usePasskeysQuery();
  const [remove] = peopleApi.useRemovePasskeyMutation();
  const dayOf = (instant: string) => format.day(instant.slice(0, 10));
  return (
    <View style={{ gap: 12, alignItems: 'flex-start' }}>
      <Text variant="subtitle">Passkeys</Text>
      {passkeys ? (
        passkeys.length > 0 ? (
          <View style={{ alignSelf: 'stretch' }}>
            <Card label="Passkeys">
              {passkeys.map((one, at) => (
                <ListRow
                  key={one.id}
                  first={at === 0}
                  title={`Made on a ${one.device.toLowerCase()}`}
                  detail={`${dayOf(one.since)} · ${one.usedAt ? `last used ${dayOf(one.usedAt)}` : 'not used yet'}`}
                  trail={
                    <Button
                      label="Remove"
                      spoken={`Remove the passkey of ${dayOf(one.since)}`}
                      onPress={() => remove({ params: { id: one.id } })}
                    />
                  }
                />
              ))}
            </Card>
          </View>
        ) : (
          <Text tone="quiet">
            With a passkey you unlock your phone instead of typing your password.
          </Text>
        )
      ) : (
        <Waiting of={{ error, refetch }} rows={1} height={56} />
      )}
      {passkeysWorkHere() ? (
        <Button label="Add a passkey" onPress={() => setOpen(true)} />
      ) : (
        <Text variant="small" tone="quiet">
          {WHY_NOT}
        </Text>
      )}
      <Sheet title="Add a passkey" open={open} onClose={() => setOpen(false)}>
        <AddPasskey onDone={() => setOpen(false)} />
      </Sheet>
    </View>
  );
}

function AddPasskey({ onDone }: { onDone: () => void }) {
  const toast = useToast();
  const [password, setPassword] = useState('');
  const [failed, setFailed] = useState<string | null>(null);
  const [begin] = peopleApi.useBeginPasskeyMutation();
  const [add] = peopleApi.useAddPasskeyMutation();
  const { send, errorAt, problem } = useSend();
  const submit = async () => {
    setFailed(null);
    const asked = await send(begin({ body: { password } }));
    if (!asked) return;
    const optionsJSON = asked.options as unknown as PublicKeyCredentialCreationOptionsJSON;
    const answer = await startRegistration({ optionsJSON }).catch((error: unknown) => {
      setFailed(wentWrong(error));
      return null;
    });
    if (!answer || !(await send(add({ body: { answer: { ...answer } } })))) return;
    toast('Your passkey is added. It signs you in on this device.');
    onDone();
  };
  return (
    <>
      <Text>Type your password once more. Your device then asks you to unlock it.</Text>
      <OwnPassword
        value={password}
        onChange={setPassword}
        fieldError={errorAt('password')}
        onSubmit={() => void submit()}
      />
      {failed ? <Text tone="due">{failed}</Text> : null}
      {errorAt('answer') ? <Text tone="due">{errorAt('answer')}</Text> : null}
      {problem ? <Fault problem={problem} /> : null}
      <Button variant="primary" label="Add it" onPress={submit} />
    </>
  );
}
