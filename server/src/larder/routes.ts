import type { FoodKind } from '@open-larder/catalogue';
import { larderOf } from '@open-larder/core';
import { localDay } from '../clock';
import type { Handlers } from '../http/mount';
import { foodCorrections, seeCorrections } from './corrections';
import { culturedFoods } from '../culture/store';
import { homemadeFoods } from '../recipe/store';
import { readHouse } from '../round/house';

/** How far the larder looks ahead, in days. */
const HORIZON = 120;
/** A mix must be made, set and cut: the day before it is needed. Assumption. */
const SETTING_DAYS = 1;

/** Vegetables are bought at the corner, when they are wanted. */
const isFresh = (kind: FoodKind) => kind === 'fresh';

export const larderRoutes = {
  getFoodCorrections: (_request, { scope }) => foodCorrections(scope),

  async seeFoodCorrections({ body }, { scope, clock }) {
    await seeCorrections(scope, body.foodIds, clock.now());
    return foodCorrections(scope);
  },

  async getSupply(_request, { scope, catalogue, clock }) {
    const [household, made, cultured] = await Promise.all([
      readHouse(scope, catalogue),
      homemadeFoods(scope),
      culturedFoods(scope),
    ]);
    const today = localDay(clock.now(), household.timeZone);
    const stock = household.foods
      .filter((food) => !food.archived)
      .map(({ id, kind, lots, keeps }) => ({
        id,
        lots,
        openedDays: keeps.openedDays,
        sealedDays: keeps.sealedDays,
        leadDays: made.has(id) ? SETTING_DAYS : isFresh(kind) ? 0 : household.deliveryDays,
        loose: isFresh(kind),
      }));
    const { foods, groups } = larderOf(household.on(today).house, stock, {
      today,
      horizon: HORIZON,
    });
    return {
      horizon: HORIZON,
      foods: foods.map(({ buy, ...food }) => ({
        ...food,
        homemade: made.has(food.foodId),
        ...(cultured.has(food.foodId)
          ? { cultured: true, days: null, buy: null }
          : { cultured: false, buy: buy && { ...buy, massG: buy.massG.value, why: buy.massG } }),
      })),
      groups,
    };
  },
} satisfies Partial<Handlers>;
