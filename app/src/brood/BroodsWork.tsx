import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { Button } from '../ui';
import { BroodWorkList } from './BroodWorkList';
import { MealsCard } from './MealsCard';
import { useBroods } from './useBroods';

/** What a brood asks for today, among the rest of the round. */
export function BroodsWork({ broodId }: { broodId: string }) {
  const router = useRouter();
  const { data } = useBroods();
  const brood = data?.kept.find(({ id }) => id === broodId);
  if (!brood) return null;
  // Young are fed by their meals, or as a group of their own.
  const work = brood.work.filter(({ what }) => what !== 'feed');
  return (
    <View>
      <MealsCard brood={brood} />
      <BroodWorkList brood={brood} work={work} />
      <View style={{ alignItems: 'flex-start', paddingHorizontal: 4 }}>
        <Button
          variant="bare"
          label="Open its page"
          spoken={`Open ${brood.name}`}
          onPress={() => router.push(`/broods/${brood.id}`)}
        />
      </View>
    </View>
  );
}
