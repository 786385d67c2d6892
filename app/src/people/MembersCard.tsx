import type { Me, ResponseOf, Role } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat } from '../store';
import { Button, Card, Choice, Fault, ListRow, Sheet, Text, useToast, Waiting } from '../ui';
import { InviteSheet } from './InviteSheet';
import { peopleApi } from './peopleApi';
import { roleLabel, roleMay, ROLES } from './roles';
import { useSend } from './useSend';

type Member = ResponseOf<'listPeople'>['people'][number];

/** The people of the household; for its owners, what each may do, and the way in for others. */
export function MembersCard({
  me,
  household,
}: {
  me: Me;
  household: NonNullable<Me['household']>;
}) {
  const { data: people, error, refetch } = peopleApi.usePeopleQuery();
  const [changed, setChanged] = useState<Member | null>(null);
  const [inviting, setInviting] = useState(false);
  const owner = household.role === 'owner';
  return (
    <View style={{ gap: 12 }}>
      <Text variant="subtitle">{household.name}</Text>
      {people ? (
        <Card label={`People of ${household.name}`}>
          {people.map((one, at) => (
            <ListRow
              key={one.id}
              first={at === 0}
              title={one.you ? `${one.name} (you)` : one.name}
              detail={`${roleLabel(one.role)}: ${roleMay(one.role)}`}
              onPress={owner ? () => setChanged(one) : undefined}
            />
          ))}
        </Card>
      ) : (
        <Waiting of={{ error, refetch }} rows={2} height={56} />
      )}
      {owner ? (
        <>
          <Invitations />
          <View style={{ alignItems: 'flex-start' }}>
            <Button label="Invite someone" onPress={() => setInviting(true)} />
          </View>
          <InviteSheet open={inviting} onClose={() => setInviting(false)} />
        </>
      ) : null}
      {changed ? (
        <MemberSheet
          member={changed}
          you={changed.id === me.person?.id}
          onClose={() => setChanged(null)}
        />
      ) : null}
    </View>
  );
}

function MemberSheet({
  member,
  you,
  onClose,
}: {
  member: Member;
  you: boolean;
  onClose: () => void;
}) {
  const toast = useToast();
  const [role, setRole] = useState<Role>(member.role);
  const [edit] = peopleApi.useEditRoleMutation();
  const [remove] = peopleApi.useRemovePersonMutation();
  const { send, problem } = useSend();
  const save = async () => {
    if (!(await send(edit({ params: { id: member.id }, body: { role } })))) return;
    toast(`${member.name} is ${roleLabel(role).toLowerCase()} now.`);
    onClose();
  };
  const takeOut = async () => {
    if (!(await send(remove({ params: { id: member.id } })))) return;
    toast(`${member.name} no longer belongs to the household. What they logged stays.`);
    onClose();
  };
  return (
    <Sheet title={member.name} open onClose={onClose}>
      <Choice
        label="May"
        value={role}
        onChange={setRole}
        options={ROLES}
        hint={`${roleLabel(role)}: ${roleMay(role)}.`}
      />
      {problem ? <Fault problem={problem} /> : null}
      <Button variant="primary" label="Save" disabled={role === member.role} onPress={save} />
      {you ? null : <Button label={`Remove ${member.name}`} onPress={takeOut} />}
    </Sheet>
  );
}

/** Links that still work. */
function Invitations() {
  const format = useFormat();
  const { data: invitations } = peopleApi.useInvitationsQuery();
  const [withdraw] = peopleApi.useWithdrawInvitationMutation();
  if (!invitations?.length) return null;
  return (
    <Card label="Invitations">
      {invitations.map((one, at) => (
        <ListRow
          key={one.id}
          first={at === 0}
          title={`Invitation as ${roleLabel(one.role).toLowerCase()}`}
          detail={`By ${one.invitedBy}, until ${format.day(one.expiresAt.slice(0, 10))}`}
          trail={
            <Button
              label="Withdraw"
              spoken={`Withdraw the invitation as ${roleLabel(one.role).toLowerCase()}`}
              onPress={() => withdraw({ params: { id: one.id } })}
            />
          }
        />
      ))}
    </Card>
  );
}
