interface PricedLot {
  amountG: number;
  /** Price of the whole lot in minor units; null where it was not entered. */
  costMinor: number | null;
}

/** Minor units per gram over the lots that have a price; null where none has. */
export function pricePerGram(lots: readonly PricedLot[]): number | null {
  const priced = lots.filter((lot) => lot.costMinor !== null);
  const grams = priced.reduce((sum, lot) => sum + lot.amountG, 0);
  if (grams === 0) return null;
  return priced.reduce((sum, lot) => sum + (lot.costMinor as number), 0) / grams;
}
