/** The code of a link such as /join#…: behind the #, so that it is in no server’s log. */
export const linkCode = (): string => (globalThis.location?.hash ?? '').slice(1);

/** Taken out of the address bar once it is used: the back button must not try it again. */
export function clearLinkCode(): void {
  const { location, history } = globalThis;
  if (location?.hash) history?.replaceState(null, '', location.pathname);
}

export const linkOf = (address: string, page: 'join' | 'pair', code: string): string =>
  `${address.replace(/\/$/, '')}/${page}#${code}`;
