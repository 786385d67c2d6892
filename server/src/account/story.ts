import { formatNumber } from '@open-larder/say';
import type { PDFFont, PDFPage } from 'pdf-lib';
import { fitted, INK, newDocument, QUIET, ROE, RULE, wrapped } from '../print/page';

/** An A4 sheet, in points. */
const SHEET = { width: 595.28, height: 841.89, edge: 36 };
const LEADING = 1.32;
/** Letters from large to small: the largest with which everything fits is taken. */
const SIZES = [11, 10.5, 10, 9.5, 9, 8.5, 8, 7.5, 7];
const CURVE = { height: 96, head: 14, left: 30, foot: 12 };

/** A page of a life: parts under heads, and lengths as they were measured. */
export interface Story {
  title: string;
  /** Under the title: what it is. */
  about: string;
  parts: readonly { head: string; lines: readonly string[] }[];
  /** Something over days, drawn: null where there are less than two. */
  curve: {
    head: string;
    unit: string;
    /** Under its first and its last point: their days. */
    ends: readonly [string, string];
    points: readonly Dot[];
    cap: number | null;
  } | null;
}

export interface Dot {
  /** Days from the first. */
  day: number;
  value: number;
  low: number | null;
  high: number | null;
}

/**
 * A story on one page. Where even the smallest letters do not hold it all, the longest part loses its
 * oldest lines, and says so.
 * @returns a PDF of one page
 */
export async function storySheet(story: Story): Promise<Uint8Array> {
  const { pdf, title, text } = await newDocument(story.title);
  const page = pdf.addPage([SHEET.width, SHEET.height]);
  const width = SHEET.width - 2 * SHEET.edge;
  const top = SHEET.height - SHEET.edge;
  const head = fitted(story.title, title, 24, width);
  let y = top - head.size;
  page.drawText(head.text, { x: SHEET.edge, y, size: head.size, font: title, color: INK });
  for (const line of wrapped(story.about, text, 10, width)) {
    y -= 14;
    page.drawText(line, { x: SHEET.edge, y, size: 10, font: text, color: QUIET });
  }
  y -= 10;
  if (story.curve && story.curve.points.length > 1) {
    drawCurve(page, text, story.curve, y, width);
    y -= CURVE.head + CURVE.height + CURVE.foot + 8;
  }
  const { size, parts } = toFit(story.parts, text, width, y - SHEET.edge);
  for (const part of parts) {
    y -= size * 1.7;
    page.drawText(part.head, { x: SHEET.edge, y, size: size * 1.15, font: title, color: INK });
    for (const line of part.lines) {
      for (const words of wrapped(line, text, size, width)) {
        y -= size * LEADING;
        page.drawText(words, { x: SHEET.edge, y, size, font: text, color: INK });
      }
    }
  }
  return pdf.save();
}

type Parts = Story['parts'];

function heightOf(parts: Parts, font: PDFFont, size: number, width: number): number {
  return parts.reduce(
    (sum, { lines }) =>
      sum +
      size * 1.7 +
      lines.reduce((all, line) => all + wrapped(line, font, size, width).length, 0) *
        size *
        LEADING,
    0,
  );
}

/** The parts, and the letters with which they fit; the longest is cut where none do. */
export function toFit(
  all: Parts,
  font: PDFFont,
  width: number,
  room: number,
): { size: number; parts: Parts } {
  const report = all.filter(({ lines }) => lines.length > 0);
  const size = SIZES.find((one) => heightOf(report, font, one, width) <= room);
  if (size !== undefined) return { size, parts: report };
  const least = SIZES.at(-1)!;
  let parts = report;
  const cut = new Map<string, number>();
  while (heightOf(parts, font, least, width) > room) {
    const longest = [...parts].sort((a, b) => b.lines.length - a.lines.length)[0]!;
    if (longest.lines.length <= 2) break;
    const gone = (cut.get(longest.head) ?? 0) + 1;
    cut.set(longest.head, gone);
    const kept = longest.lines.slice(0, gone === 1 ? -1 : -2);
    const lines = [...kept, `and ${gone} more, in the app`];
    parts = parts.map((part) => (part === longest ? { ...part, lines } : part));
  }
  return { size: least, parts };
}

function drawCurve(
  page: PDFPage,
  font: PDFFont,
  { head, unit, ends, points, cap }: NonNullable<Story['curve']>,
  top: number,
  width: number,
): void {
  const foot = top - CURVE.head - CURVE.height;
  const left = SHEET.edge + CURVE.left;
  const last = Math.max(1, points.at(-1)!.day);
  const highest = Math.max(...points.map(({ value, high }) => high ?? value), cap ?? 0) * 1.05;
  const x = (day: number) => left + (day / last) * (width - CURVE.left - 8);
  const y = (value: number) => foot + (value / highest) * CURVE.height;
  const small = { size: 8, font, color: QUIET };
  page.drawText(`${head}, ${unit}`, { ...small, x: SHEET.edge, y: top - 8 });
  const right = SHEET.edge + width - font.widthOfTextAtSize(ends[1], small.size);
  page.drawText(ends[0], { ...small, x: left, y: foot - CURVE.foot });
  page.drawText(ends[1], { ...small, x: right, y: foot - CURVE.foot });
  for (const value of [0, highest / 2, highest / 1.05]) {
    const at = y(value);
    page.drawLine({
      start: { x: left, y: at },
      end: { x: SHEET.edge + width, y: at },
      thickness: 0.5,
      color: RULE,
    });
    page.drawText(formatNumber(value, value < 10 ? 1 : 0), { ...small, x: SHEET.edge, y: at - 3 });
  }
  if (cap !== null) {
    page.drawLine({
      start: { x: left, y: y(cap) },
      end: { x: SHEET.edge + width, y: y(cap) },
      thickness: 1,
      color: ROE,
      dashArray: [4, 3],
    });
  }
  points.forEach(({ day, value, low, high }, at) => {
    const before = points[at - 1];
    if (before) {
      page.drawLine({
        start: { x: x(before.day), y: y(before.value) },
        end: { x: x(day), y: y(value) },
        thickness: 1.2,
        color: INK,
      });
    }
    if (low !== null && high !== null) {
      page.drawLine({
        start: { x: x(day), y: y(low) },
        end: { x: x(day), y: y(high) },
        thickness: 0.8,
        color: QUIET,
      });
    }
    page.drawCircle({ x: x(day), y: y(value), size: 2, color: INK });
  });
}
