import { compileGroupDay, compileRound, type Food } from '@open-larder/core';
import { formatBroodWork, type WorkLabels } from '@open-larder/say/brood';
import { formatCultureWork } from '@open-larder/say/culture';
import { localDay } from '../clock';
import { readBroodStatuses } from '../brood/status';
import { waterWork } from '../water/work';
import { broods } from '../brood/store';
import { readVesselStatuses } from '../culture/status';
import { vessels } from '../culture/store';
import { choresOn } from '../chore/store';
import { feedingsOn } from '../feeding/store';
import type { Handlers } from '../http/mount';
import { notFound } from '../http/problems';
import { inWater } from '../sighting/inWater';
import { readHouse } from './house';
import { preparationsOn } from './prepare';
import { roundSheet } from './sheet';
import { viewOf } from './view';

/** Work of many, as it is printed. */
const said = <B>(
  rows: readonly { name: string; work: readonly { because: B }[] }[],
  say: (because: B) => WorkLabels,
) => rows.map(({ name, work }) => ({ name, work: work.map(({ because }) => say(because)) }));

export const roundRoutes = {
  async getRound({ params, query }, { scope, catalogue, clock }) {
    const [household, fed, done] = await Promise.all([
      readHouse(scope, catalogue),
      feedingsOn(scope, params.day),
      choresOn(scope, params.day),
    ]);
    const foods = new Map(household.foods.map((food) => [food.id, food]));
    const { house } = household.on(params.day, query.hand);
    return {
      ...viewOf(compileRound(house, params.day), foods, fed),
      done,
      inWater: await inWater(scope, household, clock.now()),
    };
  },

  async getPreparations({ params, query }, { scope, catalogue }) {
    const household = await readHouse(scope, catalogue);
    const { house } = household.on(params.day, query.hand);
    return { tasks: preparationsOn(house, household.foods, params.day) };
  },

  async printRound({ params, query }, { scope, catalogue, clock }) {
    const household = await readHouse(scope, catalogue);
    const { house } = household.on(params.day, query.hand);
    // What broods and cultures ask for is known of today alone.
    const asked =
      params.day === localDay(clock.now(), household.timeZone)
        ? [
            {
              title: 'Broods',
              work: said(
                await readBroodStatuses(scope, catalogue, clock, await broods(scope, null, null)),
                (because) => formatBroodWork(because, household.units),
              ),
            },
            {
              title: 'Live shelf',
              work: said(
                await readVesselStatuses(scope, catalogue, clock, await vessels(scope, null, null)),
                formatCultureWork,
              ),
            },
            { title: 'Water', work: await waterWork(scope, household, params.day) },
          ]
        : [];
    const pdf = await roundSheet(house, household.foods, params.day, asked);
    return { fileName: `round-${params.day}.pdf`, base64: Buffer.from(pdf).toString('base64') };
  },

  async getRoundWhy({ params, query }, { scope, catalogue }) {
    const { house } = (await readHouse(scope, catalogue)).on(params.day, query.hand);
    const group = house.groups.find((one) =>
      [one.training?.id, ...(one.diet?.servings.map(({ id }) => id) ?? [])].includes(
        params.servingId,
      ),
    );
    const tank = house.tanks.find((one) => one.id === group?.tankId);
    if (!group || !tank) throw notFound('This serving');
    const foods = new Map<string, Food>(house.foods.map((food) => [food.id, food]));
    const due = compileGroupDay(group, tank, foods, params.day).servings.find(
      (one) => one.serving.id === params.servingId,
    );
    if (!due) throw notFound('This serving');
    return { why: due.portion.why };
  },
} satisfies Partial<Handlers>;
