import type { Content } from 'pdfmake/interfaces';
import { print, QUIET, RULE, titleLine } from '../print/document';

/** What a label is stuck to: its name, what else tells it apart, and the page that its code opens. */
export interface Label {
  name: string;
  detail: string;
  address: string;
}

/** A4, in points. */
const EDGE = 28;
const ACROSS = 2;
const WIDTH = (595.28 - 2 * EDGE) / ACROSS;
const HEIGHT = 113;
const PADDING = { left: 10, right: 6 };
const LINE = 0.5;
const CODE = 91;

/** Labels in two columns, to be cut apart: a code for the camera of a phone, and words for people. */
export async function labelSheet(title: string, labels: readonly Label[]): Promise<Uint8Array> {
  const rows = Array.from({ length: Math.ceil(labels.length / ACROSS) }, (_, at) =>
    labels.slice(at * ACROSS, at * ACROSS + ACROSS),
  );
  const { pdf } = await print({
    size: 9,
    info: { title },
    pageSize: 'A4',
    pageMargins: EDGE,
    content: [
      {
        table: {
          dontBreakRows: true,
          // What is within a cell: padding and lines come on top of it.
          widths: Array<number>(ACROSS).fill(WIDTH - PADDING.left - PADDING.right - LINE),
          heights: HEIGHT,
          body: rows.map((row) => [
            ...row.map(labelOf),
            ...(row.length < ACROSS ? [{ text: '' }] : []),
          ]),
        },
        // Lines to cut along.
        layout: {
          hLineColor: () => RULE,
          vLineColor: () => RULE,
          hLineWidth: () => LINE,
          vLineWidth: () => LINE,
          paddingLeft: () => PADDING.left,
          paddingRight: () => PADDING.right,
          paddingTop: () => 11,
          paddingBottom: () => 11,
        },
      },
    ],
  });
  return pdf;
}

const labelOf = ({ name, detail, address }: Label): Content => ({
  columnGap: 12,
  columns: [
    { width: CODE, qr: address, fit: CODE, eccLevel: 'M' },
    {
      width: '*',
      stack: [
        { ...(titleLine(name, WIDTH - CODE - 40, 18) as object) } as Content,
        { text: detail, color: QUIET, marginTop: 4 },
      ],
    },
  ],
});
