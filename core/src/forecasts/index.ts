export { asRead, bandAround, isInside, misfit, widened, type Foreseen, type Scored } from './band';
export { asShown, CALIBRATED_FROM, calibrationOf, COVERAGE } from './calibration';
export { recordOf, type ForecastRecord, type HowRight } from './record';
export { FORECAST_KINDS, FORECAST_UNITS, type ForecastKind } from './vocabulary';
