import { sampleFood, sampleLot, sampleRecipe, sampleWeighing } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const ask = (whose: 'ours' | 'theirs' = 'ours') => server.as(whose);
const take = async (table: string, text: string, write = true, whose: 'ours' | 'theirs' = 'ours') =>
  (await ask(whose).post(`/api/tables/${table}`).send({ text, write }).expect(201)).body;
const saved = async (table: string, whose: 'ours' | 'theirs' = 'ours') =>
  (await ask(whose).get(`/api/tables/${table}`).expect(200)).body.text as string;
const foodNamed = async (name: string, whose: 'ours' | 'theirs' = 'ours') =>
  (await ask(whose).get('/api/foods')).body.items.find(
    (one: { name: string }) => one.name === name,
  );
const errorsOf = (report: {
  lines: { cells: { state: string; says: string }[]; says: string }[];
}) =>
  report.lines.flatMap((line) => [
    ...line.cells.filter((cell) => cell.state === 'error').map((cell) => cell.says),
    line.says,
  ]);

describe('foods from a table', () => {
  it('are made as a label would have them, in per cent or g/kg', async () => {
    const report = await take(
      'foods',
      [
        'Food,Kind,Crude protein,Oils and fats,Fiber,Ash,Water,Plant share,Unit,Units,One weighs,Steps,Cautions people',
        'Pond stick,dry,320 g/kg,5,4 %,9,8,"60",stick,sticks,400 mg,soak 120/1 | crumble 1/1/4,dust | insect meal',
      ].join('\n'),
    );
    expect(report).toMatchObject({ written: true, counts: { new: 1 } });
    expect(await foodNamed('Pond stick')).toMatchObject({
      composition: { protein: 0.32, fat: 0.05, fibre: 0.04, ash: 0.09, moisture: 0.08 },
      plantShare: 0.6,
      unit: { name: 'stick', plural: 'sticks', massG: 0.4, step: 0.5 },
      steps: [
        { kind: 'soak', leadMin: 120, workMin: 1, toMm: null },
        { kind: 'crumble', leadMin: 1, workMin: 1, toMm: 4 },
      ],
      cautions: { people: ['dust', 'insect meal'], fish: [] },
      lots: [],
    });
  });

  it('are known by name, and changed only in the columns that are there', async () => {
    await ask()
      .post('/api/foods')
      .send(sampleFood({ name: 'Named flake' }))
      .expect(201);
    const report = await take('foods', 'name,lift_after_min,copied_from\nnamed flake,7,');
    expect(report.counts).toMatchObject({ changed: 1, new: 0 });
    expect(await foodNamed('named flake')).toMatchObject({
      liftAfterMin: 7,
      composition: { protein: 0.46 },
      version: 2,
    });
  });

  it.each([
    ['name,protein\nHalf a food,40', /share of the food/],
    ['name,kind\nWrong,tinned', /write one of: dry/],
    ['name,protein,fat,fibre,ash,moisture,plant,unit_g\nFull,90,30,0,0,0,0,1', /more than 100 %/],
    ['name,steps\nOdd,boil it well', /such as soak 120\/1/],
    ['name,protein\nOdd,lots', /not a share/],
    ['name,unit_g\nOdd,-3', /mass of one unit/],
    ['name,keeps_opened_days\nOdd,1.5', /whole days/],
  ])('say what is wrong, and nothing is written: %s', async (text, sentence) => {
    const before = (await ask().get('/api/foods')).body.items.length;
    const report = await take('foods', text);
    expect(report.written).toBe(false);
    expect(errorsOf(report).join('; ')).toMatch(sentence);
    expect((await ask().get('/api/foods')).body.items).toHaveLength(before);
  });

  it('that stand twice stop the table', async () => {
    const report = await take('foods', 'name,protein\nNamed flake,40\nNamed flake,41');
    expect(report.lines[1].says).toMatch(/is listed twice/);
  });
});

