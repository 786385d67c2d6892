import type { Group } from '@open-larder/contract';
import type { CheckpointStatus, GrowthStatus } from '@open-larder/core/growth';
import { useState } from 'react';
import { View } from 'react-native';
import { useFormat, type Format } from '../store';
import { Button, Card, ListRow, Text, upperFirst } from '../ui';
import { checkpointTitle, VERDICTS } from './checkpointLabels';
import { CheckpointsSheet } from './CheckpointsSheet';

/** Lengths that the group should have by an age, each with whether it will. */
export function CheckpointsCard({ group, status }: { group: Group; status: GrowthStatus }) {
  const format = useFormat();
  const [editing, setEditing] = useState(false);
  const { checkpoints } = status;
  return (
    <View style={{ gap: 8 }}>
      <Text variant="subtitle">Checkpoints</Text>
      {checkpoints.length === 0 ? (
        <Text tone="quiet">
          Set a size for an age, such as {format.quantity('length', 8)} at 6 months, or a size at
          which they can leave.
        </Text>
      ) : (
        <Card label="Checkpoints">
          {checkpoints.map((one, index) => (
            <ListRow
              key={index}
              first={index === 0}
              title={checkpointTitle(one, format)}
              detail={detailOf(one, format)}
            />
          ))}
        </Card>
      )}
      <View style={{ alignItems: 'flex-start' }}>
        <Button
          least="keeper"
          label={checkpoints.length === 0 ? 'Set checkpoints' : 'Change checkpoints'}
          onPress={() => setEditing(true)}
        />
      </View>
      {editing ? <CheckpointsSheet group={group} onClose={() => setEditing(false)} /> : null}
    </View>
  );
}

function detailOf(one: CheckpointStatus, format: Format): string {
  const { verdict, reached, dueOn, ageDays, late, measured } = one;
  const says: string[] = [];
  if (verdict !== null) says.push(upperFirst(VERDICTS[verdict]));
  if (dueOn !== null) says.push(`due ${format.day(dueOn)}`);
  else if (ageDays !== null) says.push('enter the day they were born to see when it is due');
  if (reached === null) says.push('measure a few to see when they get there');
  else if (reached === 'never') says.push('they will not get there as they grow now');
  else if (reached !== 'there') {
    const until = reached.to === null ? 'or much later' : `to ${format.day(reached.to)}`;
    says.push(`expected ${format.day(reached.from)} ${until}`);
  }
  if (late !== null && late > 0 && verdict !== 'late') {
    says.push(`${late} of the ${measured} measured are too small for it`);
  }
  return says.join(' · ');
}
