/** A name in the middle of a sentence: «Live Moina» becomes «live Moina». */
export const lowerFirst = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** «copper kills it» at the start of a line. */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
