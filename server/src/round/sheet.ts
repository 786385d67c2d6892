import type { FoodRow } from '@open-larder/contract';
import { compileRound, type FeedingModel } from '@open-larder/core';
import { formatManner, formatUnits } from '@open-larder/say';
import type { PDFFont, PDFPage } from 'pdf-lib';
import { INK, newDocument, QUIET, RULE, formatDay, wrapped } from '../print/page';
import { preparationsOn } from './prepare';

/** An A4 sheet, in points. */
const SHEET = { width: 595.28, height: 841.89, edge: 36 };
const HEAD = 40;
const GAP = 20;
const COLUMNS = 2;
/** Letters from large to small: the largest with which everything fits is taken. */
const SIZES = [14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4.5];

type Line =
  | { kind: 'moment'; text: string }
  | { kind: 'tank'; text: string }
  /** Something to do, with a box to tick. */
  | { kind: 'task'; text: string; quiet: string };

/** What is asked for beside the meals, under a heading of its own: by broods, by the live shelf. */
interface Asked {
  title: string;
  work: readonly { name: string; work: readonly { says: string }[] }[];
}

/**
 * A day's round on one page, legible on a wall: what to prepare and what to serve, each with a box.
 * @param day      YYYY-MM-DD
 * @param asked what broods and cultures ask for on that day
 * @returns a PDF of one page
 */
export async function roundSheet(
  house: FeedingModel,
  foods: readonly FoodRow[],
  day: string,
  asked: readonly Asked[] = [],
): Promise<Uint8Array> {
  const { pdf, title, text } = await newDocument(`Round: ${formatDay(day)}`);
  const page = pdf.addPage([SHEET.width, SHEET.height]);
  const top = SHEET.height - SHEET.edge;
  page.drawText(formatDay(day), { x: SHEET.edge, y: top - 20, size: 22, font: title, color: INK });
  const lines = linesOf(house, foods, day, asked);
  const room = top - HEAD - SHEET.edge;
  let size = 0;
  let sets: SetLine[] = [];
  for (size of SIZES) {
    sets = lines.map((line) => setOf(line, text, size));
    if (columnsOf(lines, sets, room) <= COLUMNS) break;
  }
  draw(page, lines, sets, { title, text, size, top: top - HEAD, room });
  return pdf.save();
}

function linesOf(
  house: FeedingModel,
  foods: readonly FoodRow[],
  day: string,
  asked: readonly Asked[],
): Line[] {
  const tanks = new Map(house.tanks.map((tank) => [tank.id, tank.name]));
  const prepare = preparationsOn(house, foods, day);
  const lines: Line[] = [];
  if (prepare.length > 0) {
    lines.push({ kind: 'moment', text: 'To prepare' });
    for (const { startMin, amount, foodName, what, tankIds } of prepare) {
      lines.push({
        kind: 'task',
        text: `${clock(startMin)} ${amount} ${lowerFirst(foodName)}: ${what}`,
        quiet:
          tankIds.length === 1 ? (tanks.get(tankIds[0]!) ?? '') : `for ${tankIds.length} tanks`,
      });
    }
  }
  for (const { moment, stops } of compileRound(house, day).moments) {
    if (stops.length === 0) continue;
    lines.push({ kind: 'moment', text: `${clock(stops[0]!.minutes)} ${moment.name}` });
    for (const { tank, servings } of stops) {
      lines.push({ kind: 'tank', text: `${tank.walkOrder} ${tank.name}` });
      for (const { portion, food, group, serving, mixed } of servings) {
        const mix = mixed === 'new' ? 'mixed in, new to them' : '';
        const how = [serving.place, formatManner(serving.manner), mix].filter(Boolean).join(', ');
        lines.push({
          kind: 'task',
          text: `${formatUnits(portion.units, food.unit)} ${lowerFirst(food.name)}`,
          quiet: [group.name, how].filter(Boolean).join(' · '),
        });
      }
    }
  }
  for (const { title, work: all } of asked) {
    const works = all.flatMap(({ name, work }) => work.map(({ says }) => ({ name, says })));
    if (works.length > 0) lines.push({ kind: 'moment', text: title });
    for (const { name, says } of works) lines.push({ kind: 'task', text: says, quiet: name });
  }
  return lines.length > 0 ? lines : [{ kind: 'tank', text: 'Nothing to serve' }];
}

