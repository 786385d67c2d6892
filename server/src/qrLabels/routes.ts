import type { LabelKind } from '@open-larder/contract';
import { readHousehold } from '../household/store';
import type { Handlers } from '../http/mount';
import { conflict } from '../http/problems';
import type { PeopleParts } from '../people/routes';
import { labelSheet } from './sheet';
import { LABELLED } from './things';

const NONE: Record<LabelKind, string> = {
  tanks: 'There is no tank yet. Put one in first.',
  cultures: 'No culture is running. Start one first.',
  tubs: 'No brood is being raised in a tub. Begin one first.',
};

/** Labels with codes for phones, to print and stick on. */
export const qrLabelRoutes = ({
  address,
}: Pick<PeopleParts, 'address'>): Pick<Handlers, 'printQrLabels'> => ({
  async printQrLabels({ params: { of } }, { scope, visitor, catalogue }) {
    // Behind a proxy the server knows its name by who asks.
    const reached = address ?? (visitor.origin.startsWith('https:') ? visitor.origin : null);
    if (reached === null) {
      throw conflict(
        'Phones cannot open this server yet: a code would lead nowhere. Start it with «npm run serve -- --lan» first.',
      );
    }
    const units = await readHousehold(scope);
    const labels = await LABELLED[of]({ scope, catalogue, units, address: `${reached}/at` });
    if (labels.length === 0) throw conflict(NONE[of]);
    const pdf = await labelSheet(`Labels for ${of}`, labels);
    return { fileName: `labels-${of}.pdf`, base64: Buffer.from(pdf).toString('base64') };
  },
});
