const prefix = 'open-larder.';

/** What this device keeps between visits. A full or forbidden store is no reason to fail. */
export function remember(place: string, value: unknown): void {
  try {
    globalThis.localStorage?.setItem(prefix + place, JSON.stringify(value));
  } catch {
    // Private windows and full disks refuse: the screen works without.
  }
}

export function recall<T>(place: string): T | null {
  try {
    const text = globalThis.localStorage?.getItem(prefix + place);
    return text ? (JSON.parse(text) as T) : null;
  } catch {
    return null;
  }
}

export function forget(place: string): void {
  try {
    globalThis.localStorage?.removeItem(prefix + place);
  } catch {
    // Nothing was kept, so there is nothing to forget.
  }
}
