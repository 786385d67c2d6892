import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { Button, Fault, Skeleton } from '../ui';
import { Entrance } from './Entrance';
import { clearLinkCode, linkCode } from './linkCode';
import { peopleApi } from './peopleApi';
import { useSend } from './useSend';

/** A link that was shown on another device of the same person: it signs this one in. */
export function PairScreen() {
  const router = useRouter();
  const [pair] = peopleApi.usePairDeviceMutation();
  const { send, problem } = useSend();
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    const code = linkCode();
    clearLinkCode();
    void send(pair({ body: { code } })).then((me) => {
      if (me) router.replace('/round');
    });
  }, [pair, router, send]);
  return (
    <Entrance title="Signing this device in">
      {problem ? (
        <>
          <Fault problem={problem} />
          <Button label="Sign in by name" onPress={() => router.replace('/round')} />
        </>
      ) : (
        <Skeleton rows={2} height={56} />
      )}
    </Entrance>
  );
}
