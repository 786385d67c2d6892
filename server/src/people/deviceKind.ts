/** What a browser says it runs on, for a list in which people know their own; no more of it is kept. */
export function deviceKind(userAgent = ''): string {
  if (/iPad|Tablet|Android(?!.*Mobile)/.test(userAgent)) return 'Tablet';
  if (/Mobi|iPhone|Android/.test(userAgent)) return 'Phone';
  return /Mozilla/.test(userAgent) ? 'Computer' : 'Program';
}
