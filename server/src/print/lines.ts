import type { Content } from 'pdfmake/interfaces';
import { printFitting, QUIET, RULE, tickBox } from './document';

const EDGE = 36;
/** Width of an A4 page, in points. */
const WIDTH = 595.28;
const GAP = 20;
const COLUMN = (WIDTH - 2 * EDGE - GAP) / 2;
/** Letters from large to small: the largest with which everything fits is taken. */
const SIZES = [14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4.5, 4, 3.5, 3];

export type Line =
  | { kind: 'moment'; text: string }
  | { kind: 'tank'; text: string }
  /** Something to do, with a box to tick. */
  | { kind: 'task'; text: string; quiet: string };

/**
 * What a day asks for on one page, legible on a wall, each act with a box.
 * @param heading over the page
 * @returns a PDF of one page
 */
export const printLines = (
  title: string,
  heading: string,
  lines: readonly Line[],
): Promise<Uint8Array> =>
  printFitting(SIZES, (size) => ({
    info: { title },
    pageSize: 'A4',
    pageMargins: EDGE,
    size,
    content: [
      { text: heading, font: 'title', fontSize: 22, marginBottom: 8 },
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
