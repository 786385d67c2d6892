import { READINGS } from '@open-larder/core/water';
import { photoCreate, waterEventCreate } from '.';

const base = {
  id: '019cdcfb-930d-75a4-a5d6-6b8f50a30464',
  day: '2026-03-10',
  at: '2026-03-10T18:00:00.000Z',
};
const error = (schema: typeof waterEventCreate | typeof photoCreate, value: object) => {
  const read = schema.safeParse(value);
  return read.success ? null : read.error.issues[0]!.path.join('.');
};
const event = (over: object) => error(waterEventCreate, { ...base, ...over });

describe('an event of water', () => {
  it('tested may be any one reading, and what was not read is null', () => {
    for (const reading of READINGS) expect(event({ kind: 'tested', [reading]: 7 })).toBeNull();
    const read = waterEventCreate.parse({ ...base, kind: 'tested', ph: 7 });
    expect(read).toMatchObject({ ph: 7, nitrate: null, sure: false, note: '', hand: null });
  });

  it.each([
    ['no reading', { kind: 'tested' }, 'nitrate'],
    ['a nitrate that no water has', { kind: 'tested', nitrate: 501 }, 'nitrate'],
    ['a pH in another unit', { kind: 'tested', ph: 72 }, 'ph'],
    ['a number that is none', { kind: 'tested', gh: Number.NaN }, 'gh'],
    ['a change of nothing', { kind: 'changed', share: 0 }, 'share'],
    ['more than all', { kind: 'filledUp', share: 1.01 }, 'share'],
    ['no such day', { kind: 'changed', share: 0.2, day: '2026-02-30' }, 'day'],
    ['no such kind', { kind: 'boiled' }, 'kind'],
  ])('with %s is refused at its field', (_, over, path) => {
    expect(event(over)).toBe(path);
  });
});

const photo = (over: object = {}) =>
  error(photoCreate, {
    id: base.id,
    eventId: base.id,
    widthPx: 800,
    heightPx: 600,
    picture: 'data:image/jpeg;base64,AAAA',
    marks: {
      ruler: [{ a: { x: 1, y: 1 }, b: { x: 500, y: 1 }, cm: 10 }],
      fish: [{ a: { x: 1, y: 50 }, b: { x: 90, y: 50 } }],
    },
    ...over,
  });

describe('a picture of a measurement', () => {
  it('is a JPEG or PNG with a ruler and a fish marked in it', () => {
    expect(photo()).toBeNull();
  });

  it.each([
    ['a page', { picture: 'data:text/html;base64,AAAA' }, 'picture'],
    ['an address elsewhere', { picture: 'https://example.org/a.png' }, 'picture'],
    ['no width', { widthPx: 0 }, 'widthPx'],
    ['no ruler', { marks: { ruler: [], fish: [] } }, 'marks.ruler'],
  ])('and not %s', (_, over, path) => {
    expect(photo(over)).toBe(path);
  });
});
