import { stepsNow, type FoodRow } from '@open-larder/contract';
import {
  addDays,
  compileRound,
  dayOfCycle,
  wallMinutes,
  type FeedingModel,
  type HouseTank,
  type RoundServing,
} from '@open-larder/core';
import { formatManner, formatPreparation, formatUnits } from '@open-larder/say';
import type { PDFFont, PDFPage } from 'pdf-lib';
import { INK, newDocument, QUIET, ROE, RULE, formatDay, wrapped } from '../print/page';

/** An A4 sheet on its side, in points. */
const SHEET = { width: 841.89, height: 595.28, edge: 24 };
const HEAD = 34;
const MOMENT = 76;
const ACROSS = 7;
const PAD = 4;
/** Letters from large to small: the largest with which everything fits is taken. */
const SIZES = [12, 11, 10, 9, 8, 7, 6.5, 6, 5.5, 5, 4.5];

interface Cell {
  lines: string[];
}

interface Row {
  name: string;
  time: string;
  cells: Cell[];
}

/** Seven days or fewer, beside each other. */
interface Block {
  heads: string[];
  rows: Row[];
}

/**
 * A tank's cycle on one page, legible on a wall.
 * @param day a day of the cycle, YYYY-MM-DD
 * @returns a PDF of one page
 */
export async function weekSheet(
  house: FeedingModel,
  tank: HouseTank,
  foods: readonly FoodRow[],
  day: string,
): Promise<Uint8Array> {
  const { pdf, title, text } = await newDocument(`Week: ${tank.name}`);
  const page = pdf.addPage([SHEET.width, SHEET.height]);
  const { cycle } = tank.plan;
  const first = addDays(day, 1 - dayOfCycle(cycle, day));
  const blocks = blocksOf(house, tank, foods, first, cycle.days);
  const top = SHEET.height - SHEET.edge;
  page.drawText(tank.name, { x: SHEET.edge, y: top - 18, size: 20, font: title, color: INK });
  const of = cycle.days === 7 ? 'the week' : `a cycle of ${cycle.days} days`;
  page.drawText(`${of} from ${formatDay(first)}`, {
    x: SHEET.edge + title.widthOfTextAtSize(tank.name, 20) + 12,
    y: top - 18,
    size: 11,
    font: text,
    color: QUIET,
  });
  const room = top - HEAD - SHEET.edge;
  const size = SIZES.find((one) => heightOf(blocks, text, one) <= room) ?? SIZES.at(-1)!;
  let y = top - HEAD;
  for (const block of blocks) y = drawBlock(page, block, y, size, title, text);
  return pdf.save();
}

function blocksOf(
  house: FeedingModel,
  tank: HouseTank,
  foods: readonly FoodRow[],
  first: string,
  days: number,
): Block[] {
  const known = new Map(foods.map((food) => [food.id, food]));
  const mine = house.groups.filter((group) => group.tankId === tank.id);
  const several = mine.length > 1;
  const only = { ...house, groups: mine };
  const blocks: Block[] = [];
  for (let from = 0; from < days; from += ACROSS) {
    const span = Array.from({ length: Math.min(ACROSS, days - from) }, (_, at) =>
      addDays(first, from + at),
    );
    const rounds = span.map((day) => compileRound(only, day));
    const moments = house.moments
      .map((moment) => ({ moment, minutes: wallMinutes(moment, tank.light) }))
      .sort((a, b) => a.minutes - b.minutes);
    const rows = moments.map(({ moment, minutes }) => ({
      name: moment.name,
      time: clock(minutes),
      cells: rounds.map((round) => ({
        lines: round.moments
          .filter((one) => one.moment.id === moment.id)
          .flatMap(({ stops }) => stops.flatMap(({ servings }) => servings))
          .map((serving) => lineOf(serving, known.get(serving.food.id), several, round.day)),
      })),
    }));
    const fasting = rounds.map((round) =>
      round.groups.flatMap(({ group, rest }) =>
        rest === 'fast' ? [`${group.name}: nothing`] : [],
      ),
    );
    const used = rows.filter((row) => row.cells.some((cell) => cell.lines.length > 0));
    if (fasting.some((names) => names.length > 0)) {
      used.unshift({ name: 'Fast', time: '', cells: fasting.map((lines) => ({ lines })) });
    }
    blocks.push({ heads: span.map(shortDay), rows: used });
  }
  return blocks;
}

