import { addDays } from '@open-larder/core/round';
import { useState } from 'react';
import { View } from 'react-native';
import { api, useHand, useNow } from '../store';
import { useSavePrinted } from '../table/useSavePrinted';
import { Button, DateField, Sheet, Text } from '../ui';

/** A page for the wall: what the young in all tubs get on a day, by the clock. */
export function DaySheet({ onClose }: { onClose: () => void }) {
  const now = useNow();
  const hand = useHand();
  const [ask] = api.useLazyBroodDayQuery();
  const save = useSavePrinted();
  const [day, setDay] = useState<string | null>(now.day);
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
      <DateField label="For" value={day} onChange={setDay} />
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          variant="primary"
          label="Print"
          onPress={async () => {
            if (day !== null) save(await ask({ day, hand }));
          }}
        />
      </View>
    </Sheet>
  );
}
