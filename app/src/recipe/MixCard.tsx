import type { FoodRow, RecipeRow } from '@open-larder/contract';
import { digestibleEnergy, ofDryMatter } from '@open-larder/core/food';
import { formatGrams, formatNumber } from '@open-larder/say';
import { batchOf, pieceMassG, trayMassG } from '@open-larder/core/recipe';
import { pricePerGram } from '@open-larder/core/stock';
import { useFormat } from '../store';
import { Card, ErrorLine, ListRow, Text } from '../ui';
import { triedMix } from './useKitchen';
import { percent, formatLosses, formatPieces } from './labels';

interface Props {
  recipe: Pick<RecipeRow, 'name' | 'ingredients' | 'cooked' | 'drained' | 'tray'>;
  foods: ReadonlyMap<string, FoodRow>;
}

/** What a recipe makes: its make-up, its energy, its pieces, and what a hundred grams cost. */
export function MixCard({ recipe, foods }: Props) {
  const format = useFormat();
  const { mix, fieldError } = triedMix(recipe, foods);
  if (fieldError !== null) return <ErrorLine fieldError={fieldError} />;
  const { composition, plantShare } = mix;
  const dry = ofDryMatter(composition);
  const energy = digestibleEnergy(recipe.name || 'the mix', composition, 'omnivore').value;
  const { tray } = recipe;
  const shares = recipe.ingredients.map((one) => one.share);
  const { amountsG, rawG } = batchOf(shares, recipe, tray, 100);
  const prices = recipe.ingredients.map(({ foodId }, at) => {
    const price = foodId === null ? 0 : pricePerGram(foods.get(foodId)?.lots ?? []);
    return price === null ? null : price * (amountsG[at] as number);
  });
  const cost = prices.reduce<number>((sum, one) => sum + (one ?? 0), 0);
  const losses = formatLosses(recipe);
  return (
    <Card label="What it makes">
      <ListRow
        first
        title="In its dry matter"
        detail={`protein ${percent(dry.protein)} · fat ${percent(dry.fat)} · fibre ${percent(dry.fibre)} · ash ${percent(dry.ash)} · plant ${percent(plantShare)}`}
      />
      <ListRow
        title="As fed"
        detail={`protein ${percent(composition.protein, 1)} · fat ${percent(composition.fat, 1)} · moisture ${percent(composition.moisture)} · ${formatNumber(energy, 1)} kJ/g for an omnivore`}
      />
      {losses ? (
        <ListRow title="Lost on the way" detail={`${losses}: ${formatGrams(rawG)} make 100 g`} />
      ) : null}
      <ListRow
        title="A tray"
        detail={`${formatGrams(trayMassG(tray))}, ${formatPieces(tray.columns * tray.rows, pieceMassG(tray))}`}
      />
      <ListRow
        title="100 g cost"
        detail={prices.includes(null) ? 'some ingredients have no price' : undefined}
        trail={<Text>{format.money(cost)}</Text>}
      />
    </Card>
  );
}
