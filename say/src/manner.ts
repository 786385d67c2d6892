import type { Manner } from '@open-larder/core/round';

/** «soaked, carried down, in 2 places, 5 min later»; empty for what is simply given. */
export function formatManner({ afterMin, spots, carried, soaked, apart }: Manner): string {
  return [
    soaked ? 'soaked' : '',
    carried ? 'carried to them' : '',
    spots > 1 ? `in ${spots} places` : '',
    afterMin > 0 ? `${afterMin} min later` : '',
    apart ? 'set apart for it' : '',
  ]
    .filter(Boolean)
    .join(', ');
}
