import type { FoodRow, LotRow } from '@open-larder/contract';
import { goodUntil, ofDryMatter } from '@open-larder/core';
import { formatGrams } from '@open-larder/say';
import type { PDFFont, PDFPage } from 'pdf-lib';
import { fitted, INK, newDocument, ROE, formatDay, wrapped } from '../print/page';

/** An A4 sheet in points, and the labels on it: two across, seven down. */
const SHEET = { width: 595.28, height: 841.89, across: 2, down: 7, edge: 20, gap: 6 };
const WIDTH = (SHEET.width - 2 * SHEET.edge - (SHEET.across - 1) * SHEET.gap) / SHEET.across;
const HEIGHT = (SHEET.height - 2 * SHEET.edge - (SHEET.down - 1) * SHEET.gap) / SHEET.down;
const PAD = 9;

/**
 * Labels for a lot, to be cut out or printed on a sheet of two by seven.
 * @param copies how many, 1 or more
 * @returns a PDF
 */
export async function labelsOf(food: FoodRow, lot: LotRow, copies: number): Promise<Uint8Array> {
  const { pdf, title, text } = await newDocument(`Labels: ${food.name}`);
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
    draw(page as PDFPage, { x, y, lines, title, text });
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
    useBy: until === null ? 'no use-by' : `use by ${formatDay(until)}`,
    rest: [
      `since ${formatDay(lot.boughtOn)} · ${lot.place} · ${formatGrams(lot.amountG)}, ${pieces} ${food.unit.plural} of ${formatGrams(food.unit.massG)}`,
      `dry matter: protein ${percent(dry.protein)}, fat ${percent(dry.fat)}, plant ${percent(food.plantShare)}`,
      ['fish food, not for people', ...food.cautions.people].join(' · '),
    ],
  };
}

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
