import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { FoodRow, LotRow } from '@open-larder/contract';
import { goodUntil, ofDryMatter, sayGrams } from '@open-larder/core';
import fontkit from '@pdf-lib/fontkit';
import { PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib';

/** An A4 sheet in points, and the labels on it: two across, seven down. */
const SHEET = { width: 595.28, height: 841.89, across: 2, down: 7, edge: 20, gap: 6 };
const WIDTH = (SHEET.width - 2 * SHEET.edge - (SHEET.across - 1) * SHEET.gap) / SHEET.across;
const HEIGHT = (SHEET.height - 2 * SHEET.edge - (SHEET.down - 1) * SHEET.gap) / SHEET.down;
const PAD = 9;
const INK = rgb(0.07, 0.18, 0.23);
const ROE = rgb(0.71, 0.27, 0.06);

const require = createRequire(__filename);
const FONTS = {
  title: '@expo-google-fonts/bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
  text: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
};

/**
 * Labels for a lot, to be cut out or printed on a sheet of two by seven.
 * @param copies how many, 1 or more
 * @returns a PDF
 */
export async function labelsOf(food: FoodRow, lot: LotRow, copies: number): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.setTitle(`Labels: ${food.name}`);
  pdf.registerFontkit(fontkit);
  const [title, text] = await Promise.all(
    [FONTS.title, FONTS.text].map(async (font) =>
      pdf.embedFont(await readFile(require.resolve(font)), { subset: true }),
    ),
  );
  const lines = linesOf(food, lot);
  const onSheet = SHEET.across * SHEET.down;
  let page: PDFPage | null = null;
  for (let index = 0; index < copies; index += 1) {
    const at = index % onSheet;
    if (at === 0) page = pdf.addPage([SHEET.width, SHEET.height]);
    const column = at % SHEET.across;
    const row = Math.floor(at / SHEET.across);
    const x = SHEET.edge + column * (WIDTH + SHEET.gap);
    const y = SHEET.height - SHEET.edge - row * (HEIGHT + SHEET.gap) - HEIGHT;
    draw(page as PDFPage, { x, y, lines, title: title as PDFFont, text: text as PDFFont });
  }
  return pdf.save();
}

interface Lines {
  name: string;
  useBy: string;
  rest: string[];
}

/** What a label says. Days are written out, so that nobody takes a month for a day. */
function linesOf(food: FoodRow, lot: LotRow): Lines {
  const until = goodUntil(lot, food.keeps.openedDays);
  const dry = ofDryMatter(food.composition);
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const pieces = Math.floor(lot.amountG / food.unit.massG + 1e-6);
  return {
    name: food.name,
    useBy: until === null ? 'no use-by' : `use by ${sayDay(until)}`,
    rest: [
      `since ${sayDay(lot.boughtOn)} · ${lot.place} · ${sayGrams(lot.amountG)}, ${pieces} ${food.unit.plural} of ${sayGrams(food.unit.massG)}`,
      `dry matter: protein ${percent(dry.protein)}, fat ${percent(dry.fat)}, plant ${percent(food.plantShare)}`,
      ['fish food, not for people', ...food.cautions.people].join(' · '),
    ],
  };
}

const sayDay = (day: string) =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  );

interface Drawing {
  x: number;
  y: number;
  lines: Lines;
  title: PDFFont;
  text: PDFFont;
}

function draw(page: PDFPage, { x, y, lines, title, text }: Drawing): void {
  const room = WIDTH - 2 * PAD;
  page.drawRectangle({ x, y, width: WIDTH, height: HEIGHT, borderColor: INK, borderWidth: 0.6 });
  const left = x + PAD;
  let top = y + HEIGHT - PAD - 14;
  const name = fitted(lines.name, title, 16, room);
  page.drawText(name.text, { x: left, y: top, size: name.size, font: title, color: INK });
  top -= 19;
  page.drawText(lines.useBy, { x: left, y: top, size: 13, font: title, color: ROE });
  top -= 15;
  for (const line of lines.rest) {
    for (const piece of wrapped(line, text, 8.5, room)) {
      if (top < y + PAD - 3) return;
      page.drawText(piece, { x: left, y: top, size: 8.5, font: text, color: INK });
      top -= 10.5;
    }
  }
}

/** The largest size down from `size` at which a text fits, cut where even the smallest does not. */
function fitted(text: string, font: PDFFont, size: number, room: number) {
  for (let at = size; at >= 10; at -= 1) {
    if (font.widthOfTextAtSize(text, at) <= room) return { text, size: at };
  }
  let cut = text;
  while (cut.length > 1 && font.widthOfTextAtSize(`${cut}…`, 10) > room) cut = cut.slice(0, -1);
  return { text: `${cut}…`, size: 10 };
}

function wrapped(text: string, font: PDFFont, size: number, room: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const last = lines.at(-1);
    const longer = last === undefined ? word : `${last} ${word}`;
    if (last !== undefined && font.widthOfTextAtSize(longer, size) <= room) {
      lines[lines.length - 1] = longer;
    } else lines.push(word);
  }
  return lines;
}