describe('lots from a table', () => {
  it('go to a food by its name, in any unit, and what is left is counted', async () => {
    await ask()
      .post('/api/foods')
      .send(sampleFood({ name: 'Lot flake', lot: null }))
      .expect(201);
    const report = await take(
      'lots',
      'food,amount,left,price,where,bought,opened,best before\nLot flake,2 oz,30 g,€ 8.90,fridge,2026-03-01,2026-03-02,2026-12-01',
    );
    expect(report).toMatchObject({ written: true, counts: { new: 1 } });
    const [lot] = (await foodNamed('Lot flake')).lots;
    expect(lot).toMatchObject({
      remainingG: 30,
      costMinor: 890,
      place: 'fridge',
      boughtOn: '2026-03-01',
      openedOn: '2026-03-02',
      bestBefore: '2026-12-01',
    });
    expect(lot.amountG).toBeCloseTo(56.699, 3);
  });

  it('of a known id are changed and counted, and what was bought stays', async () => {
    const lot = sampleLot();
    await ask()
      .post('/api/foods')
      .send(sampleFood({ name: 'Known flake', lot }))
      .expect(201);
    const row = (cells: string) =>
      take('lots', `id,food,amount_g,left_g,place\n${lot.id},Known flake,${cells}`);
    expect((await row('10,10,cupboard')).counts).toMatchObject({ same: 1 });
    expect((await row('10,4,freezer')).counts).toMatchObject({ changed: 1 });
    expect((await foodNamed('Known flake')).lots).toMatchObject([
      { remainingG: 4, place: 'freezer', version: 2 },
    ]);
    const wrong = await row('12,4,freezer');
    expect(errorsOf(wrong).join()).toMatch(/stays as it was/);
  });

  it.each([
    ['food,amount\nNobody,5 g', /no food here/],
    ['food,amount\nLot flake,-5 g', /amount in grams/],
    ['food,amount,price\nLot flake,5 g,cheap', /not a price/],
    ['food,amount,bought,best before\nLot flake,5 g,2026-03-01,2026-02-01', /before the day/],
    ['food,amount,place\nLot flake,5 g,attic', /write one of: cupboard/],
    ['food,amount,left\nLot flake,5 g,-1', /left must lie/],
  ])('say what is wrong: %s', async (text, sentence) => {
    expect(errorsOf(await take('lots', text)).join('; ')).toMatch(sentence);
  });
});

describe('weighings from a table', () => {
  it('are added once, and never changed', async () => {
    await ask()
      .post('/api/foods')
      .send(sampleFood({ name: 'Weighed flake' }))
      .expect(201);
    const text = 'food,hand,counted,weighed,day\nWeighed flake,Mine,20,1100 mg,2026-03-01';
    expect((await take('weighings', text)).counts).toMatchObject({ new: 1 });
    const [weighing] = (await foodNamed('Weighed flake')).weighings;
    expect(weighing).toMatchObject({ hand: 'Mine', units: 20, massG: 1.1, day: '2026-03-01' });
    const again = (grams: string) =>
      take(
        'weighings',
        `id,food,day,hand,counted,weighed_g\n${weighing.id},Weighed flake,2026-03-01,Mine,20,${grams}`,
      );
    expect((await again('1.1')).counts).toMatchObject({ same: 1 });
    expect(errorsOf(await again('1.2')).join()).toMatch(/with another value/);
  });

  it.each([
    ['food,hand,counted,weighed\nNobody,Mine,20,1 g', /no food here/],
    ['food,hand,counted,weighed\nWeighed flake,Mine,0,1 g', /number of units/],
    ['food,hand,counted,weighed\nWeighed flake,,20,1 g', /string|hand/i],
  ])('say what is wrong: %s', async (text, sentence) => {
    expect(errorsOf(await take('weighings', text)).join('; ')).toMatch(sentence);
  });
});

