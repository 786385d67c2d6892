import type { FoodRow } from '@open-larder/contract';
import { compileRound, type FeedingModel } from '@open-larder/core';
import { formatDay, formatManner, formatServing, formatUnits } from '@open-larder/say';
import { formatClock } from '../print/document';
import { printLines, type Line } from '../print/lines';
import { preparationsOn } from './prepare';

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
  return printLines(`Round: ${formatDay(day)}`, formatDay(day), linesOf(house, foods, day, asked));
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
        text: `${formatClock(startMin)} ${formatServing(amount, foodName)}: ${what}`,
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
          text: formatServing(formatUnits(portion.units, food.unit), food.name),
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
