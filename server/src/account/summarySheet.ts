import { formatNumber } from '@open-larder/say';
import type { Content } from 'pdfmake/interfaces';
import { INK, printFitting, QUIET, ROE, RULE, titleLine } from '../print/document';

const EDGE = 36;
/** Width of an A4 page less its edges, in points. */
const WIDTH = 595.28 - 2 * EDGE;
const CURVE = { height: 96, left: 30, head: 14, foot: 12 };

/** Letters from large to small, and lines that are kept of a part: the first with which it fits is taken. */
const SETTINGS = [
  ...[11, 10.5, 10, 9.5, 9, 8.5, 8, 7.5, 7].map((size) => ({ size, max: 120 })),
  ...[60, 40, 30, 24, 18, 12, 8, 5, 3, 2, 1].map((max) => ({ size: 7, max })),
];

/** A page of a life: parts under heads, and lengths as they were measured. */
export interface Summary {
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
 * A summary on one page. Where even the smallest letters do not hold it all, the longest parts lose their
 * oldest lines, and say so.
 * @returns a PDF of one page
 */
export const summarySheet = (summary: Summary): Promise<Uint8Array> =>
  printFitting(SETTINGS, ({ size, max }) => ({
    info: { title: summary.title },
    pageSize: 'A4',
    pageMargins: EDGE,
    size,
    content: [
      titleLine(summary.title, WIDTH, 24),
      { text: summary.about, fontSize: 10, color: QUIET, marginBottom: 6 },
      ...(summary.curve && summary.curve.points.length > 1 ? [drawCurve(summary.curve)] : []),
      ...partsWithin(summary.parts, max).map(({ head, lines }): Content => [
        { text: head, font: 'title', fontSize: size * 1.15, marginTop: size * 0.5 },
        ...lines,
      ]),
    ],
  }));

/** The parts that say something, none of more lines than may be: the newest come first and are kept. */
export const partsWithin = (parts: Summary['parts'], max: number): Summary['parts'] =>
  parts
    .filter(({ lines }) => lines.length > 0)
    .map(({ head, lines }) => ({
      head,
      lines:
        lines.length <= max
          ? lines
          : [...lines.slice(0, max - 1), `and ${lines.length - max + 1} more, in the app`],
    }));

function drawCurve({ head, unit, ends, points, cap }: NonNullable<Summary['curve']>): Content {
  const { left, height, foot } = CURVE;
  const top = CURVE.head;
  const last = Math.max(1, points.at(-1)!.day);
  const highest = Math.max(...points.map(({ value, high }) => high ?? value), cap ?? 0) * 1.05;
  const x = (day: number) => left + (day / last) * (WIDTH - left - 8);
  const y = (value: number) => top + height - (value / highest) * height;
  const text = (at: number, down: number, says: string, anchor = 'start') =>
    `<text x="${at}" y="${down}" font-family="text" font-size="8" fill="${QUIET}" text-anchor="${anchor}">${escaped(says)}</text>`;
  const across = (value: number, style: string) =>
    `<line x1="${left}" x2="${WIDTH}" y1="${y(value)}" y2="${y(value)}" ${style}/>`;
  const path = points.map(({ day, value }) => `${x(day)},${y(value)}`).join(' ');
  const parts = [
    text(0, 8, `${head}, ${unit}`),
    ...[0, highest / 2, highest / 1.05].flatMap((value) => [
      across(value, `stroke="${RULE}" stroke-width="0.5"`),
      text(0, y(value) + 3, formatNumber(value, value < 10 ? 1 : 0)),
    ]),
    cap === null ? '' : across(cap, `stroke="${ROE}" stroke-width="1" stroke-dasharray="4 3"`),
    `<polyline points="${path}" fill="none" stroke="${INK}" stroke-width="1.2"/>`,
    ...points.flatMap(({ day, value, low, high }) => [
      low === null || high === null
        ? ''
        : `<line x1="${x(day)}" x2="${x(day)}" y1="${y(low)}" y2="${y(high)}" stroke="${QUIET}" stroke-width="0.8"/>`,
      `<circle cx="${x(day)}" cy="${y(value)}" r="2" fill="${INK}"/>`,
    ]),
    text(left, top + height + foot - 2, ends[0]),
    text(WIDTH, top + height + foot - 2, ends[1], 'end'),
  ];
  const size = `width="${WIDTH}" height="${top + height + foot}"`;
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" ${size}>${parts.join('')}</svg>`,
    marginBottom: 6,
  };
}

const escaped = (text: string) =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');
