import type { Species } from '@open-larder/catalogue';
import type { Together } from '@open-larder/core/together';
import { formatNumber, formatSignificant, formatMgL } from '@open-larder/say';
import type { Known } from '@open-larder/core/why';
import type { Format } from '../store';

/** Who a finding is about, by id of group. */
export interface Named {
  name: (groupId: string) => string;
  species: (groupId: string) => Species;
}

export interface Said {
  /** What it is about, in a few words. */
  title: string;
  /** What is compared with what, and what would help. */
  text: string;
  /** The figure behind it, with its derivation; null where the sentence says it all. */
  why: { about: string; known: Known } | null;
}

const percent = (share: number) => `${formatNumber(share * 100, 0)} %`;

/** «neon tetras, guppies and danios» */
function list(names: string[]): string {
  const last = names.at(-1) ?? '';
  return names.length < 2 ? last : `${names.slice(0, -1).join(', ')} and ${last}`;
}

const noWhy = (title: string, text: string): Said => ({ title, text, why: null });
const withWhy = (title: string, text: string, about: string, known: Known): Said => ({
  title,
  text,
  why: { about, known },
});

/** A finding as a title and a sentence, in the keeper's units. */
export function formatTogether(found: Together, { name, species }: Named, format: Format): Said {
  const who = name(found.groupId);
  switch (found.kind) {
    case 'fitsMouth': {
      const hunter = name(found.otherId);
      const fits = found.ratio.value < 1;
      return withWhy(
        fits ? `${who} fit the mouth of ${hunter}` : `${who} nearly fit the mouth of ${hunter}`,
        fits
          ? `Their bodies are ${percent(found.ratio.value)} as deep as what ${hunter} can take. Keep them apart, or expect losses.`
          : `Their bodies are ${formatNumber(found.ratio.value, 2)} times as deep as what ${hunter} can take: the smaller ones are at risk.`,
        formatSignificant(found.ratio.value),
        found.ratio,
      );
    }
    case 'tankTemperature':
    case 'tankPh':
    case 'tankHardness': {
      const axis = AXES[found.kind];
      const is = axis.say(found.is.value, format);
      const off = found.is.value < found.low ? axis.low : axis.high;
      return noWhy(
        `${off} for ${who}`,
        `${axis.title} is ${is}; ${species(found.groupId).common.toLowerCase()} are at ease from ${axis.say(found.low, format)} to ${axis.say(found.high, format)}.`,
      );
    }
    case 'noCommonTemperature':
    case 'noCommonPh':
    case 'noCommonHardness': {
      const axis = AXES[OWN_AXIS[found.kind]];
      return withWhy(
        `No ${axis.noun} suits both ${who} and ${name(found.otherId)}`,
        `One starts at ${axis.say(found.low, format)}, the other ends at ${axis.say(found.high, format)}. One of them belongs in another tank.`,
        `${axis.say(found.low, format)} over ${axis.say(found.high, format)}`,
        found.gap,
      );
    }
    case 'fewOfAKind':
      return noWhy(
        `Small group: ${who}`,
        `${found.is} live here; keep this species in groups of ${found.usual} or more. In a small group they hide and eat less.`,
      );
    case 'keepsAlone':
      return noWhy(
        `${who} are usually kept alone`,
        `${found.is} live here. Watch for torn fins and for one that hides, and have another tank ready.`,
      );
    case 'tooManyMales':
      return noWhy(
        `Many males among ${who}`,
        `${found.males} male${found.males === 1 ? '' : 's'} to ${found.females} female${found.females === 1 ? '' : 's'}; usually ${formatNumber(found.perMale, 1)} female${found.perMale === 1 ? '' : 's'} to a male. Chased females eat less and die younger.`,
      );
    case 'nipsFins':
      return withWhy(
        `${name(found.otherId)} nip fins, and ${who} cannot keep away`,
        `${who} are slow or shy. A larger group of the nippers keeps more to itself; separate them if fins are torn.`,
        `${formatNumber(found.boldness.value, 2)} of 1`,
        found.boldness,
      );
    case 'outEaten':
      return withWhy(
        `${who} are likely to be out-eaten`,
        `They feed where and when ${list(found.otherIds.map(name))} do, who are bolder. Feed those first at the far end, or ${who.toLowerCase()} at another hour.`,
        `${formatNumber(found.pressure.value, 2)} of 1`,
        found.pressure,
      );
    case 'feedsByNight':
      return withWhy(
        `${who} feed while the others sleep`,
        `By day they are ${formatNumber(found.night.value, 0)} % as ready to feed as by night, among ${found.dayGroups} group${found.dayGroups === 1 ? '' : 's'} of day feeders. Serve theirs after lights-out.`,
        `${formatNumber(found.night.value, 0)} %`,
        found.night,
      );
    case 'warmthOfMates':
      return withWhy(
        `The water suits others better than ${who}`,
        `Their appetite here is ${percent(found.factor.value / found.atOptimum.value)} of that at their best temperature; portions follow it.`,
        `× ${formatNumber(found.factor.value, 2)}`,
        found.factor,
      );
    case 'waterLoad':
      return withWhy(
        'Together they strain the water',
        `Their food adds about ${formatMgL(found.nitratePerWeek.value)} mg/L of nitrate a week to ${format.quantity('volume', found.litres)}; ${who.toLowerCase()} tolerate about ${found.toleratesMgL} mg/L. Changing a quarter every week is not enough.`,
        `${formatMgL(found.nitratePerWeek.value)} mg/L a week`,
        found.nitratePerWeek,
      );
  }
}

interface Axis {
  title: string;
  noun: string;
  low: string;
  high: string;
  say: (value: number, format: Format) => string;
}

const AXES: Record<'tankTemperature' | 'tankPh' | 'tankHardness', Axis> = {
  tankTemperature: {
    title: 'The water',
    noun: 'temperature',
    low: 'Too cool',
    high: 'Too warm',
    say: (value, format) => format.quantity('temperature', value),
  },
  tankPh: {
    title: 'The water',
    noun: 'pH',
    low: 'Too acid',
    high: 'Too alkaline',
    say: (value) => `pH ${formatNumber(value, 1)}`,
  },
  tankHardness: {
    title: 'Hardness',
    noun: 'hardness',
    low: 'Too soft',
    high: 'Too hard',
    say: (value, format) => format.quantity('hardness', value),
  },
};

const OWN_AXIS = {
  noCommonTemperature: 'tankTemperature',
  noCommonPh: 'tankPh',
  noCommonHardness: 'tankHardness',
} as const;

/** How grave it is, in a word. */
export function rank(severity: number): 'Act' | 'Watch' | 'Good to know' {
  return severity >= 0.7 ? 'Act' : severity >= 0.4 ? 'Watch' : 'Good to know';
}
