import { decode } from './decode';

// What browsers have; the preset of the tests knows UTF-8 alone.
beforeAll(() => {
  globalThis.TextDecoder = jest.requireActual<typeof globalThis>('node:util').TextDecoder;
});

const TEXT = 'Größe;£5\nÇa';

describe('a file', () => {
  it.each([
    ['UTF-8', [...new TextEncoder().encode(TEXT)]],
    ['UTF-8 with its mark', [0xef, 0xbb, 0xbf, ...new TextEncoder().encode(TEXT)]],
    ['UTF-16', [0xff, 0xfe, ...[...TEXT].flatMap((c) => [c.charCodeAt(0), 0])]],
    [
      'UTF-16, the other way round',
      [0xfe, 0xff, ...[...TEXT].flatMap((c) => [0, c.charCodeAt(0)])],
    ],
    ['Windows-1252', [...TEXT].map((c) => c.charCodeAt(0))],
  ])('in %s is read', (_, bytes) => {
    expect(decode(Uint8Array.from(bytes))).toBe(TEXT);
  });
});
