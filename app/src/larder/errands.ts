import type { FoodRow } from '@open-larder/contract';
import { formatGrams } from '@open-larder/say';
import { addDays } from '@open-larder/core/round';
import type { FoodSupply } from './shelves';

/** Days ahead that are worth a thought today. */
const SOON_DAYS = 14;

export interface Errand {
  food: FoodRow;
  buy: NonNullable<FoodSupply['buy']>;
  /** «2 packs of 60 g», or grams where no pack was ever bought. */
  amount: string;
  /** It is made at home, not ordered. */
  homemade: boolean;
  /** «order»; what is made at home is made, and vegetables are bought at the corner. */
  act: 'order' | 'make' | 'buy';
  /** To be ordered today, or already late. */
  due: boolean;
  soon: boolean;
}

/** What to buy, the most urgent first. What lives is cultured, not bought, and stands elsewhere. */
export function shoppingList(
  foods: readonly FoodRow[],
  supply: ReadonlyMap<string, FoodSupply>,
  today: string,
): Errand[] {
  return foods
    .flatMap((food): Errand[] => {
      const line = supply.get(food.id);
      const buy = line?.buy;
      if (!buy || food.archived || food.kind === 'live') return [];
      const amount =
        line.homemade || buy.packs === null || line.packG === null
          ? formatGrams(buy.massG)
          : `${buy.packs} ${buy.packs === 1 ? 'pack' : 'packs'} of ${formatGrams(line.packG)}`;
      const due = buy.late || buy.orderBy <= today;
      return [
        {
          food,
          buy,
          amount,
          homemade: line.homemade,
          act: line.homemade ? 'make' : food.kind === 'fresh' ? 'buy' : 'order',
          due,
          soon: buy.orderBy <= addDays(today, SOON_DAYS),
        },
      ];
    })
    .sort((a, b) => (a.buy.orderBy < b.buy.orderBy ? -1 : a.buy.orderBy > b.buy.orderBy ? 1 : 0));
}
