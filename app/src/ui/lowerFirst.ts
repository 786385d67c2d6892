/** A name in the middle of a sentence: «Live Moina» becomes «live Moina». */
export const lowerFirst = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);
