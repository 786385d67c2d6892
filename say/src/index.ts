/**
 * Figures and sentences as a keeper reads them, in the household's units, and quantities as a keeper
 * types them. The screens, the sheets and the Round share these; what only one screen says stays there.
 */
export {
  formatAmount,
  formatBodyMass,
  formatGramBand,
  formatGrams,
  formatServing,
  formatUnits,
} from './amounts';
export { formatAnimals } from './animals';
export {
  formatMgL,
  formatNumber,
  formatPercent,
  formatQuantity,
  formatSignificant,
} from './figures';
export { askLength, refuseLength } from './length';
export { formatManner } from './manner';
export { formatMinutes, formatPreparation } from './preparation';
export { portionsWhy, formatSign } from './proposal';
export { readMeasure, readNumberAlone, type Typed } from './reading';
export { formatRounding } from './rounding';
export { formatDay } from './time';
export { formatWaterChange } from './waterChange';
