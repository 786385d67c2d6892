import { useState } from 'react';
import { Button, Fault, Field, Text } from '../ui';
import { Entrance } from './Entrance';
import { passkeysWorkHere } from './passkeysWorkHere';
import { peopleApi } from './peopleApi';
import { usePasskeySignIn } from './usePasskeySignIn';
import { useSend } from './useSend';

/** The way in, also for who has lost the password. `again`: a session ended while the app was open. */
export function SignInScreen({ again = false }: { again?: boolean }) {
  const [who, setWho] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const [lost, setLost] = useState(false);
  const [signIn] = peopleApi.useSignInMutation();
  const [recover] = peopleApi.useRecoverAccountMutation();
  const { send, errorAt, problem, clear } = useSend();
  const { signInByPasskey, failed } = usePasskeySignIn(send);
  const submit = () =>
    lost
      ? send(recover({ body: { who, code, password } }))
      : send(signIn({ body: { who, password } }));
  return (
    <Entrance
      title={lost ? 'Set a new password' : 'Sign in'}
      detail={
        lost
          ? 'Type one of the codes that you were given at the start. It works once.'
          : again
            ? 'You are no longer signed in on this device. What you typed is still here.'
            : undefined
      }
    >
      <Field
        label="Name or e-mail"
        value={who}
        onChange={setWho}
        fieldError={errorAt('who')}
        fill="name"
      />
      {lost ? (
        <Field label="Code" value={code} onChange={setCode} fieldError={errorAt('code')} />
      ) : null}
      <Field
        label={lost ? 'New password' : 'Password'}
        value={password}
        onChange={setPassword}
        fieldError={errorAt('password')}
        fill={lost ? 'newPassword' : 'password'}
        onSubmit={() => void submit()}
      />
      {problem ? <Fault problem={problem} /> : null}
      <Button variant="primary" label={lost ? 'Set it and sign in' : 'Sign in'} onPress={submit} />
      {failed ? <Text tone="due">{failed}</Text> : null}
      {!lost && passkeysWorkHere() ? (
        <Button label="Use a passkey" onPress={signInByPasskey} />
      ) : null}
      <Button
        variant="bare"
        label={lost ? 'Back to signing in' : 'I have lost my password'}
        onPress={() => {
          clear();
          setLost(!lost);
        }}
      />
    </Entrance>
  );
}
