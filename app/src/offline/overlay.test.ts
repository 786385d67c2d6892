import type { RoundView } from '@open-larder/contract';
import { food, round } from '../testing/house';
import type { RouteName } from '@open-larder/contract/paths';
import type { Act } from './act';
import { withActs } from './overlay';

const DAY = '2026-03-04';
const act = (route: Act['route'], body: object, more: Partial<Act> = {}): Act =>
  ({ seq: 1, id: 'a', route, body: { id: 'a', ...body }, problem: null, ...more }) as Act;
const fed = (more: object = {}) =>
  act('logFeeding', {
    servingId: 's1',
    day: DAY,
    foodId: 'f1',
    outcome: 'served',
    units: 2,
    at: '2026-03-04T07:00:00.000Z',
    ...more,
  });
const shown = (acts: readonly Act[], view: RoundView = round(DAY)) => {
  const seen = withActs('getRound', structuredClone(view), acts) as RoundView;
  return { ...seen, serving: seen.moments[0]!.stops[0]!.servings[0]! };
};

describe('an answer of the server, with what it does not know of yet', () => {
  it('shows as served what was served here, and its food in the water', () => {
    const { serving, inWater } = shown([fed()]);
    expect(serving.fed).toMatchObject({ id: 'a', units: 2, massG: 2 * serving.unit.massG });
    expect(inWater).toMatchObject([{ drops: [{ key: 's1', at: '2026-03-04T07:00:00.000Z' }] }]);
  });

  it('shows nothing of another day, of what was skipped in the water, or of what was refused', () => {
    expect(shown([fed({ day: '2026-03-05' })]).serving.fed).toBeNull();
    expect(shown([fed({ outcome: 'skipped', units: 0 })]).inWater).toEqual([]);
    const problem = { type: 'urn:test', title: 'No', status: 409, detail: 'No.' };
    expect(shown([{ ...fed(), problem }]).serving.fed).toBeNull();
  });

  it('shows what is taken back as still to be served, in order', () => {
    const undo = act('undoFeeding', { id: 'u' }, { params: { id: 'a' } });
    const { serving, inWater } = shown([fed(), undo]);
    expect([serving.fed, inWater]).toEqual([null, []]);
    expect(shown([fed(), undo, fed({ id: 'b' })]).serving.fed?.id).toBe('b');
  });

  it('shows what was prepared, and a meal that is gone', () => {
    const chore = act('logChore', { kind: 'prepare', about: 'f1 450', day: DAY });
    expect(shown([chore]).done).toMatchObject([{ about: 'f1 450' }]);
    const undo = act('undoChore', { id: 'u' }, { params: { id: 'a' } });
    expect(shown([chore, undo]).done).toEqual([]);
    const { inWater, moments } = shown([fed()]);
    const [{ day, momentId, tankId, drops }] = inWater as [RoundView['inWater'][number]];
    const gone = act('addSighting', { day, momentId, drops, dropKeys: ['s1'] });
    expect(moments).toHaveLength(1);
    expect(shown([fed(), { ...gone, params: { id: tankId } }]).inWater).toEqual([]);
  });

  it('shows the shelf as it was counted', () => {
    const jar = structuredClone(food);
    const [lot] = jar.lots;
    const count = act('countLot', { remainingG: 1 }, { params: { id: lot!.id } });
    const { items } = withActs('listFoods', { items: [jar] }, [count]) as { items: [typeof food] };
    expect(items[0].lots[0]!.remainingG).toBe(1);
    expect(items[0].remainingG).toBeCloseTo(food.remainingG - food.lots[0]!.remainingG + 1, 9);
  });
});

describe('a history, with what waits here', () => {
  const old = { id: 'old', vesselId: 'v1' };
  const shownOf = (route: RouteName, acts: readonly Act[], query = {}, subject = 'v1') => {
    const page = { items: [structuredClone(old)], next: null };
    const asked = { params: { id: subject }, query };
    return (withActs(route, page, acts, asked) as typeof page).items;
  };
  const fedMoina = act('addVesselEvent', { kind: 'fed', day: DAY }, { params: { id: 'v1' } });

  it('begins with it, as it will be read back', () => {
    expect(shownOf('listVesselEvents', [fedMoina])).toMatchObject([
      { id: 'a', vesselId: 'v1', kind: 'fed', density: null, feedingId: null },
      old,
    ]);
    // Of another vessel, and on the pages behind the first.
    expect(shownOf('listVesselEvents', [fedMoina], {}, 'v2')).toEqual([old]);
    expect(shownOf('listVesselEvents', [fedMoina], { cursor: 'next' })).toEqual([old]);
    // The server had it already, and its answer was lost.
    const known = { ...fedMoina, id: 'old', body: { ...fedMoina.body, id: 'old' } };
    expect(shownOf('listVesselEvents', [known])).toEqual([old]);
  });

  it('is without what is taken back', () => {
    const undo = act('undoVesselEvent', { id: 'u' }, { params: { id: 'old' } });
    expect(shownOf('listVesselEvents', [undo])).toEqual([]);
  });

  it('holds a look at each group', () => {
    const looks = act('addLooks', {
      looks: [
        { id: 'l1', groupId: 'v1' },
        { id: 'l2', groupId: 'g2' },
      ],
    });
    expect(shownOf('listLooks', [looks]).map(({ id }) => id)).toEqual(['l1', 'old']);
    const undo = act('undoLooks', { id: 'u', looks: [{ lookId: 'l1', id: 'u1' }] });
    expect(shownOf('listLooks', [looks, undo])).toEqual([old]);
  });
});
