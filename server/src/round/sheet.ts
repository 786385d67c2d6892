import type { FoodRow } from '@open-larder/contract';
import { compileRound, type FeedingModel } from '@open-larder/core';
import { formatDay, formatManner, formatUnits } from '@open-larder/say';
import type { Content } from 'pdfmake/interfaces';
import { formatClock, lowerFirst, printFitting, QUIET, RULE, tickBox } from '../print/document';
import { preparationsOn } from './prepare';

const EDGE = 36;
/** Width of an A4 page, in points. */
const WIDTH = 595.28;
const GAP = 20;
const COLUMN = (WIDTH - 2 * EDGE - GAP) / 2;
/** Letters from large to small: the largest with which everything fits is taken. */
const SIZES = [14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4.5, 4, 3.5, 3];

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
  const lines = linesOf(house, foods, day, asked);
  return printFitting(SIZES, (size) => ({
    info: { title: `Round: ${formatDay(day)}` },
    pageSize: 'A4',
    pageMargins: EDGE,
    size,
    content: [
      { text: formatDay(day), font: 'title', fontSize: 22, marginBottom: 8 },
      {
        columns: [
          { width: COLUMN, stack: keptTogether(lines, size) },
          { width: COLUMN, text: '' },
        ],
        columnGap: GAP,
        snakingColumns: true,
      },
    ],
  }));
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
        text: `${formatClock(startMin)} ${amount} ${lowerFirst(foodName)}: ${what}`,
        quiet:
          tankIds.length === 1 ? (tanks.get(tankIds[0]!) ?? '') : `for ${tankIds.length} tanks`,
      });
    }
  }
  for (const { moment, stops } of compileRound(house, day).moments) {
    if (stops.length === 0) continue;
    lines.push({ kind: 'moment', text: `${formatClock(stops[0]!.minutes)} ${moment.name}` });
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

/** Lines with the headings above them, so that none of those is left alone at the foot of a column. */
function keptTogether(lines: readonly Line[], size: number): Content[] {
  const kept: Content[] = [];
  let heads: Content[] = [];
  for (const line of lines) {
    heads.push(set(line, size));
    if (line.kind !== 'task') continue;
    kept.push({ stack: heads, unbreakable: true });
    heads = [];
  }
  return [...kept, ...heads];
}

function set(line: Line, size: number): Content {
  switch (line.kind) {
    case 'moment':
      return {
        stack: [
          { text: line.text, font: 'title', marginTop: size * 0.8 },
          {
            canvas: [
              { type: 'line', x1: 0, y1: 1, x2: COLUMN, y2: 1, lineWidth: 0.8, lineColor: RULE },
            ],
            marginBottom: 3,
          },
        ],
      };
    case 'tank':
      return { text: line.text, font: 'title', marginTop: size * 0.35 };
    case 'task':
      return tickBox(size, [
        line.text,
        ...(line.quiet ? [{ text: line.quiet, fontSize: size * 0.85, color: QUIET }] : []),
      ]);
  }
}
