import 'fake-indexeddb/auto';
import { fed } from './act.testkit';
import { inMemory, openDevice, type Device } from './device';

const problem = { type: 'urn:test', title: 'No', status: 409, detail: 'No.' };

beforeEach(async () => {
  const device = await openDevice();
  await device.drop((await device.acts()).map(({ seq }) => seq));
  await device.forgetAnswers();
});

describe.each([
  ['in the browser’s database', openDevice, true],
  ['in memory, where there is none', async (): Promise<Device> => inMemory(), false],
])('what is kept %s', (_, open, lasts) => {
  it('keeps acts in their order, and says whether they last', async () => {
    const device = await open();
    expect(device.lasts).toBe(lasts);
    for (const id of ['a', 'b', 'c']) await device.add(fed(id));
    const [first, second] = await device.acts();
    await device.drop([second!.seq]);
    expect(await device.change({ ...first!, sent: true })).toBe(true);
    expect(await device.change({ ...second!, sent: true })).toBe(false);
    expect((await device.acts()).map(({ id, sent }) => [id, sent])).toEqual([
      ['a', true],
      ['c', false],
    ]);
  });

  it('drops what is taken back only where the server has none of it', async () => {
    const device = await open();
    const [a, b] = [await device.add(fed('a')), await device.add(fed('b'))];
    await device.change({ ...a, sent: true });
    expect(await device.dropUnsent([a.seq, b.seq])).toBe(false);
    expect(await device.acts()).toHaveLength(2);
    await device.change({ ...a, sent: true, problem });
    expect(await device.dropUnsent([a.seq, b.seq])).toBe(true);
    expect(await device.acts()).toEqual([]);
    expect(await device.dropUnsent([a.seq])).toBe(false);
  });

  it('keeps the newest answer of each address, and forgets the old ones', async () => {
    const device = await open();
    await device.keepAnswers([
      { address: '/api/tanks', readMs: 1, data: [1] },
      { address: '/api/foods', readMs: 2, data: [2] },
    ]);
    await device.keepAnswers([{ address: '/api/tanks', readMs: 3, data: [3] }]);
    expect((await device.answer('/api/tanks'))?.data).toEqual([3]);
    await device.forgetAnswers(3);
    expect(await device.answer('/api/foods')).toBeUndefined();
    expect(await device.answer('/api/tanks')).toBeDefined();
    await device.forgetAnswers();
    expect(await device.answer('/api/tanks')).toBeUndefined();
    await device.setNote('whose', 'weir wren');
    expect(await device.note('whose')).toBe('weir wren');
  });
});
