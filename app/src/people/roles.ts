import type { Role } from '@open-larder/contract';

/** What each may do, as it is said to the owner who chooses, and to who is invited. */
export const ROLES: readonly { value: Role; label: string; may: string }[] = [
  { value: 'guest', label: 'Guest', may: 'looks at everything and changes nothing' },
  { value: 'feeder', label: 'Feeder', may: 'walks the Round and logs what was fed and seen' },
  { value: 'keeper', label: 'Keeper', may: 'feeds, and plans tanks, foods, diets and broods' },
  { value: 'owner', label: 'Owner', may: 'also changes settings and people, and imports tables' },
];

export const roleLabel = (role: Role): string => ROLES.find(({ value }) => value === role)!.label;
export const roleMay = (role: Role): string => ROLES.find(({ value }) => value === role)!.may;
