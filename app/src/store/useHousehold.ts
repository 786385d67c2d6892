import type { HouseholdSettings } from '@open-larder/contract';
import { api } from './api';
import { useAppSelector } from './hooks';

const select = api.endpoints.household.select();

/**
 * The household as it was read last: the shell keeps it read, and a row of a long list asks for it
 * without keeping an eye on the query of its own.
 */
export const useHousehold = (): HouseholdSettings | undefined =>
  useAppSelector((state) => select(state).data);
