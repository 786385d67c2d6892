import { supplyOf, type FoodSupply, type SupplyTask } from '@open-larder/core/culture';

/** What a worker does about live food: plain functions of the core, with progress. */
export const cultureWork = {
  supply: (task: SupplyTask, onFood: (done: number, of: number) => void): FoodSupply[] =>
    supplyOf(task, (done, of) => {
      onFood(done, of);
      return true;
    }),
};

export type CultureWork = typeof cultureWork;
