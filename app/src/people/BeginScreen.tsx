import { useState } from 'react';
import { ALL_TAGS, api } from '../store/api';
import { useAppDispatch } from '../store';
import { Button, Fault, Field } from '../ui';
import { CodesCard } from './CodesCard';
import { Entrance } from './Entrance';
import { NewPersonFields, personSent, useNewPerson } from './NewPersonFields';
import { peopleApi } from './peopleApi';
import { useSend } from './useSend';

const HERE = new Set(['localhost', '127.0.0.1', '[::1]']);

/** The first visit: whoever comes first becomes the owner. */
export function BeginScreen() {
  const dispatch = useAppDispatch();
  const [person, setPerson] = useNewPerson();
  const [setUpCode, setSetUpCode] = useState('');
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  const [begin] = peopleApi.useBeginHouseMutation();
  const { send, errorAt, problem } = useSend();
  if (codes) {
    return (
      <Entrance title="Keep these codes">
        <CodesCard
          codes={codes}
          done="I have them"
          onDone={() => dispatch(api.util.invalidateTags([...ALL_TAGS]))}
        />
      </Entrance>
    );
  }
  const submit = async () => {
    const made = await send(begin({ body: { ...personSent(person), setUpCode } }));
    if (made) setCodes(made.codes);
  };
  const elsewhere = !HERE.has(globalThis.location?.hostname ?? 'localhost');
  return (
    <Entrance
      title="Who keeps this fish room?"
      detail="You become its owner. You can invite others later, and open it on your phone."
    >
      <NewPersonFields
        person={person}
        onChange={setPerson}
        errorAt={errorAt}
        onSubmit={() => void submit()}
      />
      {elsewhere || errorAt('setUpCode') ? (
        <Field
          label="Set-up code"
          value={setUpCode}
          onChange={setSetUpCode}
          fieldError={errorAt('setUpCode')}
          hint="It was printed where the server was started."
        />
      ) : null}
      {problem ? <Fault problem={problem} /> : null}
      <Button variant="primary" label="Start" onPress={submit} />
    </Entrance>
  );
}
