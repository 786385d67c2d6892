import type { LifeEventRow } from '@open-larder/contract';
import type { Counts, GroupSize } from '@open-larder/core/group';
import type { Format } from '../store';

/** «3 m, 5 f» where sexes are known, else the number alone. */
export function formatSize({ males, females, unsexed, total }: GroupSize): string {
  if (males + females === 0) return `${total} fish`;
  const parts = [males && `${males} m`, females && `${females} f`, unsexed && `${unsexed} unsexed`];
  return `${total} fish (${parts.filter(Boolean).join(', ')})`;
}

function formatCounts({ males, females, unsexed }: Counts): string {
  return formatSize({ males, females, unsexed, total: males + females + unsexed });
}

interface Names {
  tank: (id: string) => string;
  group: (id: string) => string;
}

/** What happened, as a title and what more there is to say. */
export function formatEvent(
  event: LifeEventRow,
  names: Names,
  format: Format,
): { title: string; detail: string | undefined } {
  const fish = formatCounts({
    males: event.males ?? 0,
    females: event.females ?? 0,
    unsexed: event.unsexed ?? 0,
  });
  const other = event.otherGroupId ? names.group(event.otherGroupId) : 'another group';
  const title = {
    arrived: () => `${fish} came`,
    born: () => `${fish} born`,
    joined: () => `${fish} joined from ${other}`,
    counted: () => `Counted: ${fish}`,
    died: () => `${fish} lost${event.cause ? `, ${formatCause(event.cause)}` : ''}`,
    sold: () => `${fish} sold`,
    given: () => `${fish} given away`,
    parted: () => `${fish} left for ${other}`,
    moved: () => `Into ${names.tank(event.tankId ?? '')}`,
    measured: () => `Measured: ${format.quantity('length', event.lengthCm ?? 0)}`,
    staged: () => `Now ${event.stage}`,
  }[event.kind]();
  return { title, detail: event.note === '' ? undefined : event.note };
}

const CAUSE_WORDS: Record<NonNullable<LifeEventRow['cause']>, string> = {
  unknown: 'cause unknown',
  age: 'of old age',
  illness: 'of illness',
  injury: 'of an injury',
  jumped: 'jumped out',
  eaten: 'eaten',
  water: 'of bad water',
  starved: 'starved',
  'new arrival': 'soon after they came',
};

export const formatCause = (cause: NonNullable<LifeEventRow['cause']>): string =>
  CAUSE_WORDS[cause];
