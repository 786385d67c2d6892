import { routes, type RouteName } from '@open-larder/contract';
import { v7 as uuidv7 } from 'uuid';
import {
  sampleAnswer,
  sampleBrood,
  sampleBroodEvent,
  sampleBroodSplit,
  sampleBroodTub,
  sampleFeeding,
  sampleFood,
  sampleGroup,
  sampleLot,
  sampleMoment,
  samplePhoto,
  sampleRecipe,
  sampleLook,
  sampleLooks,
  sampleSighting,
  sampleSpecies,
  sampleSplit,
  sampleTank,
  sampleRating,
  sampleTraining,
  sampleTrial,
  sampleVessel,
  sampleVesselEvent,
  sampleWaterTest,
  sampleWeighing,
  smallHouse,
  sampleServing,
} from './testing/samples';
import { startTestServer, type TestServer } from './testing/testServer';

let server: TestServer;
let ours: Awaited<ReturnType<typeof smallHouse>>;
const weighing = sampleWeighing();
let recipe: ReturnType<typeof sampleRecipe>;
const batch = { id: uuidv7(), lotId: uuidv7(), day: '2026-03-10', massG: 5 };
let sighting: ReturnType<typeof sampleSighting>;
const look = uuidv7();
const seen = () => sampleLook(ours.group.id, { id: look });
const chore = {
  id: uuidv7(),
  kind: 'prepare',
  about: 'a food 450',
  day: '2026-03-10',
  at: '2026-03-10T06:00:00.000Z',
};
const worms = sampleFood({ name: 'Worms' });
let answered: ReturnType<typeof sampleAnswer>;
let trained: ReturnType<typeof sampleTraining>;
const vessel = sampleVessel();
const fedVessel = sampleVesselEvent();
const brood = sampleBrood();
const spawned = sampleBroodEvent();
const waterTest = sampleWaterTest();
let trial: ReturnType<typeof sampleTrial>;
let rating: ReturnType<typeof sampleRating>;
const measured = { id: uuidv7(), kind: 'measured', day: '2026-03-05', lengthCm: 3.6 };
const photo = samplePhoto(measured.id);
let theirTank: string;
beforeAll(async () => {
  server = await startTestServer();
  ours = await smallHouse(server, 'ours');
  const tank = sampleTank();
  theirTank = tank.id;
  await server.as('theirs').post('/api/tanks').send(tank).expect(201);
  recipe = sampleRecipe(ours.food.id);
  await ours.ask.post('/api/recipes').send(recipe).expect(201);
  await ours.ask.post(`/api/recipes/${recipe.id}/batches`).send(batch).expect(201);
  await ours.ask.post(`/api/foods/${ours.food.id}/weighings`).send(weighing).expect(201);
  sighting = sampleSighting(ours);
  await server.as('ours').post('/api/chores').send(chore).expect(201);
  answered = sampleAnswer(ours);
  await ours.ask.post('/api/proposals/answers').send(answered).expect(201);
  await ours.ask.post('/api/foods').send(worms).expect(201);
  trained = sampleTraining(ours, worms.id);
  await ours.ask.post('/api/trainings').send(trained).expect(201);
  const sibling = sampleGroup(ours.tank.id, { name: 'Sibling' });
  await ours.ask.post('/api/groups').send(sibling).expect(201);
  trial = sampleTrial(ours.group.id, sibling.id);
  await ours.ask.post('/api/trials').send(trial).expect(201);
  rating = sampleRating(ours);
  await ours.ask.post('/api/ratings').send(rating).expect(201);
  await ours.ask.post('/api/vessels').send(vessel).expect(201);
  await ours.ask.post(`/api/vessels/${vessel.id}/events`).send(fedVessel).expect(201);
  await ours.ask.post('/api/broods').send(brood).expect(201);
  await ours.ask.post(`/api/broods/${brood.id}/events`).send(spawned).expect(201);
  await ours.ask.post(`/api/tanks/${ours.tank.id}/water`).send(waterTest).expect(201);
  await ours.ask.post(`/api/groups/${ours.group.id}/events`).send(measured).expect(201);
  await ours.ask.post('/api/photos').send(photo).expect(201);
  await ours.ask.post('/api/looks').send(sampleLooks(seen())).expect(201);
  await ours.ask.post(`/api/tanks/${ours.tank.id}/sightings`).send(sighting).expect(201);
  await ours.ask.post('/api/feedings').send(sampleFeeding(ours)).expect(201);
});
afterAll(() => server.close());