describe('recipes from a table', () => {
  const table = (...lines: string[]) =>
    [
      'recipe,place,keeps days,tray_length,drains off,plant aim,ingredient,share,binds',
      ...lines,
    ].join('\n');
  beforeAll(async () => {
    await ask()
      .post('/api/foods')
      .send(sampleFood({ name: 'Mix flake' }))
      .expect(201);
  });

  it('are written a line an ingredient, with the food that they make', async () => {
    const text = table(
      'Table gel,freezer,45,25 cm,4 %,40 to 60 %,Mix flake,30 %,no',
      'Table gel,,,,,,water,70,',
    );
    expect((await take('recipes', text)).counts).toMatchObject({ new: 2 });
    const { items } = (await ask().get('/api/recipes')).body;
    const recipe = items.find((one: { name: string }) => one.name === 'Table gel');
    expect(recipe).toMatchObject({
      kind: 'gel',
      place: 'freezer',
      keepsDays: 45,
      drained: 0.04,
      tray: { lengthCm: 25, widthCm: 15 },
      targets: { plant: [0.4, 0.6], protein: null },
      ingredients: [{ share: 0.3 }, { foodId: null, share: 0.7 }],
    });
    expect((await foodNamed('Table gel')).kind).toBe('gel');
    // Known by its name, it is changed and not written again.
    const changed = await take('recipes', text.replace('45,', '50,'));
    expect(changed.counts).toMatchObject({ changed: 2, new: 0 });
    expect((await take('recipes', text.replace('45,', '50,'))).counts).toMatchObject({ same: 2 });
  });

  it.each([
    [table('A,,,,,,Mix flake,30,', 'A,,,,,,water,60,'), /add up to 90.0 %/],
    [table('B,,,,,,No such food,100,'), /no food here has this name/],
    [table('C,attic,,,,,water,100,'), /write one of: cupboard/],
    [table('D,,,,,60 to 40 %,water,100,'), /least is more than the greatest/],
    [table('E,,,,,a lot,water,100,'), /not a span such as 45 to 70 %/],
    [table('F,,,,,,water,50,', 'F,,,,,,Water,50,'), /is listed twice/],
  ])('say what is wrong, and write nothing', async (text, sentence) => {
    const before = (await ask().get('/api/recipes')).body.items.length;
    const report = await take('recipes', text);
    expect(errorsOf(report).join('; ')).toMatch(sentence);
    expect((await ask().get('/api/recipes')).body.items).toHaveLength(before);
  });

  it('cannot contain themselves by a table either', async () => {
    const report = await take('recipes', table('Table gel,,,,,,Table gel,100,'));
    expect(errorsOf(report).join('; ')).toMatch(/contain itself/);
  });
});

describe('the whole shelf', () => {
  it('goes out and in again without a change, and makes the same shelf elsewhere', async () => {
    const flake = sampleFood({ name: 'Whole flake' });
    await ask().post('/api/foods').send(flake).expect(201);
    // A mix has figures that no file holds to the last digit.
    await ask()
      .post('/api/recipes')
      .send(sampleRecipe(flake.id, { name: 'Whole gel', drained: 0.07 }))
      .expect(201);
    await ask().post(`/api/foods/${flake.id}/weighings`).send(sampleWeighing()).expect(201);
    const tables = ['foods', 'lots', 'weighings', 'recipes'] as const;
    const texts = await Promise.all(tables.map((table) => saved(table)));
    for (const [at, table] of tables.entries()) {
      const text = texts[at] as string;
      const again = await take(table, text, false);
      const lines = text.trim().split('\n').length - 1;
      expect(again.counts).toEqual({ new: 0, same: lines, changed: 0, error: 0 });
    }
    // Another household has its own ids: those of ours are refused, and without them all is new.
    const bare = (text: string) => text.replace(/^[0-9a-f-]{36},/gm, ',');
    for (const [at, table] of tables.entries()) {
      expect((await take(table, bare(texts[at] as string), true, 'theirs')).written).toBe(true);
    }
    const [here, there] = [await foodNamed('Whole gel'), await foodNamed('Whole gel', 'theirs')];
    expect(there.composition.protein).toBeCloseTo(here.composition.protein, 9);
    expect((await foodNamed('Whole flake', 'theirs')).lots).toMatchObject([
      { amountG: 10, remainingG: 10, place: 'cupboard', bestBefore: '2026-12-31' },
    ]);
    expect((await foodNamed('Whole flake', 'theirs')).weighings).toMatchObject([{ units: 20 }]);
    const { items } = (await ask('theirs').get('/api/recipes')).body;
    const gel = items.find((one: { name: string }) => one.name === 'Whole gel');
    expect(gel).toMatchObject({
      foodId: there.id,
      drained: 0.07,
      targets: { protein: [0.4, 0.5] },
    });
  });
});
