import type { Me } from '@open-larder/contract';
import { useState } from 'react';
import { Button, Text } from '../ui';
import { DeleteAccount } from './DeleteAccount';
import { Entrance } from './Entrance';
import { Another } from './HouseholdsCard';
import { SignOut } from './SignOut';

/** Signed in, and in no household: it was left, or an owner removed them. */
export function NoHouseholdScreen({ me }: { me: Me }) {
  const [deleting, setDeleting] = useState(false);
  return (
    <Entrance
      title={`Hello, ${me.person?.name ?? ''}`}
      detail="You belong to no household on this server."
    >
      <Text>Open an invitation you received, or start a household of your own.</Text>
      <Another open />
      <SignOut bare />
      <Button variant="bare" label="Delete my account" onPress={() => setDeleting(true)} />
      <DeleteAccount open={deleting} onClose={() => setDeleting(false)} />
    </Entrance>
  );
}
