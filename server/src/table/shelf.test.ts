import { sampleFood, sampleLot, sampleRecipe } from '../testing/samples';
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
const faultsOf = (report: {
  lines: { cells: { state: string; says: string }[]; says: string }[];
}) =>
  report.lines.flatMap((line) => [
    ...line.cells.filter((cell) => cell.state === 'fault').map((cell) => cell.says),
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
    expect(faultsOf(report).join('; ')).toMatch(sentence);
    expect((await ask().get('/api/foods')).body.items).toHaveLength(before);
  });

  it('that stand twice stop the table', async () => {
    const report = await take('foods', 'name,protein\nNamed flake,40\nNamed flake,41');
    expect(report.lines[1].says).toMatch(/stands twice/);
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
    expect(faultsOf(wrong).join()).toMatch(/stays as it was/);
  });

  it.each([
    ['food,amount\nNobody,5 g', /no food here/],
    ['food,amount\nLot flake,-5 g', /amount in grams/],
    ['food,amount,price\nLot flake,5 g,cheap', /not a price/],
    ['food,amount,bought,best before\nLot flake,5 g,2026-03-01,2026-02-01', /before the day/],
    ['food,amount,place\nLot flake,5 g,attic', /write one of: cupboard/],
    ['food,amount,left\nLot flake,5 g,-1', /left must lie/],
  ])('say what is wrong: %s', async (text, sentence) => {
    expect(faultsOf(await take('lots', text)).join('; ')).toMatch(sentence);
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
    const [foods, lots] = [await saved('foods'), await saved('lots')];
    for (const [table, text] of [
      ['foods', foods],
      ['lots', lots],
    ] as const) {
      const again = await take(table, text, false);
      const lines = text.trim().split('\n').length - 1;
      expect(again.counts).toEqual({ new: 0, same: lines, changed: 0, fault: 0 });
    }
    // Another household has its own ids: those of ours are refused, and without them all is new.
    const bare = (text: string) => text.replace(/^[0-9a-f-]{36},/gm, ',');
    expect((await take('foods', bare(foods), true, 'theirs')).written).toBe(true);
    expect((await take('lots', bare(lots), true, 'theirs')).written).toBe(true);
    const [here, there] = [await foodNamed('Whole gel'), await foodNamed('Whole gel', 'theirs')];
    expect(there.composition.protein).toBeCloseTo(here.composition.protein, 9);
    expect((await foodNamed('Whole flake', 'theirs')).lots).toMatchObject([
      { amountG: 10, remainingG: 10, place: 'cupboard', bestBefore: '2026-12-31' },
    ]);
  });
});
