import type { ResponseOf } from '@open-larder/contract';
import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { ALL_TAGS, api } from '../store/api';
import { useAppDispatch } from '../store';
import { Button, Fault, Skeleton, Text, upperFirst } from '../ui';
import { CodesCard } from './CodesCard';
import { Entrance } from './Entrance';
import { clearLinkCode, linkCode } from './linkCode';
import { NewPersonFields, personSent, useNewPerson } from './NewPersonFields';
import { peopleApi } from './peopleApi';
import { roleLabel, roleMay } from './roles';
import { useSend } from './useSend';

/** An invitation: what it is to, and who comes. */
export function JoinScreen() {
  const router = useRouter();
  const dispatch = useAppDispatch();
  const [code] = useState(linkCode);
  const [invitation, setInvitation] = useState<ResponseOf<'seeInvitation'> | null>(null);
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const [person, setPerson] = useNewPerson();
  const { data: me } = api.useMeQuery();
  const [see] = peopleApi.useSeeInvitationMutation();
  const [accept] = peopleApi.useAcceptInvitationMutation();
  const looking = useSend();
  const joining = useSend();
  const begun = useRef(false);
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    void looking.send(see({ body: { code } })).then((seen) => setInvitation(seen ?? null));
  }, [code, looking, see]);
  const enter = () => {
    clearLinkCode();
    dispatch(api.util.invalidateTags([...ALL_TAGS]));
    router.replace('/round');
  };
  const join = async () => {
    const known = me?.signedIn === 'yes';
    const joined = await joining.send(
      accept({ body: { code, person: known ? null : personSent(person) } }),
    );
    if (!joined) return;
    if (joined.codes) setCodes(joined.codes);
    else enter();
  };
  if (codes) {
    return (
      <Entrance title="Keep these codes">
        <CodesCard codes={codes} done="I have them" onDone={enter} />
      </Entrance>
    );
  }
  if (!invitation || !me) {
    return (
      <Entrance title="An invitation">
        {looking.problem || looking.errorAt('code') ? (
          <>
            {looking.problem ? <Fault problem={looking.problem} /> : null}
            {looking.errorAt('code') ? (
              <Text tone="due">{`${upperFirst(looking.errorAt('code')!)}.`}</Text>
            ) : null}
            <Button label="Go to the first page" onPress={() => router.replace('/round')} />
          </>
        ) : (
          <Skeleton rows={2} height={56} />
        )}
      </Entrance>
    );
  }
  return (
    <Entrance
      title={`Join ${invitation.household}`}
      detail={`${invitation.invitedBy} invites you as ${roleLabel(invitation.role).toLowerCase()}: ${roleMay(invitation.role)}.`}
    >
      {me.person ? (
        <Text>You are signed in as {me.person.name}.</Text>
      ) : (
        <NewPersonFields
          person={person}
          onChange={setPerson}
          errorAt={joining.errorAt}
          onSubmit={() => void join()}
        />
      )}
      {joining.problem ? <Fault problem={joining.problem} /> : null}
      <Button variant="primary" label="Join" onPress={join} />
      {me.person ? null : (
        <Text variant="small" tone="quiet">
          Already have an account on this server? Sign in first, then open the link again.
        </Text>
      )}
    </Entrance>
  );
}
