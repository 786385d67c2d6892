type House = typeof import('./house');

let house: House | null = null;
let heard: () => void = () => undefined;
const loaded = new Promise<void>((resolve) => (heard = resolve));

/** Who waits for others to need it first does not wait for ever, ms. */
const AT_LAST_MS = 3000;

/** The rest of the app, where its script is there already. */
export const houseNow = (): House | null => house;

/** Fetch the rest of the app, once. @throws where its script does not come */
export async function loadHouse(): Promise<House> {
  if (!house) {
    house = await import('./house');
    heard();
  }
  return house;
}

/** Until something on the screen needed the rest of the app, and it came: by then the screen is drawn. */
export const houseNeeded = (): Promise<void> =>
  Promise.race([loaded, new Promise<void>((resolve) => setTimeout(resolve, AT_LAST_MS))]);
