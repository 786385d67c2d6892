import type { BroodRow } from '@open-larder/contract';
import { addDays } from '@open-larder/core';
import { formatUnits, formatNumber, sayBroodWork } from '@open-larder/say';
import type { UnitChoice } from '@open-larder/core/units';
import type { PDFFont, PDFPage } from 'pdf-lib';
import { fitted, INK, newDocument, QUIET, ROE, RULE, formatDay, wrapped } from '../print/page';

/** A6 across, in points: it hangs on a tub. */
const CARD = { width: 419.53, height: 297.64, edge: 18 };
const LEADING = 1.3;
const SIZES = { text: 12, small: 8.5, gap: 5 };
const MOST_RUNGS = 4;
/** Days of the week to come, with a box for each meal and for the change. */
const WEEK = 7;
const GRID = { row: 18, box: 9, head: 54 };

/**
 * A card for the tub of a brood: what it is, what it gets and when that changes, and a week of boxes to
 * tick.
 * @param today the first day of the boxes
 * @returns a PDF
 */
export async function broodCard(
  { name, status, work }: BroodRow,
  today: string,
  units: UnitChoice,
): Promise<Uint8Array> {
  const { pdf, title, text } = await newDocument(name);
  const page = pdf.addPage([CARD.width, CARD.height]);
  const room = CARD.width - 2 * CARD.edge;
  const meals = Math.max(0, ...status.feeds.map((feed) => feed.meals));
  // The boxes stand at the foot, whatever fits above them.
  const rows = meals > 0 ? meals + 1 : 0;
  const floor = CARD.edge + (rows > 0 ? GRID.row * (rows + 1) + SIZES.gap : 0);
  const head = fitted(name, title, 22, room);
  let y = CARD.height - CARD.edge - head.size;
  page.drawText(head.text, { x: CARD.edge, y, size: head.size, font: title, color: INK });
  y -= 6;
  const rule = (at: number) =>
    page.drawLine({
      start: { x: CARD.edge, y: at },
      end: { x: CARD.width - CARD.edge, y: at },
      thickness: 1,
      color: RULE,
    });
  rule(y);
  const line = (words: string, colour = INK, size = SIZES.text) => {
    for (const part of wrapped(words, text, size, room)) {
      // What no longer fits the card stands in the app.
      if (y - size * LEADING < floor) return;
      y -= size * LEADING;
      page.drawText(part, { x: CARD.edge, y, size, font: text, color: colour });
    }
  };
  line(
    [
      datesOf(status),
      status.counted ? `${status.count} young` : 'not counted yet',
      status.lengthCm === null ? null : `${formatNumber(status.lengthCm * 10, 1)} mm`,
    ]
      .filter(Boolean)
      .join(' · '),
    QUIET,
  );
  y -= SIZES.gap;
  for (const feed of status.feeds) {
    line(`${feed.name}: ${formatUnits(feed.unitsPerMeal, feed.unit)}, ${timesADay(feed.meals)}`);
  }
  for (const { what, because } of work) {
    if (what === 'change' || what === 'parents') line(sayBroodWork(because, units).says, ROE);
  }
  y -= SIZES.gap;
  const rungs = status.rungs.filter(({ from }) => from > today).slice(0, MOST_RUNGS);
  if (rungs.length > 0) {
    line(
      `Then: ${rungs.map(({ name: food, from }) => `${food} from ${formatDay(from)}`).join(', ')}`,
    );
  }
  line(
    'No food before they swim. Seasoned water as warm as theirs. No medicine but by its label.',
    QUIET,
    SIZES.small,
  );
  if (rows > 0) {
    rule(floor - 2);
    drawWeek(page, text, today, meals);
  }
  return pdf.save();
}

/** A column a day, a row a meal, and one for the change of water. */
function drawWeek(page: PDFPage, font: PDFFont, today: string, meals: number): void {
  const step = (CARD.width - 2 * CARD.edge - GRID.head) / WEEK;
  const rows = [...Array.from({ length: meals }, (_, at) => `meal ${at + 1}`), 'changed'];
  const top = CARD.edge + GRID.row * rows.length;
  rows.forEach((label, row) => {
    const y = top - GRID.row * (row + 1);
    page.drawText(label, { x: CARD.edge, y: y + 3, size: SIZES.small, font, color: QUIET });
    for (let day = 0; day < WEEK; day += 1) {
      page.drawRectangle({
        x: CARD.edge + GRID.head + step * day,
        y,
        width: GRID.box + 3,
        height: GRID.box + 3,
        borderWidth: 0.8,
        borderColor: QUIET,
      });
    }
  });
  for (let day = 0; day < WEEK; day += 1) {
    // «Wed 11»
    const says = formatWeekday(addDays(today, day));
    page.drawText(says, {
      x: CARD.edge + GRID.head + step * day,
      y: top + 3,
      size: SIZES.small,
      font,
      color: INK,
    });
  }
}

const formatWeekday = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${day}T12:00:00Z`),
  );

const timesADay = (meals: number): string =>
  meals === 1 ? 'once a day' : meals === 2 ? 'twice a day' : `${meals} times a day`;

const datesOf = ({ state, stages }: BroodRow['status']): string =>
  [
    state.spawnedOn === null ? null : `laid ${formatDay(state.spawnedOn)}`,
    ...stages.map(
      ({ stage, day, seen }) => `${STAGES[stage]} ${seen ? '' : 'about '}${formatDay(day)}`,
    ),
  ]
    .filter(Boolean)
    .join(' · ');

const STAGES = { wet: 'to wet', hatch: 'hatch', swim: 'swim', born: 'born' } as const;
