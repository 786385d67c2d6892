import type { Role } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { api } from '../store';
import { Button, Choice, Fault, Sheet, Text, useToast } from '../ui';
import { linkOf } from './linkCode';
import { peopleApi } from './peopleApi';
import { QrCode } from './QrCode';
import { roleLabel, roleMay, ROLES } from './roles';
import { useSend } from './useSend';

const DAYS = [1, 7, 30] as const;

/** Invite a person: what they may do, and a link that is good for some days. */
export function InviteSheet({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Sheet title="Invite someone" open={open} onClose={onClose}>
      <Invite />
    </Sheet>
  );
}

function Invite() {
  const toast = useToast();
  const { data: me } = api.useMeQuery();
  const [role, setRole] = useState<Role>('feeder');
  const [days, setDays] = useState<number>(7);
  const [link, setLink] = useState<string | null>(null);
  const [create] = peopleApi.useCreateInvitationMutation();
  const { send, problem } = useSend();
  const make = async () => {
    const made = await send(create({ body: { role, days } }));
    const address = me?.address ?? globalThis.location?.origin ?? '';
    if (made) setLink(linkOf(address, 'join', made.code));
  };
  if (link) {
    return (
      <View style={{ gap: 16, alignItems: 'flex-start' }}>
        <Text>
          Send this link, or let them point a camera at the code. It works once, for{' '}
          {days === 1 ? 'a day' : `${days} days`}.
        </Text>
        <QrCode text={link} label="Code of the invitation" />
        <Text selectable variant="small">
          {link}
        </Text>
        <Button
          label="Copy the link"
          onPress={async () => {
            await globalThis.navigator?.clipboard?.writeText(link);
            toast('The link is copied.');
          }}
        />
      </View>
    );
  }
  return (
    <View style={{ gap: 16 }}>
      <Choice
        label="As"
        value={role}
        onChange={setRole}
        options={ROLES}
        hint={`${roleLabel(role)}: ${roleMay(role)}.`}
      />
      <Choice
        label="The link works for"
        value={days}
        onChange={setDays}
        options={DAYS.map((value) => ({ value, label: value === 1 ? 'a day' : `${value} days` }))}
      />
      {problem ? <Fault problem={problem} /> : null}
      <Button variant="primary" label="Make the link" onPress={make} />
    </View>
  );
}
