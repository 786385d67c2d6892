import type { Tank } from '@open-larder/contract';
import { addDays } from '@open-larder/core/round';
import { View } from 'react-native';
import { useNow, useFormat } from '../store';
import { stampFor } from '../store/intent';
import { Button, Text, useToast } from '../ui';
import { usePlanPart } from './usePlanPart';

/** Ammonia and nitrite fall when nothing is fed for a day or two. Practice. */
const FAST_DAYS = 2;

/** While ammonia or nitrite harms the fish: no food for two days, in the plan itself. Fry go on being fed. */
export function FastForWater({ tank }: { tank: Tank }) {
  const now = useNow();
  const format = useFormat();
  const toast = useToast();
  const save = usePlanPart(tank);
  const fasts = tank.plan?.fasts ?? [];
  const to = addDays(now.day, FAST_DAYS - 1);
  const running = fasts.find(
    ({ groupId, when }) =>
      groupId === null && when.kind === 'dates' && when.from <= now.day && when.to >= now.day,
  );
  if (running && running.when.kind === 'dates') {
    return (
      <Text variant="small" tone="quiet">
        {`Nothing is fed here up to ${format.day(running.when.to)}; fry get their meals.`}
      </Text>
    );
  }
  const fast = async () => {
    const { id } = stampFor('fast', tank.id, now.day);
    const done = await save({
      fasts: [...fasts, { id, groupId: null, when: { kind: 'dates', from: now.day, to } }],
    });
    if ('problem' in done) {
      toast(done.problem.detail, { tone: 'error' });
      return;
    }
    const { plan } = done;
    toast(`Nothing is fed in ${tank.name} up to ${format.day(to)}; fry get their meals.`, {
      undo: () => void save({ fasts: plan.fasts.filter((one) => one.id !== id) }, plan),
    });
  };
  return (
    <View style={{ alignItems: 'flex-start' }}>
      <Button least="keeper" label="No food today and tomorrow" onPress={fast} />
    </View>
  );
}
