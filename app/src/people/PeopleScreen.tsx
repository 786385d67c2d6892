import type { Me } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { api } from '../store';
import { useWide } from '../theme';
import { Button, Screen, Text, Waiting } from '../ui';
import { Devices } from './Devices';
import { HouseholdsCard } from './HouseholdsCard';
import { LabelsCard } from './LabelsCard';
import { MembersCard } from './MembersCard';
import { Passkeys } from './Passkeys';
import { PairSheet } from './PairSheet';
import { YourAccount } from './YourAccount';

/** Who feeds here, on which devices, and how to let another one in. */
export function PeopleScreen() {
  const { data: me, error, refetch } = api.useMeQuery();
  return (
    <Screen
      title="People and phones"
      back="/settings"
      aside={me?.person ? <Yours me={me} /> : undefined}
    >
      {!me ? (
        <Waiting of={{ error, refetch }} rows={4} height={56} />
      ) : me.person ? (
        <SignedIn me={me} />
      ) : (
        <OnThisMachine />
      )}
    </Screen>
  );
}

/** Without sign-in: what it means, and how to have it. */
function OnThisMachine() {
  return (
    <View style={{ gap: 12, maxWidth: 640 }}>
      <Text>
        On this machine you are the keeper without a password, and no other device can open these
        pages.
      </Text>
      <Text>
        To feed from your phone, or with others, stop the server and start it with «npm run serve --
        --lan». The household that you keep with «npm start -- --empty» is there too: the first
        person to sign up becomes its owner.
      </Text>
    </View>
  );
}

/** What is about you alone: on a wide screen, beside the household. */
function Yours({ me }: { me: Me }) {
  return (
    <View style={{ gap: 24 }}>
      <YourAccount me={me} />
      <Passkeys />
      <Devices />
    </View>
  );
}

function SignedIn({ me }: { me: Me }) {
  const wide = useWide();
  const [pairing, setPairing] = useState(false);
  return (
    <>
      <View style={{ alignItems: 'flex-start' }}>
        <Button variant="primary" label="Open on my phone" onPress={() => setPairing(true)} />
      </View>
      {me.household ? <MembersCard me={me} household={me.household} /> : null}
      <LabelsCard />
      <HouseholdsCard me={me} />
      {wide ? null : <Yours me={me} />}
      <PairSheet open={pairing} onClose={() => setPairing(false)} />
    </>
  );
}