/** A member of ours, and an invitation to us. */
const member = uuidv7();
const invited = uuidv7();
beforeAll(async () => {
  const household = server.ids.ours;
  const { registry } = server.people;
  await registry.rows(
    "INSERT INTO people (id, name, password_hash, since) VALUES (:member, 'Ours', 'x', now()) RETURNING id",
    { member },
  );
  await registry.rows(
    "INSERT INTO memberships VALUES (:household, :member, 'keeper', now()) RETURNING role",
    { household, member },
  );
  await registry.rows(
    `INSERT INTO invitations (id, household_id, role, invited_by, digest, expires_at)
     VALUES (:invited, :household, 'keeper', :member, 'x', '2100-01-01') RETURNING id`,
    { invited, household, member },
  );
});
/** Where sign-in is off, what only a person may do is refused. */
const refuses =
  (method: 'put' | 'post' | 'get', path: string, body: object = {}, status = 409) =>
  async () => {
    await theirs()[method](path).send(body).expect(status);
  };
const linkCode = 'A'.repeat(22);

type Probe = () => Promise<void>;
const theirs = () => server.as('theirs');

/** No id of ours may stay in in what they read. */
const readsNothing = (path: string) => async () => {
  const { body } = await theirs().get(path).expect(200);
  const text = JSON.stringify(body);
  const { tank, group, food, moment, serving } = ours;
  for (const { id } of [
    tank,
    group,
    food,
    moment,
    serving,
    recipe,
    batch,
    vessel,
    brood,
    brood.tub,
    { id: member },
    { id: invited },
  ]) {
    expect(text).not.toContain(id);
  }
};
const finds404 =
  (method: 'put' | 'post' | 'get', path: () => string, body: () => object) => async () => {
    await theirs()[method](path()).send(body()).expect(404);
  };

