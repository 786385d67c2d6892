import { type Species } from '@open-larder/catalogue';
import { loadCatalogue } from '@open-larder/catalogue/load';
import { blankTank, fieldsOfGeneric } from '@open-larder/contract';
import { addDays, PLAIN } from '@open-larder/core';
import type { APIRequestContext } from '@playwright/test';
import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import { NOW } from './server';

const TODAY = NOW.slice(0, 10);
const MINUTES = [480, 840, 1170] as const;
const { species, foods: generics } = loadCatalogue();

const whole = (min: number, max: number) => fc.integer({ min, max });
const anyHousehold = fc.record({
  tank: fc.record({
    lengthCm: whole(60, 150),
    widthCm: whole(30, 60),
    waterLevelCm: whole(30, 48),
    tempC: whole(23, 27),
    ph: whole(62, 78).map((tenths) => tenths / 10),
  }),
  foods: fc.array(
    fc.record({
      generic: fc.constantFrom(...generics.filter(({ kind }) => kind !== 'live')),
      amountG: whole(20, 300),
      openedAgo: whole(1, 60),
    }),
    { minLength: 3, maxLength: 3 },
  ),
  groups: fc.array(
    fc.record({
      kind: fc.constantFrom<Species>(...species.filter(({ adultLengthCm }) => adultLengthCm < 12)),
      count: whole(3, 25),
      young: fc.boolean(),
      share: whole(60, 100),
      measuredAgo: whole(1, 60),
      servings: fc.array(
        fc.record({
          food: whole(0, 2),
          moment: whole(0, 2),
          zone: fc.constantFrom('surface', 'mid', 'bottom'),
        }),
        { minLength: 1, maxLength: 3 },
      ),
    }),
    { minLength: 1, maxLength: 3 },
  ),
  tests: fc.array(fc.record({ nitrate: whole(5, 70), changed: fc.boolean() }), { maxLength: 6 }),
});

/** A household of one tank, drawn at random: its fish, foods, diets and tests follow from the seed. */
export async function makeRandomHousehold(
  request: APIRequestContext,
  url: string,
  seed: number,
): Promise<void> {
  const [household] = fc.sample(anyHousehold, { seed, numRuns: 1 });
  const { tank, foods, groups, tests } = household!;
  const send = async (method: 'post' | 'put', path: string, data: object) => {
    const answer = await request[method](`${url}/api${path}`, { data });
    if (!answer.ok()) throw new Error(`${path} of seed ${seed}: ${await answer.text()}`);
  };

  const tankId = uuidv7();
  await send('post', '/tanks', {
    ...blankTank,
    ...tank,
    id: tankId,
    name: `Tank ${seed}`,
    heightCm: 50,
    walkOrder: 1,
  });
  const foodIds = foods.map(() => uuidv7());
  for (const [at, { generic, amountG, openedAgo }] of foods.entries()) {
    await send('post', '/foods', {
      id: foodIds[at],
      ...fieldsOfGeneric(generic),
      name: `Food ${at + 1}`,
      lot: {
        id: uuidv7(),
        amountG,
        costMinor: 500,
        place: 'cupboard',
        boughtOn: addDays(TODAY, -openedAgo),
        openedOn: null,
        bestBefore: addDays(TODAY, 300),
      },
    });
  }
  const momentIds = MINUTES.map(() => uuidv7());
  for (const [at, minutes] of MINUTES.entries()) {
    const name = ['Dawn', 'Lunch', 'Dusk'][at];
    const moment = { id: momentIds[at], name, anchor: 'clock', minutes, spareMin: null };
    await send('post', '/moments', moment);
  }
  for (const [at, { kind, count, young, share, measuredAgo, servings }] of groups.entries()) {
    const id = uuidv7();
    const cm = (kind.adultLengthCm * share * (young ? 0.5 : 1)) / 100;
    await send('post', '/groups', {
      id,
      tankId,
      name: `Shoal ${at + 1}`,
      speciesKey: kind.key,
      males: 0,
      females: 0,
      unsexed: count,
      stage: young ? 'juvenile' : 'adult',
      lengthCm: Math.round(cm * 10) / 10,
      day: addDays(TODAY, -measuredAgo),
    });
    // A food is served once at a moment.
    const once = new Map(servings.map((one) => [`${one.food} ${one.moment}`, one]));
    await send('put', `/groups/${id}/diet`, {
      version: 0,
      fastWeekdays: [],
      goalFactor: null,
      rules: [],
      servings: [...once.values()].map(({ food, moment, zone }) => ({
        id: uuidv7(),
        foodId: foodIds[food],
        momentId: momentIds[moment],
        zone,
        place: '',
        days: [1, 2, 3, 4, 5, 6, 7],
        weight: 1,
        ownUnits: null,
        manner: PLAIN,
      })),
    });
  }
  for (const [at, { nitrate, changed }] of tests.entries()) {
    const day = addDays(TODAY, -7 * (tests.length - at));
    const log = (event: object) =>
      send('post', `/tanks/${tankId}/water`, {
        id: uuidv7(),
        day,
        at: `${day}T09:00:00.000Z`,
        ...event,
      });
    await log({ kind: 'tested', nitrate });
    if (changed) await log({ kind: 'changed', share: 0.3 });
  }
}
