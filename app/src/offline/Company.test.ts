import type { Me, Present } from '@open-larder/contract';
import { sayWhere } from './Company';

const me = { person: { name: 'Wren' } } as unknown as Me;
const at = (name: string | null, tankId: string | null, page = String(Math.random())) =>
  ({ name, tankId, page }) as Present;
const tankName = (id: string) => ({ m: 'Millpond', t: 'Tarn' })[id];
const say = (...others: Present[]) => sayWhere(others, me, tankName);

describe('who else is in the Round', () => {
  it('is named, with the tank if it is known', () => {
    expect(say(at('Finch', 't'))).toBe('Finch is in the Round too, at Tarn.');
    expect(say(at('Finch', 'gone'))).toBe('Finch is in the Round too.');
    expect(say(at(null, null))).toBe('Another device is in the Round too.');
    expect(say(at('Wren', 'm'))).toBe('Another device is in the Round too, at Millpond.');
  });

  it('is said once, and devices without a name are counted', () => {
    expect(say(at('Finch', 't'), at('Finch', 't'))).toBe('Finch is in the Round too, at Tarn.');
    expect(say(at(null, 'm'), at('Finch', 'm'), at(null, 'm'), at(null, 't'))).toBe(
      '2 other devices are in the Round too, at Millpond. Finch is in the Round too, at Millpond. Another device is in the Round too, at Tarn.',
    );
  });
});
