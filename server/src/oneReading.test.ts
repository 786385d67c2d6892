import type { Consumption, RoundView, Served } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import fc from 'fast-check';
import { v7 as uuidv7 } from 'uuid';
import { foodsTried } from './proposal/seen';
import { sampleFeeding, sampleLook, sampleSighting, smallHouse } from './testing/samples';
import { startTestServer, type TestServer } from './testing/testServer';
import { bellies } from './look/store';
import { proteinServed } from './water/store';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

/** Today in the test server, and the days before it that things happen on. */
const TODAY = '2026-03-10';
const DAYS = Array.from({ length: 5 }, (_, ago) => addDays(TODAY, -ago));
const SPAN = { from: DAYS.at(-1)!, to: TODAY };
/** A pinch of the sample food, and the four that are planned. */
const PINCH_G = 0.05;

const day = fc.integer({ min: 0, max: DAYS.length - 1 });
const act = fc.oneof(
  fc.record({
    kind: fc.constant('feed' as const),
    day,
    dealt: fc.constantFrom(
      { outcome: 'served', units: 4 },
      { outcome: 'less', units: 2 },
      { outcome: 'more', units: 6 },
      { outcome: 'refused', units: 4 },
      { outcome: 'skipped', units: 0 },
    ),
  }),
  fc.record({
    kind: fc.constant('see' as const),
    day,
    seen: fc.constantFrom(
      { clearedMin: 10, left: null, unwatched: false },
      { clearedMin: null, left: 0.25, unwatched: false },
      { clearedMin: null, left: 1, unwatched: false },
      { clearedMin: null, left: null, unwatched: true },
      // Who came, and nothing of what became of the food.
      { clearedMin: null, left: null, unwatched: false },
    ),
  }),
  fc.record({ kind: fc.constant('look' as const), day, belly: fc.integer({ min: 1, max: 5 }) }),
  fc.record({ kind: fc.constant('undo' as const), which: fc.nat(40) }),
);

interface Fed {
  day: string;
  outcome: string;
  massG: number;
}
interface Seen {
  day: string;
  left: number | null;
  ends: boolean;
}

type Act = typeof act extends fc.Arbitrary<infer T> ? T : never;

/** A small model of what is in force: what happened, less what was taken back. */
class Force {
  readonly done: {
    undo: [path: string, body: object];
    kept: Fed | Seen | { day: string; belly: number };
  }[] = [];
  private readonly undone = new Set<number>();

  undo(at: number) {
    this.undone.add(at);
  }

  private inForce<T>(is: (kept: object) => boolean): T[] {
    return this.done.flatMap(({ kept }, at) =>
      !this.undone.has(at) && is(kept) ? [kept as unknown as T] : [],
    );
  }

  fed = () => this.inForce<Fed>((kept) => 'massG' in kept);
  bellies = () => this.inForce<{ day: string; belly: number }>((kept) => 'belly' in kept);

  /** The last look at a day's meal that says what became of it. */
  lastOf = (on: string) => this.inForce<Seen>((kept) => 'ends' in kept).findLast((one) => one.day === on && one.ends); // prettier-ignore

  refusedG = (fed: Fed) => (fed.outcome === 'refused' ? fed.massG : 0);
  leftG = (fed: Fed) => (this.lastOf(fed.day)?.left ?? 0) * (fed.massG - this.refusedG(fed));
}

