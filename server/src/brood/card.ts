import type { BroodRow } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import { formatBroodMeal, formatBroodWork, formatStageDates } from '@open-larder/say/brood';
import { formatDay, formatQuantity } from '@open-larder/say';
import type { UnitChoice } from '@open-larder/core/units';
import type { Content } from 'pdfmake/interfaces';
import { printFitting, QUIET, ROE, RULE, titleLine } from '../print/document';

/** A6 across, in points: it hangs on a tub. */
const CARD = { width: 419.53, height: 297.64 };
const EDGE = 18;
/** Letters from large to small: the largest with which everything fits is taken. */
const SIZES = [12, 11, 10, 9, 8, 7, 6, 5, 4, 3];
const MAX_RUNGS = 4;
/** Days of the week to come, with a box for each meal and for the change. */
const WEEK = 7;
const BOX = 12;

/**
 * A card for the tub of a brood: what it is, what it gets and when that changes, and a week of boxes to
 * tick.
 * @param today the first day of the boxes
 * @returns a PDF
 */
export async function broodCard(
  brood: BroodRow,
  today: string,
  units: UnitChoice,
): Promise<Uint8Array> {
  const meals = Math.max(0, ...brood.status.feeds.map((feed) => feed.meals));
  return printFitting(SIZES, (size) => ({
    info: { title: brood.name },
    pageSize: CARD,
    pageMargins: EDGE,
    size,
    content: [
      titleLine(brood.name, CARD.width - 2 * EDGE, 22),
      ruleOf(),
      ...linesOf(brood, today, units).map((line): Content => ({ marginTop: 2, ...line })),
      ...(meals > 0 ? [ruleOf(), weekOf(today, meals)] : []),
    ],
  }));
}

const ruleOf = (): Content => ({
  canvas: [
    { type: 'line', x1: 0, y1: 3, x2: CARD.width - 2 * EDGE, y2: 3, lineWidth: 1, lineColor: RULE },
  ],
  marginBottom: 4,
});

interface Words {
  text: string;
  color?: string;
}

function linesOf({ status, work }: BroodRow, today: string, units: UnitChoice): Words[] {
  const about = [
    formatStageDates(status.state.spawnedOn, status.stages),
    status.counted ? `${status.count} young` : 'not counted yet',
    status.lengthCm === null ? null : formatQuantity(units, 'length', status.lengthCm),
  ];
  const rungs = status.rungs.filter(({ from }) => from > today).slice(0, MAX_RUNGS);
  return [
    { text: about.filter(Boolean).join(' · '), color: QUIET },
    ...status.feeds.map((feed) => ({ text: formatBroodMeal(feed) })),
    ...work
      .filter(({ what }) => what === 'change' || what === 'parents')
      .map(({ because }) => ({ text: formatBroodWork(because, units).says, color: ROE })),
    ...(rungs.length > 0
      ? [
          {
            text: `Then: ${rungs.map(({ name, from }) => `${name} from ${formatDay(from)}`).join(', ')}`,
          },
        ]
      : []),
    {
      text: `${status.swim?.seen ? '' : 'No food before they swim. '}Seasoned water as warm as theirs. No medicine but by its label.`,
      color: QUIET,
    },
  ];
}

/** A column a day, a row a meal, and one for the change of water. */
function weekOf(today: string, meals: number): Content {
  const days = Array.from({ length: WEEK }, (_, day) => formatWeekday(addDays(today, day)));
  const rows = [...Array.from({ length: meals }, (_, at) => `meal ${at + 1}`), 'changed'];
  const box = (): Content => ({
    canvas: [{ type: 'rect', x: 0, y: 0, w: BOX, h: BOX, lineWidth: 0.8, lineColor: QUIET }],
  });
  return {
    table: {
      widths: [50, ...days.map(() => '*')],
      body: [['', ...days], ...rows.map((row) => [{ text: row, color: QUIET }, ...days.map(box)])],
    },
    layout: 'noBorders',
    fontSize: 8.5,
  };
}

const formatWeekday = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  );
