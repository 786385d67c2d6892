import type { Me } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Fault, Field, Sheet, Text, useToast } from '../ui';
import { CodesCard } from './CodesCard';
import { DeleteAccount } from './DeleteAccount';
import { OwnPassword } from './OwnPassword';
import { peopleApi } from './peopleApi';
import { SignOut } from './SignOut';
import { useSend } from './useSend';

/** Your password, your codes, and the way out. */
export function YourAccount({ me }: { me: Me }) {
  const [open, setOpen] = useState<'password' | 'codes' | 'delete' | null>(null);
  const close = () => setOpen(null);
  return (
    <View style={{ gap: 12, alignItems: 'flex-start' }}>
      <Text variant="subtitle">{me.person?.name}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Button label="Change my password" onPress={() => setOpen('password')} />
        <Button label="Make new codes" onPress={() => setOpen('codes')} />
        <SignOut />
        <Button variant="bare" label="Delete my account" onPress={() => setOpen('delete')} />
      </View>
      <DeleteAccount open={open === 'delete'} onClose={close} />
      <Sheet title="Change my password" open={open === 'password'} onClose={close}>
        <ChangePassword onDone={close} />
      </Sheet>
      <Sheet title="Make new codes" open={open === 'codes'} onClose={close}>
        <NewCodes onDone={close} />
      </Sheet>
    </View>
  );
}

function ChangePassword({ onDone }: { onDone: () => void }) {
  const toast = useToast();
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const [change] = peopleApi.useChangePasswordMutation();
  const { send, errorAt, problem } = useSend();
  const save = async () => {
    if (!(await send(change({ body: { current, password } })))) return;
    toast('Your password is changed. Your other devices are signed out.');
    onDone();
  };
  return (
    <>
      <Field
        label="Password until now"
        value={current}
        onChange={setCurrent}
        fieldError={errorAt('current')}
        fill="password"
      />
      <Field
        label="New password"
        value={password}
        onChange={setPassword}
        fieldError={errorAt('password')}
        hint="At least 8 characters. Four words are easy to remember."
        fill="newPassword"
        onSubmit={() => void save()}
      />
      {problem ? <Fault problem={problem} /> : null}
      <Button variant="primary" label="Change it" onPress={save} />
    </>
  );
}

function NewCodes({ onDone }: { onDone: () => void }) {
  const [password, setPassword] = useState('');
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const [make] = peopleApi.useMakeCodesMutation();
  const { send, errorAt, problem } = useSend();
  if (codes) return <CodesCard codes={codes} done="I have them" onDone={onDone} />;
  const submit = async () => {
    const made = await send(make({ body: { password } }));
    if (made) setCodes(made.codes);
  };
  return (
    <>
      <Text>Your old codes stop working.</Text>
      <OwnPassword
        value={password}
        onChange={setPassword}
        fieldError={errorAt('password')}
        onSubmit={() => void submit()}
      />
      {problem ? <Fault problem={problem} /> : null}
      <Button variant="primary" label="Make new codes" onPress={submit} />
    </>
  );
}
