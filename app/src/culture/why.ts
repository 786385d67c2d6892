import { wayOf } from '@open-larder/core/culture';
import type { Why } from '@open-larder/core/why';
import type { Culture } from './useCultures';

const leaf = (
  label: string,
  value: Why['value'],
  unit: string,
  basis: Why['basis'],
  source?: string,
): Why => ({ label, value, unit, basis, source, from: [] });

/** Why so much is believed to be in a vessel. */
export function whyContent({ kind, status, measure }: Culture): Why {
  const size = leaf(
    'Size of the vessel',
    measure,
    kind.measure === 'dm2' ? 'dm²' : kind.measure,
    'measured',
  );
  const warmth = leaf('Temperature', status.tempC, '°C', 'measured');
  const age = leaf('Age', status.ageDays, 'd', 'measured');
  const differs = leaf('From one culture to the next, up to', kind.spread, 'times', 'assumed');
  if (wayOf(kind).crowdingIn(kind, measure, status.tempC)) {
    return {
      label: 'In it',
      value: status.contentG,
      unit: 'g',
      basis: 'computed',
      how: 'what was put in, grown until it is crowded, corrected by each look, count and harvest; the band holds it nine times of ten',
      source: 'Logistic growth (Verhulst); extended Kalman filter on the logarithm of the count',
      from: [
        size,
        warmth,
        age,
        leaf('Most in one of its measure', kind.capacity ?? 0, '', 'assumed', kind.sourceGrowth),
        differs,
        leaf('Days since the last look', status.unseenDays, 'd', 'measured'),
        leaf('Lower end of the band', status.lowG, 'g', 'computed'),
        leaf('Upper end of the band', status.highG, 'g', 'computed'),
      ],
    };
  }
  return {
    label: 'In it',
    value: status.contentG,
    unit: 'g',
    basis: 'computed',
    how: 'what its kind gives at this age and temperature, less what was taken, and as it was seen to do; nine of ten boxes lie within the band',
    source: kind.sourceGrowth,
    from: [
      size,
      warmth,
      age,
      leaf('First harvest after', kind.firstDays ?? 0, 'd', 'assumed', kind.sourceGrowth),
      leaf('Fades after', kind.fadeDays ?? 0, 'd', 'assumed', kind.sourceGrowth),
      differs,
    ],
  };
}

/** Why it may crash. */
export const whyCrash = ({ status }: Culture): Why => ({
  label: 'Chance of a crash a day',
  value: status.crash.perDay * 100,
  unit: '%',
  basis: 'computed',
  how: 'chance for a calm culture, times what strains it',
  from: [
    leaf('A calm culture', 0.4, '%', 'assumed', 'Assumption; no published rate is known'),
    ...status.crash.causes.map(({ cause, times }) =>
      leaf(CAUSE_WORDS[cause], times, 'times', 'assumed', 'Assumption'),
    ),
  ],
});

const CAUSE_WORDS = {
  crowded: 'Crowded',
  warm: 'Warmer than it tolerates',
  overfed: 'Its water is not clear',
  old: 'Old',
} as const;
