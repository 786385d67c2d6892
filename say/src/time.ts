/** «12 Mar 2026»: the month as a word, so that it is not taken for the day. */
export const formatDay = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  );

/** «a day», «12 days» */
export const someDays = (days: number): string => (days === 1 ? 'a day' : `${days} days`);

/** «today», «yesterday», «3 days ago» */
export const ago = (days: number): string =>
  days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;

/** «today», «tomorrow», «in 12 days» */
export const ahead = (days: number): string =>
  days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`;

/** «today», «by tomorrow», «within 3 days» */
export const latest = (days: number): string =>
  days === 0 ? 'today' : days === 1 ? 'by tomorrow' : `within ${days} days`;

/** «once», «4 times» */
export const times = (count: number): string => (count === 1 ? 'once' : `${count} times`);
