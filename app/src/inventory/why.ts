import type { InventoryMade } from '@open-larder/contract';
import { feedsInTheDark } from '@open-larder/core/week';
import { lowerFirst } from '../ui/firstLetter';
import type { AppData } from '../store';

/**
 * Two sentences on why a first plan looks as it does: where its portions come from, and what was done
 * for those who would come off badly.
 */
export function whyLines({ tanks }: InventoryMade, data: AppData): string[] {
  const groups = tanks.flatMap(({ groupIds, unfedIds }) =>
    data.groups.filter(({ id }) => groupIds.includes(id) && !unfedIds.includes(id)),
  );
  const kindOf = (group: (typeof groups)[number]) => data.species.get(group.speciesKey);
  const named = (some: typeof groups) => listed(some.map(({ name }) => lowerFirst(name)));
  const lines = [
    'Portions follow from the number and size of the fish and their temperature, with foods that fit their mouths.',
  ];
  const dark = groups.filter((group) => {
    const species = kindOf(group);
    return species && feedsInTheDark({ species } as never);
  });
  const low = groups.filter((group) => kindOf(group)?.zone === 'bottom' && !dark.includes(group));
  if (dark.length > 0 && dark.length < groups.length) {
    lines.push(
      `${cap(named(dark))} get part of theirs after lights-out: by day the others are faster.`,
    );
  } else if (low.length > 0 && low.length < groups.length) {
    lines.push(`${cap(named(low))} feed at the bottom: what sinks is for them.`);
  } else {
    lines.push('Two small meals a day leave less behind than one large one.');
  }
  return lines;
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

const cap = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