/** «½ cube frozen cyclops, far end, soaked; thaw 10 min · kuhli loaches» */
function lineOf(
  { portion, food, serving, group }: RoundServing,
  row: FoodRow | undefined,
  several: boolean,
  day: string,
): string {
  const how = [serving.place, formatManner(serving.manner)].filter(Boolean).join(', ');
  const prepare = row ? formatPreparation(stepsNow(row, day)) : '';
  return [
    `${formatUnits(portion.units, food.unit)} ${food.name.charAt(0).toLowerCase()}${food.name.slice(1)}`,
    how && `, ${how}`,
    prepare && `; ${prepare}`,
    several && ` · ${group.name}`,
  ]
    .filter(Boolean)
    .join('');
}

const clock = (minutes: number) => {
  const of = ((minutes % 1440) + 1440) % 1440;
  return `${String(Math.floor(of / 60)).padStart(2, '0')}:${String(of % 60).padStart(2, '0')}`;
};

const shortDay = (day: string) =>
  new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  }).format(new Date(`${day}T12:00:00Z`));

const columnOf = (block: Block) =>
  (SHEET.width - 2 * SHEET.edge - MOMENT) / Math.max(1, block.heads.length);

const cellLines = (cell: Cell, block: Block, font: PDFFont, size: number) =>
  // Several servings are told apart by a dash before each.
  cell.lines.flatMap((line) =>
    wrapped(cell.lines.length > 1 ? `– ${line}` : line, font, size, columnOf(block) - 2 * PAD),
  );

const rowHeight = (row: Row, block: Block, font: PDFFont, size: number) =>
  Math.max(
    2 * size * 1.25,
    ...row.cells.map((cell) => cellLines(cell, block, font, size).length * size * 1.25),
  ) +
  2 * PAD;

const headHeight = (size: number) => size * 1.3 + 2 * PAD;

function heightOf(blocks: readonly Block[], font: PDFFont, size: number): number {
  return blocks.reduce(
    (sum, block) =>
      sum +
      headHeight(size) +
      block.rows.reduce((all, row) => all + rowHeight(row, block, font, size), 0) +
      PAD,
    0,
  );
}

function drawBlock(
  page: PDFPage,
  block: Block,
  from: number,
  size: number,
  title: PDFFont,
  text: PDFFont,
): number {
  const column = columnOf(block);
  const left = SHEET.edge;
  const right = SHEET.width - SHEET.edge;
  const line = (y: number) =>
    page.drawLine({ start: { x: left, y }, end: { x: right, y }, thickness: 0.6, color: RULE });
  let y = from;
  block.heads.forEach((head, at) =>
    page.drawText(head, {
      x: left + MOMENT + at * column + PAD,
      y: y - PAD - size,
      size: size * 1.1,
      font: title,
      color: INK,
    }),
  );
  y -= headHeight(size);
  for (const row of block.rows) {
    line(y);
    const height = rowHeight(row, block, text, size);
    const fast = row.time === '';
    const head = fast ? row.name : row.time;
    page.drawText(head, { x: left, y: y - PAD - size, size, font: title, color: fast ? ROE : INK });
    if (!fast) {
      wrapped(row.name, text, size * 0.85, MOMENT - PAD).forEach((piece, at) =>
        page.drawText(piece, {
          x: left,
          y: y - PAD - size * (2.1 + at),
          size: size * 0.85,
          font: text,
          color: QUIET,
        }),
      );
    }
    row.cells.forEach((cell, at) =>
      cellLines(cell, block, text, size).forEach((piece, index) =>
        page.drawText(piece, {
          x: left + MOMENT + at * column + PAD,
          y: y - PAD - size * (1 + 1.25 * index),
          size,
          font: text,
          color: fast ? ROE : INK,
        }),
      ),
    );
    y -= height;
  }
  line(y);
  return y - PAD;
}
