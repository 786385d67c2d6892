/** A share 0..1 as the per cent that a keeper types. */
export const PERCENT = {
  fromBase: (share: number) => share * 100,
  toBase: (shown: number) => shown / 100,
};
