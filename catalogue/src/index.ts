/**
 * The shipped reference data as types and word lists, safe to import anywhere.
 * Reading the CSV files needs a disk and has its own door: `@open-larder/catalogue/load`.
 */
export * from './vocabulary';
export type { Species } from './species';
export type { GenericFood } from './foods';
