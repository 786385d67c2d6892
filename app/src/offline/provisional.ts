import type { BodyOf } from '@open-larder/contract';
import type { Act } from './act';

/**
 * What a screen goes on with while an act stays on the device: what was sent, as it would be read back.
 * Rows that the server works out (a culture, a brood, a food) are not guessed: who needs them reads them.
 */
export function provisional({ route, body }: Pick<Act, 'route' | 'body'>): unknown {
  switch (route) {
    case 'logFeeding':
      return { feeding: { ...(body as BodyOf<'logFeeding'>), massG: 0 }, shortG: 0 };
    default:
      return body;
  }
}
