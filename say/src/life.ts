import type { Counts, LifeError, SizeKind } from '@open-larder/core/group';
import { formatDay } from './time';

const LOSS: Partial<Record<SizeKind, string>> = {
  died: 'the loss of',
  sold: 'the sale of',
  given: 'the giving away of',
  parted: 'the parting of',
};

/** «2 males, 1 female» */
function formatCounts({ males, females, unsexed }: Counts): string {
  const parts = [
    males && `${males} male${males === 1 ? '' : 's'}`,
    females && `${females} female${females === 1 ? '' : 's'}`,
    unsexed && `${unsexed} not sexed`,
  ];
  return parts.filter(Boolean).join(', ') || 'none';
}

/** What is wrong with a group's events, and what to do. */
export function formatLifeError(fault: LifeError): string {
  if (fault.fault === 'inNoTank') {
    return `on ${formatDay(fault.day)} the group was in no tank yet; choose the day it came or a later one`;
  }
  const { event, had, later } = fault;
  const broken = `${LOSS[event.kind]} ${formatCounts(event)} on ${formatDay(event.day)}: only ${formatCounts(had)} were there`;
  return later
    ? `This would break a later event, ${broken}. Correct that one first.`
    : `${broken}. Enter fewer, or count the group first.`;
}
