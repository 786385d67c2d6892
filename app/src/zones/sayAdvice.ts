import { formatGrams, formatSignificant } from '@open-larder/say';
import type { Advice, Change, Feeding, Outlook } from '@open-larder/core/zones';
import { lowerFirst, upperFirst } from '../ui';

interface Names {
  feeding: Feeding;
  /** Names of moments by id. */
  moments: ReadonlyMap<string, string>;
}

/** «Give the sinking pellet before work», and one more clause where there are two changes. */
export function formatChanges(changes: readonly Change[], names: Names): string {
  return `${upperFirst(changes.map((change) => clauseOf(change, names)).join(', and '))}.`;
}

function clauseOf(change: Change, { feeding, moments }: Names): string {
  const named = (id: string | undefined) =>
    lowerFirst(feeding.foods.find((food) => food.id === id)?.name ?? 'food');
  const food = `the ${named(feeding.drops.find((drop) => drop.key === change.key)?.foodId)}`;
  switch (change.kind) {
    case 'moment':
      return `give ${food} at «${moments.get(change.momentId) ?? ''}»`;
    case 'split':
      return `give half of ${food} at «${moments.get(change.momentId) ?? ''}»`;
    case 'food':
      return `give ${named(change.foodId)} in place of ${food}`;
    case 'place':
      return `drop ${food} at the ${change.place}`;
    case 'later':
      return `feed the others first, and give ${food} ${change.afterMin} min later, while they are busy`;
    case 'spots':
      return `spread ${food} over ${change.spots} places`;
    case 'carried':
      return `carry ${food} down to them`;
    case 'soaked':
      return `soak ${food} first, so that it sinks`;
    case 'apart':
      return `set them apart while they eat ${food}`;
  }
}

/** A change of another group's share that is worth a word, in % of its need. */
const TELLING = 5;
/** And of the waste, as a share of it. */
const TELLING_WASTE = 0.05;

/** What it comes to: the group first, then the others, waste and work. */
export function formatOutcome(
  { outlook, workMin, sure }: Advice,
  now: Outlook,
  groupId: string,
  feeding: Feeding,
): string {
  const share = (at: number, of = '') =>
    `${Math.round(outlook.ofNeed[at]!)} %${of}, not ${Math.round(now.ofNeed[at]!)} %`;
  const asked = feeding.groups.findIndex((group) => group.id === groupId);
  const others = feeding.groups.flatMap((group, at) =>
    at !== asked && Math.abs(outlook.ofNeed[at]! - now.ofNeed[at]!) >= TELLING
      ? `${group.name} ${share(at)}`
      : [],
  );
  const less = now.wasteG - outlook.wasteG;
  const waste =
    Math.abs(less) < TELLING_WASTE * now.wasteG
      ? 'as much is wasted'
      : `${formatGrams(Number(formatSignificant(Math.abs(less), 2)))} ${less > 0 ? 'less' : 'more'} is wasted`;
  const work =
    Math.abs(workMin) < 0.05
      ? 'no more work'
      : `${formatSignificant(Math.abs(workMin))} min ${workMin > 0 ? 'more' : 'less'} work a day`;
  const said = `${feeding.groups[asked]!.name} get ${[share(asked, ' of their need'), ...others].join('; ')}. ${upperFirst(waste)}, ${work}.`;
  return sure === null ? said : `${said} ${formatSureness(sure)}`;
}

/** «Helps whether they are bold or shy: 60 to 95 %.» */
function formatSureness({ helps, of, low, high }: NonNullable<Advice['sure']>): string {
  const range = `${Math.round(low)} to ${Math.round(high)} % of their need`;
  return helps === of
    ? `It helps whether they are bold or shy: ${range}.`
    : `It helps in ${helps} of ${of} cases, by how bold or shy they are: ${range}.`;
}
