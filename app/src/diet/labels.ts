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

/** A finding as what to do about it, and the figures that it comes from. */
export function formatFinding(
  finding: Finding,
  format: Format,
  servingName: (id: string) => string,
): { does: string; because: string } {
  const warmth = (tempC: number) => format.quantity('temperature', tempC);
  switch (finding.kind) {
    case 'tooCold':
      return {
        does: `Warm the water to ${warmth(finding.limitC)}, or feed little.`,
        because: `It is ${warmth(finding.tempC)}; this species is at ease from ${warmth(finding.limitC)}, and eats little in the cold.`,
      };
    case 'tooWarm':
      return {
        does: `Cool the water to ${warmth(finding.limitC)}, and feed little meanwhile.`,
        because: `It is ${warmth(finding.tempC)}; this species is at ease up to ${warmth(finding.limitC)}.`,
      };
    case 'longGap':
      return {
        does: 'Add a meal in between, or leave food in the tank.',
        because: `The longest gap between meals is ${formatHours(finding.hours)}; this group can go about ${formatHours(finding.safe.value)} without food.`,
      };
    case 'longFast':
      return {
        does: `Feed them by ${format.day(finding.unsafeOn)}: their fast gets too long.`,
        because: `This group can go about ${formatHours(finding.safe.value)} without food.`,
      };
    case 'fewMeals':
      return {
        does: `Split their food over ${finding.wanted.value} meals a day, or feed richer.`,
        because: `On some days there ${finding.planned === 1 ? 'is one meal' : `are ${finding.planned} meals`}; their gut asks for ${finding.wanted.value}.`,
      };
    case 'bigMeal':
      return {
        does: 'Split the largest meal over two moments.',
        because: `It is ${formatNumber(finding.dryMatterG / finding.largest.value, 1)} times what their guts hold at once.`,
      };
    case 'rounding': {
      const { servingId, ofWanted, smallest, fewer } = finding;
      const name = servingName(servingId);
      const than = `${formatNumber(ofWanted, ofWanted < 2 ? 2 : 1)} times what they need`;
      const because = smallest
        ? `The smallest amount you can give is ${than}.`
        : `What is given is ${than}.`;
      if (ofWanted < 1) return { does: `Give a little more ${name} where you can.`, because };
      if (fewer) {
        const days = fewer.days.length === 1 ? 'one day' : `${fewer.days.length} days`;
        return { does: `Give ${name} on ${days} a week.`, because };
      }
      return { does: `Choose a finer food than ${name}, or smaller pieces.`, because };
    }
    case 'ownAmount':
      return {
        does: `Check your own amount of ${servingName(finding.servingId)}.`,
        because: `It is ${Math.round(finding.ofWanted * 100)} % of the computed one.`,
      };
    case 'fryFast':
      return {
        does: 'Take the resting days out: fry must never fast.',
        because: 'They are left out while this group is fry.',
      };
  }
}

const formatHours = (hours: number) =>
  hours >= 48 ? `${formatNumber(hours / 24, 1)} days` : `${formatNumber(hours, 1)} h`;
