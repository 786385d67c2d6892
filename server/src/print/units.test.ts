import pdfmake from 'pdfmake';
import {
  sampleBrood,
  sampleBroodEvent,
  sampleFeeding,
  sampleLot,
  sampleVessel,
  sampleWaterTest,
  smallHouse,
} from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

/** A figure in metric units. Grams and mg/L are the hobby's own, and pieces of food are in mm everywhere. */
const METRIC = /\d\s?(?:L|litres?|cm|°C|dm²)(?![\w/])/;

/** Every word of what is printed. */
const wordsOf = (content: unknown): string[] => {
  if (typeof content === 'string') return [content];
  if (Array.isArray(content)) return content.flatMap(wordsOf);
  if (typeof content !== 'object' || content === null) return [];
  return Object.values(content).flatMap(wordsOf);
};

describe('what is printed for a household on US units', () => {
  it('names no litre, centimetre or degree Celsius on any sheet', async () => {
    const ours = await smallHouse(server, 'ours');
    const { ask, tank, group, food } = ours;
    const { body: household } = await ask.get('/api/household').expect(200);
    await ask
      .put('/api/household')
      .send({ ...household, units: 'us', temperature: 'F' })
      .expect(200);
    await ask.post('/api/feedings').send(sampleFeeding(ours)).expect(201);
    for (const [day, nitrate] of [
      ['2026-03-03', 12],
      ['2026-03-09', 30],
    ]) {
      await ask
        .post(`/api/tanks/${tank.id}/water`)
        .send(sampleWaterTest({ day, nitrate, at: `${day}T09:00:00.000Z` }))
        .expect(201);
    }
    const lot = sampleLot();
    await ask.post(`/api/foods/${food.id}/lots`).send(lot).expect(201);
    const brood = sampleBrood({ speciesKey: 'danio-rerio' });
    await ask.post('/api/broods').send(brood).expect(201);
    await ask.post(`/api/broods/${brood.id}/events`).send(sampleBroodEvent()).expect(201);
    await ask.post('/api/vessels').send(sampleVessel()).expect(201);

    // Read before it is laid out: that writes into it.
    const words: string[] = [];
    const { createPdf } = pdfmake;
    jest.spyOn(pdfmake, 'createPdf').mockImplementation((sheet) => {
      words.push(...wordsOf(sheet.content));
      return createPdf.call(pdfmake, sheet);
    });
    const sheets = [
      '/api/round/2026-03-10/sheet',
      `/api/tanks/${tank.id}/week-sheet`,
      `/api/tanks/${tank.id}/summary`,
      `/api/groups/${group.id}/summary`,
      `/api/broods/${brood.id}/card`,
      `/api/lots/${lot.id}/labels?copies=1`,
    ];
    for (const sheet of sheets) {
      words.length = 0;
      await ask.get(sheet).expect(200);
      expect(words.length).toBeGreaterThan(3);
      expect(words.filter((one) => METRIC.test(one))).toEqual([]);
    }
  });
});
