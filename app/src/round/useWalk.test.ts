import { act, renderHook } from '@testing-library/react-native';
import type { RoundStopView, Tank } from '@open-larder/contract';
import { useWalk } from './useWalk';
import type { WalkWork } from './useWalkWork';

const tanks = [1, 2, 3].map((walkOrder) => ({ id: `t${walkOrder}`, walkOrder })) as Tank[];
const stop = (tankId: string) => ({ tankId, servings: [] }) as unknown as RoundStopView;
const work = (key: string, order: number): WalkWork => ({
  key,
  about: 'water',
  id: key,
  order,
  number: null,
  title: key,
  detail: '',
  urgent: false,
  meal: null,
});
const stops = [stop('t1'), stop('t3')];

describe('the walk', () => {
  it('has what waits beside feeding where it stands, and the live shelf last', () => {
    const waiting = [work('water t1', 1), work('brood', 2.5), work('shelf', 1e6)];
    const { result } = renderHook(() => useWalk('m', stops, tanks, waiting));
    expect(result.current.items.map(({ key }) => key)).toEqual([
      't1',
      'water t1',
      'brood',
      't3',
      'shelf',
    ]);
  });

  it('moves nothing under a thumb: what comes after the first tap goes to the end', () => {
    const first = { momentId: 'm', waiting: [] as WalkWork[] };
    const { result, rerender } = renderHook(
      ({ momentId, waiting }: typeof first) => useWalk(momentId, stops, tanks, waiting),
      { initialProps: first },
    );
    act(() => result.current.touch());
    rerender({ momentId: 'm', waiting: [work('water t1', 1)] });
    expect(result.current.items.map(({ key }) => key)).toEqual(['t1', 't3', 'water t1']);
    rerender({ momentId: 'later', waiting: [work('water t1', 1)] });
    expect(result.current.items.map(({ key }) => key)).toEqual(['t1', 'water t1', 't3']);
  });
});
