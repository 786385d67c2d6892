import type { Taken } from './BoardCell';
import { announcing } from './WeekBoard';

const taken: Taken = { day: 1, momentId: 'm-1', groupId: 'g-1', servingId: 's-1' };
const active = { id: 's-1 1', data: { current: taken } };
const cell = { id: '2 m-1', data: { current: { day: 2, momentId: 'm-1' } } };
const said = announcing({
  moved: () => 'Fine flake for Zebrafish',
  place: ({ day }) => `After work, Tue ${day} Mar`,
});
const say = (kind: keyof typeof said, over: typeof cell | null) =>
  said[kind]!({ active, over } as never);

describe('what is said while a serving is moved', () => {
  it('is names and days, never ids', () => {
    const all = (['onDragStart', 'onDragOver', 'onDragEnd', 'onDragCancel'] as const).flatMap(
      (kind) => [say(kind, cell), say(kind, null)],
    );
    expect(all).toContain('Fine flake for Zebrafish is taken up.');
    expect(all).toContain('Fine flake for Zebrafish is set down: After work, Tue 2 Mar.');
    expect(all).toContain('Fine flake for Zebrafish is back where it was.');
    expect(all.join(' ')).not.toMatch(/[msg]-1/);
  });
});
