import { larderOf } from '@open-larder/core';
import { localDay } from '../clock';
import type { Handlers } from '../http/mount';
import { readHouse } from '../round/house';

/** How far the larder looks ahead, in days. */
const HORIZON = 120;

export const larderRoutes: Handlers = {
  async getSupply(_request, { scope, catalogue, clock }) {
    const household = await readHouse(scope, catalogue);
    const today = localDay(clock.now(), household.timeZone);
    const stock = household.foods
      .filter((food) => !food.archived)
      .map(({ id, lots, keeps }) => ({ id, lots, openedDays: keeps.openedDays }));
    const { foods, groups } = larderOf(household.on(today).house, stock, {
      today,
      horizon: HORIZON,
      deliveryDays: household.deliveryDays,
    });
    return {
      horizon: HORIZON,
      foods: foods.map(({ buy, ...food }) => ({
        ...food,
        buy: buy && { ...buy, massG: buy.massG.value, why: buy.massG },
      })),
      groups,
    };
  },
};
