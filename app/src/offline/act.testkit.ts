import type { NewAct } from './act';

export const OURS = 'household person';

/** A serving that was just logged here. */
export const fed = (id: string, whose = OURS): NewAct => ({
  id,
  route: 'logFeeding',
  params: undefined,
  body: { id } as NewAct['body'],
  whose,
  deviceMs: 0,
  aheadMs: 0,
  clockKnown: false,
  page: 'page',
  driftMs: 0,
  sent: false,
  released: false,
  failures: 0,
  problem: null,
});
