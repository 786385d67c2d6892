import type { Me } from '@open-larder/contract';
import { useState } from 'react';
import { View } from 'react-native';
import { Button, Card, Fault, Field, ListRow, Text, useToast } from '../ui';
import { EraseHousehold } from './EraseHousehold';
import { peopleApi } from './peopleApi';
import { roleLabel } from './roles';
import { useSend } from './useSend';

/** The households that you belong to: go to another, begin one, leave this one. */
export function HouseholdsCard({ me }: { me: Me }) {
  const toast = useToast();
  const [choose] = peopleApi.useChooseHouseholdMutation();
  const [leave] = peopleApi.useLeaveHouseholdMutation();
  const { send, problem } = useSend();
  const [leaving, setLeaving] = useState(false);
  const [erasing, setErasing] = useState(false);
  const go = async (id: string, name: string) => {
    if (await send(choose({ body: { id } }))) toast(`You are in ${name} now.`);
  };
  const goAway = async () => {
    if (await send(leave({}))) toast(`You have left ${me.household?.name}.`);
    setLeaving(false);
  };
  return (
    <View style={{ gap: 12 }}>
      {me.households.length > 1 ? <Text variant="subtitle">Your households</Text> : null}
      {me.households.length > 1 ? (
        <Card label="Your households">
          {me.households.map((one, at) => (
            <ListRow
              key={one.id}
              first={at === 0}
              title={one.id === me.household?.id ? `${one.name} (open now)` : one.name}
              detail={roleLabel(one.role)}
              onPress={one.id === me.household?.id ? undefined : () => void go(one.id, one.name)}
            />
          ))}
        </Card>
      ) : null}
      <Another />
      {problem ? <Fault problem={problem} /> : null}
      {me.household ? (
        leaving ? (
          <View style={{ gap: 12, alignItems: 'flex-start' }}>
            <Text>
              Leave {me.household.name}? What you logged stays there. To come back, you need an
              invitation.
            </Text>
            <View style={{ flexDirection: 'row', gap: 12 }}>
              <Button label="Leave" onPress={goAway} />
              <Button variant="bare" label="Stay" onPress={() => setLeaving(false)} />
            </View>
          </View>
        ) : (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
            <Button
              variant="bare"
              label={`Leave ${me.household.name}`}
              onPress={() => setLeaving(true)}
            />
            {me.household.role === 'owner' ? (
              <Button
                variant="bare"
                label={`Erase ${me.household.name}`}
                onPress={() => setErasing(true)}
              />
            ) : null}
          </View>
        )
      ) : null}
      {me.household ? (
        <EraseHousehold
          name={me.household.name}
          person={me.person}
          open={erasing}
          onClose={() => setErasing(false)}
        />
      ) : null}
    </View>
  );
}

/** Begin a household of your own: a second place, a club’s room. */
export function Another({ open: atOnce = false }: { open?: boolean }) {
  const toast = useToast();
  const [open, setOpen] = useState(atOnce);
  const [name, setName] = useState('');
  const [begin] = peopleApi.useBeginHouseholdMutation();
  const { send, errorAt, problem } = useSend();
  const make = async () => {
    if (!(await send(begin({ body: { name } })))) return;
    toast(`You are in ${name.trim()} now.`);
    setOpen(false);
  };
  if (!open) {
    return (
      <View style={{ alignItems: 'flex-start' }}>
        <Button label="Start another household" onPress={() => setOpen(true)} />
      </View>
    );
  }
  return (
    <View style={{ gap: 12 }}>
      <Field
        label="Name of the household"
        value={name}
        onChange={setName}
        fieldError={errorAt('name')}
        onSubmit={() => void make()}
      />
      {problem ? <Fault problem={problem} /> : null}
      <Button variant="primary" label="Start it" onPress={make} />
    </View>
  );
}
