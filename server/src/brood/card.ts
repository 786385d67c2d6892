import type { BroodRow } from '@open-larder/contract';
import { sayUnits } from '@open-larder/core';
import { sayNumber } from '@open-larder/core/units';
import { fitted, INK, newDocument, QUIET, ROE, RULE, sayDay, wrapped } from '../print/page';

/** A6 across, in points: it hangs on a tub. */
const CARD = { width: 419.53, height: 297.64, edge: 18 };
const LEADING = 1.35;
const TEXT = 10;
const MOST_RUNGS = 6;

/** A card for the tub of a brood: what it is, what it gets and when that changes. @returns a PDF */
export async function broodCard({ name, stand, work }: BroodRow): Promise<Uint8Array> {
  const { pdf, title, text } = await newDocument(name);
  const page = pdf.addPage([CARD.width, CARD.height]);
  const room = CARD.width - 2 * CARD.edge;
  const head = fitted(name, title, 22, room);
  let y = CARD.height - CARD.edge - head.size;
  page.drawText(head.text, { x: CARD.edge, y, size: head.size, font: title, color: INK });
  y -= 6;
  page.drawLine({
    start: { x: CARD.edge, y },
    end: { x: CARD.width - CARD.edge, y },
    thickness: 1,
    color: RULE,
  });
  const line = (words: string, colour = INK, size = TEXT) => {
    for (const part of wrapped(words, text, size, room)) {
      y -= size * LEADING;
      // What no longer fits the card stands in the app.
      if (y < CARD.edge) return;
      page.drawText(part, { x: CARD.edge, y, size, font: text, color: colour });
    }
  };
  line(datesOf(stand), QUIET);
  line(
    [
      stand.counted ? `${stand.count} young` : 'not counted yet',
      stand.lengthCm === null ? null : `${sayNumber(stand.lengthCm, 1)} cm`,
      ...stand.tubs.map((tub) => `${tub.name}, ${sayNumber(tub.litres, 0)} L`),
    ]
      .filter(Boolean)
      .join(' · '),
    QUIET,
  );
  for (const feed of stand.feeds) {
    line(`Today: ${feed.name}, ${sayUnits(feed.unitsPerMeal, feed.unit)}, ${feed.meals} a day`);
  }
  for (const { says } of work.filter(({ what }) => what === 'change' || what === 'parents')) {
    line(says, ROE);
  }
  for (const { name: food, from, to } of stand.rungs.slice(0, MOST_RUNGS)) {
    line(`${food}: from ${sayDay(from)}${to === null ? '' : ` until ${sayDay(to)}`}`);
  }
  line(
    'No food before they swim. Seasoned water of their warmth; no medicine but by its label.',
    QUIET,
    8,
  );
  return pdf.save();
}

const datesOf = ({ state, stages }: BroodRow['stand']): string =>
  [
    state.spawnedOn === null ? null : `laid ${sayDay(state.spawnedOn)}`,
    ...stages.map(
      ({ stage, day, seen }) => `${STAGES[stage]} ${seen ? '' : 'about '}${sayDay(day)}`,
    ),
  ]
    .filter(Boolean)
    .join(' · ');

const STAGES = { wet: 'to wet', hatch: 'hatch', swim: 'swim', born: 'born' } as const;
