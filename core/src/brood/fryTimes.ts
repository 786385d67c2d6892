/** When someone can feed: minutes after midnight, and spans of them; a span may run past midnight. */
export interface Presence {
  moments: readonly number[];
  spans: readonly { fromMin: number; toMin: number }[];
}

/** Hours of light: from one minute after midnight to another, over midnight where it is the earlier. */
export interface Lit {
  lightOnMin: number;
  lightOffMin: number;
}

const DAY_MIN = 1440;
/** Minutes between two meals at the least. Practice: young are fed every two to three hours. */
const AT_LEAST_APART = 120;
/** What is given in the last minutes of the light lies there in the dark. Assumption. */
const BEFORE_DARK = 30;

const after = (from: number, to: number) => (to - from + DAY_MIN) % DAY_MIN;

/** Minutes of light; the same minute twice is a light that is never out. */
export const litMinutes = ({ lightOnMin, lightOffMin }: Lit): number =>
  after(lightOnMin, lightOffMin) || DAY_MIN;

/**
 * The times of a day at which young can be fed: from the first light to the last, two hours apart at the
 * least, and only while someone is there.
 * @returns minutes after midnight in the order of the light; never none, since someone looks in once
 */
export function fryTimes(light: Lit, { moments, spans }: Presence): number[] {
  const lit = litMinutes(light);
  const last = Math.max(0, lit - BEFORE_DARK);
  const since = (minutes: number) => after(light.lightOnMin, minutes);
  /** The first minute from one of the light on at which someone is there. */
  const firstFrom = (from: number): number | null => {
    const there = [
      ...moments.map(since).filter((at) => at >= from),
      ...spans.flatMap(({ fromMin, toMin }) => {
        const [begin, length] = [since(fromMin), after(fromMin, toMin)];
        // One that began before the light is on goes on in it.
        const began = begin > last ? begin - DAY_MIN : begin;
        return began + length < from ? [] : [Math.max(began, from)];
      }),
    ].filter((at) => at <= last);
    return there.length === 0 ? null : Math.min(...there);
  };
  const times: number[] = [];
  for (let at = firstFrom(0); at !== null; at = firstFrom(at + AT_LEAST_APART)) times.push(at);
  const found = times.length > 0 ? times : [last];
  return found.map((at) => (light.lightOnMin + at) % DAY_MIN);
}

/** So many of the times, the first and the last among them, spread as evenly as they allow. */
export function spreadOver(times: readonly number[], meals: number): number[] {
  if (meals >= times.length) return [...times];
  if (meals <= 1) return times.slice(0, 1);
  const step = (times.length - 1) / (meals - 1);
  return Array.from({ length: meals }, (_, meal) => times[Math.round(meal * step)]!);
}
