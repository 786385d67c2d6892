import type { FoodRow, LotRow } from '@open-larder/contract';
import { goodUntil, ofDryMatter } from '@open-larder/core';
import { formatLotLabel } from '@open-larder/say/label';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { INK, printFitting, ROE, titleLine } from '../print/document';

/** An A4 sheet in points, and the labels on it: two across, seven down. */
const SHEET = { width: 595.28, height: 841.89, across: 2, down: 7, edge: 20 };
const PAD = 9;
/** What a label may be, with its frame. */
const WIDTH = (SHEET.width - 2 * SHEET.edge) / SHEET.across - 1;
const HEIGHT = (SHEET.height - 2 * SHEET.edge) / SHEET.down - 1;
/** Letters from large to small: the largest with which a sheet holds fourteen is taken. */
const SIZES = [8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5, 4.5, 4, 3.5, 3];

/**
 * Labels for a lot, to be cut out or printed on a sheet of two by seven.
 * @param copies how many, 1 or more
 * @returns a PDF
 */
export async function labelsOf(food: FoodRow, lot: LotRow, copies: number): Promise<Uint8Array> {
  const lines = linesOf(food, lot);
  const rows = Math.ceil(copies / SHEET.across);
  return printFitting(
    SIZES,
    (size) => ({
      info: { title: `Labels: ${food.name}` },
      pageSize: 'A4',
      pageMargins: SHEET.edge,
      size,
      content: [
        {
          table: {
            widths: Array<number>(SHEET.across).fill(WIDTH - 2 * PAD),
            heights: HEIGHT - 2 * PAD,
            dontBreakRows: true,
            body: Array.from({ length: rows }, (_, row) =>
              Array.from({ length: SHEET.across }, (_, at): TableCell =>
                row * SHEET.across + at < copies
                  ? labelOf(lines)
                  : { text: '', border: [false, false, false, false] },
              ),
            ),
          },
          layout: {
            hLineWidth: () => 0.6,
            vLineWidth: () => 0.6,
            hLineColor: () => INK,
            vLineColor: () => INK,
            paddingLeft: () => PAD,
            paddingRight: () => PAD,
            paddingTop: () => PAD,
            paddingBottom: () => PAD,
          },
        },
      ],
    }),
    Math.ceil(rows / SHEET.down),
  );
}

const labelOf = ({ name, useBy, rest }: Lines): { stack: Content[] } => ({
  stack: [
    titleLine(name, WIDTH - 2 * PAD, 16),
    { text: useBy, font: 'title', fontSize: 13, color: ROE },
    ...rest,
  ],
});

interface Lines {
  name: string;
  useBy: string;
  rest: string[];
}

/** What a label says. Days are written out, so that nobody takes a month for a day. */
function linesOf(food: FoodRow, lot: LotRow): Lines {
  return {
    name: food.name,
    ...formatLotLabel({
      ...lot,
      until: goodUntil(lot, food.keeps.openedDays),
      unit: food.unit,
      dry: ofDryMatter(food.composition),
      plantShare: food.plantShare,
      cautions: food.cautions.people,
    }),
  };
}
