import { statfs } from 'node:fs/promises';

/** Below this a house may run out of room within days: it is said while there is time. Practice. */
const LOW_MB = 1024;
const MB = 1024 * 1024;

export interface Disk {
  freeMb: number | null;
  low: boolean;
}

/** Room on the disk that holds the database; unknown where the folder is not told or not there. */
export async function diskOf(folder: string | undefined): Promise<Disk> {
  if (folder === undefined) return { freeMb: null, low: false };
  try {
    const { bavail, bsize } = await statfs(folder);
    const freeMb = Math.floor((bavail * bsize) / MB);
    return { freeMb, low: freeMb < LOW_MB };
  } catch {
    return { freeMb: null, low: false };
  }
}
