import { readConfig } from './config';

const DB = { OPEN_LARDER_DB_URL: 'postgres://localhost/larder' };
const TLS = { OPEN_LARDER_TLS_CERT: '/a.crt', OPEN_LARDER_TLS_KEY: '/a.key' };
const AWAY = { ...DB, OPEN_LARDER_HOST: '0.0.0.0', OPEN_LARDER_NAMES: 'fishroom.local, 10.0.0.5' };

describe('how the server is reached', () => {
  it('is on this machine alone unless said, by itself with the demo and by sign-in without', () => {
    expect(readConfig(DB)).toMatchObject({
      host: '127.0.0.1',
      signIn: 'itself',
      tls: null,
      address: null,
      reach: { secure: false, names: [], proxy: null },
    });
    expect(readConfig({ ...DB, OPEN_LARDER_HOUSEHOLD: 'empty' }).signIn).toBe('people');
  });

  it('is from elsewhere with its own certificate, or behind a proxy that has one', () => {
    expect(readConfig({ ...AWAY, ...TLS })).toMatchObject({
      signIn: 'people',
      address: 'https://fishroom.local:4310',
      reach: { secure: true, names: ['fishroom.local', '10.0.0.5'] },
    });
    expect(readConfig({ ...AWAY, OPEN_LARDER_PROXY: 'loopback' })).toMatchObject({
      signIn: 'people',
      address: 'https://fishroom.local',
      reach: { secure: true, proxy: 'loopback' },
    });
  });

  it.each<[string, NodeJS.ProcessEnv, RegExp]>([
    ['from elsewhere over plain http', AWAY, /must travel over TLS.*npm run serve -- --lan/],
    [
      'under another name over plain http',
      { ...DB, OPEN_LARDER_NAMES: 'fishroom.local' },
      /must travel over TLS/,
    ],
    [
      'from elsewhere without sign-in',
      { ...AWAY, ...TLS, OPEN_LARDER_SIGN_IN: 'itself' },
      /answers on this machine alone/,
    ],
    ['with half a certificate', { ...DB, OPEN_LARDER_TLS_CERT: '/a.crt' }, /give both/],
    ['at no address', { ...DB, OPEN_LARDER_ADDRESS: 'fishroom' }, /OPEN_LARDER_ADDRESS/],
  ])('is never %s', (_what, env, sentence) => {
    expect(() => readConfig(env)).toThrow(sentence);
  });
});
