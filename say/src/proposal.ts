import type { Seen, Sign } from '@open-larder/core/proposal';
import { BELLY_WORDS } from '@open-larder/core/ration';
import type { UnitChoice } from '@open-larder/core/units';
import { worded, type Why } from '@open-larder/core/why';
import { formatMgL, formatQuantity } from './figures';

/** What was seen, in words: «gone after 1 min of 15», «flat still». */
export function formatSign(seen: Seen, units: UnitChoice): string {
  switch (seen.kind) {
    case 'belly':
      return `${BELLY_WORDS[seen.score]}${seen.still ? ' still' : ''}`;
    case 'cleared':
      return `gone after ${Math.round(seen.minutes)} min of ${Math.round(seen.ofMinutes)}`;
    case 'left':
      return `${Math.round(seen.share * 100)} % left`;
    case 'growth': {
      const [is, usual] = [seen.cm, seen.usualCm].map((cm) => formatQuantity(units, 'length', cm));
      return `${seen.behind ? 'behind their kind' : 'growing'}: ${is}, ${usual} usual`;
    }
    case 'mass':
      return `${Math.round(seen.ofUsual * 100)} % of the usual mass`;
    case 'nitrate': {
      const { now, mgL, capMgL, groupName, grows } = seen;
      const level = `nitrate ${now ? 'is at' : 'peaks at'} ${formatMgL(mgL)} mg/L, ${groupName} tolerate ${capMgL}`;
      return grows && !now ? `${level}; not counted, since these grow` : level;
    }
    case 'poison':
      return `${seen.which} is in the water`;
  }
}

const LABELS: Record<Seen['kind'], string> = {
  belly: 'Bellies',
  cleared: 'Clearing time',
  left: 'Left over',
  growth: 'Length',
  mass: 'Mass',
  nitrate: 'Water',
  poison: 'Water',
};

/** Why other portions are proposed, down to what was seen. */
export function portionsWhy(
  { why, signs }: { why: Why; signs: readonly Pick<Sign, 'seen' | 'day'>[] },
  units: UnitChoice,
): Why {
  const from = signs.map(({ seen, day }) => {
    const [label, says] = [`${LABELS[seen.kind]}, ${day}`, formatSign(seen, units)];
    return LABELS[seen.kind] === 'Water'
      ? worded(label, says, 'assumed', 'forecast of the tank’s water')
      : worded(label, says, 'measured', 'seen by the keeper');
  });
  return { ...why, from };
}
