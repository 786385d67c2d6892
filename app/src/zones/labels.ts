import { formatGrams, formatSignificant, formatNumber, formatMgL } from '@open-larder/say';
import type { WaterStatus } from '@open-larder/core/water';
import type { Band, DropReport, Layer } from '@open-larder/core/zones';

/** Where food lies, in the keeper's words. */
const LIES: Record<Layer, string> = {
  surface: 'at the surface',
  upper: 'in the upper water',
  middle: 'in mid-water',
  lower: 'in the lower water',
  ground: 'on the ground',
  film: 'on glass and wood',
};

/** «40 s», «3 min», «2½ h»: from seconds. */
export function formatSpan(seconds: number): string {
  if (seconds < 90) return `${Math.round(seconds)} s`;
  const minutes = seconds / 60;
  if (minutes < 90) return `${Math.round(minutes)} min`;
  return `${formatNumber(Math.round(minutes / 30) / 2, 1)} h`;
}

export const formatShare = (share: number): string => `${Math.round(share * 100)} %`;

/**
 * What became of one drop, in a sentence or two.
 * @param band minutes until it is gone, as far as that is known
 */
export function formatDrop(drop: DropReport, groupName: string, band?: Band | null): string {
  const gone =
    drop.clearedMin === null
      ? formatLeft(drop)
      : `Gone after ${formatSpan(drop.clearedMin * 60)}${band ? formatBetween(band) : ''}.`;
  if (drop.eatenG < drop.servedG * 0.01) return `It is not eaten. ${gone}`;
  return `${groupName} get ${formatShare(drop.ownShare)} of what is eaten. ${gone}${formatBuried(drop)}`;
}

/** «, likely 3 to 10 min»; what may well not be gone in time has no upper end. */
function formatBetween({ low, high }: Band): string {
  return Number.isFinite(high)
    ? `, likely ${formatSpan(low * 60)} to ${formatSpan(high * 60)}`
    : `, likely ${formatSpan(low * 60)} or much later`;
}

/** Worth a word from a twentieth on. */
function formatBuried({ buriedG, servedG }: DropReport): string {
  return buriedG < servedG * 0.05
    ? ''
    : ` ${formatShare(buriedG / servedG)} falls between the gravel, out of reach: larger pieces or a dish keep it in reach.`;
}

function formatLeft(drop: DropReport): string {
  const lay = [...drop.lay].sort((a, b) => b.massG - a.massG);
  const max = lay[0];
  if (!max) return `${formatShare(drop.leachedG / drop.servedG)} of it dissolves.`;
  const rest = drop.liftedG + drop.stayingG + drop.leftG;
  const act =
    drop.liftedG > 0
      ? 'is left to remove'
      : drop.stayingG > 0
        ? 'is still there the next day'
        : 'is left';
  return `About ${formatGrams(Number(formatSignificant(rest, 2)))} ${act}, mostly ${LIES[max.layer]}.`;
}

/** What a feeding adds to the water, and from where: what is believed of the tank now. */
export function formatWater(
  nitrogenMg: number,
  nitrateMgL: number,
  status: Pick<WaterStatus, 'days' | 'fit'> | null,
): string {
  const adds = `${formatSignificant(nitrogenMg, 2)} mg nitrogen; lifted food is not counted`;
  const today = status?.days[0];
  if (!status || !today) return adds;
  const then = today.before + status.fit.production * nitrateMgL;
  return `${adds}. Nitrate here is about ${formatMgL(today.before)} mg/L, likely ${formatMgL(today.low)} to ${formatMgL(today.high)}; about ${formatMgL(then)} with it`;
}