/** Every route, tried by another household. A new route without its probe fails this test. */
const PROBES: Record<RouteName, Probe> = {
  getHealth: readsNothing('/api/health'),
  getReady: readsNothing('/api/ready'),
  getMe: async () => {
    const { body } = await theirs().get('/api/me').expect(200);
    expect(body.household.name).toBe('theirs');
    expect(body.households).toHaveLength(1);
  },
  beginHouse: refuses('post', '/api/first-owner', { name: 'A', password: 'four words of it' }),
  signIn: refuses('post', '/api/sign-in', { who: 'Ours', password: 'x' }, 401),
  recoverAccount: refuses(
    'post',
    '/api/recovery',
    { who: 'Ours', code: 'x', password: 'four words of it' },
    401,
  ),
  signOut: async () => {
    const { body } = await theirs().post('/api/sign-out').expect(201);
    expect(body.household.name).toBe('theirs');
  },
  changePassword: refuses('put', '/api/me/password', {
    current: 'x',
    password: 'four words of it',
  }),
  makeCodes: refuses('post', '/api/me/codes', { password: 'x' }),
  listPasskeys: refuses('get', '/api/me/passkeys'),
  beginPasskey: refuses('post', '/api/me/passkeys/begin', { password: 'x' }),
  addPasskey: refuses('post', '/api/me/passkeys', { answer: { id: 'x' } }),
  removePasskey: refuses('post', `/api/me/passkeys/${uuidv7()}/removal`),
  beginPasskeySignIn: async () => {
    const { body } = await theirs().post('/api/sign-in/passkey/begin').expect(201);
    expect(body.options.allowCredentials ?? []).toEqual([]);
  },
  signInByPasskey: refuses('post', '/api/sign-in/passkey', { answer: { id: 'x' } }, 401),
  exportMe: refuses('get', '/api/me/export'),
  eraseMe: refuses('post', '/api/me/erasure', { password: 'x' }),
  eraseHousehold: refuses('post', '/api/households/erasure', {
    name: 'theirs',
    backup: '0'.repeat(64),
  }),
  listDevices: refuses('get', '/api/me/devices'),
  signOutDevice: refuses('post', `/api/me/devices/${uuidv7()}/sign-out`),
  makePairing: refuses('post', '/api/me/pairings'),
  usePairing: refuses('post', '/api/pairings/use', { code: linkCode }, 410),
  chooseHousehold: async () => {
    await theirs().put('/api/me/household').send({ id: server.ids.ours }).expect(409);
  },
  beginHousehold: refuses('post', '/api/households', { name: 'Another' }),
  listPeople: readsNothing('/api/people'),
  editRole: finds404(
    'put',
    () => `/api/people/${member}/role`,
    () => ({ role: 'guest' }),
  ),
  removePerson: finds404(
    'post',
    () => `/api/people/${member}/removal`,
    () => ({}),
  ),
  leaveHousehold: refuses('post', '/api/me/leaving'),
  listInvitations: readsNothing('/api/invitations'),
  createInvitation: refuses('post', '/api/invitations', { role: 'guest', days: 1 }),
  withdrawInvitation: finds404(
    'post',
    () => `/api/invitations/${invited}/withdrawal`,
    () => ({}),
  ),
  seeInvitation: refuses('post', '/api/invitations/look', { code: linkCode }, 410),
  acceptInvitation: refuses(
    'post',
    '/api/invitations/acceptance',
    { code: linkCode, person: { name: 'A', password: 'four words of it' } },
    410,
  ),
  getBackup: readsNothing('/api/backup'),
  restoreBackup: refuses('post', '/api/restore', { base64: 'AAAA' }, 422),
  getHousehold: async () => {
    const { body } = await theirs().get('/api/household').expect(200);
    expect(body.name).toBe('theirs');
  },
  editHousehold: async () => {
    const { body } = await theirs().get('/api/household').expect(200);
    const { id: _, ...values } = body;
    await theirs()
      .put('/api/household')
      .send({ ...values, name: 'renamed' })
      .expect(200);
    expect((await server.as('ours').get('/api/household')).body.name).toBe('ours');
  },
  getCatalogue: readsNothing('/api/catalogue'),
  listSpecies: readsNothing('/api/species'),
  createSpecies: async () => {
    const own = sampleSpecies();
    await server.as('ours').post('/api/species').send(own).expect(201);
    await theirs().post('/api/species').send(own).expect(409);
    await theirs()
      .post('/api/groups')
      .send(sampleGroup(theirTank, { speciesKey: `own-${own.id}` }))
      .expect(422);
  },
  editSpecies: async () => {
    const { id, entry } = sampleSpecies();
    await server.as('ours').post('/api/species').send({ id, copiedFrom: null, entry }).expect(201);
    await theirs()
      .put(`/api/species/${id}`)
      .send({ version: 1, archived: true, entry })
      .expect(404);
  },
  listMoments: readsNothing('/api/moments'),
  createMoment: async () => {
    await theirs()
      .post('/api/moments')
      .send(sampleMoment({ id: ours.moment.id }))
      .expect(409);
  },
  editMoment: finds404(
    'put',
    () => `/api/moments/${ours.moment.id}`,
    () => {
      const { id: _, ...moment } = ours.moment;
      return { ...moment, version: 1, archived: true };
    },
  ),
  listTanks: readsNothing('/api/tanks'),
  createTank: async () => {
    await theirs()
      .post('/api/tanks')
      .send(sampleTank({ id: ours.tank.id }))
      .expect(409);
  },
  editWalk: async () => {
    await theirs()
      .put('/api/walk')
      .send({ tankIds: [ours.tank.id] })
      .expect(409);
  },
  editTank: finds404(
    'put',
    () => `/api/tanks/${ours.tank.id}`,
    () => {
      const { id: _, ...tank } = ours.tank;
      return { ...tank, version: 1, archived: false };
    },
  ),
  listGroups: readsNothing('/api/groups'),
  addInventory: finds404(
    'post',
    () => '/api/inventory',
    () => ({ id: uuidv7(), tanks: [], groups: [sampleGroup(ours.tank.id)], foods: [] }),
  ),
  createGroup: finds404(
    'post',
    () => '/api/groups',
    () => sampleGroup(ours.tank.id),
  ),
  editGroup: finds404(
    'put',
    () => `/api/groups/${ours.group.id}`,
    () => ({ name: 'Stolen', speciesKey: 'danio-rerio', version: 1, archived: true }),
  ),
  addGroupEvent: finds404(
    'post',
    () => `/api/groups/${ours.group.id}/events`,
    () => ({
      id: uuidv7(),
      day: '2026-03-05',
      kind: 'measured',
      lengthCm: 2,
    }),
  ),
  listGroupEvents: finds404(
    'get',
    () => `/api/groups/${ours.group.id}/events`,
    () => ({}),
  ),
  withdrawGroupEvent: async () => {
    const { body } = await ours.ask.get(`/api/groups/${ours.group.id}/events`).expect(200);
    await theirs()
      .post(`/api/group-events/${body.items[0].id}/withdrawal`)
      .send({ id: uuidv7(), replacement: null })
      .expect(404);
  },
  splitGroup: finds404(
    'post',
    () => `/api/groups/${ours.group.id}/split`,
    () => ({ ...sampleSplit(theirTank), tankId: theirTank }),
  ),
  mergeGroup: finds404(
    'post',
    () => `/api/groups/${ours.group.id}/merge`,
    () => ({ id: uuidv7(), intoGroupId: ours.group.id, day: '2026-03-05' }),
  ),
  moveGroups: finds404(
    'post',
    () => '/api/moves',
    () => ({
      id: uuidv7(),
      tankId: theirTank,
      day: '2026-03-05',
      moves: [{ id: uuidv7(), groupId: ours.group.id }],
    }),
  ),
  exportTable: async () => {
    for (const table of ['house', 'tanks', 'groups', 'events']) {
      await readsNothing(`/api/tables/${table}`)();
    }
  },
  importTable: async () => {
    const text = (await ours.ask.get('/api/tables/events').expect(200)).body.text;
    const { body } = await theirs()
      .post('/api/tables/events')
      .send({ text, write: true })
      .expect(201);
    expect(body.written).toBe(false);
    expect(body.counts.error).toBe(body.lines.length);
  },
  editDiet: finds404(
    'put',
    () => `/api/groups/${ours.group.id}/diet`,
    () => ({
      version: 1,
      fastWeekdays: [],
      goalFactor: null,
      rules: [],
      servings: [],
    }),
  ),
  listFoods: readsNothing('/api/foods'),
  createFood: async () => {
    await theirs()
      .post('/api/foods')
      .send(sampleFood({ id: ours.food.id }))
      .expect(409);
  },
  editFood: finds404(
    'put',
    () => `/api/foods/${ours.food.id}`,
    () => {
      const { id: _, lot: __, ...food } = ours.food;
      return { ...food, version: 1, archived: true };
    },
  ),
  addLot: finds404(
    'post',
    () => `/api/foods/${ours.food.id}/lots`,
    () => sampleLot(),
  ),
  editLot: finds404(
    'put',
    () => `/api/lots/${ours.food.lot.id}`,
    () => ({
      version: 1,
      costMinor: 1,
      place: 'freezer',
      boughtOn: '2026-03-01',
      openedOn: null,
      bestBefore: null,
    }),
  ),
  countLot: finds404(
    'post',
    () => `/api/lots/${ours.food.lot.id}/counts`,
    () => ({
      id: uuidv7(),
      day: '2026-03-10',
      remainingG: 0,
    }),
  ),
  addWeighing: finds404(
    'post',
    () => `/api/foods/${ours.food.id}/weighings`,
    () => sampleWeighing(),
  ),
  undoWeighing: finds404(
    'post',
    () => `/api/weighings/${weighing.id}/undo`,
    () => ({ id: uuidv7() }),
  ),
  editPlan: finds404(
    'put',
    () => `/api/tanks/${ours.tank.id}/plan`,
    () => ({
      version: 0,
      cycle: { days: 7, from: '2024-01-01' },
      feedingStyle: null,
      fasts: [],
      water: null,
      diets: [],
    }),
  ),
  balancePlan: finds404(
    'post',
    () => `/api/tanks/${ours.tank.id}/balance`,
    () => ({
      version: 0,
      cycle: { days: 7, from: '2024-01-01' },
      feedingStyle: null,
      fasts: [],
      water: null,
      diets: [],
    }),
  ),
  printWeek: finds404(
    'get',
    () => `/api/tanks/${ours.tank.id}/week-sheet`,
    () => ({}),
  ),
  listStartingPlans: readsNothing('/api/starting-plans'),
  createStartingPlan: async () => {
    const { id: _, ownUnits: __, ...line } = sampleServing(ours.food.id, ours.moment.id);
    await theirs()
      .post('/api/starting-plans')
      .send({ id: uuidv7(), name: 'Theirs', lines: [line] })
      .expect(422);
  },
  editStartingPlan: async () => {
    const { id: _, ownUnits: __, ...line } = sampleServing(ours.food.id, ours.moment.id);
    const id = uuidv7();
    const body = { name: 'Ours', lines: [line] };
    await ours.ask
      .post('/api/starting-plans')
      .send({ ...body, id })
      .expect(201);
    await theirs()
      .put(`/api/starting-plans/${id}`)
      .send({ ...body, version: 1, archived: true })
      .expect(422);
  },
  listRecipes: readsNothing('/api/recipes'),
  createRecipe: async () => {
    await theirs().post('/api/recipes').send(sampleRecipe(ours.food.id)).expect(422);
  },
  editRecipe: finds404(
    'put',
    () => `/api/recipes/${recipe.id}`,
    () => {
      const { id: _, foodId: __, ...fields } = recipe;
      return {
        ...fields,
        ingredients: [{ foodId: null, share: 1, binder: false }],
        version: 1,
        archived: false,
      };
    },
  ),
  makeBatch: finds404(
    'post',
    () => `/api/recipes/${recipe.id}/batches`,
    () => ({ id: uuidv7(), lotId: uuidv7(), day: '2026-03-10', massG: 5 }),
  ),
  undoBatch: finds404(
    'post',
    () => `/api/batches/${batch.id}/undo`,
    () => ({ id: uuidv7() }),
  ),
  printLabels: async () => {
    await theirs().get(`/api/lots/${batch.lotId}/labels`).expect(404);
  },
  listSightings: async () => {
    await theirs().get(`/api/tanks/${ours.tank.id}/sightings`).expect(404);
  },
  addSighting: finds404(
    'post',
    () => `/api/tanks/${ours.tank.id}/sightings`,
    () => sampleSighting(ours),
  ),
  undoSighting: finds404(
    'post',
    () => `/api/sightings/${sighting.id}/undo`,
    () => ({ id: uuidv7() }),
  ),
  listLooks: async () => {
    await theirs().get(`/api/groups/${ours.group.id}/looks`).expect(404);
  },
  addLooks: async () => {
    await theirs()
      .post('/api/looks')
      .send(sampleLooks({ ...seen(), id: uuidv7() }))
      .expect(404);
  },
  getProposals: readsNothing('/api/proposals'),
  answerProposal: finds404(
    'post',
    () => '/api/proposals/answers',
    () => sampleAnswer(ours),
  ),
  listAnswers: readsNothing('/api/answers'),
  listTrials: readsNothing('/api/trials'),
  createTrial: finds404(
    'post',
    () => '/api/trials',
    () => ({ ...trial, id: uuidv7() }),
  ),
  editTrial: finds404(
    'put',
    () => `/api/trials/${trial.id}`,
    () => ({
      name: 'renamed',
      from: trial.from,
      changedOn: null,
      weeks: 4,
      difference: 0.2,
      version: 1,
      endedOn: null,
      archived: true,
    }),
  ),
  listRatings: readsNothing('/api/ratings'),
  addRating: finds404(
    'post',
    () => '/api/ratings',
    () => sampleRating(ours),
  ),
  undoRating: finds404(
    'post',
    () => `/api/ratings/${rating.id}/undo`,
    () => ({ id: uuidv7(), at: chore.at }),
  ),
  getAccount: readsNothing('/api/records/account?from=2026-03-01&to=2026-03-10'),
  exportAccount: async () => {
    const path = '/api/records/account-table?from=2026-03-01&to=2026-03-10&part=groups';
    expect((await ours.ask.get(path).expect(200)).body.text).toContain('Sibling');
    expect((await theirs().get(path).expect(200)).body.text).not.toContain('Sibling');
  },
  exportLog: async () => {
    const report = {
      cultures: vessel.name,
      broods: brood.name,
      ratings: 'Fine flake',
      trials: trial.name,
      decisions: 'Danios',
    };
    for (const [log, name] of Object.entries(report)) {
      expect((await ours.ask.get(`/api/logs/${log}`).expect(200)).body.text).toContain(name);
      expect((await theirs().get(`/api/logs/${log}`).expect(200)).body.text).not.toContain(name);
    }
  },
  printGroupSummary: async () => {
    await theirs().get(`/api/groups/${ours.group.id}/summary`).expect(404);
  },
  printTankSummary: async () => {
    await theirs().get(`/api/tanks/${ours.tank.id}/summary`).expect(404);
  },
  undoAnswer: finds404(
    'post',
    () => `/api/answers/${answered.id}/undo`,
    () => ({ id: uuidv7(), at: chore.at }),
  ),
  beginTraining: finds404(
    'post',
    () => '/api/trainings',
    () => sampleTraining(ours, worms.id),
  ),
  endTraining: finds404(
    'post',
    () => `/api/trainings/${trained.id}/end`,
    () => ({ id: uuidv7(), kept: false, at: chore.at }),
  ),
  undoLooks: finds404(
    'post',
    () => '/api/looks/undo',
    () => ({ id: uuidv7(), at: chore.at, looks: [{ lookId: look, id: uuidv7() }] }),
  ),
  logChore: async () => {
    const done = { ...chore, id: uuidv7() };
    await theirs().post('/api/chores').send(chore).expect(409);
    await theirs().post('/api/chores').send(done).expect(201);
  },
  undoChore: finds404(
    'post',
    () => `/api/chores/${chore.id}/undo`,
    () => ({ id: uuidv7(), at: chore.at }),
  ),
  getLearned: async () => {
    await theirs().get(`/api/tanks/${ours.tank.id}/learned`).expect(404);
  },
  editLearned: finds404(
    'put',
    () => `/api/tanks/${ours.tank.id}/learned`,
    () => ({ version: 0, frozen: false, sightings: 0, groups: [] }),
  ),
  getFoodCorrections: readsNothing('/api/larder/corrections'),
  seeFoodCorrections: async () => {
    await server.db.query(
      `INSERT INTO food_corrections (household_id, food_id, was_g, is_g)
        SELECT household_id, id, 0.012, 0.0017 FROM foods WHERE id = :id`,
      { replacements: { id: ours.food.id } },
    );
    await theirs()
      .post('/api/larder/corrections/seen')
      .send({ foodIds: [ours.food.id] })
      .expect(201);
    const { body } = await server.as('ours').get('/api/larder/corrections').expect(200);
    expect(body.foods).toMatchObject([{ foodId: ours.food.id, wasG: 0.012, isG: 0.0017 }]);
  },
  getSupply: readsNothing('/api/larder/supply'),
  getRound: readsNothing('/api/round/2026-03-10'),
  printRound: async () => {
    const { body } = await theirs().get('/api/round/2026-03-10/sheet').expect(200);
    expect(body.fileName).toBe('round-2026-03-10.pdf');
  },
  getPreparations: readsNothing('/api/round/2026-03-10/preparations'),
  getRoundWhy: finds404(
    'get',
    () => `/api/round/2026-03-10/why/${ours.serving.id}`,
    () => ({}),
  ),
  listFeedings: readsNothing('/api/feedings'),
  logFeeding: finds404(
    'post',
    () => '/api/feedings',
    () => sampleFeeding(ours, { id: uuidv7() }),
  ),
  undoFeeding: async () => {
    const { body } = await server.as('ours').get('/api/feedings').expect(200);
    await theirs()
      .post(`/api/feedings/${body.items[0].id}/undo`)
      .send({ id: uuidv7(), at: body.items[0].at })
      .expect(404);
  },
  getServed: readsNothing('/api/records/served?from=2026-03-01&to=2026-03-10'),
  exportServed: readsNothing('/api/records/served-table?from=2026-03-01&to=2026-03-10'),
  getAcceptance: async () => {
    await theirs()
      .get(`/api/records/acceptance/${ours.group.id}?from=2026-03-01&to=2026-03-10`)
      .expect(404);
  },
  getCultureKinds: readsNothing('/api/culture-kinds'),
  listVessels: readsNothing('/api/vessels'),
  createVessel: async () => {
    await theirs().post('/api/vessels').send(vessel).expect(409);
    await theirs()
      .post('/api/vessels')
      .send(sampleVessel({ fromVesselId: vessel.id, share: 0.5 }))
      .expect(422);
    await theirs()
      .post('/api/vessels')
      .send(sampleVessel({ foodId: ours.food.id }))
      .expect(422);
  },
  editVessel: finds404(
    'put',
    () => `/api/vessels/${vessel.id}`,
    () => ({ ...vessel, version: 1 }),
  ),
  listVesselEvents: finds404(
    'get',
    () => `/api/vessels/${vessel.id}/events`,
    () => ({}),
  ),
  addVesselEvent: finds404(
    'post',
    () => `/api/vessels/${vessel.id}/events`,
    () => sampleVesselEvent(),
  ),
  undoVesselEvent: finds404(
    'post',
    () => `/api/vessel-events/${fedVessel.id}/undo`,
    () => ({ id: uuidv7(), at: fedVessel.at }),
  ),
  getStrategies: readsNothing('/api/breeding-strategies'),
  listBroods: readsNothing('/api/broods'),
  createBrood: async () => {
    await theirs().post('/api/broods').send(brood).expect(409);
    // Neither our tub, nor our tank or group, is theirs to take.
    await theirs()
      .post('/api/broods')
      .send(sampleBrood({ tub: brood.tub }))
      .expect(409);
    for (const taken of [
      { tankId: ours.tank.id },
      { groupId: ours.group.id },
      { youngGroupId: ours.group.id },
    ]) {
      await theirs().post('/api/broods').send(sampleBrood(taken)).expect(422);
    }
  },
  beginConditioning: async () => {
    const begin = {
      id: uuidv7(),
      groupId: ours.group.id,
      day: '2026-03-10',
      diet: null,
      brood: sampleBrood(),
    };
    await theirs().post('/api/conditionings').send(begin).expect(404);
    const { body } = await theirs().get('/api/broods').expect(200);
    expect(JSON.stringify(body)).not.toContain(begin.brood.id);
  },
  endConditioning: finds404(
    'post',
    () => `/api/groups/${ours.group.id}/conditioning-end`,
    () => ({ id: uuidv7(), day: '2026-03-10', diet: null }),
  ),
  editBrood: finds404(
    'put',
    () => `/api/broods/${brood.id}`,
    () => ({ ...brood, version: 1 }),
  ),
  splitBrood: finds404(
    'post',
    () => `/api/broods/${brood.id}/split`,
    () => sampleBroodSplit(brood.tub.id),
  ),
  addBroodTub: finds404(
    'post',
    () => `/api/broods/${brood.id}/tubs`,
    () => sampleBroodTub(),
  ),
  editBroodTub: finds404(
    'put',
    () => `/api/brood-tubs/${brood.tub.id}`,
    () => ({ ...brood.tub, version: 1 }),
  ),
  listBroodEvents: finds404(
    'get',
    () => `/api/broods/${brood.id}/events`,
    () => ({}),
  ),
  addBroodEvent: async () => {
    await theirs().post(`/api/broods/${brood.id}/events`).send(sampleBroodEvent()).expect(404);
    const own = sampleBrood();
    await theirs().post('/api/broods').send(own).expect(201);
    await theirs()
      .post(`/api/broods/${own.id}/events`)
      .send(sampleBroodEvent({ tubId: brood.tub.id }))
      .expect(422);
  },
  printQrLabels: async () => {
    // There is no address for phones here, and so nothing to print.
    const { body } = await theirs().get('/api/qr-labels/tanks').expect(409);
    expect(body.detail).toMatch(/^Phones cannot open this server yet/);
  },
  printBroodCard: finds404(
    'get',
    () => `/api/broods/${brood.id}/card`,
    () => ({}),
  ),
  printBroodDay: async () => {
    const { body } = await theirs().get('/api/broods/days/2026-03-10/sheet').expect(200);
    expect(body.fileName).toBe('young-2026-03-10.pdf');
  },
  undoBroodEvent: finds404(
    'post',
    () => `/api/brood-events/${spawned.id}/undo`,
    () => ({ id: uuidv7(), at: spawned.at }),
  ),
  keepPhoto: async () => {
    await theirs().post('/api/photos').send(samplePhoto(measured.id)).expect(422);
    // Nor is the id of our picture theirs to take.
    await theirs().post('/api/photos').send(photo).expect(422);
  },
  getPhoto: finds404(
    'get',
    () => `/api/group-events/${measured.id}/photo`,
    () => ({}),
  ),
  listWaters: async () => {
    const { body } = await theirs().get('/api/waters').expect(200);
    expect(body.tanks.map(({ tankId }: { tankId: string }) => tankId)).not.toContain(ours.tank.id);
  },
  listWaterEvents: finds404(
    'get',
    () => `/api/tanks/${ours.tank.id}/water`,
    () => ({}),
  ),
  addWaterEvent: async () => {
    await theirs().post(`/api/tanks/${ours.tank.id}/water`).send(sampleWaterTest()).expect(404);
    // An id of ours is not theirs to write again.
    await theirs().post(`/api/tanks/${theirTank}/water`).send(waterTest).expect(409);
  },
  undoWaterEvent: finds404(
    'post',
    () => `/api/water/${waterTest.id}/undo`,
    () => ({ id: uuidv7(), at: waterTest.at }),
  ),
  getForecastRecords: readsNothing('/api/records/forecasts'),
  listChanges: readsNothing('/api/changes?after=0-00000000-0000-0000-0000-000000000000'),
  setPresence: async () => {
    const page = uuidv7();
    const tankId = ours.tank.id;
    await server.as('ours').put('/api/presence').send({ page, tankId, inRound: true }).expect(200);
    await theirs().put('/api/presence').send({ page, tankId: null, inRound: false }).expect(200);
    const { body } = await server.as('ours').get('/api/changes').expect(200);
    expect(body.here).toEqual([{ page, name: null, tankId }]);
  },
  getConsumption: readsNothing('/api/records/consumption?from=2026-03-01&to=2026-03-10'),
};

describe('nothing of one household reaches another', () => {
  it.each(Object.keys(routes) as RouteName[])('%s', async (name) => {
    const probe = PROBES[name];
    expect(probe).toBeDefined();
    await probe();
  });
});
