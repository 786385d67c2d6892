import { v7 as uuidv7 } from 'uuid';

/** This page among others, of whatever device: what it sends itself is not told to it as news. */
export const PAGE: string = uuidv7();
