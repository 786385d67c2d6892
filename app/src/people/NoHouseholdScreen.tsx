import type { Me } from '@open-larder/contract';
import { Button, Text } from '../ui';
import { Entrance } from './Entrance';
import { Another } from './HouseholdsCard';
import { signOutHere } from './signOutHere';

/** Signed in, and in no household: it was left, or an owner removed them. */
export function NoHouseholdScreen({ me }: { me: Me }) {
  return (
    <Entrance
      title={`Hello, ${me.person?.name ?? ''}`}
      detail="You belong to no household on this server."
    >
      <Text>Open an invitation that you were sent, or start a household of your own.</Text>
      <Another open />
      <Button variant="bare" label="Sign out" onPress={signOutHere} />
    </Entrance>
  );
}
