import fc from 'fast-check';
import {
  firstBreak,
  lifeError,
  sizeOn,
  stateOn,
  staysOf,
  SIZE_KINDS,
  type LifeEvent,
  type SizeEvent,
} from '.';

let made = 0;
const event = (
  kind: SizeEvent['kind'],
  day: string,
  unsexed: number,
): SizeEvent & { id: string } => ({
  id: `e${(made += 1)}`,
  kind,
  day,
  males: 0,
  females: 0,
  unsexed,
});
const moved = (day: string, tankId: string): LifeEvent => ({
  id: `m${day}${tankId}`,
  kind: 'moved',
  day,
  tankId,
});

describe('size of a group', () => {
  it('is the sum of its events on any day', () => {
    const events = [
      event('arrived', '2026-01-01', 10),
      event('died', '2026-01-05', 2),
      event('counted', '2026-01-10', 9),
      event('sold', '2026-01-11', 1),
      event('born', '2026-01-12', 4),
      event('given', '2026-01-13', 2),
      event('parted', '2026-01-14', 3),
      event('joined', '2026-01-15', 5),
    ];
    expect(
      [
        '2025-12-31',
        '2026-01-01',
        '2026-01-05',
        '2026-01-10',
        '2026-01-11',
        '2026-01-12',
        '2026-01-13',
        '2026-01-14',
        '2026-02-01',
      ].map((day) => sizeOn(events, day).total),
    ).toEqual([0, 10, 8, 9, 8, 12, 10, 7, 12]);
  });

  it('refuses more losses than fish, by sex, and names the event', () => {
    const events = [
      { ...event('arrived', '2026-01-01', 1), males: 2 },
      { ...event('died', '2026-01-02', 0), females: 1 },
    ];
    expect(() => sizeOn(events, '2026-01-02')).toThrow('more left on 2026-01-02 than there were');
    expect(firstBreak(events)).toEqual({
      event: events[1],
      had: { males: 2, females: 0, unsexed: 1 },
    });
  });

  it('nothing is created or lost: what parts from one group joins the other', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 50 }),
        fc.integer({ min: 0, max: 50 }),
        (there, leave) => {
          const left = [
            event('arrived', '2026-01-01', there),
            event('parted', '2026-01-02', leave),
          ];
          const came = [event('joined', '2026-01-02', leave)];
          const broken = firstBreak(left);
          expect(broken !== null).toBe(leave > there);
          if (broken === null) {
            expect(sizeOn(left, '2026-01-03').total + sizeOn(came, '2026-01-03').total).toBe(there);
          }
        },
      ),
    );
  });

  it('never falls below zero on any day, whatever is written', () => {
    const events = fc.array(
      fc.record({
        kind: fc.constantFrom(...SIZE_KINDS),
        day: fc.integer({ min: 10, max: 28 }).map((n) => `2026-01-${n}`),
        males: fc.nat(5),
        females: fc.nat(5),
        unsexed: fc.nat(5),
      }),
    );
    fc.assert(
      fc.property(events, (some) => {
        const sorted = [...some].sort((a, b) => (a.day < b.day ? -1 : 1));
        const broken = firstBreak(sorted);
        const sound = broken ? sorted.slice(0, sorted.indexOf(broken.event)) : sorted;
        for (const { day } of sound) expect(sizeOn(sound, day).total).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('the life of a group', () => {
  const life: LifeEvent[] = [
    moved('2026-01-01', 'a'),
    event('arrived', '2026-01-01', 10),
    { id: 's', kind: 'staged', day: '2026-01-01', stage: 'juvenile' },
    { id: 'l', kind: 'measured', day: '2026-01-20', lengthCm: 2.5 },
    moved('2026-02-01', 'b'),
    { id: 't', kind: 'staged', day: '2026-02-10', stage: 'adult' },
    moved('2026-03-01', 'a'),
  ];

  it('can be read back on any past day', () => {
    expect(stateOn(life, '2025-12-31')).toBeNull();
    expect(stateOn(life, '2026-01-10')).toMatchObject({
      tankId: 'a',
      stage: 'juvenile',
      lengthCm: null,
    });
    expect(stateOn(life, '2026-02-05')).toMatchObject({
      tankId: 'b',
      stage: 'juvenile',
      lengthCm: 2.5,
    });
    expect(stateOn(life, '2026-03-05')).toMatchObject({ tankId: 'a', stage: 'adult' });
  });

  it('is in one place at a time', () => {
    expect(staysOf(life)).toEqual([
      { tankId: 'a', fromDay: '2026-01-01', toDay: '2026-02-01' },
      { tankId: 'b', fromDay: '2026-02-01', toDay: '2026-03-01' },
      { tankId: 'a', fromDay: '2026-03-01', toDay: null },
    ]);
  });

  it('there and back on one day is no stay; to the same tank is no move', () => {
    const events = [moved('2026-01-01', 'a'), moved('2026-02-01', 'b'), moved('2026-02-01', 'a')];
    expect(staysOf(events)).toEqual([{ tankId: 'a', fromDay: '2026-01-01', toDay: null }]);
    expect(staysOf([...events, moved('2026-03-01', 'a')])).toHaveLength(1);
  });

  it('names the later event that a correction breaks', () => {
    const later = event('sold', '2026-02-20', 8);
    const early = event('died', '2026-01-15', 3);
    expect(lifeError([...life, later], later.id)).toBeNull();
    expect(lifeError([...life, later, early], early.id)).toMatchObject({
      fault: 'tooFew',
      event: later,
      had: { males: 0, females: 0, unsexed: 7 },
      later: true,
    });
    const much = event('died', '2026-01-15', 30);
    expect(lifeError([...life, much], much.id)).toMatchObject({ event: much, later: false });
  });

  it('begins in a tank', () => {
    const born = event('born', '2025-12-01', 1);
    expect(lifeError([...life, born], null)).toEqual({
      eventId: born.id,
      fault: 'inNoTank',
      day: born.day,
    });
  });
});
