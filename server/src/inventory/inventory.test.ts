import { foodNamed, speciesNamed } from '@open-larder/catalogue/search';
import { loadCatalogue } from '@open-larder/catalogue/load';
import {
  blankTank,
  fieldsOfGeneric,
  type Group,
  type InventoryCreate,
  type MomentRow,
} from '@open-larder/contract';
import { readInventory } from '@open-larder/say/inventory';
import { v7 as uuidv7 } from 'uuid';
import { sampleLot } from '../testing/samples';
import { count, startTestServer, type TestServer } from '../testing/testServer';

const { species, foods } = loadCatalogue();
const speciesOf = new Map(species.map((one) => [one.key, one]));
const foodOf = new Map(foods.map((one) => [one.key, one]));
let server: TestServer;
const moments: string[] = [];
beforeAll(async () => {
  server = await startTestServer();
  for (const [at, minutes] of [450, 750, 1110].entries()) {
    const moment = {
      id: uuidv7(),
      name: `Meal ${at + 1}`,
      anchor: 'clock',
      minutes,
      spareMin: null,
    };
    moments.push(moment.id);
    await server.as('ours').post('/api/moments').send(moment).expect(201);
  }
  const late = { id: uuidv7(), name: 'Night', anchor: 'lightsOff', minutes: 20, spareMin: null };
  moments.push(late.id);
  await server.as('ours').post('/api/moments').send(late).expect(201);
});
afterAll(() => server.close());

/** What a keeper typed, as the app sends it. */
function asSent(text: string): InventoryCreate {
  const read = readInventory(
    text,
    {
      species: speciesNamed(species),
      foods: foodNamed(foods),
      tanks: new Map(),
    },
    { units: 'metric', temperature: 'C', hardness: 'dGH' },
  );
  const tanks = read.tanks.map(({ facts }, at) => ({
    ...blankTank,
    ...facts,
    id: uuidv7(),
    name: `Tank ${at + 1}`,
    walkOrder: at + 1,
  }));
  const groups = read.tanks.flatMap(({ groups: own }, at) =>
    own.map(({ speciesKey, count: all, males, females, lengthCm }) => ({
      id: uuidv7(),
      tankId: tanks[at]!.id,
      name: speciesOf.get(speciesKey)!.common,
      speciesKey,
      males,
      females,
      unsexed: all! - males - females,
      stage: 'adult' as const,
      lengthCm,
      day: '2026-03-10',
      confirmed: false,
    })),
  );
  return {
    id: uuidv7(),
    tanks,
    groups,
    foods: read.foods.map(({ foodKey }) => ({
      ...fieldsOfGeneric(foodOf.get(foodKey)!),
      id: uuidv7(),
      lot: { ...sampleLot(), place: 'cupboard', amountG: 50, openedOn: null },
    })),
  };
}

const LINES = `90 l, 25°, planted, lights 14–22
24 harlequins 3 cm, 8 panda corys, pair of dwarf gouramis, 20 amano shrimp
flake, frozen bloodworm, algae wafers, live daphnia`;

