import type { Species } from '@open-larder/catalogue';
import type { Group, Tank } from '@open-larder/contract';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useFormat, type AppData } from '../store';
import { Button, Card, ListRow, Text, WhyLink } from '../ui';
import { findingsIn } from './mates';
import { rank, formatTogether } from './labels';

interface Props {
  tank: Tank;
  groups: readonly Group[];
  data: AppData;
}

/** Shown at once; the rest waits for a tap. */
const FIRST = 4;

/** What living together means for the groups of a tank, the gravest first, each with its figures. */
export function TogetherCard({ tank, groups, data }: Props) {
  const format = useFormat();
  const [all, setAll] = useState(false);
  const found = useMemo(() => findingsIn(tank, groups, data), [tank, groups, data]);
  if (groups.length === 0) return null;
  const byId = new Map(groups.map((group) => [group.id, group]));
  const named = {
    name: (id: string) => byId.get(id)?.name ?? 'these fish',
    species: (id: string) => data.species.get(byId.get(id)?.speciesKey ?? '') as Species,
  };
  const shown = all ? found : found.slice(0, FIRST);
  return (
    <View style={{ gap: 8, alignItems: 'flex-start' }}>
      <Text variant="subtitle">Living together</Text>
      {found.length === 0 ? (
        <Text tone="quiet">
          {groups.length === 1
            ? 'One group, in water that suits it. Nothing to compare.'
            : 'No known conflicts.'}
        </Text>
      ) : (
        <View style={{ alignSelf: 'stretch' }}>
          <Card label="Living together">
            {shown.map((one, index) => {
              const { title, text, why } = formatTogether(one, named, format);
              const grave = rank(one.severity);
              return (
                <ListRow
                  key={`${one.kind} ${one.groupId} ${'otherId' in one ? one.otherId : ''}`}
                  first={index === 0}
                  title={title}
                  detail={text}
                  lead={
                    <View style={{ width: 46 }}>
                      <Text variant="small" tone={grave === 'Act' ? 'due' : 'quiet'}>
                        {grave}
                      </Text>
                    </View>
                  }
                  trail={
                    why ? <WhyLink about={`${title}: ${why.about}`} why={why.known} /> : <View />
                  }
                />
              );
            })}
          </Card>
        </View>
      )}
      {found.length > FIRST ? (
        <Button
          variant="bare"
          label={all ? 'Only the gravest' : `${found.length - FIRST} more`}
          onPress={() => setAll(!all)}
        />
      ) : null}
    </View>
  );
}
