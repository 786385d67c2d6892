import { routes, type RouteName } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import { ABOUT_PEOPLE } from './aboutPeople';
import { extremesOf, kindsOf } from './extremes';
import {
  sampleBrood,
  sampleBroodSplit,
  sampleBroodTub,
  sampleFeeding,
  sampleFood,
  sampleGroup,
  sampleLook,
  sampleLooks,
  sampleLot,
  sampleMoment,
  samplePhoto,
  sampleRating,
  sampleRecipe,
  sampleServing,
  sampleSighting,
  sampleSpecies,
  sampleSplit,
  sampleTank,
  sampleTrial,
  sampleVessel,
  sampleWeighing,
} from './samples';

type Body = Record<string, unknown>;

/** How a server is asked: over a socket, or in a test. */
export type Send = (
  method: 'get' | 'post' | 'put',
  path: string,
  body?: object,
) => Promise<{ status: number; body: Body }>;

/** What became of one route's extremes. */
export interface Stored {
  name: RouteName;
  accepted: string[];
  refused: number;
  /** Those that were answered neither with success nor with a sentence. */
  broke: string[];
}

interface Storing {
  after?: () => Promise<void>;
  /** Its fields were tried with another kind: as usual is enough. */
  alike?: boolean;
}

/** What is already there, for bodies to refer to. */
interface There {
  tank: { id: string };
  group: { id: string };
  food: { id: string };
  moment: { id: string };
  serving: { id: string };
}

/** Routes whose bodies hold no values of their own: a yes, a no, an id, a text that is read elsewhere. */
export const WITHOUT_EXTREMES = new Set<RouteName>([
  ...ABOUT_PEOPLE,
  'restoreBackup',
  'editWalk',
  'editTank',
  'editSpecies',
  'editMoment',
  'editStartingPlan',
  'editGroup',
  'editFood',
  'editLot',
  'editRecipe',
  'editVessel',
  'editBrood',
  'editBroodTub',
  'editTrial',
  'editLearned',
  'balancePlan',
  'withdrawGroupEvent',
  'mergeGroup',
  'moveGroups',
  'undoWeighing',
  'undoBatch',
  'undoFeeding',
  'undoLooks',
  'beginConditioning',
  'endConditioning',
  'undoAnswer',
  'answerProposal',
  'beginTraining',
  'endTraining',
  'undoVesselEvent',
  'undoBroodEvent',
  'undoWaterEvent',
  'undoRating',
  'undoChore',
  'undoSighting',
  'importTable',
  'seeFoodCorrections',
  'setPresence',
]);

/**
 * Store everything that each write accepts at the limits of its schema.
 * @param day a day that has come, on which it is written
 */