async function logEvent(
  house: Awaited<ReturnType<typeof smallHouse>>,
  force: Force,
  one: Act,
): Promise<void> {
  const { ask } = house;
  if (one.kind === 'undo') {
    if (force.done.length === 0) return;
    const at = one.which % force.done.length;
    const [path, body] = force.done[at]!.undo;
    await ask
      .post(path)
      .send(body)
      .expect((answer) => expect([200, 201]).toContain(answer.status));
    force.undo(at);
    return;
  }
  const on = DAYS[one.day]!;
  if (one.kind === 'feed') {
    if (force.fed().some((fed) => fed.day === on)) return;
    const body = sampleFeeding(house, { day: on, at: `${on}T11:30:00.000Z`, ...one.dealt });
    await ask.post('/api/feedings').send(body).expect(201);
    const massG = one.dealt.units * PINCH_G;
    force.done.push({
      undo: [`/api/feedings/${body.id}/undo`, undoing()],
      kept: { day: on, outcome: one.dealt.outcome, massG },
    });
  } else if (one.kind === 'see') {
    const body = sampleSighting(house, { day: on, ...one.seen });
    await ask.post(`/api/tanks/${house.tank.id}/sightings`).send(body).expect(201);
    const { clearedMin, left, unwatched } = one.seen;
    force.done.push({
      undo: [`/api/sightings/${body.id}/undo`, { id: uuidv7() }],
      kept: { day: on, left, ends: clearedMin !== null || left !== null || unwatched },
    });
  } else {
    const body = sampleLook(house.group.id, { day: on, belly: one.belly });
    await ask
      .post('/api/looks')
      .send({ id: uuidv7(), looks: [body] })
      .expect(201);
    force.done.push({
      undo: ['/api/looks/undo', { ...undoing(), looks: [{ lookId: body.id, id: uuidv7() }] }],
      kept: { day: on, belly: one.belly },
    });
  }
}

const undoing = () => ({ id: uuidv7(), at: `${TODAY}T11:45:00.000Z` });
const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0);

const servingsOf = (round: RoundView) =>
  round.moments.flatMap(({ stops }) => stops.flatMap(({ servings }) => servings));

describe('one reading of what happened', () => {
  it('Records, Water, Proposals and the Round say the same, whatever was noted and taken back', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 4, maxLength: 14 }), async (acts) => {
        const house = await smallHouse(server, 'ours', '2026-01-01');
        const force = new Force();
        for (const one of acts) await logEvent(house, force, one);
        const { ask, group, food } = house;
        const scope = server.scope('ours');
        const fed = force.fed();
        const dealt = fed.filter(({ massG }) => massG > 0);
        const offeredG = sum(fed.map(({ massG }) => massG));
        const refusedG = sum(fed.map(force.refusedG));
        const leftG = sum(fed.map(force.leftG));

        const served: Served = (await ask.get('/api/records/served').query(SPAN).expect(200)).body;
        const row = served.rows.find(({ groupId }) => groupId === group.id);
        expect(row?.offeredG ?? 0).toBeCloseTo(offeredG, 9);
        expect(row?.refusedG ?? 0).toBeCloseTo(refusedG, 9);
        expect(row?.leftG ?? 0).toBeCloseTo(leftG, 9);
        expect([row?.servings ?? 0, row?.skipped ?? 0]).toEqual([
          dealt.length,
          fed.length - dealt.length,
        ]);

        const consumption: Consumption = (
          await ask.get('/api/records/consumption').query(SPAN).expect(200)
        ).body;
        const eaten = consumption.foods.find(({ foodId }) => foodId === food.id);
        expect(eaten?.totalG ?? 0).toBeCloseTo(offeredG, 9);

        const water = (await proteinServed(scope, SPAN.from, SPAN.to)).filter(
          ({ groupId }) => groupId === group.id,
        );
        const share = food.composition.protein;
        expect(sum(water.map(({ givenG }) => givenG))).toBeCloseTo(offeredG * share, 6);
        expect(sum(water.map(({ lostG }) => lostG))).toBeCloseTo((refusedG + leftG) * share, 6);

        const tried = (await foodsTried(scope, TODAY)).find(({ groupId }) => groupId === group.id);
        expect(tried?.served ?? 0).toBe(dealt.length);
        expect(tried?.refused ?? 0).toBe(
          dealt.filter((one) => one.outcome === 'refused' || force.lastOf(one.day)?.left === 1)
            .length,
        );
        expect((await bellies(scope, [group.id])).length).toBe(force.bellies().length);

        const round: RoundView = (await ask.get(`/api/round/${TODAY}`).expect(200)).body;
        const shown = [...servingsOf(round), ...round.unplanned].filter(
          ({ groupId }) => groupId === group.id,
        );
        expect(
          shown
            .flatMap((one) => ('fed' in one ? (one.fed ?? []) : one))
            .map(({ outcome }) => outcome),
        ).toEqual(fed.filter((one) => one.day === TODAY).map(({ outcome }) => outcome));
      }),
      { numRuns: 20, seed: 20_261_129, endOnFailure: true },
    );
  });
});
