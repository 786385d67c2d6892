import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont } from 'pdf-lib';

export const INK = rgb(0.07, 0.18, 0.23);
export const QUIET = rgb(0.29, 0.37, 0.4);
export const ROE = rgb(0.71, 0.27, 0.06);
export const RULE = rgb(0.7, 0.66, 0.58);

const require = createRequire(__filename);
const FONTS = {
  title: '@expo-google-fonts/bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
  text: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
};

/** An empty document with our two fonts in it. */
export async function newDocument(
  name: string,
): Promise<{ pdf: PDFDocument; title: PDFFont; text: PDFFont }> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(name);
  pdf.registerFontkit(fontkit);
  const embed = async (font: string) =>
    pdf.embedFont(await readFile(require.resolve(font)), { subset: true });
  return { pdf, title: await embed(FONTS.title), text: await embed(FONTS.text) };
}

/** Days are written out, so that nobody takes a month for a day. */
export const formatDay = (day: string) =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  );

/** The largest size down from `size` at which a text fits, cut where even the smallest does not. */
export function fitted(text: string, font: PDFFont, size: number, room: number) {
  for (let at = size; at >= 10; at -= 1) {
    if (font.widthOfTextAtSize(text, at) <= room) return { text, size: at };
  }
  let cut = text;
  while (cut.length > 1 && font.widthOfTextAtSize(`${cut}…`, 10) > room) cut = cut.slice(0, -1);
  return { text: `${cut}…`, size: 10 };
}

/** Widths of words at size 1: a page is set at several sizes until it fits, of the same few words. */
const widths = new WeakMap<PDFFont, Map<string, number>>();

function widthOf(word: string, font: PDFFont): number {
  const known = widths.get(font) ?? new Map<string, number>();
  widths.set(font, known);
  let width = known.get(word);
  if (width === undefined) {
    width = font.widthOfTextAtSize(word, 1);
    known.set(word, width);
  }
  return width;
}

/** Lines no wider than the room, broken between words. */
export function wrapped(text: string, font: PDFFont, size: number, room: number): string[] {
  const lines: string[] = [];
  const space = widthOf(' ', font) * size;
  let used = 0;
  for (const word of text.split(' ')) {
    const width = widthOf(word, font) * size;
    if (lines.length > 0 && used + space + width <= room) {
      lines[lines.length - 1] = `${lines.at(-1)} ${word}`;
      used += space + width;
    } else {
      lines.push(word);
      used = width;
    }
  }
  return lines;
}
