import type { Tank } from '@open-larder/contract';

/**
 * Whether more than half of the tanks are dark.
 * @param minutes after midnight
 */
export function mostAreDark(
  tanks: readonly Pick<Tank, 'archived' | 'lightOnMin' | 'lightOffMin'>[],
  minutes: number,
): boolean {
  const kept = tanks.filter((tank) => !tank.archived);
  const dark = kept.filter(({ lightOnMin: on, lightOffMin: off }) =>
    // Lights that go off after midnight burn on both sides of it.
    on <= off ? minutes < on || minutes >= off : minutes >= off && minutes < on,
  );
  return dark.length * 2 > kept.length;
}
