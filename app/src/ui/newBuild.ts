const TRIED = 'open-larder.reloaded';

/** Names of the scripts of a page: they carry a hash of what they hold. */
const scriptsIn = (page: string): string =>
  [...page.matchAll(/<script[^>]+src="([^"]+)"/g)].map(([, src]) => src).join(' ');

/**
 * Load the page anew where the server holds another build than the one that is open, once for each
 * build. Drafts are on the device and are there again.
 */
export async function reloadIfNew(): Promise<void> {
  const { document, location, sessionStorage } = globalThis as Partial<Window & typeof globalThis>;
  if (!document || !location) return;
  try {
    const answer = await fetch('/', { cache: 'no-store' });
    if (!answer.ok) return;
    const theirs = scriptsIn(await answer.text());
    const ours = scriptsIn(document.documentElement.outerHTML);
    if (theirs === '' || ours.includes(theirs) || sessionStorage?.getItem(TRIED) === theirs) return;
    sessionStorage?.setItem(TRIED, theirs);
    location.reload();
    // Nothing more is drawn until the new page is there.
    await new Promise(() => undefined);
  } catch {
    // Without a connection there is no newer build to be had: the part says that it has not loaded.
  }
}

/** Whether what went wrong is that a script of ours did not come. */
export const isNotLoaded = (error: unknown): boolean =>
  error instanceof Error &&
  (error.name === 'AsyncRequireError' || /^Loading module .* failed/.test(error.message));

/** Load the page anew where the server can be reached: without it, what is open is better than nothing. */
export async function reloadIfThere(): Promise<void> {
  try {
    const answer = await fetch('/api/health', { cache: 'no-store' });
    if (answer.ok) globalThis.location?.reload();
  } catch {
    // What is open stays open.
  }
}
