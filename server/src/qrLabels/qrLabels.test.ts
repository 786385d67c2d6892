import { loadCatalogue } from '@open-larder/catalogue/load';
import { linesIn, pagesIn } from '../testing/pdf';
import { sampleBrood, sampleTank, sampleVessel, smallHouse } from '../testing/samples';
import { startTestServer, type TestServer } from '../testing/testServer';
import { labelSheet } from './sheet';
import { LABELLED } from './things';

const ADDRESS = 'https://fishroom.local:4310';
let server: TestServer;
beforeAll(async () => {
  server = await startTestServer({ address: ADDRESS });
});
afterAll(() => server.close());

const METRIC = { units: 'metric', temperature: 'C', hardness: 'dGH' } as const;

describe('labels with codes', () => {
  it('say what is missing while there is nothing to stick one to', async () => {
    for (const [kind, says] of [
      ['tanks', 'There is no tank yet'],
      ['cultures', 'No culture is running'],
      ['tubs', 'No brood is being raised'],
    ] as const) {
      const { body } = await server.as('ours').get(`/api/qr-labels/${kind}`).expect(409);
      expect(body.detail).toContain(says);
    }
  });

  it('are for the tanks, cultures and tubs of this household alone, and open their pages', async () => {
    const { tank, group } = await smallHouse(server, 'ours');
    await server
      .as('theirs')
      .post('/api/tanks')
      .send(sampleTank({ name: 'Foreign' }))
      .expect(201);
    const vessel = sampleVessel({ name: 'Jar one' });
    await server.as('ours').post('/api/vessels').send(vessel).expect(201);
    const brood = sampleBrood({ name: 'First of March', tankId: tank.id });
    await server.as('ours').post('/api/broods').send(brood).expect(201);
    const about = {
      scope: server.scope('ours'),
      catalogue: loadCatalogue(),
      units: METRIC,
      address: `${ADDRESS}/at`,
    };
    expect(await LABELLED.tanks(about)).toEqual([
      { name: tank.name, detail: group.name, address: `${ADDRESS}/at/tanks/${tank.id}` },
    ]);
    expect(await LABELLED.cultures(about)).toMatchObject([
      { name: 'Jar one', address: `${ADDRESS}/at/cultures/${vessel.id}` },
    ]);
    expect(await LABELLED.tubs(about)).toMatchObject([
      {
        detail: expect.stringMatching(/^First of March, /),
        address: `${ADDRESS}/at/broods/${brood.id}`,
      },
    ]);
    for (const kind of ['tanks', 'cultures', 'tubs']) {
      const { body } = await server.as('ours', 'guest').get(`/api/qr-labels/${kind}`).expect(200);
      expect(body.fileName).toBe(`labels-${kind}.pdf`);
      expect(pagesIn(body.base64)).toHaveLength(1);
    }
  });

  it('lie on the page, each whole', async () => {
    const label = { name: 'Tarn', detail: 'Loaches', address: `${ADDRESS}/at/tanks/one` };
    const pdf = Buffer.from(await labelSheet('Labels', [label, label, label]));
    const [page] = pagesIn(pdf.toString('base64'));
    const across = linesIn(pdf).map(({ x }) => x);
    expect(across.length).toBeGreaterThan(4);
    expect(Math.min(...across)).toBeGreaterThanOrEqual(28);
    expect(Math.max(...across)).toBeLessThanOrEqual(page!.width - 27);
  });

  it('of a large house go on over as many pages as they need', async () => {
    const labels = Array.from({ length: 60 }, (_, at) => ({
      name: `Tank ${at} with a name that is longer than a label is wide`,
      detail: 'Harlequins, pandas, amano shrimp and a pair of dwarf gouramis',
      address: `${ADDRESS}/at/tanks/019a0000-0000-7000-8000-${String(at).padStart(12, '0')}`,
    }));
    const pdf = Buffer.from(await labelSheet('Labels', labels)).toString('base64');
    const pages = pagesIn(pdf);
    expect(pages.length).toBeGreaterThanOrEqual(5);
    expect(pages.length).toBeLessThanOrEqual(6);
  });
});
