import { addDays } from '@open-larder/core/round';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHand, useNow } from '../store';
import { useSavePrinted } from '../table/useSavePrinted';
import { Button, Choices, Field, Sheet, Text } from '../ui';
import { DateField } from '../ui/DateField';
import { useBroods } from './useBroods';

/** A page for the wall, for each person: what the young in their tubs get on a day, by the clock. */
export function DaySheet({ onClose }: { onClose: () => void }) {
  const now = useNow();
  const hand = useHand();
  const { data } = useBroods();
  const [ask] = api.useLazyBroodDayQuery();
  const save = useSavePrinted();
  const [day, setDay] = useState<string | null>(now.day);
  const [person, setPerson] = useState(hand ?? '');
  const [some, setChosen] = useState<string[] | null>(null);
  const tubs = (data?.all ?? [])
    .filter(({ status }) => status.state.phase !== 'over')
    .flatMap((brood) => brood.tubs.map(({ id, name }) => ({ id, name, brood: brood.name })));
  const chosen = some ?? tubs.map(({ id }) => id);
  return (
    <Sheet title="Day sheet" open onClose={onClose}>
      <Text tone="quiet">
        Every meal with its time and a box for each tub, the seasoned water for the evening, and
        what else is to be done.
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label="Today" onPress={() => setDay(now.day)} />
        <Button label="Tomorrow" onPress={() => setDay(addDays(now.day, 1))} />
      </View>
      <DateField label="Day" value={day} onChange={setDay} />
      <Field
        label="Whose page"
        hint="Blank is everyone’s."
        value={person}
        onChange={(text) => setPerson(text.slice(0, 30))}
      />
      {tubs.length > 1 ? (
        <Choices
          label="The tubs on it"
          value={chosen}
          onChange={setChosen}
          options={tubs.map(({ id, name, brood }) => ({ value: id, label: `${brood}: ${name}` }))}
        />
      ) : null}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Print"
          disabled={tubs.length > 0 && chosen.length === 0}
          onPress={async () => {
            if (day === null) return;
            save(await ask({ day, hand: person.trim() || null, tubs: some }));
          }}
        />
      </View>
    </Sheet>
  );
}
