import { useRouter } from 'expo-router';
import Plus from 'lucide-react-native/icons/plus';
import { FoodSign } from '../draw/FoodSign';
import { useFormat } from '../store';
import { useColours } from '../theme';
import { Button, Card, Empty, ListRow, Screen, Waiting } from '../ui';
import { triedMix, useKitchen } from './useKitchen';
import { formatMix } from './labels';

/** The keeper's own mixes. */
export function RecipesScreen() {
  const router = useRouter();
  const format = useFormat();
  const colours = useColours();
  const { data, problem, retry } = useKitchen();
  const kept = (data?.recipes ?? [])
    .filter((recipe) => !recipe.archived)
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  return (
    <Screen
      title="Home recipes"
      back="/larder"
      actions={
        kept.length > 0 ? (
          <Button
            least="keeper"
            label="New recipe"
            icon={<Plus size={20} color={colours.ink} />}
            onPress={() => router.push('/larder/recipes/new')}
          />
        ) : null
      }
    >
      {!data ? (
        <Waiting of={{ problem, retry }} rows={3} height={64} />
      ) : kept.length === 0 ? (
        <Empty
          title="No recipe yet"
          text="Write down a mix of what is on the shelf: a green gel, say, of peas, spinach and gelatine. What it makes is worked out, balanced to your targets, and comes to the shelf in pieces."
          action={
            <Button
              least="keeper"
              variant="primary"
              label="Write a recipe"
              onPress={() => router.push('/larder/recipes/new')}
            />
          }
        />
      ) : (
        <Card label="Home recipes">
          {kept.map((recipe, index) => {
            const { mix, fieldError } = triedMix(recipe, data.foods);
            const [last] = recipe.batches;
            return (
              <ListRow
                key={recipe.id}
                first={index === 0}
                lead={<FoodSign family={recipe.kind === 'gel' ? 'jelly' : 'mortar'} />}
                title={recipe.name}
                detail={[
                  mix ? formatMix(mix) : fieldError,
                  last ? `last made ${format.day(last.day)}` : 'never made yet',
                ].join(' · ')}
                onPress={() => router.push(`/larder/recipes/${recipe.id}`)}
              />
            );
          })}
        </Card>
      )}
    </Screen>
  );
}