const lowerFirst = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);

const clock = (minutes: number) => {
  const of = ((Math.round(minutes) % 1440) + 1440) % 1440;
  return `${String(Math.floor(of / 60)).padStart(2, '0')}:${String(of % 60).padStart(2, '0')}`;
};

const width = (SHEET.width - 2 * SHEET.edge - GAP * (COLUMNS - 1)) / COLUMNS;
const indentOf = (size: number) => size * 1.6;
const LEADING = 1.3;

/** A line as it is set: its words broken to the column, and its height. */
function setOf(line: Line, font: PDFFont, size: number) {
  const room = line.kind === 'task' ? width - indentOf(size) : width;
  const words = wrapped(line.text, font, size, room);
  const quiet = line.kind === 'task' ? wrapped(line.quiet, font, size * 0.85, room) : [];
  const above = line.kind === 'moment' ? size * 0.9 : line.kind === 'tank' ? size * 0.35 : 0;
  const height =
    above + (words.length * size + quiet.filter(Boolean).length * size * 0.85) * LEADING;
  return { words, quiet: quiet.filter(Boolean), above, height };
}

type SetLine = ReturnType<typeof setOf>;

/** Height of a line with those that it heads: no heading stands alone at the foot of a column. */
function keptHeight(lines: readonly Line[], sets: readonly SetLine[], at: number): number {
  const { height } = sets[at]!;
  const heads = lines[at]!.kind !== 'task' && at + 1 < lines.length;
  return heads ? height + keptHeight(lines, sets, at + 1) : height;
}

/** How many columns of a height they take. */
function columnsOf(lines: readonly Line[], sets: readonly SetLine[], room: number): number {
  let columns = 1;
  let used = 0;
  sets.forEach(({ height }, at) => {
    if (used + keptHeight(lines, sets, at) > room) {
      columns += 1;
      used = 0;
    }
    used += height;
  });
  return columns;
}

function draw(
  page: PDFPage,
  lines: readonly Line[],
  sets: readonly SetLine[],
  {
    title,
    text,
    size,
    top,
    room,
  }: Record<'title' | 'text', PDFFont> & {
    size: number;
    top: number;
    room: number;
  },
): void {
  let x = SHEET.edge;
  let y = top;
  lines.forEach((line, at) => {
    const set = sets[at]!;
    if (y - keptHeight(lines, sets, at) < top - room && x === SHEET.edge) {
      x += width + GAP;
      y = top;
    }
    y -= set.above;
    const task = line.kind === 'task';
    if (task) {
      page.drawRectangle({
        x,
        y: y - size,
        width: size * 0.9,
        height: size * 0.9,
        borderWidth: 0.8,
        borderColor: QUIET,
      });
    }
    for (const words of set.words) {
      y -= size * LEADING;
      page.drawText(words, {
        x: task ? x + indentOf(size) : x,
        y: y + size * 0.3,
        size,
        font: task ? text : title,
        color: INK,
      });
    }
    for (const words of set.quiet) {
      y -= size * 0.85 * LEADING;
      page.drawText(words, {
        x: x + indentOf(size),
        y: y + size * 0.3,
        size: size * 0.85,
        font: text,
        color: QUIET,
      });
    }
    if (line.kind === 'moment') {
      page.drawLine({
        start: { x, y: y },
        end: { x: x + width, y },
        thickness: 0.8,
        color: RULE,
      });
    }
  });
}
