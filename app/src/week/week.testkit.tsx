import type { Group, PlanEdit } from '@open-larder/contract';
import { screen } from '@testing-library/react-native';
import { answers, group, moment, tank } from '../testing/house';
import { standIn, type Asked } from '../testing/server';
import { show } from '../testing/show';
import '../testing/storage';
import { remember } from '../store/memory';
import { Toast } from '../ui';
import { WeekScreen } from './WeekScreen';

/** Nothing was learned of a tank. */
const NOTHING = { version: 0, frozen: false, sightings: 0, groups: [] };
export const noon = { ...moment, id: 'noon', name: 'Midday break', minutes: 750, spareMin: 1 };

export const tanks = (count: number) =>
  Array.from({ length: count }, (_, at) => ({
    ...tank,
    id: `t${at + 1}`,
    name: `Rack ${at + 1}`,
    walkOrder: at + 1,
  }));

export const house = (over: object = {}) => ({
  ...answers(),
  'GET /api/moments': { items: [moment, noon], next: null },
  'GET /api/starting-plans': { items: [], next: null },
  ...Object.fromEntries(
    Array.from({ length: 20 }, (_, at) => [`GET /api/tanks/t${at + 1}/learned`, NOTHING]),
  ),
  ...over,
});

/** The server as it takes a plan: what is sent stands afterwards. */
export function open(over: object = {}, view: 'day' | 'week' = 'week') {
  remember('week.view', view);
  let groups: Group[] = [group];
  const asked = standIn({
    ...house(),
    'GET /api/groups': () => ({ status: 200, body: { items: groups, next: null } }),
    'PUT /api/tanks/t1/plan': ({ body }: Pick<Asked, 'body'>) => {
      const { diets, ...plan } = body as PlanEdit;
      groups = groups.map((one) => {
        const diet = diets.find(({ groupId }) => groupId === one.id);
        return diet ? { ...one, diet: { ...one.diet!, ...diet, version: diet.version + 1 } } : one;
      });
      return {
        status: 200,
        body: { plan: { ...plan, version: plan.version + 1, validFrom: '2026-01-01' }, diets: [] },
      };
    },
    ...over,
  });
  show(
    <>
      <WeekScreen />
      <Toast />
    </>,
  );
  return asked;
}

export const labelOf = ({ props }: { props: Record<string, unknown> }): string =>
  String(props['accessibilityLabel'] ?? props['aria-label']);
export const chips = () => screen.queryAllByLabelText(/pinch.* Fine flake for Zebrafish$/);
