import type { WorkReason } from '@open-larder/core/culture';
import type { WorkLabels } from './brood';
import { ago, someDays } from './time';

/** Something to do at a vessel, as a keeper would say it. */
export function formatCultureWork(because: WorkReason): WorkLabels {
  switch (because.is) {
    case 'changedSince':
      return {
        says: 'Check whether it has cleared before you feed it',
        why: 'Its water was foul, and was changed.',
      };
    case 'foul':
      return {
        says: 'No food; change a third of its water',
        why: 'Its water was foul: food rots in it.',
      };
    case 'feedDue': {
      const { fedDays, rule, ifClear } = because;
      const fed = fedDays === null ? 'Not fed since it was started' : `Fed ${ago(fedDays)}`;
      return {
        says: `Feed${ifClear ? ', if it is clear' : ''}: ${because.with}`,
        why: `${fed}; ${rule}.`,
      };
    }
    case 'changeDue': {
      const { changedDays, rule } = because;
      return {
        says: `Change water: ${rule}`,
        why:
          changedDays === null
            ? 'Not changed since it was started.'
            : `Changed ${ago(changedDays)}.`,
      };
    }
    case 'unseen':
      return {
        says: 'Look how dense it is',
        why: `Not checked for ${someDays(because.days)}${because.guess ? ': its figures are guesses' : ''}.`,
      };
    case 'crowded':
      return {
        says: 'Harvest or split it',
        why: `It is ${Math.round(because.fullness * 100)} % full: crowded cultures crash.`,
      };
    case 'hatched':
      return {
        says: 'Harvest, rinse with fresh water, then serve or keep it cold',
        why: 'It has hatched; each loses a quarter of its energy in the first day.',
      };
    case 'fades':
      return {
        says: 'Start the next one from it',
        why:
          because.inDays > 0
            ? `It begins to fade in ${someDays(because.inDays)}.`
            : because.inDays === 0
              ? 'It begins to fade today.'
              : `It has been fading for ${someDays(-because.inDays)}.`,
      };
    case 'crashed':
    case 'spent':
      return {
        says: because.fromEggs ? 'Rinse it, and set it up again' : 'Clean it, and start again',
        why:
          because.is === 'crashed'
            ? 'It crashed.'
            : `It is ${someDays(because.days)} old and spent.`,
      };
  }
}
