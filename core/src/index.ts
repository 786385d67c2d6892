/**
 * The computation of Open Larder: pure functions over data, with no disk, network, clock or screen.
 * Units in names: G grams, Cm centimetres, C °C, Kj kJ, Min minutes.
 */
export * from './why';
export * from './units';
export * from './fish';
export * from './group';
export * from './food';
export * from './mouth';
export * from './ration';
export * from './recipe';
export * from './stock';
export * from './tank';
export * from './together';
export * from './round';
export * from './proposal';
export * from './zones';
