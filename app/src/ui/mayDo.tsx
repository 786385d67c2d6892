import { ACCESS, type Access } from '@open-larder/contract/paths';
import { createContext, useContext, type ReactNode } from 'react';

const Role = createContext<Access>('owner');

/** Who is at the device: what they may not do is not offered. */
export const MayDo = ({ role, children }: { role: Access; children: ReactNode }) => (
  <Role.Provider value={role}>{children}</Role.Provider>
);

/** Whether whoever is at the device may do what takes at least this role. */
export function useMay(least: Access): boolean {
  return ACCESS.indexOf(useContext(Role)) >= ACCESS.indexOf(least);
}
