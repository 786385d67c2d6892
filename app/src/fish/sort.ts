import type { Group } from '@open-larder/contract';
import type { AppData } from '../store';

export const SORTS = [
  { value: 'walk', label: 'walk' },
  { value: 'name', label: 'name' },
  { value: 'species', label: 'species' },
  { value: 'number', label: 'number' },
  { value: 'length', label: 'length' },
] as const;
export type SortKey = (typeof SORTS)[number]['value'];

/** Groups in an order that people ask for; equal ones stay in walking order. */
export function sorted(groups: readonly Group[], by: SortKey, data: AppData): Group[] {
  const lengths = new Map(data.house.groups.map(({ id, lengthCm }) => [id, lengthCm]));
  const place = new Map(data.tanks.map((tank, at) => [tank.id, at]));
  const keyOf = (group: Group): string | number => {
    switch (by) {
      case 'walk':
        return place.get(group.tankId) ?? 0;
      case 'name':
        return group.name.toLowerCase();
      case 'species':
        return (data.species.get(group.speciesKey)?.common ?? '').toLowerCase();
      case 'number':
        return -group.size.total;
      case 'length':
        return group.lengthCm === null ? 0 : -(lengths.get(group.id) ?? group.lengthCm);
    }
  };
  const keyed = groups.map((group) => ({
    group,
    key: keyOf(group),
    walk: place.get(group.tankId) ?? 0,
  }));
  keyed.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : a.walk - b.walk));
  return keyed.map(({ group }) => group);
}
