import type { Zone } from '@open-larder/catalogue';
import type { MomentRow } from '@open-larder/contract';
import type { Finding } from '@open-larder/core/round';
import { formatNumber } from '@open-larder/say';
import type { Format } from '../store';

export const ZONE_WORDS: Record<Zone, string> = {
  surface: 'surface',
  mid: 'mid-water',
  bottom: 'bottom',
  film: 'glass, wood and stone',
};

/** «Tue 18:30», «20 min after lights-out» */
export function formatMoment(moment: MomentRow, format: Format): string {
  if (moment.anchor === 'clock') return format.time(moment.minutes);
  const light = moment.anchor === 'lightsOn' ? 'lights-on' : 'lights-out';
  if (moment.minutes === 0) return `at ${light}`;
  const away = Math.abs(moment.minutes);
  return `${away} min ${moment.minutes > 0 ? 'after' : 'before'} ${light}`;
}

/** Up to this a portion is rounded; above it, it is more than they need. */
const FAR_OVER = 1.25;

/** A finding as a sentence that says what it compares and what would help. */
export function formatFinding(
  finding: Finding,
  format: Format,
  servingName: (id: string) => string,
): string {
  switch (finding.kind) {
    case 'tooCold':
      return `The water is ${format.quantity('temperature', finding.tempC)}; this species is at ease from ${format.quantity('temperature', finding.limitC)}. It eats little in the cold.`;
    case 'tooWarm':
      return `The water is ${format.quantity('temperature', finding.tempC)}; this species is at ease up to ${format.quantity('temperature', finding.limitC)}.`;
    case 'longGap':
      return `The longest gap between meals is ${formatHours(finding.hours)}; this group can go about ${formatHours(finding.safe.value)} without food. Add a meal in between, or leave food in the tank.`;
    case 'longFast':
      return `This group can go about ${formatHours(finding.safe.value)} without food: its fasts are no longer safe from ${format.day(finding.unsafeOn)} on.`;
    case 'fewMeals':
      return `${finding.planned} meals on some days; its gut asks for ${finding.wanted.value}. Add a moment, or feed richer.`;
    case 'bigMeal':
      return 'One meal is larger than the gut holds at once. Split it over two moments.';
    case 'rounding':
      if (finding.ofWanted <= FAR_OVER) {
        return `${servingName(finding.servingId)}: rounded to ${Math.round(finding.ofWanted * 100)} % of what they need.`;
      }
      return `${servingName(finding.servingId)}: the smallest amount you can measure is ${formatNumber(finding.ofWanted, 1)} times what they need. ${
        finding.fewer
          ? `Feed it on ${finding.fewer.days.length === 1 ? 'one day' : `${finding.fewer.days.length} days`} a week.`
          : 'Choose a finer food, or feed it to a larger group.'
      }`;
    case 'ownAmount':
      return `${servingName(finding.servingId)}: your own amount is ${Math.round(finding.ofWanted * 100)} % of the computed one.`;
    case 'fryFast':
      return 'Fry must never fast: the resting days are left out while this group is fry.';
  }
}

const formatHours = (hours: number) =>
  hours >= 48 ? `${formatNumber(hours / 24, 1)} days` : `${formatNumber(hours, 1)} h`;
