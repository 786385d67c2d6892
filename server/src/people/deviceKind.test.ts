import { deviceKind } from './deviceKind';

it.each([
  ['Mozilla/5.0 (X; Android 15; Mobile) Gecko', 'Phone'],
  ['Mozilla/5.0 (X; Android 15) Gecko', 'Tablet'],
  ['Mozilla/5.0 (X11; Linux x86_64) Gecko', 'Computer'],
  ['curl/8', 'Program'],
  [undefined, 'Program'],
])('%s is a %s', (agent, kind) => {
  expect(deviceKind(agent)).toBe(kind);
});
