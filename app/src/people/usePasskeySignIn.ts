import {
  startAuthentication,
  type PublicKeyCredentialRequestOptionsJSON,
} from '@simplewebauthn/browser';
import { useState } from 'react';
import { wentWrong } from './passkeysWorkHere';
import { peopleApi } from './peopleApi';
import type { useSend } from './useSend';

/** Sign in by a passkey of this device; what went wrong with it is said. */
export function usePasskeySignIn(send: ReturnType<typeof useSend>['send']) {
  const [failed, setFailed] = useState<string | null>(null);
  const [begin] = peopleApi.useBeginPasskeySignInMutation();
  const [signIn] = peopleApi.useSignInByPasskeyMutation();
  const signInByPasskey = async () => {
    setFailed(null);
    const asked = await send(begin({}));
    if (!asked) return;
    const optionsJSON = asked.options as unknown as PublicKeyCredentialRequestOptionsJSON;
    const answer = await startAuthentication({ optionsJSON }).catch((error: unknown) => {
      setFailed(wentWrong(error));
      return null;
    });
    if (answer) await send(signIn({ body: { answer: { ...answer } } }));
  };
  return { signInByPasskey, failed };
}
