import { createRequire } from 'node:module';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

export const INK = '#122e3b';
export const QUIET = '#4a5e66';
export const ROE = '#b5450f';
export const RULE = '#b3a894';

const require = createRequire(__filename);
const FONTS = {
  title: '@expo-google-fonts/bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
  text: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
};

/** The package that lays out is large, and few days print: it is loaded with the first sheet. */
async function layout() {
  const { default: pdfmake } = await import('pdfmake');
  pdfmake.setFonts(
    Object.fromEntries(
      Object.entries(FONTS).map(([name, file]) => [name, { normal: require.resolve(file) }]),
    ),
  );
  // A document holds words of keepers: it reads our fonts and nothing else.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => /\.ttf$/.test(path));
  return pdfmake;
}
let loaded: ReturnType<typeof layout> | null = null;

/** What is on a page, without its fonts. */
export type Sheet = Omit<TDocumentDefinitions, 'defaultStyle' | 'footer'> & {
  /** Letters of what says nothing else, in points. */
  size: number;
};

/** «18:30» of minutes since midnight, of the day before and after, too. */
export function formatClock(minutes: number): string {
  const of = ((Math.round(minutes) % 1440) + 1440) % 1440;
  return `${String(Math.floor(of / 60)).padStart(2, '0')}:${String(of % 60).padStart(2, '0')}`;
}

/** Letters are on the average so wide, as a share of their size: a little more than they are. */
const LETTER = 0.56;

/** A line of title in letters that it fits a width with, no smaller than 10 points. */
export const titleLine = (text: string, width: number, max: number, color = INK): Content => ({
  text,
  font: 'title',
  fontSize: Math.max(10, Math.min(max, Math.floor(width / (LETTER * Math.max(1, text.length))))),
  color,
});

/** A box to tick beside what is to be done. */
export const tickBox = (size: number, words: Content): Content => ({
  columnGap: 0,
  columns: [
    {
      width: size * 1.6,
      canvas: [
        {
          type: 'rect',
          x: 0,
          y: 2,
          w: size * 0.9,
          h: size * 0.9,
          lineWidth: 0.8,
          lineColor: QUIET,
        },
      ],
    },
    { width: '*', stack: [words] },
  ],
});

/** @returns a PDF, and how many pages it has */
export async function print({
  size,
  ...sheet
}: Sheet): Promise<{ pdf: Uint8Array; pages: number }> {
  let pages = 0;
  loaded ??= layout();
  const pdf = await (
    await loaded
  )
    .createPdf({
      ...sheet,
      defaultStyle: { font: 'text', fontSize: size, color: INK, lineHeight: 1.1 },
      footer: (_, count) => {
        pages = count;
        return null;
      },
    })
    .getBuffer();
  return { pdf: new Uint8Array(pdf), pages };
}

/**
 * The first of some settings, from the roomiest on, with which a document has no more pages than it may.
 * Where none has, the last.
 * @param settings in the order in which ever more fits on a page
 */
export async function printFitting<S>(
  settings: readonly S[],
  sheetOf: (setting: S) => Sheet,
  maxPages = 1,
): Promise<Uint8Array> {
  const printed = (at: number) => print(sheetOf(settings[at]!));
  let [low, high] = [0, settings.length - 1];
  let best: Uint8Array | null = null;
  while (low <= high) {
    const middle = (low + high) >> 1;
    const { pdf, pages } = await printed(middle);
    if (pages <= maxPages) [best, high] = [pdf, middle - 1];
    else low = middle + 1;
  }
  return best ?? (await printed(settings.length - 1)).pdf;
}