describe('an inventory', () => {
  const sent = asSent(LINES);
  const send = () => server.as('ours').post('/api/inventory').send(sent).expect(201);

  it('becomes a tank with its fish, a shelf, and a plan for each group', async () => {
    const { tanks, moments: added } = (await send()).body;
    expect(tanks).toMatchObject([{ tankId: sent.tanks[0]!.id, unfedIds: [] }]);
    const { body } = await server.as('ours').get('/api/groups').expect(200);
    const groups = body.items as Group[];
    expect(groups).toHaveLength(4);
    // Harlequins get something small every day; the corydoras theirs when the others rest.
    const eats = (name: string) => groups.find((one) => one.name === name)!.diet!.servings;
    expect(new Set(eats('Harlequin rasbora').flatMap(({ days }) => days)).size).toBe(7);
    const night = moments.at(-1)!;
    expect(eats('Panda corydoras').some(({ momentId }) => momentId === night)).toBe(true);
    for (const group of groups) expect(group.diet?.servings.length).toBeGreaterThan(0);
    // Of the house’s moments one is while the tank is lit: a second is added, and no meal is in the dark
    // for those that feed by day.
    expect(added).toMatchObject([{ anchor: 'lightsOff', minutes: -60 }]);
    const lit = new Set([moments.at(-2), added[0].id]);
    for (const { momentId } of eats('Harlequin rasbora')) expect(lit).toContain(momentId);
  });

  it('sent again is there once, and its plan is left alone', async () => {
    const before = await Promise.all(
      (['tanks', 'groups', 'foods', 'lots', 'diets'] as const).map((table) =>
        count(server.db, table),
      ),
    );
    await send();
    const after = await Promise.all(
      (['tanks', 'groups', 'foods', 'lots', 'diets'] as const).map((table) =>
        count(server.db, table),
      ),
    );
    expect(after).toEqual(before);
  });

  it('with something wrong in it is not written at all, and says where', async () => {
    const wrong = asSent('30 l, 3 neon tetras');
    wrong.groups[0]!.speciesKey = 'no-such-fish';
    const before = await count(server.db, 'tanks');
    const { body } = await server.as('ours').post('/api/inventory').send(wrong).expect(422);
    expect(body.detail).toMatch(/species/);
    expect(await count(server.db, 'tanks')).toBe(before);
    await server
      .as('ours')
      .post('/api/inventory')
      .send({ id: uuidv7(), tanks: [], groups: [], foods: [] })
      .expect(422);
  });

  it('adds a group to a tank that is planned, and leaves the others’ plan as it is', async () => {
    const [tank] = sent.tanks;
    // The moment that was added for its light is not wanted: it does not come back.
    const { body: all } = await server.as('ours').get('/api/moments').expect(200);
    const added = (all.items as MomentRow[]).find(({ minutes }) => minutes === -60)!;
    const { id: addedId, ...unwanted } = { ...added, archived: true };
    await server.as('ours').put(`/api/moments/${addedId}`).send(unwanted).expect(200);
    const more = asSent('30 l, 6 kuhli loaches');
    const groups = more.groups.map((one) => ({ ...one, tankId: tank!.id }));
    const before = await server.as('ours').get('/api/groups').expect(200);
    const answer = await server
      .as('ours')
      .post('/api/inventory')
      .send({ id: uuidv7(), tanks: [], groups, foods: [] })
      .expect(201);
    expect(answer.body.tanks).toMatchObject([{ groupIds: [groups[0]!.id], unfedIds: [] }]);
    expect(answer.body.moments).toEqual([]);
    const after = await server.as('ours').get('/api/groups').expect(200);
    const diets = (items: Group[]) => new Map(items.map(({ id, diet }) => [id, diet]));
    const now = diets(after.body.items);
    for (const [id, diet] of diets(before.body.items)) expect(now.get(id)).toEqual(diet);
    expect(now.get(groups[0]!.id)?.servings.length).toBeGreaterThan(0);
  });

  it('without a food that suits says who gets nothing', async () => {
    const bare = asSent('30 l, 3 otocinclus');
    const answer = await server.as('theirs').post('/api/inventory').send(bare).expect(201);
    expect(answer.body.tanks).toMatchObject([{ unfedIds: [bare.groups[0]!.id] }]);
  });

  it('names groups that nothing on the shelf suits well, and gives them the best of it', async () => {
    const moment = { id: uuidv7(), name: 'Meal', anchor: 'clock', minutes: 750, spareMin: null };
    await server.as('theirs').post('/api/moments').send(moment).expect(201);
    const few = asSent('30 l, 6 otocinclus, 10 neon tetras, flake');
    const answer = await server.as('theirs').post('/api/inventory').send(few).expect(201);
    const [otos, tetras] = few.groups;
    expect(answer.body.tanks[0].unfedIds).toEqual([otos!.id]);
    const { body } = await server.as('theirs').get('/api/groups').expect(200);
    const dietOf = (id: string) => (body.items as Group[]).find((one) => one.id === id)!.diet;
    expect(dietOf(tetras!.id)?.servings.length).toBeGreaterThan(0);
    expect(dietOf(otos!.id)?.servings.length).toBeGreaterThan(0);
  });
});
