import type { WaterEventRow } from '@open-larder/contract';
import { formatNumber, formatMgL } from '@open-larder/say';
import type { Reading } from '@open-larder/core/water/range';
import type { Refill } from '@open-larder/core/water/refill';
import type { NextChange, WaterWarning } from '@open-larder/core/water/status';
import type { Format } from '../store';
import { READING_WORDS } from './readings';

/** «18 mg/L NO3», «7.2», «6 dGH» */
export function formatReading(of: Reading, value: number, format: Format): string {
  switch (of) {
    case 'nitrate':
      return `${formatMgL(value)} mg/L NO3`;
    case 'nitrite':
      return `${formatMgL(value)} mg/L NO2`;
    case 'tan':
      return `${formatMgL(value)} mg/L NH3-N`;
    case 'ph':
      return formatNumber(value, 1);
    case 'gh':
      return format.quantity('hardness', value);
    case 'kh':
      return `${formatNumber(value, 1)} dKH`;
    case 'tdsMgL':
      return `${formatMgL(value)} mg/L`;
    case 'tempC':
      return format.quantity('temperature', value);
  }
}

/** «4 buckets of 10 L, and 5 L», and what goes into them. */
export function formatRefill(refill: Refill, format: Format): string[] {
  const { buckets, parts, warmTo, tempered, impossible, after } = refill;
  const volume = (litres: number) => format.quantity('volume', litres);
  const full =
    buckets.full > 0
      ? `${buckets.full} bucket${buckets.full === 1 ? '' : 's'} of ${volume(buckets.ofL)}`
      : null;
  const rest = buckets.restL > 0 ? volume(buckets.restL) : null;
  const lines = [[full, rest].filter(Boolean).join(' and ')];
  if (parts.length > 1) {
    lines.push(`Mix ${parts.map((part) => `${volume(part.litres)} ${part.name}`).join(' with ')}.`);
  }
  if (impossible) {
    lines.push(
      'What it is to be mixed to cannot be had from these waters: test them, or mix to another figure.',
    );
  }
  lines.push(
    tempered
      ? `Bring it to between ${format.quantity('temperature', warmTo.from)} and ${format.quantity('temperature', warmTo.to)} first, so that the tank moves by two degrees at most.`
      : `The tank comes to ${format.quantity('temperature', after.tempC)}.`,
  );
  return lines;
}

/** «Today», «3 days late», «on Sat 14 Mar» */
export function formatNext(next: NextChange, today: string, format: Format): string {
  if (next.held) return `held back until ${format.day(next.day)}`;
  if (next.late > 0) return `${next.late} day${next.late === 1 ? '' : 's'} late`;
  return next.day === today ? 'today' : format.day(next.day);
}

/** «change 18 L of the cool water», «heater down to 23 °C» */
export function formatTriggerStep(
  {
    does,
    share,
    tempC,
    water,
  }: {
    does: 'hold' | 'heaterDown' | 'refill' | 'heaterBack';
    share: number | null;
    tempC?: number;
    water?: { tempC: number };
  },
  litres: number | null,
  format: Pick<Format, 'quantity'>,
): string {
  const warm = format.quantity('temperature', water?.tempC ?? tempC ?? 0);
  switch (does) {
    case 'hold':
      return 'no change and no topping up';
    case 'heaterDown':
      return 'heater off, or down with the water';
    case 'heaterBack':
      return `heater back to ${warm}`;
    case 'refill':
      return litres === null || share === null
        ? 'change with the new water'
        : `change ${format.quantity('volume', share * litres)} with the new water`;
  }
}

/** What is done while ammonia or nitrite is in the water. Practice. */
const POISONED =
  'Change a third of the water now, stop feeding for two days (fry: small meals), check the filter, and test again tomorrow.';

/** What is to be looked at, and what to do about it. */
export function formatWarning(warning: WaterWarning, format: Format): string {
  switch (warning.kind) {
    case 'ammonia':
      return `The ammonia of ${format.day(warning.day)} holds ${formatNumber(warning.unionisedMgL, 3)} mg/L in its poisonous form; from ${formatNumber(warning.fromMgL, 2)} on it harms those that live here. ${POISONED}`;
    case 'nitrite':
      return `Nitrite was ${formatMgL(warning.mgL)} mg/L on ${format.day(warning.day)}; from ${formatNumber(warning.fromMgL, 2)} on it harms those that live here. ${POISONED}`;
    case 'overCap':
      return `Nitrate was ${formatMgL(warning.mgL)} mg/L on ${format.day(warning.day)}: more than they tolerate.`;
    case 'willPass':
      return warning.likely
        ? `It passes what they tolerate about ${format.day(warning.day)}.`
        : `It may pass what they tolerate from ${format.day(warning.day)} on. Test to be sure.`;
    case 'sourceOverCap':
      return 'The new water has more nitrate than they tolerate: changing it cannot keep them under. Other water, plants that grow fast, or less food can.';
    case 'odd':
      return warning.mixedUp
        ? `A test says ${formatMgL(warning.mgL)} mg/L, about 4.4 times off the others: was it nitrate nitrogen (NO3-N), or the other way round?`
        : `A test says ${formatMgL(warning.mgL)} mg/L, far from the others. It is left out until you confirm it.`;
  }
}

/** What one line of the history says. */
export function formatWaterEvent(
  event: WaterEventRow,
  format: Format,
  litres: number | null,
): string {
  if (event.kind === 'tested') {
    const report = (Object.keys(READING_WORDS) as Reading[]).flatMap((of) =>
      event[of] === null ? [] : [`${READING_WORDS[of]} ${formatReading(of, event[of]!, format)}`],
    );
    return report.join(', ');
  }
  const share = `${formatNumber((event.share ?? 0) * 100, 0)} %`;
  const amount =
    litres === null ? '' : `, ${format.quantity('volume', (event.share ?? 0) * litres)}`;
  return event.kind === 'changed' ? `Changed ${share}${amount}` : `Filled up ${share}${amount}`;
}
