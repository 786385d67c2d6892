import type { Handlers } from '../http/mount';
import { readHousehold } from '../household/store';
import { localDay } from '../clock';
import { restoreBackup } from './restore';
import { writeBackup } from './write';

export const backupRoutes = {
  async getBackup(_request, { scope, clock }) {
    const { timeZone } = await readHousehold(scope);
    return {
      fileName: `open-larder-${localDay(clock.now(), timeZone)}.zip`,
      base64: Buffer.from(await writeBackup(scope)).toString('base64'),
    };
  },

  async restoreBackup({ body }, { scope }) {
    const zip = new Uint8Array(Buffer.from(body.base64, 'base64'));
    return { rows: await restoreBackup(scope, zip) };
  },
} satisfies Partial<Handlers>;
