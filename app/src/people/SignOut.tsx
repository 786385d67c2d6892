import { useState } from 'react';
import { Button, Sheet, Text } from '../ui';
import { signOutHere } from './signOutHere';

/** Signing out; where something was not sent yet, that is said first. */
export function SignOut({ bare = false }: { bare?: boolean }) {
  const [unsent, setUnsent] = useState(0);
  const many = unsent === 1 ? 'One entry' : `${unsent} entries`;
  return (
    <>
      <Button
        variant={bare ? 'bare' : 'plain'}
        label="Sign out"
        onPress={async () => setUnsent(await signOutHere())}
      />
      <Sheet title="Not all is sent" open={unsent > 0} onClose={() => setUnsent(0)}>
        <Text>
          {`${many} on this device did not reach the server yet. Signing out removes what is kept here, also those.`}
        </Text>
        <Button variant="primary" label="Stay signed in" onPress={() => setUnsent(0)} />
        <Button label="Sign out and lose them" onPress={() => signOutHere({ evenUnsent: true })} />
      </Sheet>
    </>
  );
}