export async function storeExtremes(send: Send, there: There, day: string): Promise<Stored[]> {
  const at = `${day}T09:00:00.000Z`;
  const said = { day, at, hand: null, note: '', tubId: null };
  const stored = new Map<RouteName, Stored>();
  const resultOf = (name: RouteName): Stored => {
    const known = stored.get(name) ?? { name, accepted: [], refused: 0, broke: [] };
    stored.set(name, known);
    return known;
  };
  const store = async (
    name: RouteName,
    path: () => Promise<string> | string,
    base: () => Body,
    { after = async () => undefined, alike = false }: Storing = {},
  ) => {
    const result = resultOf(name);
    for (const { what, body } of extremesOf(routes[name].body, base)) {
      const answer = await send(routes[name].method, await path(), body);
      if (answer.status < 300) result.accepted.push(what);
      else if (answer.status < 500) result.refused += 1;
      else result.broke.push(`${what}: ${answer.status}`);
      await after();
      if (alike) break;
    }
  };
  /** Something of its own to write to, for each body: one that ended takes nothing more. */
  const fresh = (path: string, make: () => { id: string }, under: string) => async () => {
    const body = make();
    await send('post', path, body);
    return `${path}/${body.id}/${under}`;
  };
  const { tank, group, food, moment, serving } = there;

  await store('createMoment', () => '/api/moments', sampleMoment);
  await store('createTank', () => '/api/tanks', sampleTank);
  await store('createSpecies', () => '/api/species', sampleSpecies);
  await store(
    'createGroup',
    () => '/api/groups',
    () => sampleGroup(tank.id),
  );
  const newGroup = fresh('/api/groups', () => sampleGroup(tank.id, { day }), 'events');
  for (const { body: kind, alike } of kindsOf(routes.addGroupEvent.body, {
    ...said,
    tankId: tank.id,
  })) {
    await store('addGroupEvent', newGroup, () => ({ ...kind, id: uuidv7() }), { alike });
  }
  await store(
    'splitGroup',
    fresh('/api/groups', () => sampleGroup(tank.id), 'split'),
    () => sampleSplit(tank.id),
  );
  await store('createFood', () => '/api/foods', sampleFood);
  await store(
    'addInventory',
    () => '/api/inventory',
    () => {
      const home = sampleTank();
      return {
        id: uuidv7(),
        tanks: [home],
        groups: [sampleGroup(home.id)],
        foods: [sampleFood()],
      };
    },
  );
  await store('addLot', () => `/api/foods/${food.id}/lots`, sampleLot);
  await store('addWeighing', fresh('/api/foods', sampleFood, 'weighings'), sampleWeighing);
  await store(
    'countLot',
    async () => {
      const body = sampleFood();
      await send('post', '/api/foods', body);
      return `/api/lots/${body.lot.id}/counts`;
    },
    () => ({ id: uuidv7(), day, remainingG: 5 }),
  );
  await store(
    'createRecipe',
    () => '/api/recipes',
    () => sampleRecipe(food.id),
  );
  await store(
    'makeBatch',
    fresh('/api/recipes', () => sampleRecipe(food.id), 'batches'),
    () => ({ id: uuidv7(), lotId: uuidv7(), day, massG: 5 }),
  );
  const diet = () => ({
    version: 0,
    fastWeekdays: [7],
    goalFactor: 1.3,
    servings: [sampleServing(food.id, moment.id, { ownUnits: 2 })],
    rules: [{ foodId: food.id, taken: 0.8, mostPerWeek: 3 }],
  });
  await store(
    'editDiet',
    fresh('/api/groups', () => sampleGroup(tank.id), 'diet'),
    diet,
  );
  await store('editPlan', fresh('/api/tanks', sampleTank, 'plan'), () => ({
    version: 0,
    cycle: { days: 7, from: '2024-01-01' },
    feedingStyle: null,
    fasts: [],
    water: {
      share: 0.25,
      everyDays: 7,
      sourceMgL: 5,
      heldUntil: day,
      bucketL: 10,
      source: { name: 'tap', tempC: 20, gh: 12, tdsMgL: 250 },
      second: { name: 'rain', tempC: 15, gh: 0, tdsMgL: 10, nitrateMgL: 1 },
      mixTo: { of: 'gh', value: 6 },
    },
    diets: [],
  }));
  await store(
    'createStartingPlan',
    () => '/api/starting-plans',
    () => {
      const { id: _, ownUnits: __, ...line } = sampleServing(food.id, moment.id);
      return { id: uuidv7(), name: 'Grazers', lines: [line] };
    },
  );
  await store(
    'logFeeding',
    () => '/api/feedings',
    () => sampleFeeding({ group, food, serving: { id: uuidv7() } }, { day, at }),
  );
  await store(
    'addLooks',
    () => '/api/looks',
    () => sampleLooks(sampleLook(group.id, { day, at })),
  );
  await store(
    'addSighting',
    () => `/api/tanks/${tank.id}/sightings`,
    () => sampleSighting({ group, food, moment, serving }, { day }),
  );
  await store(
    'logChore',
    () => '/api/chores',
    () => ({ id: uuidv7(), kind: 'prepare', about: uuidv7(), day, hand: null, at }),
  );
  await store(
    'addRating',
    () => '/api/ratings',
    () => sampleRating({ group, food }, { day, at }),
  );
  await store('createVessel', () => '/api/vessels', sampleVessel);
  for (const { body: kind, alike } of kindsOf(routes.addVesselEvent.body, said)) {
    await store(
      'addVesselEvent',
      fresh('/api/vessels', sampleVessel, 'events'),
      () => ({
        ...kind,
        id: uuidv7(),
      }),
      { alike },
    );
  }
  await store('createBrood', () => '/api/broods', sampleBrood);
  const brood = sampleBrood();
  await send('post', '/api/broods', brood);
  await store('addBroodTub', fresh('/api/broods', sampleBrood, 'tubs'), sampleBroodTub);
  await store(
    'splitBrood',
    () => `/api/broods/${brood.id}/split`,
    () => sampleBroodSplit(brood.tub.id),
  );
  for (const { body: kind, alike } of kindsOf(routes.addBroodEvent.body, {
    ...said,
    foodKey: 'infusoria',
  })) {
    await store(
      'addBroodEvent',
      fresh('/api/broods', sampleBrood, 'events'),
      () => ({
        ...kind,
        id: uuidv7(),
      }),
      { alike },
    );
  }
  for (const { body: kind, alike } of kindsOf(routes.addWaterEvent.body, {
    ...said,
    nitrate: 18,
  })) {
    await store(
      'addWaterEvent',
      fresh('/api/tanks', sampleTank, 'water'),
      () => ({
        ...kind,
        id: uuidv7(),
      }),
      { alike },
    );
  }
  const sibling = sampleGroup(tank.id);
  await send('post', '/api/groups', sibling);
  await store(
    'createTrial',
    () => '/api/trials',
    () => sampleTrial(group.id, sibling.id),
  );
  let measured = '';
  await store(
    'keepPhoto',
    async () => {
      const path = await newGroup();
      await send('post', path, { id: measured, kind: 'measured', day, lengthCm: 3 });
      return '/api/photos';
    },
    () => samplePhoto((measured = uuidv7())),
  );
  const settings = async () => {
    const { id: _, ...fields } = (await send('get', '/api/household')).body;
    return fields;
  };
  let household = await settings();
  await store(
    'editHousehold',
    () => '/api/household',
    () => ({ ...household, phrases: ['Ate well'], atHome: [{ fromMin: 1080, toMin: 1320 }] }),
    {
      after: async () => {
        household = await settings();
      },
    },
  );
  return [...stored.values()];
}
